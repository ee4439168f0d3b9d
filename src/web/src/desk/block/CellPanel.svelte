<script lang="ts">
  import { rest } from '../../shared/words';
  import { domainRules } from '../domainRules.svelte';
  import TempoLine from '../workbench/TempoLine.svelte';
  import type { BlockBook } from './blockBook.svelte';
  import { asksMore, figuresOf, hopefulFrom, keyOf } from './cells';

  interface Props {
    book: BlockBook;
    at: { row: number; week: number };
    onchange: () => void;
  }

  let { book, at, onchange }: Props = $props();
  const week = $derived(book.weeks[at.week]);
  const cell = $derived(book.rows[at.row]?.cells[at.week]);
  const done = $derived(
    cell && book.view?.done[at.week]?.cells.find((d) => keyOf(d) === keyOf(cell) && d.last !== ''),
  );
  const more = $derived(cell ? asksMore(cell) : 0);
</script>

{#if week && cell}
  <section class="sheet flex flex-wrap items-start gap-x-8 gap-y-2 p-4" aria-label="The cell">
    <div class="min-w-64 flex-1">
      <h2 class="text-lg">{cell.name}, week {week.number}</h2>
      <p class="text-plain">{cell.reason}</p>
      {#if week.isLight}<p class="soft text-plain">{week.idea}</p>{/if}
      {#if done}<p class="text-plain">Done: <span class="figures">{done.last}</span></p>{/if}
    </div>
    <div class="figures">
      <p class="text-xl font-semibold">{figuresOf(cell)}</p>
      <p class="flex items-center gap-3 text-plain">
        {#if !cell.dose.timed}{cell.dose.tempo} <TempoLine tempo={cell.dose.tempo} />{/if}
        <span>rest {rest(cell.dose.restSeconds)}</span>
        {#if !cell.dose.timed}<span class="text-primary">RIR {cell.dose.rir}</span>{/if}
      </p>
      {#if cell.dose.techniques.length > 0}<p class="soft text-plain">
          {cell.dose.techniques.map((id) => domainRules.stepName(id)).join(', ')}
        </p>{/if}
    </div>
    <div class="w-64 text-plain">
      {#if cell.reserve !== null && cell.reserve !== undefined}
        <p>
          With today's strength: <span class="figures font-semibold"
            >{cell.reserve >= 0 ? `${cell.reserve} reps left` : `${-cell.reserve} reps short`}</span
          > in the first set.
        </p>
      {/if}
      {#if more > 0}<p class={more >= hopefulFrom ? 'text-warning' : 'soft'}>
          Asks for {more} % more strength than today{more >= hopefulFrom ? ': a hope, the log decides' : ''}.
        </p>{/if}
    </div>
    <div class="no-print flex flex-wrap gap-2">
      {#if book.open(week.number)}
        <button class="btn btn-sm" onclick={onchange}>Change <span class="keycap">↵</span></button>
        {#if cell.setByCoach}
          <button class="btn btn-sm" disabled={book.busy} onclick={() => void book.clear(week.number, cell)}
            >As it would be <span class="keycap">Del</span></button
          >
        {/if}
        {#if week.kind === 'build' || week.kind === 'lighter'}<button
            class="btn btn-sm"
            disabled={book.busy}
            onclick={() => void book.lighter(week.number)}
            >Week {week.number}
            {book.setup?.lighterWeeks?.includes(week.number) ? 'in full' : 'lighter'}
            <span class="keycap">L</span></button
          >{/if}
      {:else}
        <p class="soft text-plain">This week is past and stands as it was planned.</p>
      {/if}
    </div>
  </section>
{/if}
