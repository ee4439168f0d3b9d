<script lang="ts">
  import { count } from '../../shared/words';
  import type { OtherReading, ReadingDoubt, ReadRow, ShorthandError } from '../../shared/api/types';

  interface Props {
    rows: ReadRow[];
    errors: ShorthandError[];
    onselect: (line: number, column: number, length: number) => void;
    /** Takes what was read: the name is remembered, the row is written in Ingegno's own form. */
    onkeep: (row: ReadRow, doubt: ReadingDoubt) => void;
    ontake: (row: ReadRow, other: OtherReading) => void;
    onteach: (name: string, line: number) => void;
    onreplace: (error: ShorthandError, name: string) => void;
    /** Rows of which nothing but the spelling of a name is in doubt. */
    misspelt: number;
    onmend: () => void;
    /** Takes the first other reading of every row with the same question. */
    ontakeall: (question: string) => void;
    onkeepall: (question: string) => void;
    /** The weeks stand in columns: a row cannot be written anew for one of them. */
    columns: boolean;
  }

  let {
    rows,
    errors,
    onselect,
    onkeep,
    ontake,
    onteach,
    onreplace,
    misspelt,
    onmend,
    ontakeall,
    onkeepall,
    columns,
  }: Props = $props();

  /** The name that is not known: a line may hold other rows beside it. */
  const nameOf = (error: ShorthandError): string | undefined =>
    error.code === 'shorthand.unknown-exercise'
      ? rows.find((r) => r.line === error.line && r.certainty === 'unknown')?.name || undefined
      : undefined;
  const doubtful = $derived(rows.filter((r) => r.doubts.length > 0));
  /** Questions about the whole text: asked once, however many rows they are about. */
  const wholeText = ['shorthand.read-as-pounds', 'shorthand.training-max'];
  const once = $derived(
    wholeText
      .map((question) => ({
        question,
        about: doubtful.flatMap((row) =>
          row.doubts.filter((d) => d.question === question).map((doubt) => ({ row, doubt })),
        ),
      }))
      .filter((q) => q.about.length > 1),
  );
  const asked = (doubt: ReadingDoubt): boolean => once.some((q) => q.question === doubt.question);
</script>

{#if errors.length > 0}
  <section class="mt-4">
    <h2 class="mb-2 text-lg">To mend</h2>
    <p class="soft mb-2 text-sm">The good lines are kept and planned; these wait for you.</p>
    <ul class="grid gap-2 lg:grid-cols-2">
      {#each errors as error (`${error.line}:${error.column}:${error.code}`)}
        <li class="sheet border-l-4 border-l-error p-3">
          <button
            class="figures link text-note"
            onclick={() => onselect(error.line, error.column, error.length)}>line {error.line}</button
          >
          <p>{error.message}</p>
          <p class="mt-1 flex flex-wrap gap-2">
            {#each error.suggestions as name, at1 (at1)}
              <button class="btn btn-xs" onclick={() => onreplace(error, name)}>{name}</button>
            {/each}
            {#if nameOf(error)}
              <button class="btn btn-xs" onclick={() => onteach(nameOf(error)!, error.line)}
                >Say what it is …</button
              >
            {/if}
          </p>
        </li>
      {/each}
    </ul>
  </section>
{/if}
{#if doubtful.length > 0 && columns}
  <section class="mt-4">
    <h2 class="mb-2 text-lg">In doubt</h2>
    <p class="soft mb-2">
      The weeks stand in columns. Keep each as a week of its own to settle these one by one.
    </p>
    <ul class="grid gap-2 lg:grid-cols-2">
      {#each doubtful as row, r (r)}
        <li class="sheet border-l-4 border-l-warning p-3" id={`doubt-${row.line}`}>
          <span class="figures text-note">line {row.line}</span>
          <p>{row.doubts.map((d) => d.message).join(' ')}</p>
        </li>
      {/each}
    </ul>
  </section>
{:else if doubtful.length > 0}
  <section class="mt-4">
    <div class="mb-2 flex flex-wrap items-center gap-3">
      <h2 class="text-lg">In doubt</h2>
      {#if misspelt > 0}
        <button class="btn btn-sm" onclick={onmend}>Mend {count(misspelt, 'spelling')}</button>
        <span class="soft text-sm"
          >names that are spelt nearly right; what is asked below stays yours to answer</span
        >
      {/if}
    </div>
    <ul class="grid gap-2 lg:grid-cols-2">
      {#each once as { question, about } (question)}
        <li class="sheet border-l-4 border-l-warning p-3 lg:col-span-2" id={`doubt-${about[0]?.row.line}`}>
          <p>
            {about[0]?.doubt.message}
            <span class="soft"
              >The same in {count(about.length - 1, 'other line')}: {about
                .slice(1)
                .map((a) => a.row.line)
                .join(', ')}.</span
            >
          </p>
          <p class="mt-1 flex flex-wrap gap-2">
            <button class="btn btn-primary btn-xs" onclick={() => onkeepall(question)}
              >That is right, in all {about.length}</button
            >
            {#if about[0]?.doubt.others[0]}
              <button class="btn btn-xs" onclick={() => ontakeall(question)}
                >{about[0].doubt.others[0].label}, and so in all {about.length}</button
              >
            {/if}
          </p>
        </li>
      {/each}
      {#each doubtful as row, r (r)}
        {#each row.doubts as doubt, i (i)}
          {#if !asked(doubt)}<li class="sheet border-l-4 border-l-warning p-3" id={`doubt-${row.line}`}>
              <button
                class="figures link text-note"
                onclick={() => onselect(row.line, doubt.column, doubt.length)}>line {row.line}</button
              >
              <p>{doubt.message}</p>
              <p class="mt-1 flex flex-wrap gap-2">
                <button class="btn btn-primary btn-xs" onclick={() => onkeep(row, doubt)}
                  >That is right</button
                >
                {#each doubt.others as other, n (n)}
                  <button class="btn btn-xs" onclick={() => ontake(row, other)}
                    >{#if i === 0 && n < 9}<span class="keycap">Alt {n + 1}</span>{/if}
                    {other.label}</button
                  >
                {/each}
                {#if row.name && row.certainty !== 'sure' && i === 0}
                  <button class="btn btn-xs" onclick={() => onteach(row.name!, row.line)}
                    >Something else …</button
                  >
                {/if}
              </p>
            </li>{/if}
        {/each}
      {/each}
    </ul>
  </section>
{/if}
