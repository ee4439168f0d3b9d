<script lang="ts">
  import { onMount } from 'svelte';
  import { p } from '../router';
  import type { OtherReading, ReadingDoubt, ReadRow, ShorthandError } from '../../shared/api/types';
  import KeptMark from '../autosave/KeptMark.svelte';
  import { toasts } from '../toasts.svelte';
  import { domainRules } from '../domainRules.svelte';
  import { count, number } from '../../shared/words';
  import DoubtList from './DoubtList.svelte';
  import { fieldAt, stretches, type LitField } from './wordMarks';
  import ReadRows from './ReadRows.svelte';
  import { TaughtNames } from './taughtNames.svelte';
  import TaughtNamesDialog from './TaughtNamesDialog.svelte';
  import TeachDialog from './TeachDialog.svelte';
  import type { Workbench } from './workbench.svelte';

  interface Props {
    bench: Workbench;
  }

  let { bench }: Props = $props();
  let area = $state<HTMLTextAreaElement>();
  let teaching = $state<string | null>(null);
  let listing = $state(false);
  let tooLong = $state('');
  const names = new TaughtNames();
  const example = 'Day 1 – Upper\nBench 4x8-10 @ RPE 8, 90 s\nDB row 3x12/side 2 min';

  onMount(() => void names.load().catch(toasts.problem));

  const typed = $derived(bench.gym.text.split('\n'));
  /** The field that the mouse is over, or that the caret stands in. */
  let lit = $state.raw<LitField | null>(null);
  let scrolled = $state(0);
  const marked = $derived(stretches(typed, bench.gym.rows, lit));

  function lightCaret(): void {
    const before = (area?.value ?? '').slice(0, area?.selectionStart ?? 0).split('\n');
    lit = fieldAt(bench.gym.rows, before.length, (before.at(-1)?.length ?? 0) + 1);
  }

  async function partWeeks(): Promise<void> {
    const many = bench.gym.severalWeeks.length;
    try {
      const undo = await bench.gym.partWeeks();
      toasts.done(`${count(many, 'week')} kept, the first is open.`, () => void undo().catch(toasts.problem));
    } catch (error) {
      toasts.problem(error);
    }
  }

  const height = $derived(Math.max(8, typed.length + 1));

  function goTo(line: number, column: number, length: number): void {
    const start = typed.slice(0, line - 1).reduce((sum, row) => sum + row.length + 1, 0) + column - 1;
    area?.focus();
    area?.setSelectionRange(start, start + length);
  }

  function replace({ line, column, length }: ShorthandError, name: string): void {
    const row = typed[line - 1] ?? '';
    bench.gym.replace(new Map([[line, row.slice(0, column - 1) + name + row.slice(column - 1 + length)]]));
    area?.focus();
  }

  /** What is longer than a week may be is refused here, with the limit, and what stood there stays. */
  function typedIn(field: HTMLTextAreaElement): void {
    const most = domainRules.summary?.gymTextLength ?? Number.POSITIVE_INFINITY;
    if (field.value.length > most) {
      tooLong = `That is ${number(field.value.length)} characters; a gym week takes ${number(most)}. Nothing was taken over: paste it in parts.`;
      field.value = bench.gym.text;
      return;
    }

    tooLong = '';
    bench.gym.typed(field.value);
  }

  async function teach(name: string, exerciseId: string): Promise<void> {
    if (!(await names.teach(name, exerciseId))) return;
    teaching = null;
    await bench.gym.read();
    const taught = names.list.find((n) => n.value.name.toLowerCase() === name.toLowerCase());
    toasts.done(`“${name}” is known from now on.`, taught && (() => void forget(taught.id)));
  }

  async function forget(id: number): Promise<void> {
    await names.forget(id);
    await bench.gym.read();
  }

  async function keep(row: ReadRow, doubt: ReadingDoubt): Promise<void> {
    const named = doubt === row.doubts[0] && row.certainty !== 'sure';
    if (named && row.name && row.exerciseId) await teach(row.name, row.exerciseId);
    else bench.gym.take(new Map([[row, row.text]]));
  }

  async function take(row: ReadRow, other: OtherReading): Promise<void> {
    if (other.exerciseId && row.name) await teach(row.name, other.exerciseId);
    else bench.gym.take(new Map([[row, other.row]]));
  }

  const rowsAsked = (question: string): { row: ReadRow; doubt: ReadingDoubt }[] =>
    bench.gym.doubtful.flatMap((row) =>
      row.doubts.filter((d) => d.question === question).map((doubt) => ({ row, doubt })),
    );

  /** Answers a question about the whole text at once: the rows are written as they were read. */
  const keepAll = (question: string): void =>
    bench.gym.take(new Map(rowsAsked(question).map(({ row }) => [row, row.text])));

  const takeAll = (question: string): void =>
    bench.gym.take(
      new Map(rowsAsked(question).map(({ row, doubt }) => [row, doubt.others[0]?.row ?? row.text])),
    );

  /** Rows of which nothing but the spelling of a name is in doubt: they are settled at once. Nothing is taught, and no question is answered. */
  const misspelt = $derived(bench.gym.doubtful.filter((row) => row.doubts.every((d) => d.onlySpelling)));

  async function mendAll(): Promise<void> {
    const before = bench.gym.text;
    const rows = misspelt;
    bench.gym.take(new Map(rows.map((row) => [row, row.text])));
    await bench.gym.read();
    toasts.done(`${count(rows.length, 'name')} spelt as in the catalogue.`, () => bench.gym.typed(before));
  }

  /** Alt and a figure takes another reading of the row where the caret stands. */
  function pressed(event: KeyboardEvent): void {
    if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) {
      event.preventDefault();
      void bench.propose();
      return;
    }

    const figure = event.altKey ? Number(event.code.replace('Digit', '')) : Number.NaN;
    if (!(figure >= 1 && figure <= 9) || !area) return;
    const line = bench.gym.text.slice(0, area.selectionStart).split('\n').length;
    const row = bench.gym.doubtful.find((r) => r.line === line);
    const other = row?.doubts[0]?.others[figure - 1];
    if (!row || !other) return;
    event.preventDefault();
    void take(row, other);
  }

  function toDoubt(line: number): void {
    document.getElementById(`doubt-${line}`)?.scrollIntoView({ block: 'center' });
    goTo(line, 1, typed[line - 1]?.length ?? 0);
  }
