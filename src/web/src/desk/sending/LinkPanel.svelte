<script lang="ts">
  import { api, ask } from '../api/client';
  import type { LinkState } from '../../shared/api/types';
  import { toasts } from '../toasts.svelte';
  import { day, moment } from '../../shared/words';

  interface Props {
    clientId: number;
    link: LinkState;
    onchange: (link: LinkState) => void;
  }

  let { clientId, link, onchange }: Props = $props();
  let days = $state('');
  let confirming = $state<'end' | 'renew' | null>(null);
  const params = $derived({ params: { path: { id: clientId } } });
  const whole = $derived(link.whole ?? (link.address ? location.origin + link.address : ''));

  async function copy(): Promise<void> {
    try {
      await navigator.clipboard.writeText(whole);
      toasts.done('The link is copied.');
    } catch (error) {
      toasts.problem(error);
    }
  }

  async function end(): Promise<void> {
    try {
      onchange(await ask(() => api.DELETE('/api/v1/clients/{id}/link', params)));
      confirming = null;
    } catch (error) {
      toasts.problem(error);
    }
  }

  async function renew(): Promise<void> {
    try {
      const body = { days: days ? Number(days) : null };
      onchange(await ask(() => api.POST('/api/v1/clients/{id}/link', { ...params, body })));
      confirming = null;
    } catch (error) {
      toasts.problem(error);
    }
  }
</script>

<section class="grid content-start gap-2 text-plain" aria-label="The link">
  {#if link.address && link.picture}
    <!-- The picture is made by the server from the address alone. -->
    <div class="w-44 bg-white p-2" role="img" aria-label="The link as a code to scan">
      <!-- eslint-disable-next-line svelte/no-at-html-tags -->
      {@html link.picture}
    </div>
    <p class="flex flex-wrap gap-2">
      <button class="btn btn-sm" type="button" onclick={() => void copy()}>Copy the link</button>
      {#if link.releases.length > 0}<a class="btn btn-sm" href="/api/v1/clients/{clientId}/calendar" download
          >Calendar file</a
        >{/if}
    </p>
  {:else if link.endedAt}
    <p class="font-semibold text-secondary">The link ended {day(link.endedAt)}.</p>
  {:else if link.madeAt}
    <p>
      The link runs, and cannot be shown again here: the data came from another installation. Make a new one
      to show it.
    </p>
  {/if}
  {#if link.madeAt}
    <p class="soft">
      {link.openedAt ? `Opened ${moment(link.openedAt)}` : 'Not opened yet'}{link.seenAt
        ? `, last in touch ${moment(link.seenAt)}`
        : ''}{link.lastTrained ? `, last trained ${day(link.lastTrained)}` : ''}{link.expiresAt &&
      !link.endedAt
        ? `, ends ${day(link.expiresAt)}`
        : ''}.
    </p>
  {/if}
  {#if confirming === 'renew'}
    <div class="grid gap-2 border-l-2 border-secondary pl-3">
      <p>The link of now ends, and the phone erases what it keeps. Send the new one.</p>
      <label class="flex items-center gap-2">
        It ends after
        <input class="input input-sm figures w-20" type="number" min="1" max="730" bind:value={days} /> days
      </label>
      <p class="flex gap-2">
        <button class="btn btn-sm btn-primary" type="button" onclick={() => void renew()}
          >Make a new link</button
        >
        <button class="btn btn-sm" type="button" onclick={() => (confirming = null)}>Cancel</button>
      </p>
    </div>
  {:else if confirming === 'end'}
    <div class="grid gap-2 border-l-2 border-error pl-3">
      <p>The link opens nothing from now on, and the phone erases what it keeps. Logged sessions stay.</p>
      <p class="flex gap-2">
        <button class="btn btn-sm btn-error" type="button" onclick={() => void end()}>End the link</button>
        <button class="btn btn-sm" type="button" onclick={() => (confirming = null)}>Cancel</button>
      </p>
    </div>
  {:else}
    <p class="flex flex-wrap gap-2">
      <button class="btn btn-sm" type="button" onclick={() => (confirming = 'renew')}>New link</button>
      {#if link.address}<button class="btn btn-sm" type="button" onclick={() => (confirming = 'end')}
          >End it</button
        >{/if}
    </p>
  {/if}
</section>
