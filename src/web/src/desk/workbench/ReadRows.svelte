<script lang="ts">
  import type { ReadRow, ShorthandError } from '../../shared/api/types';

  interface Props {
    /** The text as it was typed, row by row. */
    typed: string[];
    rows: ReadRow[];
    errors: ShorthandError[];
    onrow: (line: number) => void;
  }

  let { typed, rows, errors, onrow }: Props = $props();

  const read = $derived(Map.groupBy(rows, (r) => r.line));
  const faulty = $derived(new Map(errors.map((e) => [e.line, e])));

  /** The dose alone: the name stands beside it. */
  function dose(row: ReadRow): string {
    const name = row.name ?? '';
    const at = name ? row.text.indexOf(name) : -1;
    return at < 0 ? row.text : `${row.text.slice(0, at)}${row.text.slice(at + name.length + 1)}`;
  }
</script>

<ol class="text-plain" aria-label="As it was read">
  {#each typed as text, i (i)}
    {@const all = read.get(i + 1) ?? []}
    {@const error = faulty.get(i + 1)}
    <li
      class={[
        'min-h-7 items-baseline gap-x-3 border-l-4 px-3 leading-7 lg:flex lg:h-7 lg:overflow-hidden lg:whitespace-nowrap',
        all.length === 0 && 'max-lg:hidden',
        error
          ? 'border-error'
          : all.some((r) => r.doubts.length > 0)
            ? 'border-warning'
            : 'border-transparent',
      ]}
    >
      {#each all as row, half (half)}
        {#if half > 0}<span class="soft" aria-hidden="true">+</span>{/if}
        {#if row.kind === 'line'}
          <span class={['min-w-0 lg:truncate', all.length === 1 && 'lg:w-64 lg:shrink-0']}
            >{row.readAs}{#if row.said.length > 0}<span class="soft">&nbsp;({row.said.join(', ')})</span
              >{/if}</span
          >
          <span class="figures shrink-0 font-semibold" title={all.length > 1 ? row.text : undefined}
            >{dose(row)}</span
          >
        {:else if row.kind === 'day' || row.kind === 'week'}
          <strong class="font-display">{row.text.replace(/^=+ /, '')}</strong>
        {:else if row.kind === 'section'}
          <span class="soft font-semibold">{row.text}</span>
        {:else if row.kind === 'kept'}
          <span class={row.certainty === 'unknown' ? 'text-error' : 'soft'}
            >{row.certainty === 'unknown' ? 'not known' : 'kept as written'}</span
          >
        {:else if row.kind === 'unread'}
          <span class="text-error">cannot be read</span>
        {:else}
          <span class="soft italic">beside the plan</span>
        {/if}
        {#if row.doubts.length > 0}
          <button class="btn min-h-6 shrink-0 btn-xs" onclick={() => onrow(row.line)}
            >{row.doubts.length === 1 ? 'in doubt' : `${row.doubts.length} in doubt`}<span class="sr-only"
              >, line {row.line}: {text}</span
            ></button
          >
        {/if}
      {/each}
    </li>
  {/each}
</ol>
