<script lang="ts">
  import type { KitItem, KitKind } from '../api/types';
  import NumberField from '../ui/NumberField.svelte';
  import { isEstimated, measuresOf } from './kitGroups';

  interface Props {
    item: KitItem;
    kind: KitKind;
    onremove: () => void;
  }

  let { item = $bindable(), kind, onremove }: Props = $props();
  const label = $derived(item.name || kind.label);
</script>

<li
  class="rule-b grid grid-cols-[4.2rem_minmax(7rem,1fr)_minmax(0,auto)_auto] items-end gap-2 py-2 last:border-b-0"
>
  <NumberField
    label="How many: {label}"
    hideLabel
    unit="×"
    min={1}
    max={100}
    step={1}
    bind:value={item.count}
  />
  <label class="min-w-0">
    <span class="label-text"
      >{kind.label}{#if isEstimated(item, kind)}<span class="ml-2 text-warning italic">estimated</span
        >{/if}</span
    >
    <input
      class="input w-full"
      maxlength="60"
      placeholder={kind.label}
      aria-label="Name of the {kind.label.toLowerCase()}"
      bind:value={item.name}
    />
  </label>
  <div class="flex flex-wrap gap-2">
    {#each measuresOf(kind) as measure (measure.field)}
      <NumberField
        class="w-24"
        label={measure.label}
        unit={measure.unit}
        max={measure.max}
        placeholder={measure.typical == null ? '' : String(measure.typical)}
        bind:value={item[measure.field]}
      />
    {/each}
  </div>
  <button type="button" class="btn btn-ghost" aria-label="Remove {label}" onclick={onremove}>×</button>
</li>
