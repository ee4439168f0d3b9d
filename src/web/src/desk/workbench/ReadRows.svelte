<script lang="ts">
  import type { LineField, ReadRow, ShorthandError } from '../../shared/api/types';
  import type { LitField } from './wordMarks';

  interface Props {
    /** The text as it was typed, row by row. */
    typed: string[];
    rows: ReadRow[];
    errors: ShorthandError[];
    onrow: (line: number) => void;
    /** The field whose words are lit in the text. */
    lit: LitField | null;
    onlight: (lit: LitField | null) => void;
  }

  let { typed, rows, errors, onrow, lit, onlight }: Props = $props();

  const read = $derived(Map.groupBy(rows, (r) => r.line));
  const faulty = $derived(new Map(errors.map((e) => [e.line, e])));

  /** What was read beside the name, field by field. */
  const dose = (row: ReadRow): ReadRow['fields'] =>
    row.fields.length > 0
      ? row.fields.filter((f) => f.text && f.field !== 'name')
      : [
          {
            field: 'sets',
            text: row.text.replace(`${row.name ?? ''} `, ''),
            words: [{ line: row.line, column: 1, length: 1 }],
          },
        ];
  const isLit = (row: ReadRow, field: LineField): boolean => lit?.row === row && lit.field === field;
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
          <span
            role="presentation"
            class={[
              'min-w-0 lg:truncate',
              all.length === 1 && 'lg:w-64 lg:shrink-0',
              isLit(row, 'name') && 'lit-field',
            ]}
            onmouseenter={() => onlight({ row, field: 'name' })}
            onmouseleave={() => onlight(null)}
            >{row.readAs}{#if row.said.length > 0}<span class="soft">&nbsp;({row.said.join(', ')})</span
              >{/if}</span
          >
          <span
            class="figures flex shrink-0 gap-x-1.5 font-semibold"
            title={all.length > 1 ? row.text : undefined}
          >
            {#each dose(row) as { field, text: said, words } (field)}
              <span
                role="presentation"
                class={[
                  isLit(row, field) && 'lit-field',
                  field === 'sets' && words.length === 0 && 'soft font-normal',
                ]}
                title={field === 'sets' && words.length === 0
                  ? 'Taken: nothing is written for it'
                  : undefined}
                onmouseenter={() => onlight({ row, field })}
                onmouseleave={() => onlight(null)}>{said}</span
              >
            {/each}
          </span>
          {#if row.fields.some((f) => f.field === 'remark')}
            <span
              role="presentation"
              class={['soft shrink-0 italic', isLit(row, 'remark') && 'lit-field']}
              onmouseenter={() => onlight({ row, field: 'remark' })}
              onmouseleave={() => onlight(null)}>+ remark</span
            >
          {/if}
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
              >in line {row.line}: {text}</span
            ></button
          >
        {/if}
      {/each}
    </li>
  {/each}
</ol>
