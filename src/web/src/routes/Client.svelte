<script lang="ts">
  import { onMount } from 'svelte';
  import { api, ask } from '../lib/api/client';
  import type { PlanSummary, SavedClient, SavedDay, SavedPlace } from '../lib/api/types';
  import ProfileForm from '../lib/client/ProfileForm.svelte';
  import { crumbs } from '../lib/crumbs.svelte';
  import KitEditor from '../lib/kit/KitEditor.svelte';
  import { keys } from '../lib/keys.svelte';
  import { toasts } from '../lib/toasts.svelte';
  import { trade } from '../lib/trade.svelte';
  import Dialog from '../lib/ui/Dialog.svelte';
  import { day } from '../lib/words';
  import { navigate, p, route } from '../router';

  const id = Number(route.params.id);
  const path = { id: String(id) };
  let client = $state<SavedClient | null>(null);
  let places = $state<SavedPlace[]>([]);
  let days = $state<SavedDay[]>([]);
  let plans = $state<PlanSummary[]>([]);
  let placeId = $state<number | null>(null);
  let missing = $state(false);
  let deleting = $state<'client' | 'place' | null>(null);

  const place = $derived(places.find((x) => x.id === placeId) ?? places[0]);

  onMount(() => {
    void load();
    return keys.add('Client', [
      {
        key: 'w',
        label: 'open the workbench',
        run: () => void navigate('/clients/:id/workbench', { params: path }),
      },
    ]);
  });

  async function load(): Promise<void> {
    try {
      const params = { params: { path: { clientId: id } } };
      const [found, , at, on, made] = await Promise.all([
        ask(() => api.GET('/api/v1/clients/{id}', { params: { path: { id } } })),
        trade.load(),
        ask(() => api.GET('/api/v1/clients/{clientId}/places', params)),
        ask(() => api.GET('/api/v1/clients/{clientId}/gym-days', params)),
        ask(() => api.GET('/api/v1/clients/{clientId}/plans', params)),
      ]);
      [client, places, days, plans] = [found, at, on, made];
      title();
    } catch (error) {
      missing = true;
      toasts.problem(error);
    }
  }

  function title(): void {
    crumbs.set({ text: 'Roster', href: p('/') }, { text: client?.value.name ?? 'Client' });
  }

  async function addPlace(): Promise<void> {
    try {
      const name = places.length === 0 ? 'Home' : `Place ${places.length + 1}`;
      const added = await ask(() =>
        api.POST('/api/v1/clients/{clientId}/places', {
          params: { path: { clientId: id } },
          body: { name, items: [] },
        }),
      );
      places = [...places, added];
      placeId = added.id;
    } catch (error) {
      toasts.problem(error);
    }
  }

  async function confirmDelete(): Promise<void> {
    const what = deleting;
    deleting = null;
    try {
      if (what === 'client') {
        await ask(() => api.DELETE('/api/v1/clients/{id}', { params: { path: { id } } }));
        toasts.done('Client deleted with everything that belonged to them.');
        await navigate('/');
      } else if (what === 'place' && place) {
        const gone = place.id;
        await ask(() => api.DELETE('/api/v1/places/{id}', { params: { path: { id: gone } } }));
        places = places.filter((x) => x.id !== gone);
        placeId = null;
        toasts.done('Place deleted. Plans made for it stay.');
      }
    } catch (error) {
      toasts.problem(error);
    }
  }
</script>

