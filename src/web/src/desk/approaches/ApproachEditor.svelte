<script lang="ts">
  import { untrack } from 'svelte';
  import Dialog from '../ui/Dialog.svelte';
  import NumberField from '../ui/NumberField.svelte';
  import { orders, pairings } from './figures';
  import type { OwnApproaches } from './ownApproaches.svelte';
  import RangeFields from './RangeFields.svelte';
  import TechniqueTaste from './TechniqueTaste.svelte';

  interface Props {
    own: OwnApproaches;
    onsaved: (id: string) => void;
  }

  let { own, onsaved }: Props = $props();

  const ticks = [
    ['keepsHeavy', 'heavy main lifts keep their reps'],
    ['halvedPerSide', 'half the reps on each side'],
    ['fitsByPairing', 'pair lines when time is short'],
    ['conditioning', 'show it as conditioning'],
  ] as const;

  async function save(revision?: number): Promise<void> {
    const saved = await own.save(revision);
    if (saved) onsaved(saved);
  }

  $effect(() => {
    if (JSON.stringify(own.draft)) untrack(() => own.touched());
  });
</script>

<Dialog
  title={own.fresh ? 'A new approach' : `Change ${own.draft?.name ?? ''}`}
  wide
  open={own.draft !== null}
  onclose={() => own.putAside()}
>
  {#if own.draft}
    <div class="mt-3 grid gap-4">
      <label>
        <span class="label-text">Name</span>
        <input class="input w-full max-w-sm" maxlength="60" bind:value={own.draft.name} />
      </label>
      <div class="grid gap-3 md:grid-cols-2">
        <label>
          <span class="label-text">What it is about, in a sentence</span>
          <textarea class="textarea w-full" rows="2" maxlength="400" bind:value={own.draft.idea}></textarea>
        </label>
        <label>
          <span class="label-text">Where other schools disagree</span>
          <textarea class="textarea w-full" rows="2" maxlength="400" bind:value={own.draft.against}
          ></textarea>
        </label>
      </div>
      <div class="grid gap-4 sm:grid-cols-2 md:grid-cols-4">
        <RangeFields label="Reps" min={1} max={100} start={{ min: 8, max: 12 }} bind:range={own.draft.reps} />
        <RangeFields label="Sets" min={1} max={20} start={{ min: 3, max: 4 }} bind:range={own.draft.sets} />
        <RangeFields
          label="Rest"
          min={0}
          max={600}
          unit="s"
          start={{ min: 60, max: 120 }}
          bind:range={own.draft.rest}
        />
        <NumberField
          label="Reps in reserve"
          min={0}
          max={10}
          step={1}
          placeholder="as in the plan"
          bind:value={own.draft.rir}
        />
      </div>
      <div class="grid gap-3 md:grid-cols-2">
        <label>
          <span class="label-text">Order of a day</span>
          <select class="select w-full" bind:value={own.draft.order}>
            {#each orders as [value, text] (value)}<option {value}>{text}</option>{/each}
          </select>
        </label>
        <label>
          <span class="label-text">Lines in turn</span>
          <select class="select w-full" bind:value={own.draft.pairing}>
            {#each pairings as [value, text] (value)}<option {value}>{text}</option>{/each}
          </select>
        </label>
      </div>
      <div class="flex flex-wrap gap-x-6 gap-y-1">
        {#each ticks as [key, text] (key)}
          <label class="inline-flex items-center gap-2 py-1">
            <input type="checkbox" class="checkbox checkbox-sm" bind:checked={own.draft[key]} />
            {text}
          </label>
        {/each}
      </div>
      <TechniqueTaste bind:draft={own.draft} />
      <label>
        <span class="label-text">A sentence for the client</span>
        <input
          class="input w-full"
          maxlength="400"
          bind:value={() => own.draft?.note ?? '', (v) => own.draft && (own.draft.note = v || null)}
        />
      </label>
      {#if own.faults.length > 0}
        <ul class="border-l-4 border-error pl-3" role="alert">
          {#each own.faults as fault, i (i)}<li>{fault}</li>{/each}
        </ul>
      {/if}
      {#if own.conflict}
        <p class="border-l-4 border-warning pl-3" role="alert">
          Somebody changed {own.conflict.value.name} meanwhile. Yours is kept here and not stored yet.
          <button class="link" onclick={() => void save(own.conflict?.revision)}>Store mine over it</button>
        </p>
      {/if}
    </div>
  {/if}
  {#snippet actions()}
    <button class="btn" onclick={() => own.putAside()}>Cancel</button>
    <button class="btn btn-primary" disabled={own.busy} onclick={() => void save()}>Keep the approach</button>
  {/snippet}
</Dialog>
