<script lang="ts">
  import { p } from '../../router';
  import { count } from '../words';
  import type { Workbench } from './workbench.svelte';

  interface Props {
    bench: Workbench;
  }

  let { bench }: Props = $props();
  let area = $state<HTMLTextAreaElement>();
  let gutter = $state<HTMLDivElement>();

  const rows = $derived(bench.gym.text.split('\n'));
  const faulty = $derived(new Set(bench.gym.errors.map((e) => e.line)));

  function goTo(line: number, column: number, length: number): void {
    const start = rows.slice(0, line - 1).reduce((sum, row) => sum + row.length + 1, 0) + column - 1;
    area?.focus();
    area?.setSelectionRange(start, start + length);
  }

  function replace(line: number, column: number, length: number, name: string): void {
    const changed = rows.map((row, i) =>
      i === line - 1 ? row.slice(0, column - 1) + name + row.slice(column - 1 + length) : row,
    );
    bench.gym.typed(changed.join('\n'));
    area?.focus();
  }
</script>

<section class="grid gap-4 p-5 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]" aria-label="Gym week">
  <div>
    <label for="gym-day" class="mb-1 block font-semibold">Gym week, one line per exercise</label>
    <div class="sheet figures flex overflow-hidden text-plain leading-7">
      <div
        bind:this={gutter}
        class="soft overflow-hidden bg-base-200 py-2 text-right select-none"
        aria-hidden="true"
      >
        {#each rows, i}
          <div
            class={[
              'border-r-4 px-2',
              faulty.has(i + 1) ? 'border-error font-semibold text-error' : 'border-transparent',
            ]}
          >
            {i + 1}
          </div>
        {/each}
      </div>
      <textarea
        id="gym-day"
        bind:this={area}
        class="w-full resize-y bg-base-100 px-3 py-2 leading-7 whitespace-pre"
        rows={Math.max(8, Math.min(18, rows.length + 1))}
        spellcheck="false"
        wrap="off"
        aria-describedby="gym-day-help"
        placeholder="Overhead press 3x6 + AMRAP @ 75% 2-0-1-0 180s"
        value={bench.gym.text}
        oninput={(event) => bench.gym.typed(event.currentTarget.value)}
        onscroll={() => {
          if (gutter && area) gutter.scrollTop = area.scrollTop;
        }}
        onkeydown={(event) => {
          if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) {
            event.preventDefault();
            void bench.rebuild();
          }
        }}></textarea>
    </div>
    <p id="gym-day-help" class="soft mt-2 text-sm">
      <span class="figures">label name sets×reps @ load or effort tempo rest # note</span>, for instance
      <span class="figures">C1 Pulldown 3x12 @ RPE 8 2-0-1-1 90 s</span>
    </p>
    <div class="mt-3 flex flex-wrap items-center gap-3">
      <button
        class="btn btn-primary"
        disabled={bench.busy || bench.gym.text.trim() === ''}
        onclick={() => bench.rebuild()}
        >{bench.busy ? 'Rebuilding …' : 'Rebuild'} <span class="keycap">Ctrl ↵</span></button
      >
      {#if bench.result}<button class="btn" onclick={() => (bench.editing = false)}>Back to the plan</button
        >{/if}
      {#if bench.client}
        <a class="btn" href={p('/clients/:id/program', { params: { id: String(bench.client.id) } })}
          >Grid, import, export</a
        >
      {/if}
      <span class="soft" role="status"
        >{count(bench.gym.good, 'good line')}{bench.gym.errors.length > 0
          ? `, ${bench.gym.errors.length} to mend`
          : ''}</span
      >
    </div>
  </div>
  <div aria-live="polite">
    {#if bench.gym.errors.length > 0}
      <h2 class="mb-2 text-lg">To mend</h2>
      <p class="soft mb-2 text-sm">The good lines are kept and planned; these wait for you.</p>
      <ul class="grid gap-3">
        {#each bench.gym.errors as error (`${error.line}:${error.column}:${error.code}`)}
          <li class="sheet border-l-4 border-l-error p-3">
            <button
              class="figures link text-note"
              onclick={() => goTo(error.line, error.column, error.length)}
              >line {error.line}, column {error.column}</button
            >
            <p>{error.message}</p>
            {#if error.suggestions.length > 0}
              <p class="mt-1 flex flex-wrap gap-2">
                {#each error.suggestions as name (name)}
                  <button
                    class="btn btn-xs"
                    onclick={() => replace(error.line, error.column, error.length, name)}>{name}</button
                  >
                {/each}
              </p>
            {/if}
          </li>
        {/each}
      </ul>
    {:else if bench.gym.text.trim() === ''}
      <h2 class="mb-2 text-lg">Paste the gym week</h2>
      <p>
        One line per exercise, the way you would jot it down. Then press Rebuild, and every line gets its home
        line.
      </p>
    {:else}
      <h2 class="mb-2 text-lg">All lines can be read</h2>
      <p>Press Rebuild to see what {bench.place?.value.name ?? 'floor and wall'} can do for them.</p>
    {/if}
  </div>
</section>