<main id="main" class="mx-auto w-full max-w-7xl flex-1 p-6">
  {#if client}
    <div class="mb-4 flex flex-wrap items-center gap-4">
      <h1 class="flex-1 text-3xl">{client.value.name}</h1>
      <a class="btn btn-primary" href={p('/clients/:id/workbench', { params: path })}
        >Open the workbench <span class="keycap">W</span></a
      >
    </div>
    <div class="grid gap-6 lg:grid-cols-[minmax(0,5fr)_minmax(0,7fr)]">
      <div class="grid content-start gap-6">
        <section class="sheet p-5" aria-labelledby="place-client">
          <h2 id="place-client" class="mb-3 text-xl">Place the client</h2>
          <ProfileForm
            {client}
            onsaved={(saved) => {
              client = saved;
              title();
            }}
          />
          <p class="soft mt-4 text-sm">
            Known heart, vascular or kidney disease, chest pain, fainting, pregnancy, recent surgery, a joint
            under treatment: no hard work before a clinician has cleared it. Health notes are personal; keep
            the least that is needed.
          </p>
        </section>
        <section class="sheet p-5" aria-labelledby="plans">
          <h2 id="plans" class="mb-2 text-xl">Home plans</h2>
          <ul>
            {#each plans as plan (plan.id)}
              <li class="rule-b flex flex-wrap items-center gap-x-4 py-2 last:border-b-0">
                <a
                  class="link-hover min-w-0 flex-1 font-semibold"
                  href={p('/clients/:id/workbench', { params: path, search: { plan: plan.id } })}
                  >{plan.title}</a
                >
                <span class="soft text-sm">version {plan.version}, {day(plan.updatedAt)}</span>
                <a class="link" href={p('/plans/:id/handout', { params: { id: String(plan.id) } })}
                  >Hand-out</a
                >
                <a class="link" href={p('/plans/:id/log', { params: { id: String(plan.id) } })}>Log</a>
              </li>
            {:else}
              <li class="soft">None yet. Open the workbench and rebuild a gym day.</li>
            {/each}
          </ul>
          {#if days.length > 0}
            <h3 class="mt-4 mb-1 text-base">Gym days</h3>
            <ul>
              {#each days as gymDay (gymDay.id)}
                <li class="py-1">
                  <a
                    class="link-hover"
                    href={p('/clients/:id/workbench', { params: path, search: { day: gymDay.id } })}
                    >{gymDay.value.name}</a
                  >
                </li>
              {/each}
            </ul>
          {/if}
          <button class="btn btn-ghost btn-sm mt-4" onclick={() => (deleting = 'client')}
            >Delete this client</button
          >
        </section>
      </div>
      <section class="sheet min-w-0 p-5" aria-labelledby="kit">
        <div class="mb-3 flex flex-wrap items-center gap-3">
          <h2 id="kit" class="flex-1 text-xl">Kit</h2>
          {#if places.length > 1}
            <div class="join" role="group" aria-label="Places">
              {#each places as x (x.id)}
                <button
                  class={['btn join-item btn-sm', x.id === place?.id && 'btn-neutral']}
                  aria-pressed={x.id === place?.id}
                  onclick={() => (placeId = x.id)}>{x.value.name}</button
                >
              {/each}
            </div>
          {/if}
          <button class="btn btn-sm" onclick={addPlace}>Add a place</button>
        </div>
        {#if place}
          {#key place.id}
            <KitEditor
              {place}
              onsaved={(saved) => (places = places.map((x) => (x.id === saved.id ? saved : x)))}
              ondelete={() => (deleting = 'place')}
            />
          {/key}
        {:else}
          <p>No place yet. Add the first one: home, a hotel, a park.</p>
        {/if}
      </section>
    </div>
  {:else if missing}
    <p>This client cannot be opened. <a class="link" href={p('/')}>Back to the roster</a></p>
  {:else}
    <p class="soft" role="status">Reading the client …</p>
  {/if}
</main>

<Dialog
  title={deleting === 'client' ? `Delete ${client?.value.name}?` : `Delete ${place?.value.name}?`}
  open={deleting !== null}
  onclose={() => (deleting = null)}
>
  <p class="mt-3">
    {deleting === 'client'
      ? 'Places, gym days, plans and logs go with the client. This cannot be undone.'
      : 'The kit of this place goes with it. Plans made for it stay. This cannot be undone.'}
  </p>
  {#snippet actions()}
    <button class="btn" onclick={() => (deleting = null)}>Keep</button>
    <button class="btn btn-error" onclick={confirmDelete}>Delete</button>
  {/snippet}
</Dialog>
