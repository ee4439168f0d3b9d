<script lang="ts">
  import NumberField from '../ui/NumberField.svelte';
  import { inWords } from '../words';
  import { emptySet, type ExerciseDraft } from './draft';

  interface Props {
    draft: ExerciseDraft;
  }

  let { draft = $bindable() }: Props = $props();
  const joints = ['wrist', 'elbow', 'shoulder', 'neck', 'low-back', 'hip', 'knee', 'ankle'] as const;
</script>

<fieldset class="border-t border-base-300 py-3">
  <legend class="contents"><span class="font-semibold">{draft.name}</span></legend>
  <p class="soft mb-1 text-[13px]"><span class="figures">{draft.figures}</span> · {draft.setup}</p>
  {#each draft.sets as set, i (i)}
    {@const what = `set ${i + 1} of ${draft.name}`}
    <div class="mb-1 grid grid-cols-[2.5rem_repeat(5,minmax(0,1fr))] items-center gap-2 max-sm:grid-cols-3">
      <span class="soft text-[13px]">set {i + 1}</span>
      <NumberField
        label="{draft.timed ? 'Seconds' : 'Reps'}, {what}"
        hideLabel
        unit={draft.timed ? 's' : 'reps'}
        min={0}
        max={500}
        step={1}
        bind:value={set.reps}
      />
      {#if draft.loaded}
        <NumberField
          label="Load, {what}"
          hideLabel
          unit="kg"
          min={0}
          max={500}
          placeholder={String(draft.prescribedKg)}
          bind:value={set.loadKg}
        />
      {:else}
        <span class="soft text-[13px]">no load</span>
      {/if}
      <NumberField label="RIR, {what}" hideLabel unit="RIR" min={0} max={10} step={1} bind:value={set.rir} />
      <NumberField
        label="Pain, {what}"
        hideLabel
        unit="pain"
        min={0}
        max={10}
        step={1}
        bind:value={set.pain}
      />
      {#if (set.pain ?? 0) > 0}
        <select class="select w-full" aria-label="Where it hurt, {what}" bind:value={set.painJoint}>
          <option value={null}>where?</option>
          {#each joints as joint (joint)}<option value={joint}>{inWords(joint)}</option>{/each}
        </select>
      {/if}
    </div>
  {/each}
  <button
    type="button"
    class="btn btn-ghost btn-xs"
    onclick={() => (draft.sets = [...draft.sets, emptySet()])}>Add a set</button
  >
</fieldset>
