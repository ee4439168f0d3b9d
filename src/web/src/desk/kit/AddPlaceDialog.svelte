<script lang="ts">
  import { api, ask } from '../api/client';
  import type { KitItem, RosterRow } from '../../shared/api/types';
  import { toasts } from '../toasts.svelte';
  import { domainRules } from '../domainRules.svelte';
  import Dialog from '../ui/Dialog.svelte';
  import { count } from '../../shared/words';

  interface Props {
    open: boolean;
    onadd: (name: string, items: KitItem[]) => void;
    onclose: () => void;
  }

  let { open, onadd, onclose }: Props = $props();
  let name = $state('');
  let from = $state('empty');
  let rows = $state<RosterRow[]>([]);

  $effect(() => {
    if (open && rows.length === 0) {
      ask(() => api.GET('/api/v1/clients')).then(
        (list) => (rows = list),
        (error: unknown) => toasts.problem(error),
      );
    }
  });

  const suggested = $derived.by(() => {
    const template = domainRules.summary?.kitTemplates.find((t) => `template/${t.id}` === from);
    if (template) return template.name;
    const place = rows.flatMap((r) => r.places).find((x) => `place/${x.id}` === from);
    return place?.name ?? 'Home';
  });

  async function submit(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    try {
      onadd(name.trim() || suggested, await items());
      [name, from] = ['', 'empty'];
      onclose();
    } catch (error) {
      toasts.problem(error);
    }
  }

  async function items(): Promise<KitItem[]> {
    const template = domainRules.summary?.kitTemplates.find((t) => `template/${t.id}` === from);
    if (template) return $state.snapshot(template.items) as KitItem[];
    if (!from.startsWith('place/')) return [];
    const id = Number(from.slice(6));
    const place = await ask(() => api.GET('/api/v1/places/{id}', { params: { path: { id } } }));

    // What somebody ticked at another home was not tested at this one.
    return (place.value.items ?? []).map((item) => ({ ...item, tested: [] }));
  }
</script>

<Dialog title="Add a place" {open} {onclose}>
  <form id="add-place" onsubmit={submit} class="mt-3 grid gap-3">
    <label>
      <span class="label-text">Start from</span>
      <select class="select w-full" bind:value={from}>
        <option value="empty">nothing</option>
        <optgroup label="Usual kits">
          {#each domainRules.summary?.kitTemplates ?? [] as t (t.id)}<option value="template/{t.id}"
              >{t.name} ({count(t.items.length, 'thing')})</option
            >{/each}
        </optgroup>
        {#each rows.filter((r) => r.places.some((x) => x.items > 0)) as row (row.id)}
          <optgroup label={row.client.name}>
            {#each row.places.filter((x) => x.items > 0) as place (place.id)}<option value="place/{place.id}"
                >{place.name} ({count(place.items, 'thing')})</option
              >{/each}
          </optgroup>
        {/each}
      </select>
    </label>
    <label>
      <span class="label-text">Name of the place</span>
      <input class="input w-full" maxlength="60" placeholder={suggested} bind:value={name} />
    </label>
  </form>
  {#snippet actions()}
    <button class="btn" onclick={onclose}>Cancel</button>
    <button class="btn btn-primary" form="add-place">Add the place</button>
  {/snippet}
</Dialog>
