<script lang="ts">
  import { api, ask } from '../api/client';
  import type { LogPreview } from '../../shared/api/types';
  import { toasts } from '../toasts.svelte';
  import { domainRules } from '../domainRules.svelte';
  import Dialog from '../ui/Dialog.svelte';
  import { base64 } from '../ui/base64';
  import { count, day } from '../../shared/words';
  import type { LogBook } from './logBook.svelte';

  interface Props {
    book: LogBook;
    open: boolean;
    onclose: () => void;
  }

  let { book, open, onclose }: Props = $props();
  let preview = $state<LogPreview | null>(null);
  let name = $state('');
  let problem = $state('');
  let busy = $state(false);

  async function read(file: File): Promise<void> {
    [name, problem, preview, busy] = [file.name, '', null, true];
    try {
      const content = base64(new Uint8Array(await file.arrayBuffer()));
      preview = await ask(() =>
        api.POST('/api/v1/plans/{planId}/log-file/preview', {
          params: { path: { planId: book.id } },
          body: { content },
        }),
      );
    } catch (error) {
      problem = error instanceof Error ? error.message : String(error);
    } finally {
      busy = false;
    }
  }

  async function bringIn(): Promise<void> {
    const sessions = $state.snapshot(preview?.sessions ?? []) as LogPreview['sessions'];
    busy = true;
    try {
      await ask(() =>
        api.POST('/api/v1/plans/{planId}/log-file', {
          params: { path: { planId: book.id } },
          body: { sessions },
        }),
      );
      await book.review();
      toasts.done(`${count(sessions.length, 'session')} brought in from ${name}.`);
      preview = null;
      onclose();
    } catch (error) {
      toasts.problem(error);
    } finally {
      busy = false;
    }
  }
</script>

<Dialog title="Bring in a log" wide {open} {onclose}>
  <p class="soft mt-1">
    A table with a first row of heads: <span class="figures"
      >date, exercise, reps, load kg, rir, pain, joint</span
    >, a row for each set; or <span class="figures">date, exercise, sets</span> with sets such as
    <span class="figures">12,11,10 @8kg r1</span>. Nothing is stored before you say so.
  </p>
  <label class="mt-3 block">
    <span class="label-text">A file: CSV or XLSX</span>
    <input
      type="file"
      class="file-input w-full max-w-md"
      accept=".csv,.tsv,.txt,.xlsx"
      disabled={busy}
      onchange={(event) => {
        const file = event.currentTarget.files?.[0];
        if (file) void read(file);
        event.currentTarget.value = '';
      }}
    />
  </label>
  {#if busy}<p class="soft mt-2" role="status">Reading {name} …</p>{/if}
  {#if problem}<p class="mt-3 border-l-4 border-error pl-3" role="alert">
      <b>{name} cannot be read.</b>
      {problem} Nothing was changed.
    </p>{/if}
  {#if preview}
    <p class="mt-3" role="status">
      {name}: <b>{count(preview.sessions.length, 'session')}</b> can be brought in{preview.faults.length > 0
        ? `, ${count(preview.faults.length, 'row')} left out`
        : ''}.
    </p>
    {#each preview.notes as note, i (i)}<p class="border-l-2 border-warning pl-2 text-plain">
        {note}
      </p>{/each}
    {#if preview.faults.length > 0}
      <ul class="mt-2 grid gap-1 text-plain">
        {#each preview.faults.slice(0, 20) as fault, i (i)}
          <li class="border-l-2 border-error pl-2">
            <span class="figures">row {fault.row}</span>
            {fault.message}
          </li>
        {/each}
      </ul>
    {/if}
    <ul class="mt-3 max-h-72 overflow-y-auto text-plain">
      {#each preview.sessions as session, i (i)}
        <li class="rule-b py-1">
          <b>{day(session.day)}</b>
          {#each session.exercises as exercise, i (i)}
            <span class="block">
              {domainRules.exerciseName(exercise.exerciseId)}:
              <span class="figures">{exercise.written}</span>
              {#if exercise.line === 0}<span class="text-secondary"
                  >not in the plan, counts in the trends alone</span
                >{/if}
            </span>
          {/each}
        </li>
      {/each}
    </ul>
  {/if}
  {#snippet actions()}
    <button class="btn" onclick={onclose}>Cancel</button>
    <button
      class="btn btn-primary"
      disabled={busy || !preview?.sessions.length}
      onclick={() => void bringIn()}>Bring in {count(preview?.sessions.length ?? 0, 'session')}</button
    >
  {/snippet}
</Dialog>
