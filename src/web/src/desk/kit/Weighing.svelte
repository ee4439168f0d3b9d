<script lang="ts">
  import QuantityField from '../ui/QuantityField.svelte';

  interface Props {
    what: string;
    onweighed: (kg: number) => void;
  }

  let { what, onweighed }: Props = $props();
  let way = $state<'bathroom' | 'hanging'>('bathroom');
  let withIt = $state<number | null>(null);
  let without = $state<number | null>(null);
  let hung = $state<number | null>(null);
  let pieces = $state<number | null>(1);

  const kg = $derived.by(() => {
    const all = way === 'hanging' ? hung : withIt != null && without != null ? withIt - without : null;
    return all == null || !pieces ? null : Math.round((all / pieces) * 1000) / 1000;
  });
</script>

<fieldset class="mt-2">
  <legend class="sr-only">Weigh {what}</legend>
  <div class="join mb-2" role="group" aria-label="How it is weighed">
    <button
      type="button"
      class={['btn join-item btn-xs', way === 'bathroom' && 'btn-neutral']}
      aria-pressed={way === 'bathroom'}
      onclick={() => (way = 'bathroom')}>Bathroom scale, with and without</button
    >
    <button
      type="button"
      class={['btn join-item btn-xs', way === 'hanging' && 'btn-neutral']}
      aria-pressed={way === 'hanging'}
      onclick={() => (way = 'hanging')}>Hanging scale</button
    >
  </div>
  <div class="grid grid-cols-3 items-start gap-2">
    {#if way === 'bathroom'}
      <QuantityField label="You with it" kind="mass" max={400} bind:value={withIt} />
      <QuantityField label="You alone" kind="mass" max={300} bind:value={without} />
    {:else}
      <QuantityField label="The scale shows" kind="mass" max={300} bind:value={hung} />
    {/if}
    <QuantityField label="Pieces weighed" kind="number" unit="×" min={1} max={100} bind:value={pieces} />
  </div>
  <div class="mt-2 flex items-center gap-3">
    <p class="flex-1 text-plain" aria-live="polite">
      {#if kg === null}Fill in what the scale shows.
      {:else if kg <= 0}<span class="text-error">With it must be more than without it.</span>
      {:else}One weighs <b class="figures">{kg} kg</b>.{/if}
    </p>
    <button
      type="button"
      class="btn btn-sm"
      disabled={kg === null || kg <= 0}
      onclick={() => kg !== null && onweighed(kg)}>Take it</button
    >
  </div>
</fieldset>
