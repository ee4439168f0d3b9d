<script lang="ts">
  import { onMount } from 'svelte';
  import { api, ask } from '../api/client';
  import type { PlanSummary, SavedClient, SavedWeek, SavedPlace } from '../../shared/api/types';
  import ClientKeeping from '../client/ClientKeeping.svelte';
  import ProfileForm from '../client/ProfileForm.svelte';
  import { crumbs } from '../crumbs.svelte';
  import { figureOf } from '../kit/kitGroups';
  import { keys } from '../keys.svelte';
  import ClientPhone from '../sending/ClientPhone.svelte';
  import { domainRules } from '../domainRules.svelte';
  import { day } from '../../shared/words';
  import Opening from '../ui/Opening.svelte';
  import { navigate, p, route } from '../router';

  const id = Number(route.params.id);
  const path = { id: String(id) };
  let client = $state<SavedClient | null>(null);
  let places = $state<SavedPlace[]>([]);
  let weeks = $state<SavedWeek[]>([]);
  let plans = $state<PlanSummary[]>([]);
  let failed = $state<unknown>(null);

  onMount(() => {
    void load();
    return keys.add('Client', [
      { key: 'k', label: 'open the kit', run: () => void navigate('/clients/:id/kit', { params: path }) },
      {
        key: 'w',
        label: 'open the workbench',
        run: () => void navigate('/clients/:id/workbench', { params: path }),
      },
    ]);
  });

  async function load(): Promise<void> {
    failed = null;
    try {
      const params = { params: { path: { clientId: id } } };
      const [found, , at, on, made] = await Promise.all([
        ask(() => api.GET('/api/v1/clients/{id}', { params: { path: { id } } })),
        domainRules.load(),
        ask(() => api.GET('/api/v1/clients/{clientId}/places', params)),
        ask(() => api.GET('/api/v1/clients/{clientId}/gym-weeks', params)),
        ask(() => api.GET('/api/v1/clients/{clientId}/plans', params)),
      ]);
      [client, places, weeks, plans] = [found, at, on, made];
      title();
    } catch (error) {
      failed = error;
    }
  }

  function title(): void {
    crumbs.set({ text: 'Roster', href: p('/') }, { text: client?.value.name ?? 'Client' });
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
                <a class="link-alone" href={p('/plans/:id/handout', { params: { id: String(plan.id) } })}
                  >Hand-out</a
                >
                <a class="link-alone" href={p('/plans/:id/block', { params: { id: String(plan.id) } })}
                  >Block</a
                >
                <a class="link-alone" href={p('/plans/:id/log', { params: { id: String(plan.id) } })}>Log</a>
              </li>
            {:else}
              <li class="soft">None yet. Open the workbench and rebuild a gym week.</li>
            {/each}
          </ul>
          {#if weeks.length > 0}
            <h3 class="mt-4 mb-1 text-base">Gym program</h3>
            <ul>
              {#each weeks as gymWeek (gymWeek.id)}
                <li class="py-1">
                  <a
                    class="link-hover"
                    href={p('/clients/:id/workbench', { params: path, search: { week: gymWeek.id } })}
                    >{gymWeek.value.name}</a
                  >
                </li>
              {/each}
            </ul>
          {/if}
          <p class="mt-3">
            <a class="btn btn-sm" href={p('/clients/:id/program', { params: path })}>Open the gym program</a>
          </p>
        </section>
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
        <ClientPhone clientId={client.id} name={client.value.name} {plans} />
        <ClientKeeping {client} />
      </div>
      <section class="sheet min-w-0 p-5" aria-labelledby="kit">
        <div class="mb-3 flex flex-wrap items-center gap-3">
          <h2 id="kit" class="flex-1 text-xl">Kit</h2>
          <a class="btn btn-sm" href={p('/clients/:id/kit', { params: path })}
            >Open the kit <span class="keycap">K</span></a
          >
        </div>
        <ul class="grid gap-3">
          {#each places as place (place.id)}
            <li>
              <a
                class="link-hover font-display text-lg font-semibold"
                href={p('/clients/:id/kit', { params: path, search: { place: place.id } })}
                >{place.value.name}</a
              >
              <ul class="mt-1 grid grid-cols-2 gap-x-6">
                {#each place.value.items ?? [] as item (item.id)}
                  {@const kind = domainRules.kind(item.kind)}
                  {#if kind}
                    <li class="rule-b flex items-baseline gap-2 py-1 text-plain">
                      <span class="min-w-0 flex-1"
                        >{(item.count ?? 1) > 1 ? `${item.count} × ` : ''}{item.name || kind.label}</span
                      >
                      <span class="figures soft text-right text-note">{figureOf(item, kind)}</span>
                    </li>
                  {/if}
                {:else}
                  <li class="soft col-span-2">Nothing yet: plans use floor and wall only.</li>
                {/each}
              </ul>
            </li>
          {:else}
            <li>No place yet. Open the kit and add the first one: home, a hotel, a park.</li>
          {/each}
        </ul>
      </section>
    </div>
  {:else}
    <Opening doing="Reading the client …" what="client" {failed} onagain={() => void load()} />
  {/if}
</main>
