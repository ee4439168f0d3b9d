<script lang="ts">
  import { api, ask } from '../api/client';
  import type { BlockCell, BlockWeek } from '../../shared/api/types';
  import { forgetText, keptText } from '../autosave/keptText';
  import { toasts } from '../toasts.svelte';
  import type { BlockBook } from './blockBook.svelte';

  interface Props {
    book: BlockBook;
    week: BlockWeek;
    cell: BlockCell;
    onclose: () => void;
  }

  let { book, week, cell, onclose }: Props = $props();
  let text = $derived(cell.doseAsTyped);
  let onlyThisWeek = $state(false);
  let wrong = $state('');
  const record = $derived(`cell-${book.id}-${week.number}-${cell.line}-${cell.exerciseId}`);
  const id = $props.id();

  async function submit(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    try {
      const body = { text, line: cell.line, exerciseId: cell.exerciseId };
      const read = await ask(() => api.POST('/api/v1/shorthand/dose', { body }));
      if (!read.edit) {
        wrong = read.error ?? 'It cannot be read.';
        return;
      }

      void forgetText(record);
      onclose();
      await book.set({ week: week.number, figures: read.edit, onlyThisWeek });
    } catch (error) {
      toasts.problem(error);
    }
  }

  function focus(input: HTMLInputElement): void {
    input.focus();
    input.select();
  }
</script>

<form class="sheet absolute top-0 right-0 z-30 w-84 p-2 shadow-lg" onsubmit={submit}>
  <input
    {@attach focus}
    {@attach keptText(record, true)}
    class={['figures input input-sm w-full', wrong && 'border-error']}
    aria-label="{cell.name}, week {week.number}, in shorthand"
    aria-invalid={wrong !== ''}
    aria-describedby={wrong ? id : undefined}
    spellcheck="false"
    maxlength="200"
    bind:value={text}
    onkeydown={(event) => {
      event.stopPropagation();
      if (event.key === 'Escape') {
        void forgetText(record);
        onclose();
      }
    }}
  />
  {#if wrong}<p {id} class="mt-1 text-note text-error" role="alert">{wrong}</p>{/if}
  <div class="mt-2 flex items-center gap-2">
    {#if week.isLight}
      <span class="soft flex-1 text-note">This week alone: the weeks after go on from the full sets.</span>
    {:else}
      <label class="flex flex-1 items-center gap-2 text-note"
        ><input type="checkbox" class="checkbox checkbox-sm" bind:checked={onlyThisWeek} /> this week alone</label
      >
    {/if}
    <button type="button" class="btn btn-xs" onclick={onclose}>Leave it</button>
    <button class="btn btn-primary btn-xs" disabled={book.busy}>Set</button>
  </div>
</form>
