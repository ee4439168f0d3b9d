<script lang="ts">
  import { dayOfYear } from '../../shared/words';
  import { tick } from 'svelte';
  import type { BlockCell, BlockWeek, DoneCell } from '../../shared/api/types';
  import type { BlockBook } from './blockBook.svelte';
  import { asksMore, hopefulFrom, keyOf, stepOf } from './cells';
  import CellForm from './CellForm.svelte';
  import WorkBars from './WorkBars.svelte';

  interface Props {
    book: BlockBook;
    /** Row and week that are looked at, both from 0. */
    at: { row: number; week: number };
    typing: boolean;
  }

  let { book, at = $bindable(), typing = $bindable() }: Props = $props();
  let table = $state<HTMLTableElement>();
  const most = $derived(Math.max(...book.weeks.map((w) => w.hardSets)));
  const limit = $derived(book.plan?.value.document.request.client.minutesPerSession ?? null);
  const dayNames = $derived(book.weeks[0]?.days.map((d) => d.name) ?? []);
  const dayOf = $derived(
    new Map(book.plan?.value.document.plan.lines.map((l) => [l.gym.key, l.gym.day ?? 0]) ?? []),
  );
  const phases = $derived(phaseSpans(book.weeks));
  const kinds: Record<string, string> = {
    build: '',
    lighter: 'lighter',
    taper: 'to the event',
    event: 'event',
  };
  const verdicts: Record<string, string> = {
    'below-plan': 'below plan',
    'as-planned': 'as planned',
    'above-plan': 'above plan',
    other: 'another exercise',
    'not-done': 'not done',
  };

  function phaseSpans(weeks: BlockWeek[]): { name: string; idea: string; span: number }[] {
    const spans: { name: string; idea: string; span: number }[] = [];
    for (const week of weeks) {
      if (spans.length > 0 && !week.phaseStarts) spans[spans.length - 1]!.span++;
      else spans.push({ name: week.phase, idea: week.isLight ? '' : week.idea, span: 1 });
    }
    return spans;
  }

  const doneOf = (week: number, cell: BlockCell): DoneCell | undefined =>
    book.view?.done[week]?.cells.find((d) => keyOf(d) === keyOf(cell));

  /** Moves the eye of the coach, and the focus with it. */
  export async function go(row: number, week: number): Promise<void> {
    at = {
      row: Math.min(Math.max(0, row), book.rows.length - 1),
      week: Math.min(Math.max(0, week), book.weeks.length - 1),
    };
    await tick();
    table?.querySelector<HTMLButtonElement>(`[data-cell="${at.row}/${at.week}"]`)?.focus();
  }

  function key(event: KeyboardEvent): void {
    const by = { ArrowUp: [-1, 0], ArrowDown: [1, 0], ArrowLeft: [0, -1], ArrowRight: [0, 1] }[event.key];
    if (by) {
      event.preventDefault();
      void go(at.row + (by[0] ?? 0), at.week + (by[1] ?? 0));
    }
  }

  async function close(): Promise<void> {
    typing = false;
    await go(at.row, at.week);
  }
</script>

