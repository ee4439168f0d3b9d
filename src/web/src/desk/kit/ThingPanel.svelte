<script lang="ts">
  import type { KitItem, KitKind } from '../../shared/api/types';
  import { domainRules } from '../domainRules.svelte';
  import QuantityField from '../ui/QuantityField.svelte';
  import { inWords, sentence } from '../../shared/words';
  import type { KitBench } from './kitBench.svelte';
  import { measuresOf } from './kitGroups';
  import Weighing from './Weighing.svelte';

  interface Props {
    bench: KitBench;
    item: KitItem;
    kind: KitKind;
  }

  let { bench, item, kind }: Props = $props();
  const estimated = $derived(bench.possibilities?.things.find((t) => t.itemId === item.id)?.estimated);
  const hazardWords: Record<NonNullable<KitItem['hazards']>[number], string> = {
    glass: 'glass',
    wheels: 'stands on wheels',
    folds: 'folds up',
    'door-opens-toward-pull': 'a door that opens toward the pull',
    moves: 'moves or creaks',
    radiator: 'a radiator',
  };
  const states = { good: 'good', worn: 'worn, watch it', nicked: 'nicked: replace it' } as const;
  const anchors = ['low', 'knee', 'chest', 'high'] as const;
  const has = (m: KitKind['measures'][number]): boolean => kind.measures.includes(m);
  /** What may rule it out, and whatever was said of it before. */
  const hazards = $derived([...new Set([...(kind.mayBe ?? []), ...(item.hazards ?? [])])]);
  const steps = $derived((domainRules.summary?.firstUse ?? []).filter((s) => kind.firstUse?.includes(s.id)));
  const weighable = $derived(has('mass') || has('plates'));

  function set(change: Partial<KitItem>): void {
    bench.update(item.id, change);
  }

  function toggle<T>(list: T[] | undefined, value: T, on: boolean): T[] {
    const without = (list ?? []).filter((x) => x !== value);
    return on ? [...without, value] : without;
  }

  function setPlate(index: number, change: { massKg?: number; count?: number } | null): void {
    const plates = [...(item.plates ?? [])];
    const plate = plates[index];
    if (change === null) plates.splice(index, 1);
    else if (plate) plates[index] = { ...plate, ...change };
    set({ plates });
  }
</script>

