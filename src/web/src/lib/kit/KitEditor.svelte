<script lang="ts">
  import { api, ask } from '../api/client';
  import type { KitItem, PlaceKit, SavedPlace } from '../api/types';
  import { toasts } from '../toasts.svelte';
  import { trade } from '../trade.svelte';
  import ConflictDialog from '../ui/ConflictDialog.svelte';
  import { conflictOf } from '../ui/saving';
  import { count } from '../words';
  import { freshId, groups } from './kitGroups';
  import KitRow from './KitRow.svelte';

  interface Props {
    place: SavedPlace;
    onsaved: (place: SavedPlace) => void;
    ondelete: () => void;
  }

  let { place, onsaved, ondelete }: Props = $props();

  // svelte-ignore state_referenced_locally
  let draft = $state<PlaceKit>(copy(place));
  let theirs = $state<SavedPlace | null>(null);
  let adding = $state('');
  let busy = $state(false);
  const id = $props.id();

  const changed = $derived(JSON.stringify(draft) !== JSON.stringify(copy(place)));
  const items = $derived(draft.items ?? []);
  const found = $derived(
    trade.summary?.kitKinds.find((k) => k.label.toLowerCase() === adding.trim().toLowerCase()) ?? null,
  );

  function copy(saved: SavedPlace): PlaceKit {
    const value = structuredClone($state.snapshot(saved.value)) as PlaceKit;
    value.items = (value.items ?? []).map((item) => ({ ...item, name: item.name ?? '' }));
    return value;
  }

  function add(event: SubmitEvent): void {
    event.preventDefault();
    if (!found) {
      toasts.problem(`"${adding}" is no kind of kit known here; pick one from the list.`);
      return;
    }

    draft.items = [...items, { id: freshId(found.id, items), kind: found.id, count: 1, name: '' }];
    adding = '';
  }

  function remove(item: KitItem): void {
    const before = items;
    draft.items = items.filter((other) => other.id !== item.id);
    toasts.done('Removed.', () => (draft.items = before));
  }

  async function save(revision = place.revision): Promise<void> {
    busy = true;
    try {
      const value = $state.snapshot(draft) as PlaceKit;
      value.items = value.items?.map((item) => ({
        ...item,
        name: item.name || null,
        count: item.count ?? 1,
      }));
      const saved = await ask(() =>
        api.PUT('/api/v1/places/{id}', { params: { path: { id: place.id } }, body: { revision, value } }),
      );
      theirs = null;
      onsaved(saved);
      draft = copy(saved);
      toasts.done('Kit saved.');
    } catch (error) {
      theirs = conflictOf<SavedPlace>(error) ?? null;
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

<div class="mb-3 flex flex-wrap items-end gap-3">
  <label class="min-w-48 flex-1">
    <span class="label-text">Place</span>
    <input class="input w-full font-semibold" maxlength="60" bind:value={draft.name} />
  </label>
  <form onsubmit={add} class="flex min-w-64 flex-1 items-end gap-2">
    <label class="flex-1">
      <span class="label-text">Add a thing</span>
      <input
        class="input w-full"
        list="kinds-{id}"
        placeholder="dumbbell, rucksack, sofa …"
        bind:value={adding}
      />
      <datalist id="kinds-{id}">
        {#each trade.summary?.kitKinds ?? [] as kind (kind.id)}<option value={kind.label}></option>{/each}
      </datalist>
    </label>
    <button class="btn" disabled={!adding}>Add</button>
  </form>
</div>

{#if items.length === 0}
  <p class="sheet p-4">
    Nothing here yet: plans for this place use floor and wall only. Add what stands around, typical values are
    filled in and marked until somebody weighs or measures.
  </p>
{/if}
{#each groups as group (group.id)}
  {@const inGroup = items.filter((item) => trade.kind(item.kind)?.group === group.id)}
  {#if inGroup.length > 0}
    <section class="mb-4" aria-label={group.title}>
      <h3 class="rule-b pb-1 text-base">
        {group.title} <span class="soft text-sm font-normal">{group.hint}</span>
      </h3>
      <ul>
        {#each inGroup as item (item.id)}
          {@const kind = trade.kind(item.kind)}
          {@const index = items.indexOf(item)}
          {#if kind && draft.items}
            <KitRow bind:item={draft.items[index]!} {kind} onremove={() => remove(item)} />
          {/if}
        {/each}
      </ul>
    </section>
  {/if}
{/each}

<div class="flex items-center gap-3">
  <button class="btn btn-primary" disabled={busy || !changed} onclick={() => save()}
    >{busy ? 'Saving …' : 'Save kit'}</button
  >
  <span class="soft text-sm" role="status">{changed ? 'Not saved yet' : count(items.length, 'thing')}</span>
  {#if changed}<button class="btn btn-ghost btn-sm" onclick={() => (draft = copy(place))}
      >Take back changes</button
    >{/if}
  <button class="btn btn-ghost btn-sm ml-auto" onclick={ondelete}>Delete this place</button>
</div>

<ConflictDialog
  what="kit"
  open={theirs !== null}
  onmine={() => theirs && save(theirs.revision)}
  ontheirs={takeTheirs}
  onclose={() => (theirs = null)}
/>
