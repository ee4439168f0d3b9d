<script lang="ts">
  import { onMount } from 'svelte';
  import { p } from '../router';
  import { alerts } from '../alerts.svelte';
  import type { AlertToAnswer } from '../../shared/api/types';
  import { forgetText, keptText } from '../autosave/keptText';
  import { toasts } from '../toasts.svelte';
  import { count, moment } from '../../shared/words';
  import Dialog from './Dialog.svelte';

  let asked = $state<AlertToAnswer | null>(null);
  let text = $state('');
  let busy = $state(false);
  /** So many are named; the rest is counted. */
  const named = 3;
  const more = $derived(alerts.open.length - named);

  onMount(() => alerts.watch());

  async function answer(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    if (!asked || busy) return;
    busy = true;
    try {
      await alerts.answer(asked.id, text);
      await forgetText(`alert-${asked.id}`);
      toasts.done(`Answered: ${asked.client} reads it on the phone, and training goes on.`);
      [asked, text] = [null, ''];
    } catch (error) {
      toasts.problem(error);
    } finally {
      busy = false;
    }
  }
</script>

{#if alerts.open.length > 0}
  <section
    class="no-print border-y-2 border-error bg-base-100 px-5 py-2"
    aria-label="Signs of danger to answer"
  >
    <div role="alert">
      <ul class="grid gap-1">
        {#each alerts.open.slice(0, named) as alert (alert.id)}
          <li class="flex flex-wrap items-baseline gap-x-3">
            <b class="text-error"
              >{alert.urgency === 'emergency'
                ? 'Emergency'
                : alert.urgency === 'same-day'
                  ? 'Doctor today'
                  : 'Held'}</b
            >
            <a
              class="link-hover font-semibold"
              href={p('/clients/:id', { params: { id: String(alert.clientId) } })}>{alert.client}</a
            >
            <span>{alert.brief}</span>
            {#if alert.words}<q class="soft line-clamp-1 max-w-[40ch]">{alert.words}</q>{/if}
            <span class="soft text-note">{moment(alert.at)}</span>
            <button
              class="btn btn-sm ml-auto"
              onclick={() => {
                asked = alert;
                text = '';
              }}>Answer</button
            >
          </li>
        {/each}
      </ul>
    </div>
    {#if more > 0}<p class="soft">and {count(more, 'more', 'more')}, shown as these are answered</p>{/if}
  </section>
{:else if alerts.unknown}
  <p class="no-print rule-b px-5 py-1 text-error" role="status">
    It is not known whether a client told of a sign of danger: the server does not answer.
    <button class="link" onclick={() => void alerts.look()}>Ask again</button>
  </p>
{/if}

<Dialog
  title={asked ? `${asked.client}: ${asked.brief}` : ''}
  open={asked !== null}
  onclose={() => (asked = null)}
>
  {#if asked}
    {#if asked.words}<blockquote class="mt-2 border-l-4 border-error pl-3">{asked.words}</blockquote>{/if}
    <p class="mt-2">
      {moment(asked.at)}{#if asked.exercise}, at {asked.exercise}{/if}.
    </p>
    <p class="mt-2">Said to the client: {asked.toldToClient.join(' ')}</p>
    <p class="mt-2">{asked.holds}</p>
    <p class="mt-2">
      Reach the client now, by telephone where you can. Answer when you know what a clinician said; you are
      not asked to judge it yourself.
    </p>
    <form class="mt-3 grid gap-2" onsubmit={(e) => void answer(e)}>
      <label class="grid gap-1">
        <span>What was agreed; the client reads it</span>
        <textarea
          class="textarea w-full"
          rows="3"
          maxlength="600"
          required
          bind:value={text}
          {@attach keptText(`alert-${asked.id}`)}></textarea>
      </label>
      <div class="flex justify-end gap-2">
        <button type="button" class="btn" onclick={() => (asked = null)}>Leave it open</button>
        <button class="btn btn-primary" disabled={!text.trim() || busy}>Answer: training may go on</button>
      </div>
    </form>
  {/if}
  {#snippet actions()}{/snippet}
</Dialog>
