<script lang="ts">
  import { onMount } from 'svelte';
  import { api, ask } from '../api/client';
  import type {
    ClientProfile,
    PlaceKit,
    PurchaseGain,
    RebuildRequest,
    SavedWeek,
  } from '../../shared/api/types';
  import { toasts } from '../toasts.svelte';
  import NumberField from '../ui/NumberField.svelte';
  import { count, number } from '../../shared/words';
  import type { KitBench } from './kitBench.svelte';
  import { ownPrices } from './ownPrices.svelte';

  interface Props {
    bench: KitBench;
  }

  let { bench }: Props = $props();
  let weeks = $state<SavedWeek[] | null>(null);
  let gains = $state<PurchaseGain[] | null>(null);
  /** For whom things are bought: this client, or all that have a place and a program. */
  let forAll = $state(false);
  let others = $state.raw<{ name: string; plan: RebuildRequest }[] | null>(null);
  let budget = $state<number | null>(null);
  let open = $state<string | null>(null);
  let busy = $state(false);
  let wrongPrice = $state<string | null>(null);
  let run = 0;
  const mostWeeks = 12;
  const names = $derived(forAll ? (others ?? []).map((o) => o.name) : []);
  const most = $derived(Math.max(0.01, ...(gains ?? []).map((g) => g.gain)));
  const budgetIsWrong = $derived(budget !== null && (budget <= 0 || budget > 1_000_000));

  $effect(() => {
    const clientId = bench.client?.id;
    if (clientId === undefined) return;
    ask(() => api.GET('/api/v1/clients/{clientId}/gym-weeks', { params: { path: { clientId } } })).then(
      (answer) => (weeks = answer),
      (error: unknown) => toasts.problem(error),
    );
  });

  const lines = (week: SavedWeek): string[] => week.value.text.split(/\r?\n/);

  /** First week and place of every client who has both: things may serve several. */
  async function readOthers(): Promise<void> {
    const roster = await ask(() => api.GET('/api/v1/clients'));
    const plans = await Promise.all(
      roster
        .filter((row) => row.places.length > 0)
        .slice(0, mostWeeks)
        .map(async (row) => {
          const params = { params: { path: { clientId: row.id } } };
          const [places, theirs] = await Promise.all([
            ask(() => api.GET('/api/v1/clients/{clientId}/places', params)),
            ask(() => api.GET('/api/v1/clients/{clientId}/gym-weeks', params)),
          ]);
          const [place, week] = [places[0], theirs[0]];
          return place && week
            ? [
                {
                  name: row.client.name,
                  plan: { client: row.client.profile, kit: place.value, gymLines: lines(week) },
                },
              ]
            : [];
        }),
    );
    others = plans.flat();
  }

  function toggle(): void {
    gains = null;
    if (forAll && others === null) readOthers().catch((error: unknown) => toasts.problem(error));
  }

  function plansAsked(): RebuildRequest[] {
    const client = bench.client?.value.profile;
    if (forAll) return (others ?? []).map((o) => o.plan);
    if (!client) return [];
    const kit = $state.snapshot(bench.draft) as PlaceKit;
    return (weeks ?? []).slice(0, mostWeeks).map((week) => ({
      client: $state.snapshot(client) as ClientProfile,
      kit,
      gymLines: lines(week),
    }));
  }

  $effect(() => {
    void ownPrices.changes;
    const plans = plansAsked();
    if (plans.length === 0 || budgetIsWrong) return;
    const body = {
      plans,
      budget,
    };
    const mine = ++run;
    const timer = setTimeout(() => {
      busy = true;
      ask(() => api.POST('/api/v1/buy-next', { body }))
        .then(
          (answer) => mine === run && (gains = answer),
          (error: unknown) => toasts.problem(error),
        )
        .finally(() => mine === run && (busy = false));
    }, 300);
    return () => clearTimeout(timer);
  });

  onMount(() => void ownPrices.load().catch((error: unknown) => toasts.problem(error)));

  async function setPrice(gain: PurchaseGain, input: HTMLInputElement): Promise<void> {
    try {
      wrongPrice = (await ownPrices.set(gain.name, input.valueAsNumber)) ? null : gain.name;
    } catch (error) {
      wrongPrice = gain.name;
      toasts.problem(error);
    }

    if (wrongPrice) input.value = String(gain.price);
  }

  const percent = (match: number): string => `${Math.round(match * 100)} %`;
