<script lang="ts">
  import { api, ask } from '../api/client';
  import type { ClientRecord, SavedClient } from '../api/types';
  import { toasts } from '../toasts.svelte';
  import { trade } from '../trade.svelte';
  import ConflictDialog from '../ui/ConflictDialog.svelte';
  import { conflictOf } from '../ui/saving';
  import IntakeBox from './IntakeBox.svelte';
  import JointFields from './JointFields.svelte';
  import KnownLifts from './KnownLifts.svelte';
  import Persona from './Persona.svelte';
  import ScreeningFields from './ScreeningFields.svelte';

  interface Props {
    client: SavedClient;
    onsaved: (client: SavedClient) => void;
  }

  let { client, onsaved }: Props = $props();

  // svelte-ignore state_referenced_locally
  let draft = $state<ClientRecord>(copy(client));
  let theirs = $state<SavedClient | null>(null);
  let busy = $state(false);

  const changed = $derived(JSON.stringify(draft) !== JSON.stringify(copy(client)));

  function copy(saved: SavedClient): ClientRecord {
    const value = structuredClone($state.snapshot(saved.value)) as ClientRecord;
    value.profile.knownLifts ??= [];
    value.profile.soreJoints ??= [];
    value.profile.refuses ??= [];
    value.note ??= '';
    return value;
  }

  async function save(revision = client.revision): Promise<void> {
    busy = true;
    try {
      const value = $state.snapshot(draft) as ClientRecord;
      value.profile.knownLifts = value.profile.knownLifts?.filter((lift) => lift.loadKg != null);
      const saved = await ask(() =>
        api.PUT('/api/v1/clients/{id}', { params: { path: { id: client.id } }, body: { revision, value } }),
      );
      theirs = null;
      onsaved(saved);
      draft = copy(saved);
      toasts.done('Client saved.');
    } catch (error) {
      theirs = conflictOf<SavedClient>(error) ?? null;
      if (!theirs) toasts.problem(error);
    } finally {
      busy = false;
    }
  }

  function takeTheirs(): void {
    if (!theirs) return;
    onsaved(theirs);
    draft = copy(theirs);
    theirs = null;
  }
</script>

<form
  class="grid gap-4"
  onsubmit={(event) => {
    event.preventDefault();
    void save();
  }}
>
  <label>
    <span class="label-text">Name</span>
    <input class="input w-full" required maxlength="80" bind:value={draft.name} />
  </label>
  <IntakeBox bind:profile={draft.profile} />
  <Persona bind:profile={draft.profile} />
  <ScreeningFields bind:profile={draft.profile} />
  <JointFields bind:profile={draft.profile} />
  <KnownLifts bind:profile={draft.profile} />

  {#if (draft.profile.refuses ?? []).length > 0}
    <fieldset>
      <legend class="mb-1 font-semibold">Left out for this client</legend>
      <ul class="flex flex-wrap gap-2">
        {#each draft.profile.refuses ?? [] as id (id)}
          <li>
            <button
              type="button"
              class="btn btn-sm"
              aria-label="Offer {trade.exerciseName(id)} again"
              onclick={() => (draft.profile.refuses = draft.profile.refuses?.filter((r) => r !== id))}
              >{trade.exerciseName(id)} <span aria-hidden="true">×</span></button
            >
          </li>
        {/each}
      </ul>
    </fieldset>
  {/if}

  <label>
    <span class="label-text">Note</span>
    <textarea class="textarea w-full" rows="2" maxlength="2000" bind:value={draft.note}></textarea>
  </label>
  <div class="flex items-center gap-3">
    <button class="btn btn-primary" disabled={busy || !changed}>{busy ? 'Saving …' : 'Save client'}</button>
    <span class="soft text-sm" role="status">{changed ? 'Not saved yet' : 'Saved'}</span>
    {#if changed}<button type="button" class="btn btn-ghost btn-sm" onclick={() => (draft = copy(client))}
        >Take back changes</button
      >{/if}
  </div>
</form>

<ConflictDialog
  what="client"
  open={theirs !== null}
  onmine={() => theirs && save(theirs.revision)}
  ontheirs={takeTheirs}
  onclose={() => (theirs = null)}
/>
