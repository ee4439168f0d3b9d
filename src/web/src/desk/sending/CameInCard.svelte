<script lang="ts">
  import { api, ask } from '../api/client';
  import type { CameIn } from '../../shared/api/types';
  import { forgetText, keptText } from '../autosave/keptText';
  import { toasts } from '../toasts.svelte';
  import { moment } from '../../shared/words';

  interface Props {
    came: CameIn;
    onchange: (came: CameIn) => void;
  }

  let { came, onchange }: Props = $props();
  let text = $state('');
  let field = $state<HTMLInputElement>();

  /** Where an answer is typed. */
  export const answer = (): void => field?.focus();

  async function say(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    const body = { session: came.session.key, text };
    if (!text.trim()) return;
    try {
      const note = await ask(() =>
        api.POST('/api/v1/clients/{id}/notes', { params: { path: { id: came.clientId } }, body }),
      );
      text = '';
      await forgetText(`answer-${came.id}`);
      onchange({ ...came, notes: [...came.notes, note] });
      field?.blur();
    } catch (error) {
      toasts.problem(error);
    }
  }
</script>

<div class="grid gap-3 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
  <div class="min-w-0">
    <ul class="grid gap-1">
      {#each came.remarks as remark, i (i)}
        <li
          class={[
            'border-l-4 pl-2',
            remark.kind === 'stopped'
              ? 'border-error font-semibold'
              : remark.kind === 'hurts' || remark.kind === 'asks'
                ? 'border-warning'
                : 'border-base-300',
          ]}
        >
          {remark.text}
        </li>
      {/each}
      {#if came.differs}
        <li class="border-l-4 border-warning pl-2">
          You changed this session in the log, and the phone sent another state since. Both are kept: the log
          has yours, here is the client's.
        </li>
      {/if}
    </ul>
    <table class="mt-2 w-full text-plain">
      <thead class="sr-only">
        <tr><th>Exercise</th><th>Planned</th><th>Done</th></tr>
      </thead>
      <tbody>
        {#each came.exercises as exercise, i (i)}
          <tr class="rule-b align-baseline">
            <th scope="row" class="py-1 pr-3 text-left font-normal"
              >{exercise.name}{#if exercise.inPlaceOf}<span class="soft">
                  for {exercise.inPlaceOf}</span
                >{/if}</th
            >
            <td class="figures soft py-1 pr-3 max-sm:hidden">{exercise.planned ?? ''}</td>
            <td class="figures py-1">{exercise.sets}</td>
          </tr>
        {/each}
      </tbody>
    </table>
  </div>
  <section aria-label="Notes">
    <ul class="grid gap-1">
      {#each came.notes as note (note.id)}
        <li class={['rounded border border-base-300 px-2 py-1', !note.fromClient && 'ml-6 bg-base-200']}>
          {note.text}
          <span class="soft block text-note">{note.fromClient ? came.client : 'you'}, {moment(note.at)}</span>
        </li>
      {/each}
    </ul>
    <form class="mt-2 flex gap-2" onsubmit={say}>
      <input
        class="input input-sm min-w-0 flex-1"
        aria-label="A note to {came.client}"
        placeholder="A note to {came.client}"
        maxlength="1000"
        bind:this={field}
        {@attach keptText(`answer-${came.id}`)}
        bind:value={text}
      />
      <button class="btn btn-sm" disabled={!text.trim()}>Send</button>
    </form>
  </section>
</div>