<div class="grid gap-3 p-4">
  <div class="flex items-start gap-2">
    <div class="min-w-0 flex-1">
      <h2 class="text-xl">{item.name || kind.label}</h2>
      <p class="soft text-note">
        {kind.label}{#if item.weighed}, weighed{:else if estimated}, <span class="text-warning italic"
            >estimated until you measure it</span
          >{/if}
      </p>
    </div>
    <button class="btn btn-sm" onclick={() => bench.remove(item.id)}
      >Remove <span class="keycap">Del</span></button
    >
  </div>

  <div class="grid grid-cols-[1fr_6rem] gap-2">
    <label>
      <span class="label-text">Your name for it</span>
      <input
        class="input h-9 w-full"
        maxlength="60"
        placeholder={kind.label}
        value={item.name ?? ''}
        oninput={(event) => set({ name: event.currentTarget.value || null })}
      />
    </label>
    <QuantityField
      label="How many"
      kind="number"
      unit="×"
      min={1}
      max={100}
      value={item.count ?? 1}
      onchange={(v) => v && set({ count: Math.round(v) })}
    />
  </div>

  <div class="grid grid-cols-2 gap-2">
    {#each measuresOf(kind) as measure (measure.field)}
      <QuantityField
        label={measure.label}
        kind={measure.kind}
        max={measure.max}
        usual={measure.usual}
        value={item[measure.field]}
        onchange={(v) =>
          set({ [measure.field]: v, ...(measure.field === 'massKg' ? { weighed: false } : {}) })}
      />
    {/each}
    {#if weighable && !kind.can.includes('container')}
      <label>
        <span class="label-text">Printed in</span>
        <select
          class="select h-9 w-full"
          value={item.printed ?? 'kg'}
          onchange={(event) => set({ printed: event.currentTarget.value as 'kg' | 'lb' })}
        >
          <option value="kg">kg</option><option value="lb">lb</option>
        </select>
      </label>
    {/if}
    {#if has('force')}
      <label>
        <span class="label-text">State</span>
        <select
          class="select h-9 w-full"
          value={item.state ?? 'good'}
          onchange={(event) => set({ state: event.currentTarget.value as KitItem['state'] })}
        >
          {#each Object.entries(states) as [value, text] (value)}<option {value}>{text}</option>{/each}
        </select>
      </label>
    {/if}
  </div>
  <p class="soft text-note">Grey figures are usual for the kind ({kind.source}).</p>

  {#if has('plates')}
    <fieldset>
      <legend class="mb-1 font-semibold">Plates, all handles together</legend>
      {#each item.plates ?? [] as plate, i (i)}
        <div class="mb-1 grid grid-cols-[1fr_1fr_auto] gap-2">
          <QuantityField
            label="Mass of plate {i + 1}"
            hideLabel
            kind="mass"
            max={50}
            min={0.1}
            value={plate.massKg}
            onchange={(v) => v && setPlate(i, { massKg: v })}
          />
          <QuantityField
            label="Count of plate {i + 1}"
            hideLabel
            kind="number"
            unit="×"
            min={1}
            max={40}
            value={plate.count}
            onchange={(v) => v && setPlate(i, { count: Math.round(v) })}
          />
          <button
            class="btn btn-ghost btn-sm"
            aria-label="Remove plate {i + 1}"
            onclick={() => setPlate(i, null)}>×</button
          >
        </div>
      {/each}
      <button
        class="btn btn-sm"
        onclick={() => set({ plates: [...(item.plates ?? []), { massKg: 2.5, count: 4 }] })}
        >Add plates</button
      >
    </fieldset>
  {/if}

  {#if has('force')}
    <button class="btn btn-sm justify-self-start" onclick={() => (bench.tool = 'bands')}
      >To the band bench <span class="keycap">B</span></button
    >
  {/if}

  {#if kind.can.includes('anchor')}
    <fieldset>
      <legend class="mb-1 font-semibold">Can be anchored at</legend>
      <div class="flex flex-wrap gap-4">
        {#each anchors as at, i (i)}
          {@const set_ = (item.anchorAt ?? []).length > 0 ? item.anchorAt : kind.typicalAnchorAt}
          <label class="flex min-h-6 items-center gap-2 text-plain">
            <input
              type="checkbox"
              class="checkbox checkbox-sm"
              checked={set_?.includes(at) ?? false}
              onchange={(event) =>
                set({ anchorAt: toggle([...(set_ ?? [])], at, event.currentTarget.checked) })}
            />{at}
          </label>
        {/each}
      </div>
    </fieldset>
  {/if}

  {#if weighable}
    <details>
      <summary class="cursor-pointer py-1 font-semibold">Weigh it</summary>
      <Weighing
        what={item.name || kind.label}
        onweighed={(kg) =>
          set(has('plates') ? { handleKg: kg, weighed: true } : { massKg: kg, weighed: true })}
      />
    </details>
  {/if}

  {#if hazards.length > 0}
    <fieldset>
      <legend class="mb-1 font-semibold">Rules it out</legend>
      <div class="flex flex-wrap gap-x-4 gap-y-1">
        {#each hazards as hazard (hazard)}
          <label class="flex min-h-6 items-center gap-2 text-plain">
            <input
              type="checkbox"
              class="checkbox checkbox-sm"
              checked={item.hazards?.includes(hazard) ?? false}
              onchange={(event) =>
                set({ hazards: toggle(item.hazards, hazard, event.currentTarget.checked) })}
            />{hazardWords[hazard]}
          </label>
        {/each}
      </div>
    </fieldset>
  {/if}

  {#if steps.length > 0}
    <fieldset>
      <legend class="mb-1 font-semibold">Before the first use</legend>
      <ul class="grid gap-1">
        {#each steps as step (step.id)}
          <li>
            <label class="flex items-start gap-2 text-plain">
              <input
                type="checkbox"
                class="checkbox checkbox-sm mt-0.5"
                checked={item.tested?.includes(step.id) ?? false}
                onchange={(event) =>
                  set({ tested: toggle(item.tested, step.id, event.currentTarget.checked) })}
              /><span>{step.text}</span>
            </label>
          </li>
        {/each}
      </ul>
      <p class="soft mt-1 text-note">
        {sentence(inWords('a test'))} is an aid to judgement and certifies nothing; makers' instructions come first.
      </p>
    </fieldset>
  {/if}
</div>
