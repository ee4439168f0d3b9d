<script lang="ts">
  import { tick } from 'svelte';
  import { domainRules } from '../domainRules.svelte';
  import { gridColumns, type GridField } from './fields';
  import type { WeekGrid } from './weekGrid.svelte';

  interface Props {
    grid: WeekGrid;
  }

  let { grid }: Props = $props();
  let table = $state<HTMLTableElement>();
  const id = $props.id();

  async function focus(row: number, column: number): Promise<void> {
    await tick();
    const cell = table?.querySelector<HTMLInputElement>(`[data-cell="${row}/${column}"]`);
    cell?.focus();
    cell?.select();
  }

  function key(
    event: KeyboardEvent & { currentTarget: HTMLInputElement },
    row: number,
    column: number,
  ): void {
    if (event.key === 'ArrowDown' || (event.key === 'Enter' && !event.shiftKey)) {
      event.preventDefault();
      event.currentTarget.blur();
      if (event.key === 'Enter' && row === grid.rows.length - 1) grid.addAfter(row);
      void focus(row + 1, column);
    } else if (event.key === 'ArrowUp') {
      event.preventDefault();
      void focus(row - 1, column);
    } else if (event.key === 'Escape') {
      event.preventDefault();
      grid.untype();
      event.currentTarget.blur();
    }
  }

  function paste(event: ClipboardEvent, row: number, field: GridField): void {
    const text = event.clipboardData?.getData('text/plain') ?? '';
    if (!/[\t\n]/.test(text.trimEnd())) return;
    event.preventDefault();
    grid.paste(row, field, text);
  }
</script>

<datalist id="{id}-names">
  {#each domainRules.summary?.exercises ?? [] as exercise (exercise.id)}<option value={exercise.name}
    ></option>{/each}
</datalist>
<div class="sheet overflow-x-auto">
  <table bind:this={table} class="w-max min-w-full border-collapse text-plain">
    <thead>
      <tr class="bg-base-200">
        <th scope="col" class="soft px-2 py-1 text-right font-normal">Line</th>
        {#each gridColumns as column (column.field)}
          <th scope="col" class="px-2 py-1 text-left" style:width={column.width}>{column.label}</th>
        {/each}
        <th scope="col"><span class="sr-only">Change the line</span></th>
      </tr>
    </thead>
    <tbody>
      {#each grid.ready ? grid.rows : [] as row, i (i)}
        {@const newDay = i > 0 && row.day !== grid.rows[i - 1]?.day}
        <tr class={['border-t', newDay ? 'border-t-2 border-base-content' : 'border-base-300']}>
          <th scope="row" class="figures soft px-2 text-right text-note font-normal">{i + 1}</th>
          {#each gridColumns as column, c (column.field)}
            {@const fault = grid.faultAt(i, column.field)}
            <td class="border-l border-base-300 p-0">
              <input
                class={[
                  'h-8 w-full bg-transparent px-2 focus:bg-base-100',
                  !['day', 'exercise', 'note'].includes(column.field) && 'figures',
                  fault && 'bg-error/10 font-semibold text-error underline decoration-wavy',
                ]}
                style:min-width={column.width}
                data-cell="{i}/{c}"
                aria-label="{column.label}, line {i + 1}"
                aria-invalid={fault ? 'true' : undefined}
                aria-describedby={fault ? `${id}-faults` : undefined}
                title={fault?.message}
                list={column.field === 'exercise' ? `${id}-names` : undefined}
                maxlength="200"
                spellcheck="false"
                autocomplete="off"
                value={row[column.field] ?? ''}
                oninput={(event) => grid.type(i, column.field, event.currentTarget.value)}
                onchange={(event) => grid.typed(i, column.field, event.currentTarget.value.trim())}
                onkeydown={(event) => key(event, i, c)}
                onpaste={(event) => paste(event, i, column.field)}
              />
            </td>
          {/each}
          <td class="px-1 whitespace-nowrap">
            <button class="btn btn-ghost btn-xs" aria-label="Line {i + 1} up" onclick={() => grid.move(i, -1)}
              >↑</button
            >
            <button
              class="btn btn-ghost btn-xs"
              aria-label="Line {i + 1} down"
              onclick={() => grid.move(i, 1)}>↓</button
            >
            <button
              class="btn btn-ghost btn-xs"
              aria-label="A line after line {i + 1}"
              onclick={() => {
                grid.addAfter(i);
                void focus(i + 1, 2);
              }}>+</button
            >
            <button
              class="btn btn-ghost btn-xs"
              aria-label="Remove line {i + 1}"
              onclick={() => grid.remove(i)}>×</button
            >
          </td>
        </tr>
      {/each}
    </tbody>
  </table>
</div>
{#if grid.ready && grid.rows.length === 0}
  <p class="mt-3">
    This week has no lines yet. <button class="link" onclick={() => grid.addAfter(-1)}>Add the first</button>,
    or paste from a spreadsheet with Import.
  </p>
{/if}
<div id="{id}-faults" aria-live="polite">
  {#if grid.faults.length > 0}
    <h3 class="mt-4 mb-1 text-base">To mend</h3>
    <ul class="grid gap-1 text-plain">
      {#each grid.faults as fault (`${fault.row}/${fault.field}`)}
        {@const c = gridColumns.findIndex((x) => x.field === fault.field)}
        <li class="border-l-2 border-error pl-2">
          <button class="link figures" onclick={() => focus(fault.row, c)}
            >line {fault.row + 1}, {gridColumns[c]?.label ?? fault.field}</button
          >
          {fault.message}
          {#each fault.suggestions as name, at1 (at1)}
            <button
              class="btn btn-xs ml-1"
              onclick={() => grid.edit(fault.row, fault.field as GridField, name)}>{name}</button
            >
          {/each}
        </li>
      {/each}
    </ul>
  {/if}
</div>