</script>

<div class="grid gap-3 p-4" aria-busy={busy}>
  <h2 class="text-xl">What to buy or borrow next</h2>
  <label class="flex items-center gap-2">
    <input type="checkbox" class="checkbox checkbox-sm" bind:checked={forAll} onchange={toggle} />
    for all my clients, each with the first place and week
  </label>
  {#if weeks && weeks.length === 0 && !forAll}
    <p>
      No gym week is kept for this client yet. Rebuild one at the workbench; then each offer is tried in it.
    </p>
  {:else}
    <p class="soft text-plain">
      Each offer is tried in {forAll
        ? count(others?.length ?? 0, 'client’s week', 'clients’ weeks')
        : weeks
          ? count(Math.min(weeks.length, mostWeeks), 'gym week')
          : 'the gym weeks'} with the kit of {forAll ? 'each' : 'this place'}; most gain in match for the
      money comes first. Prices are usual ones until you set your own.
    </p>
    <NumberField
      class="w-60"
      label="Most to spend on one thing"
      bind:value={budget}
      min={0}
      placeholder="any"
    />
    {#if budgetIsWrong}<p class="text-error" role="alert">
        The budget lies above 0 and up to 1 000 000.
      </p>{/if}
    {#if gains === null}
      <p class="soft" role="status">Trying each offer in the plan …</p>
    {:else if gains.length === 0}
      <p>Nothing on offer {budget ? 'within the budget ' : ''}would bring a line closer to the gym.</p>
    {:else}
      <p class="sr-only" role="status">{count(gains.length, 'offer')} would help.</p>
      <ol>
        {#each gains as gain, i (i)}
          <li class="rule-b last:border-b-0">
            <div class="grid grid-cols-[minmax(0,1fr)_6rem] items-center gap-2 py-1.5">
              <button
                class="cursor-pointer text-left"
                aria-expanded={open === gain.name}
                onclick={() => (open = open === gain.name ? null : gain.name)}
              >
                <span class="block leading-tight">{gain.name}</span>
                <span class="mt-1 block h-1.5 bg-primary" style:width="{(gain.gain / most) * 100}%"></span>
                <span class="soft text-note"
                  >{count(gain.lines.length, 'line')} closer,
                  <span class="figures">{number(gain.gain * 100)}</span>
                  points of match; <span class="figures">{Math.round(gain.gainPer100 * 100)}</span> for 100 spent</span
                >
              </button>
              <input
                class="input figures h-9 w-full px-2"
                type="number"
                min="0.01"
                step="any"
                aria-label="Price of {gain.name}"
                value={gain.price}
                onchange={(event) => {
                  void setPrice(gain, event.currentTarget);
                }}
              />
            </div>
            {#if wrongPrice === gain.name}<p class="pb-1 text-plain text-error" role="alert">
                A price lies above 0 and up to 1 000 000; the one before stays.
              </p>{/if}
            {#if open === gain.name}
              <div class="grid gap-1 pb-2 text-plain">
                {#each gain.lines as line, i (i)}
                  <p>
                    {#if forAll}{names[line.plan]},{/if} <b>{line.gymExercise}</b>: {line.before}
                    <span class="figures soft">{percent(line.from)}</span>
                    → {line.after} <span class="figures text-primary">{percent(line.to)}</span>
                  </p>
                {/each}
                {#if !forAll}<button
                    class="btn btn-sm justify-self-start"
                    onclick={() => {
                      bench.add(gain.item);
                      toasts.done(`${gain.name} stands here now.`, () => bench.undo());
                    }}>It is here now: add it to the kit</button
                  >{/if}
              </div>
            {/if}
          </li>
        {/each}
      </ol>
    {/if}
    {#if ownPrices.any}<button
        class="btn btn-ghost btn-sm justify-self-start"
        onclick={() => void ownPrices.clear().catch((error: unknown) => toasts.problem(error))}
        >Back to usual prices</button
      >{/if}
  {/if}
</div>
