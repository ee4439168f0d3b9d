<script lang="ts">
  import { api, ask } from '../api/client';
  import type { BuiltLoads, KitItem, LoadRecipe, PlaceKit } from '../../shared/api/types';
  import { toasts } from '../toasts.svelte';
  import { domainRules } from '../domainRules.svelte';
  import QuantityField from '../ui/QuantityField.svelte';
  import { kg, number } from '../../shared/words';
  import type { KitBench } from './kitBench.svelte';
  import LoadDrawing from './LoadDrawing.svelte';

  interface Props {
    bench: KitBench;
  }

  let { bench }: Props = $props();
  const is = (item: KitItem, ability: string): boolean =>
    domainRules.kind(item.kind)?.can.includes(ability) ?? false;
  const containers = $derived(bench.items.filter((i) => is(i, 'container')));
  const loose = $derived(bench.items.filter((i) => is(i, 'pack')));

  let target = $state<number | null>(6);
  let hands = $state(1);
  let containerId = $state('');
  /** Counts that are tried out here and change nothing in the kit. */
  let tried = $state<Record<string, number>>({});
  let built = $state<BuiltLoads | null>(null);
  let run = 0;

  $effect(() => {
    const kit: PlaceKit = {
      name: bench.draft.name,
      items: ($state.snapshot(bench.items) as KitItem[])
        .map((i) => ({ ...i, count: tried[i.id] ?? i.count ?? 1 }))
        .filter((i) => i.count > 0),
    };
    const body = { kit, targetKg: target ?? 0, hands, containerId: containerId || null };
    if (!target || containers.length === 0) {
      built = null;
      return;
    }

    const mine = ++run;
    const timer = setTimeout(() => {
      ask(() => api.POST('/api/v1/loads/build', { body })).then(
        (answer) => {
          if (mine === run) built = answer;
        },
        (error: unknown) => toasts.problem(error),
      );
    }, 120);
    return () => clearTimeout(timer);
  });

  const recipes = $derived(
    (
      [
        ['', built?.answer.exact],
        ['nearest below', built?.answer.below],
        ['nearest above', built?.answer.above],
      ] as [string, LoadRecipe | null | undefined][]
    ).filter((r): r is [string, LoadRecipe] => !!r[1]),
  );
  const reachable = $derived(built?.reachableKg ?? []);
  const longest = $derived(Math.max(target ?? 0, reachable.at(-1) ?? 0) * 1.05 || 1);
</script>

<div class="grid gap-3 p-4">
  <h2 class="text-xl">Load builder</h2>
  {#if containers.length === 0}
    <p>Nothing here can be filled. Add a rucksack, a bag, a bucket or a can first.</p>
  {:else}
    <div class="grid grid-cols-[1fr_1fr] gap-2">
      <QuantityField label="Wanted in one hand" kind="mass" min={0.1} max={100} bind:value={target} />
      <label>
        <span class="label-text">Container</span>
        <select class="select h-9 w-full" bind:value={containerId}>
          <option value="">the best of all</option>
          {#each containers as c (c.id)}<option value={c.id}
              >{c.name || domainRules.kind(c.kind)?.label}</option
            >{/each}
        </select>
      </label>
    </div>
    <div class="join" role="group" aria-label="Hands">
      <button
        class={['btn join-item btn-sm', hands === 1 && 'btn-neutral']}
        aria-pressed={hands === 1}
        onclick={() => (hands = 1)}>One, or on the back</button
      >
      <button
        class={['btn join-item btn-sm', hands === 2 && 'btn-neutral']}
        aria-pressed={hands === 2}
        onclick={() => (hands = 2)}>The same in both hands</button
      >
    </div>
    <div aria-live="polite" class="grid gap-3">
      {#each recipes as [label, recipe] (label)}
        <div class="grid grid-cols-[150px_1fr] gap-3">
          <LoadDrawing {recipe} />
          <div>
            {#if label}<p class="soft text-note">{label}</p>{:else}<p class="text-note text-primary">
                exact
              </p>{/if}
            <p class="figures text-title font-semibold">
              {kg(recipe.massKg)}{#if recipe.hands === 2}
                <span class="text-body font-normal">in each hand</span>{/if}
            </p>
            <p>{recipe.inWords}</p>
            <p class="soft text-note">
              {recipe.pieceCount}
              {recipe.pieceCount === 1 ? 'piece' : 'pieces'}, {number(
                recipe.packed.volumeL + (recipe.poured?.litres ?? 0),
              )} of {number(recipe.container.volumeL)} L
            </p>
          </div>
        </div>
      {/each}
      {#if built?.answer.complete === false}
        <p class="border-l-2 border-warning pl-2">
          There is so much to pack here that these are the nearest found; a simpler or nearer load may exist.
          Choose one container, or take things out.
        </p>
      {/if}
      {#if built?.answer.limit}<p class="border-l-2 border-warning pl-2">{built.answer.limit}</p>{/if}
    </div>
    {#if reachable.length > 0}
      <div>
        <p class="soft text-note">
          Every load that can be reached, up to {number(reachable.at(-1) ?? 0)} kg
        </p>
        <svg
          viewBox="0 0 400 26"
          class="w-full"
          role="img"
          aria-label="{reachable.length} loads between {number(reachable[0] ?? 0)} and {number(
            reachable.at(-1) ?? 0,
          )} kg"
        >
          <line x1="0" y1="18" x2="400" y2="18" class="axis" />
          {#each reachable as load (load)}<line
              x1={(load / longest) * 400}
              x2={(load / longest) * 400}
              y1="8"
              y2="18"
              class="tick"
            />{/each}
          <path d="M{((target ?? 0) / longest) * 400} 18 l-4 8 h8 z" class="mark" />
        </svg>
      </div>
    {/if}
    {#if loose.length > 0}
      <fieldset>
        <legend class="mb-1 font-semibold">With these at hand</legend>
        <ul class="grid gap-1">
          {#each loose as item (item.id)}
            {@const kind = domainRules.kind(item.kind)}
            {@const most = item.count ?? 1}
            <li class="flex items-center gap-2 text-plain">
              <span class="min-w-0 flex-1">{item.name || kind?.label}</span>
              <span class="figures soft">{number(item.massKg ?? kind?.typicalMassKg ?? 0)} kg</span>
              <QuantityField
                class="w-24"
                label="How many: {item.name || kind?.label}"
                hideLabel
                kind="number"
                unit="×"
                min={0}
                max={100}
                value={tried[item.id] ?? most}
                onchange={(v) => (tried = { ...tried, [item.id]: Math.round(v ?? 0) })}
              />
            </li>
          {/each}
        </ul>
        <p class="soft mt-1 text-note">Counts here are for trying out; the kit stays as it is.</p>
      </fieldset>
    {/if}
  {/if}
</div>

<style>
  .axis {
    stroke: var(--color-base-300);
  }
  .tick {
    stroke: var(--color-primary);
  }
  .mark {
    fill: var(--color-secondary);
  }
</style>
