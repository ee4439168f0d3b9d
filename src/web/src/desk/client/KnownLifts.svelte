<script lang="ts">
  import type { ClientProfile } from '../../shared/api/types';
  import { domainRules } from '../domainRules.svelte';
  import NumberField from '../ui/NumberField.svelte';

  interface Props {
    profile: ClientProfile;
  }

  let { profile = $bindable() }: Props = $props();

  const lifts = $derived(profile.knownLifts ?? []);
  const anchors = $derived(domainRules.summary?.anchors ?? []);
</script>

<fieldset>
  <legend class="mb-1 font-semibold">Known lifts</legend>
  {#each lifts as lift, i (i)}
    <div class="mb-2 grid grid-cols-[1.4fr_1fr_1fr_auto] items-end gap-2">
      <label>
        <span class="sr-only">Lift {i + 1}</span>
        <select class="select w-full" bind:value={lift.anchor}>
          {#each anchors as anchor (anchor.id)}<option value={anchor.id}>{anchor.label}</option>{/each}
        </select>
      </label>
      <NumberField
        label="Load of lift {i + 1}"
        hideLabel
        unit="kg"
        min={0.5}
        max={500}
        bind:value={lift.loadKg}
      />
      <NumberField
        label="Reps of lift {i + 1}"
        hideLabel
        unit="reps"
        min={1}
        max={20}
        step={1}
        bind:value={lift.reps}
      />
      <button
        type="button"
        class="btn btn-ghost"
        aria-label="Remove lift {i + 1}"
        onclick={() => (profile.knownLifts = lifts.filter((_, k) => k !== i))}>×</button
      >
    </div>
  {:else}
    <p class="soft mb-2 text-sm">None known: strength is then estimated from level and body mass.</p>
  {/each}
  <button
    type="button"
    class="btn btn-sm"
    onclick={() => (profile.knownLifts = [...lifts, { anchor: 'back-squat', loadKg: 40, reps: 5 }])}
    >Add a known lift</button
  >
</fieldset>
