<script lang="ts">
  import { onMount } from 'svelte';
  import { api, ask } from '../api/client';
  import type { LinkState, PlanSummary } from '../../shared/api/types';
  import { toasts } from '../toasts.svelte';
  import { day } from '../../shared/words';
  import LinkPanel from './LinkPanel.svelte';
  import SendDialog from './SendDialog.svelte';

  interface Props {
    clientId: number;
    name: string;
    plans: PlanSummary[];
  }

  let { clientId, name, plans }: Props = $props();
  let link = $state<LinkState | null>(null);
  let sending = $state<PlanSummary | null>(null);

  onMount(() => void load());

  async function load(): Promise<void> {
    try {
      link = await ask(() => api.GET('/api/v1/clients/{id}/link', { params: { path: { id: clientId } } }));
    } catch (error) {
      toasts.problem(error);
    }
  }
</script>

<section class="sheet p-5" aria-labelledby="phone">
  <h2 id="phone" class="mb-2 text-xl">On the phone</h2>
  {#if plans.length === 0}
    <p class="soft">Nothing to send yet: there is no home plan.</p>
  {:else}
    <ul class="mb-3">
      {#each plans as plan (plan.id)}
        {@const sent = link?.releases.find((r) => r.planId === plan.id)}
        <li class="rule-b flex flex-wrap items-center gap-x-4 py-1 last:border-b-0">
          <span class="min-w-0 flex-1">{plan.title}</span>
          <span class="soft text-sm"
            >{#if sent}{sent.planVersion === plan.version
                ? `sent ${day(sent.madeAt)}`
                : `has version ${sent.planVersion}, ${plan.version} is newer`}{:else}not sent{/if}</span
          >
          <button class="btn btn-sm" onclick={() => (sending = plan)}>{sent ? 'Send again' : 'Send'}</button>
        </li>
      {/each}
    </ul>
    {#if link?.madeAt}<LinkPanel {clientId} {link} onchange={(now) => (link = now)} />{/if}
  {/if}
</section>
{#if sending}
  <SendDialog
    open
    planId={sending.id}
    version={sending.version}
    {clientId}
    {name}
    onclose={() => (sending = null)}
    onsent={() => void load()}
  />
{/if}
