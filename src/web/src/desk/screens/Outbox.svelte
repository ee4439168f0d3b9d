<script lang="ts">
  import { onMount } from 'svelte';
  import { api, ask } from '../api/client';
  import type { Outbox } from '../../shared/api/types';
  import { crumbs } from '../crumbs.svelte';
  import Opening from '../ui/Opening.svelte';
  import { moment } from '../../shared/words';
  import { p } from '../router';

  let outbox = $state<Outbox | null>(null);
  let failed = $state<unknown>(null);

  onMount(() => {
    crumbs.set({ text: 'Roster', href: p('/') }, { text: 'Outbox' });
    void load();
  });

  async function load(): Promise<void> {
    failed = null;
    try {
      outbox = await ask(() => api.GET('/api/v1/outbox'));
    } catch (error) {
      failed = error;
    }
  }
</script>

<main id="main" class="mx-auto w-full max-w-4xl flex-1 p-6">
  <div class="mb-4 flex flex-wrap items-end gap-4">
    <h1 class="flex-1 text-3xl">Outbox</h1>
    <button class="btn btn-sm" onclick={() => void load()}>Look again</button>
  </div>
  {#if !outbox}
    <Opening inner doing="Reading the outbox …" what="outbox" {failed} onagain={() => void load()} />
  {:else}
    {#if !outbox.leaves}
      <p class="mb-4 border-l-4 border-warning pl-3">
        No mail server is set up: mail stands here in full and goes nowhere. Copy its text, or name a server
        (see "Running it").
      </p>
    {/if}
    <ul class="sheet">
      {#each outbox.mails as mail (mail.id)}
        <li class="rule-b px-5 py-3 last:border-b-0">
          <p class="flex flex-wrap items-baseline gap-x-4">
            <b class="flex-1">{mail.subject}</b>
            <a class="link-hover" href={p('/clients/:id', { params: { id: String(mail.clientId) } })}
              >{mail.address}</a
            >
            <span class="soft text-plain">
              {mail.sentAt
                ? outbox.leaves
                  ? `sent ${moment(mail.sentAt)}`
                  : `kept here ${moment(mail.sentAt)}`
                : mail.fault
                  ? `not sent after ${mail.tries} tries`
                  : 'on its way'}
            </span>
          </p>
          {#if mail.fault && !mail.sentAt}<p class="text-error">
              {mail.fault} It is tried again by itself.
            </p>{/if}
          <p class="mt-1 whitespace-pre-line text-plain">{mail.text}</p>
        </li>
      {:else}
        <li class="p-6">Nothing was mailed yet. Send a plan, then mail its message.</li>
      {/each}
    </ul>
  {/if}
</main>
