<script lang="ts">
  import { onMount } from 'svelte';
  import { api, ask } from '../api/client';
  import type { Outbox } from '../../shared/api/types';
  import { toasts } from '../toasts.svelte';
  import { p } from '../router';

  interface Props {
    clientId: number;
    title: string;
    message: string;
  }

  let { clientId, title, message }: Props = $props();
  let outbox = $state<Outbox | null>(null);
  let address = $state('');
  let calendar = $state(true);
  let written = $state(false);
  let busy = $state(false);

  onMount(() => void load());

  /** The address that was written to last is offered again. */
  async function load(): Promise<void> {
    try {
      outbox = await ask(() => api.GET('/api/v1/outbox'));
      address = outbox.mails.find((m) => m.clientId === clientId)?.address ?? '';
    } catch (error) {
      toasts.problem(error);
    }
  }

  async function write(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    busy = true;
    try {
      const body = { address: address.trim(), subject: title, text: message, calendar };
      await ask(() => api.POST('/api/v1/clients/{id}/mail', { params: { path: { id: clientId } }, body }));
      written = true;
    } catch (error) {
      toasts.problem(error);
    } finally {
      busy = false;
    }
  }
</script>

<form class="mt-3 flex flex-wrap items-end gap-2" onsubmit={write}>
  <label class="min-w-56 flex-1">
    <span class="label-text">Or mail it to</span>
    <input class="input input-sm w-full" type="email" required maxlength="200" bind:value={address} />
  </label>
  <label class="flex items-center gap-2 pb-1 text-plain">
    <input type="checkbox" class="checkbox checkbox-sm" bind:checked={calendar} /> with the calendar
  </label>
  <button class="btn btn-sm" disabled={busy || !address.trim()}>Mail it</button>
</form>
<p class="mt-1 text-plain" role="status">
  {#if written}
    {outbox?.leaves
      ? 'The mail is on its way.'
      : 'The mail stands in the outbox; this installation sends none by itself.'}
    <a class="link" href={p('/outbox')}>Open the outbox</a>
  {/if}
</p>
