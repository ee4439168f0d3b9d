<script lang="ts">
  import type { ProgramField, SavedWeek } from '../../shared/api/types';
  import Dialog from '../ui/Dialog.svelte';
  import { count } from '../../shared/words';
  import { importFields } from './fields';
  import ImportPreviewTable from './ImportPreviewTable.svelte';
  import { ProgramImport } from './programImport.svelte';

  interface Props {
    clientId: number;
    open: boolean;
    onclose: () => void;
    onbrought: (weeks: SavedWeek[]) => void;
  }

  let { clientId, open, onclose, onbrought }: Props = $props();
  const bringing = new ProgramImport();
  const preview = $derived(bringing.read?.preview);
  const separators: [string, string][] = [
    [',', 'comma'],
    [';', 'semicolon'],
    ['\t', 'tab'],
    ['|', 'bar'],
  ];

  async function bringIn(): Promise<void> {
    const weeks = await bringing.bringIn(clientId);
    if (!weeks) return;
    bringing.clear();
    onbrought(weeks);
  }
</script>

<Dialog title="Bring in a gym program" wide {open} {onclose}>
  {#if !preview}
    <p class="soft mt-1">Nothing is stored before you have seen what would come in and said so.</p>
    <div class="mt-4 grid gap-6 md:grid-cols-2">
      <label class="block">
        <span class="label-text">A file: CSV, XLSX, JSON of ours, or shorthand</span>
        <input
          type="file"
          class="file-input w-full"
          accept=".csv,.tsv,.txt,.xlsx,.json"
          disabled={bringing.busy}
          onchange={(event) => {
            const file = event.currentTarget.files?.[0];
            if (file) void bringing.file(file);
            event.currentTarget.value = '';
          }}
        />
      </label>
      <label class="block">
        <span class="label-text">Or paste cells from a spreadsheet, or lines of shorthand</span>
        <textarea
          class="figures textarea w-full text-note"
          rows="6"
          spellcheck="false"
          onpaste={(event) => {
            event.preventDefault();
            void bringing.paste(event.clipboardData?.getData('text/plain') ?? '');
          }}
          onchange={(event) => void bringing.paste(event.currentTarget.value)}></textarea>
      </label>
    </div>
    {#if bringing.busy}<p class="soft mt-3" role="status">Reading {bringing.name} …</p>{/if}
    {#if bringing.problem}
      <p class="mt-3 border-l-4 border-error pl-3" role="alert">
        <b>{bringing.name || 'The file'} cannot be read.</b>
        {bringing.problem} Nothing was changed.
      </p>
    {/if}
  {:else}
    <p class="mt-1" role="status">
      {bringing.name}: <b>{count(bringing.lines, 'line')}</b> in
      <b>{count(preview.weeks.length, 'week')}</b> can be read{preview.faults.length > 0
        ? `, ${count(preview.faults.length, 'cell')} to mend`
        : ''}.
    </p>
    {#each preview.notes as note, i (i)}<p class="mt-1 border-l-2 border-warning pl-2 text-plain">
        {note}
      </p>{/each}
    {#if preview.columns.length > 0}
      <div class="mt-3 flex flex-wrap items-end gap-3 text-plain">
        <label>
          <span class="label-text">Heads in row</span>
          <input
            class="input input-sm figures w-20"
            type="number"
            min="0"
            max="5000"
            value={preview.headRow}
            onchange={(event) =>
              bringing.readAs({ headRow: Number(event.currentTarget.value), fields: null })}
          />
        </label>
        {#if bringing.read?.separator}
          <label>
            <span class="label-text">Columns parted by</span>
            <select
              class="select select-sm w-36"
              value={bringing.read.separator}
              onchange={(event) =>
                bringing.readAs({ headRow: null, fields: null }, event.currentTarget.value)}
            >
              {#each separators as [value, label] (value)}<option {value}>{label}</option>{/each}
            </select>
          </label>
        {/if}
        <label>
          <span class="label-text">Loads without a unit</span>
          <select
            class="select select-sm w-24"
            value={preview.loadUnit}
            onchange={(event) => bringing.readAs({ loadUnit: event.currentTarget.value })}
          >
            <option value="kg">kg</option>
            <option value="lb">lb</option>
          </select>
        </label>
      </div>
      <div class="mt-3 overflow-x-auto">
        <table class="text-note">
          <thead>
            <tr>
              {#each preview.columns as column, i (i)}
                <th scope="col" class="p-1 text-left align-bottom font-normal">
                  <span class="figures soft">{column.name}</span>
                  <b>{column.head}</b>
                  <select
                    class="select select-xs mt-1 block w-36"
                    aria-label="Column {column.name} is"
                    value={column.field ?? ''}
                    onchange={(event) =>
                      bringing.takeColumn(i, (event.currentTarget.value || null) as ProgramField | null)}
                  >
                    <option value="">left out</option>
                    {#each importFields as [value, label] (value)}<option {value}>{label}</option>{/each}
                  </select>
                </th>
              {/each}
            </tr>
          </thead>
          <tbody>
            {#each [0, 1, 2] as row (row)}
              <tr class="rule-b"
                >{#each preview.columns as column, at1 (at1)}<td class="max-w-40 truncate p-1"
                    >{column.samples[row] ?? ''}</td
                  >{/each}</tr
              >
            {/each}
          </tbody>
        </table>
      </div>
    {/if}
    <ImportPreviewTable {preview} />
  {/if}
  {#snippet actions()}
    {#if preview}
      <button class="btn" onclick={() => bringing.clear()}>Another file</button>
      <button class="btn" onclick={onclose}>Cancel</button>
      <button
        class="btn btn-primary"
        disabled={bringing.busy || preview.weeks.length === 0}
        onclick={() => void bringIn()}
      >
        Bring in {count(preview.weeks.length, 'week')}
      </button>
    {:else}
      <button class="btn" onclick={onclose}>Cancel</button>
    {/if}
  {/snippet}
</Dialog>
