<script lang="ts">
  import type { HomeEdit, HomeExercise } from '../../shared/api/types';
  import NumberField from '../ui/NumberField.svelte';

  interface Props {
    line: number;
    home: HomeExercise;
    onedit: (edit: HomeEdit) => void;
  }

  let { line, home, onedit }: Props = $props();

  // svelte-ignore state_referenced_locally
  const dose = home.dose;
  let sets = $state<number | null>(dose.sets);
  let min = $state<number | null>(dose.target.min || null);
  let max = $state<number | null>(dose.target.max || null);
  let tempo = $state(dose.tempo);
  let rest = $state<number | null>(dose.restSeconds);
  let rir = $state<number | null>(dose.rir);
  // svelte-ignore state_referenced_locally
  let load = $state<number | null>(home.externalKg || null);

  function submit(event: SubmitEvent): void {
    event.preventDefault();
    const low = min ?? max ?? 0;
    onedit({
      line,
      exerciseId: home.exerciseId,
      sets,
      target: { min: low, max: Math.max(low, max ?? low) },
      tempo: tempo.trim().toUpperCase(),
      restSeconds: rest,
      rir,
      externalKg: load,
    });
  }
</script>

<form onsubmit={submit} class="grid grid-cols-4 items-end gap-2" aria-label="Dose of {home.name}">
  <NumberField label="Sets" min={1} max={20} step={1} bind:value={sets} />
  <NumberField label={dose.timed ? 'Seconds from' : 'Reps from'} min={1} step={1} bind:value={min} />
  <NumberField label="to" min={1} step={1} bind:value={max} />
  {#if !dose.timed}
    <NumberField label="RIR" min={0} max={10} step={1} bind:value={rir} />
    <label>
      <span class="label-text">Tempo</span>
      <input class="input figures w-full px-2" bind:value={tempo} />
    </label>
  {/if}
  <NumberField label="Rest" unit="s" min={0} max={900} step={1} bind:value={rest} />
  <NumberField label="Load" unit="kg" min={0} max={500} bind:value={load} />
  <button class="btn">Set</button>
</form>
