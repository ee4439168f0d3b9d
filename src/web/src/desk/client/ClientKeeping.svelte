<script lang="ts">
  import { api, ask } from '../api/client';
  import type { SavedClient, WhatIsErased } from '../../shared/api/types';
  import { keeping } from '../autosave/autosave.svelte';
  import { toasts } from '../toasts.svelte';
  import Dialog from '../ui/Dialog.svelte';
  import { count } from '../../shared/words';
  import { navigate } from '../router';

  interface Props {
    client: SavedClient;
  }

  let { client }: Props = $props();
  const path = $derived({ params: { path: { id: client.id } } });
  let erasing = $state<WhatIsErased | null>(null);
  let word = $state('');
  let busy = $state(false);
  const confirmed = $derived(word.trim().toLowerCase() === client.value.name.trim().toLowerCase());

  async function archive(archived: boolean): Promise<void> {
    try {
      await keeping.flush();
      await ask(() => api.PUT('/api/v1/clients/{id}/archived', { ...path, body: { archived } }));
      toasts.done(
        archived
          ? `${client.value.name} is out of the roster; everything is kept.`
          : `${client.value.name} is back.`,
        () => void archive(!archived),
      );
      await navigate('/');
    } catch (error) {
      toasts.problem(error);
    }
  }

  async function askErase(): Promise<void> {
    try {
      word = '';
      erasing = await ask(() => api.GET('/api/v1/clients/{id}/erasing', path));
    } catch (error) {
      toasts.problem(error);
    }
  }

  async function erase(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    if (!confirmed) return;
    busy = true;
    try {
      await ask(() => api.DELETE('/api/v1/clients/{id}', path));
      erasing = null;
      toasts.done('The client is erased with everything that belonged to them.');
      await navigate('/');
    } catch (error) {
      toasts.problem(error);
    } finally {
      busy = false;
    }
  }
</script>

<section class="sheet p-5" aria-labelledby="keeping-client">
  <h2 id="keeping-client" class="mb-1 text-xl">Take out, rest, erase</h2>
  <p class="soft mb-3 text-sm">
    The folder holds the plans as pages to print, the log as a table, and everything once more for another
    installation to read.
  </p>
  <div class="flex flex-wrap gap-2">
    <a class="btn btn-sm" href="/api/v1/clients/{client.id}/export.zip" download>Take out as a folder</a>
    <a class="btn btn-sm" href="/api/v1/clients/{client.id}/export.json" download>As JSON alone</a>
    {#if client.value.archived}
      <button class="btn btn-sm" onclick={() => void archive(false)}>Back into the roster</button>
    {:else}
      <button class="btn btn-sm" onclick={() => void archive(true)}>Archive</button>
    {/if}
    <button class="btn btn-ghost btn-sm text-error" onclick={() => void askErase()}>Erase …</button>
  </div>
</section>

<Dialog title="Erase {client.value.name}?" open={erasing !== null} onclose={() => (erasing = null)}>
  {#if erasing}
    <p class="mt-3">
      The profile goes with {count(erasing.places, 'place')}, {count(erasing.gymWeeks, 'gym week')},
      {count(erasing.plans, 'home plan')} in {count(erasing.versions, 'version')} and {count(
        erasing.sessions,
        'logged session',
      )}. This cannot be undone.
    </p>
    <p class="mt-2">
      What stays: backups forget the client after {erasing.backupDays} days; the trail of what was done notes that
      a client was erased, without the name; what you took out lies where you put it.
    </p>
    <form id="erase-client" class="mt-3" onsubmit={erase}>
      <label>
        <span class="label-text">Type the name to confirm: {client.value.name}</span>
        <input class="input w-full" autocomplete="off" bind:value={word} />
      </label>
    </form>
  {/if}
  {#snippet actions()}
    <button class="btn" onclick={() => (erasing = null)}>Keep</button>
    <button class="btn btn-error" form="erase-client" disabled={!confirmed || busy}>Erase</button>
  {/snippet}
</Dialog>