</script>

<section class="p-5" aria-label="Gym week">
  <div class="mb-1 grid gap-x-4 lg:grid-cols-2">
    <label for="gym-day" class="font-semibold">Gym week, one line per exercise</label>
    <span class="soft hidden lg:block" aria-hidden="true">As it was read</span>
  </div>
  <div
    class="sheet figures max-h-[60vh] overflow-y-auto text-plain leading-7 lg:grid lg:grid-cols-2"
    role="group"
    aria-label="Gym week beside its reading"
  >
    <div class="relative overflow-hidden bg-base-100">
      <div
        class="pointer-events-none absolute inset-0 px-3 py-2 leading-7 whitespace-pre text-transparent"
        style:transform={`translateX(${-scrolled}px)`}
        aria-hidden="true"
      >
        {#each marked as parts, i (i)}<div class="h-7">
            {#each parts as part, n (n)}<span
                class={[part.lit && 'lit-words', part.unplaced && 'unplaced-words']}>{part.text}</span
              >{/each}
          </div>{/each}
      </div>
      <textarea
        id="gym-day"
        bind:this={area}
        class="relative block w-full resize-none overflow-x-auto overflow-y-hidden bg-transparent px-3 py-2 leading-7 whitespace-pre"
        style:height={`${height * 28 + 16}px`}
        spellcheck="false"
        wrap="off"
        aria-describedby="gym-day-help"
        placeholder={example}
        value={bench.gym.text}
        oninput={(event) => typedIn(event.currentTarget)}
        onscroll={(event) => (scrolled = event.currentTarget.scrollLeft)}
        onkeyup={lightCaret}
        onclick={lightCaret}
        onblur={() => (lit = null)}
        onkeydown={pressed}></textarea>
    </div>
    <div class="bg-base-200 py-2 font-sans">
      <ReadRows
        {typed}
        rows={bench.gym.rows}
        errors={bench.gym.errors}
        onrow={toDoubt}
        {lit}
        onlight={(on) => (lit = on)}
      />
    </div>
  </div>
  {#if tooLong}<p class="mt-2 text-error" role="alert">{tooLong}</p>{/if}
  <p id="gym-day-help" class="soft mt-2 text-sm">
    Write or paste it the way you jot it down: names, sets and reps, load, effort, tempo and rest in any
    order. Headings such as <span class="figures">Day 1</span> or <span class="figures">Mon – Lower</span> part
    the days.
  </p>
  {#if bench.gym.severalWeeks.length > 1}
    <div class="sheet mt-3 flex flex-wrap items-center gap-3 border-l-4 border-l-info p-3" role="status">
      <p>
        The text holds {count(bench.gym.severalWeeks.length, 'week')}: {bench.gym.severalWeeks
          .map((w) => w.name)
          .join(', ')}. {bench.gym.severalWeeks[0]?.name} is rebuilt here.
      </p>
      <button class="btn btn-sm" onclick={() => void partWeeks()}>Keep each as a week of its own</button>
    </div>
  {/if}
  <div class="mt-3 flex flex-wrap items-center gap-3">
    <button
      class="btn btn-primary"
      disabled={bench.proposal.busy || bench.gym.text.trim() === ''}
      onclick={() => bench.propose()}
      >{bench.proposal.busy ? 'Rebuilding …' : 'Rebuild'} <span class="keycap">Ctrl ↵</span></button
    >
    {#if bench.proposal.result}<button class="btn" onclick={() => (bench.proposal.editing = false)}
        >Back to the plan</button
      >{/if}
    {#if bench.client}
      <a class="btn" href={p('/clients/:id/program', { params: { id: String(bench.client.id) } })}
        >Grid, import, export</a
      >
    {/if}
    <button class="btn" onclick={() => (listing = true)}>Names you taught</button>
    <span class="soft" role="status"
      >{count(bench.gym.good, 'good line')}{bench.gym.errors.length > 0
        ? `, ${bench.gym.errors.length} to mend`
        : ''}{bench.gym.doubtful.length > 0 ? `, ${bench.gym.doubtful.length} in doubt` : ''}</span
    >
    {#if bench.gym.text.trim()}<KeptMark
        keeper={bench.gym.keeper}
        onconflict={() => (bench.gym.deciding = true)}
      />{/if}
  </div>
  <div aria-live="polite">
    <DoubtList
      rows={bench.gym.rows}
      errors={bench.gym.errors}
      onselect={goTo}
      onkeep={(row, doubt) => void keep(row, doubt)}
      ontake={(row, other) => void take(row, other)}
      onteach={(name) => (teaching = name)}
      onreplace={replace}
      misspelt={misspelt.length}
      onmend={() => void mendAll()}
      ontakeall={takeAll}
      onkeepall={keepAll}
      columns={bench.gym.severalWeeks.length > 1 && bench.gym.severalWeeks[0]?.line === 0}
    />
  </div>
</section>

<TeachDialog name={teaching} onclose={() => (teaching = null)} onteach={(name, id) => void teach(name, id)} />
<TaughtNamesDialog
  open={listing}
  {names}
  onclose={() => (listing = false)}
  onchange={(name) => {
    listing = false;
    teaching = name;
  }}
  onforget={(id) => void forget(id)}
/>