<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<div class="overflow-x-auto pb-1" tabindex="0" role="region" aria-label="Weeks of the block">
  <table bind:this={table} class="w-full min-w-4xl table-fixed border-collapse text-note">
    <thead>
      <tr>
        <td class="w-44"></td>
        {#each phases as phase, i (i)}
          <th
            scope="colgroup"
            colspan={phase.span}
            class="border-x border-b-2 border-base-300 border-b-secondary px-2 pb-1 text-left align-bottom"
          >
            <span class="font-display text-lead">{phase.name}</span>
            {#if phase.idea}<span class="soft block text-fine leading-tight font-normal">{phase.idea}</span
              >{/if}
          </th>
        {/each}
      </tr>
      <tr>
        <th scope="col" class="pr-2 text-left align-bottom font-normal"
          ><span class="soft">Hard sets</span></th
        >
        {#each book.weeks as week, w (week.number)}
          <th
            scope="col"
            class={['px-2 pt-1 text-left align-bottom', week.number === book.thisWeek && 'bg-base-200']}
            title={week.isLight ? week.idea : undefined}
          >
            <WorkBars {week} done={book.view?.done[w]} {most} />
            <span class="block pt-1 text-plain"
              >Week {week.number}
              {#if week.number === book.thisWeek}<span class="text-primary">· now</span>{/if}</span
            >
            <span class="soft block pb-1 font-normal"
              >{dayOfYear(week.starts)}{kinds[week.kind] ? ' · ' : ''}<span class="font-semibold"
                >{kinds[week.kind]}</span
              ></span
            >
          </th>
        {/each}
      </tr>
    </thead>
    <tbody>
      {#each book.rows as row, r (row.key)}
        {#if dayNames.length > 1 && (r === 0 || dayOf.get(row.line) !== dayOf.get(book.rows[r - 1]?.line ?? 0))}
          <tr>
            <th
              scope="rowgroup"
              colspan={book.weeks.length + 1}
              class="pt-3 pb-1 text-left font-display text-plain">{dayNames[dayOf.get(row.line) ?? 0]}</th
            >
          </tr>
        {/if}
        <tr class="rule-b align-top">
          <th scope="row" class="py-1.5 pr-2 text-left text-plain leading-tight font-normal">{row.name}</th>
          {#each row.cells as cell, w (w)}
            {@const week = book.weeks[w]!}
            {@const here = at.row === r && at.week === w}
            <td class={['rule-l relative p-0', week.number === book.thisWeek && 'bg-base-200']}>
              {#if cell}
                {@const was = book.was[`${week.number}/${keyOf(cell)}`]}
                {@const done = doneOf(w, cell)}
                {@const verdict = done ? verdicts[done.verdict] : undefined}
                <button
                  data-cell="{r}/{w}"
                  tabindex={here ? 0 : -1}
                  aria-current={here ? 'true' : undefined}
                  class={[
                    'block h-full w-full px-2 py-1.5 text-left hover:bg-base-300/40',
                    here && 'outline-2 -outline-offset-2 outline-primary',
                    cell.setByCoach && 'border-l-4 border-secondary',
                  ]}
                  onfocus={() => (at = { row: r, week: w })}
                  onclick={() => (at = { row: r, week: w })}
                  onkeydown={key}
                  ondblclick={() => book.open(week.number) && (typing = true)}
                >
                  <span class="figures block text-body leading-tight font-semibold whitespace-nowrap"
                    >{cell.dose.figures}</span
                  >
                  <span class="figures block leading-tight">
                    {cell.externalKg > 0
                      ? `${Math.round(cell.externalKg * 10) / 10} kg `
                      : ''}{#if !cell.dose.timed}<span class="soft">RIR {cell.dose.rir}</span>{/if}
                  </span>
                  <span class="block leading-tight">
                    {#if cell.exerciseId !== row.exerciseId}<span class="block">{cell.name}</span>{/if}
                    {#if cell.setByCoach}<span class="text-secondary">set by you</span>{:else}<span
                        class="soft">{stepOf(cell)}</span
                      >{/if}
                    {#if asksMore(cell) >= hopefulFrom}<span class="text-warning"
                        >+{asksMore(cell)} % strength</span
                      >{/if}
                    {#if was}<span class="block bg-primary/15">was {was}</span>{/if}
                    {#if done && verdict}
                      <span
                        class={[
                          'block',
                          done.verdict === 'as-planned' || done.verdict === 'above-plan'
                            ? 'text-primary'
                            : 'text-error',
                        ]}><span class="figures">{done.last}</span> <span>{verdict}</span></span
                      >
                    {/if}
                  </span>
                </button>
                {#if here && typing}
                  <CellForm {book} {week} {cell} onclose={close} />
                {/if}
              {/if}
            </td>
          {/each}
        </tr>
      {/each}
    </tbody>
    <tfoot class="figures">
      <tr class="rule-b">
        <th scope="row" class="py-1 text-left font-normal">hard sets</th>
        {#each book.weeks as week (week.number)}<td class="rule-l px-2 py-1">{week.hardSets}</td>{/each}
      </tr>
      {#each dayNames as name, d (d)}
        <tr class="rule-b">
          <th scope="row" class="py-1 text-left font-normal">minutes{name ? `, ${name}` : ''}</th>
          {#each book.weeks as week (week.number)}
            {@const minutes = week.days[d]?.minutes ?? 0}
            <td class={['rule-l px-2 py-1', limit && minutes > limit && 'font-semibold text-error']}
              >{minutes}{limit && minutes > limit ? ` of ${limit}` : ''}</td
            >
          {/each}
        </tr>
      {/each}
      <tr>
        <th scope="row" class="py-1 text-left font-normal">done of planned</th>
        {#each book.view?.done ?? [] as week (week.week)}
          <td class="rule-l px-2 py-1"
            >{week.sessions > 0 || week.week < book.thisWeek
              ? `${week.sessions} of ${week.plannedSessions}, ${week.sets} of ${week.plannedSets} sets`
              : '–'}</td
          >
        {/each}
      </tr>
    </tfoot>
  </table>
</div>
