<script lang="ts">
  import NumberField from '../ui/NumberField.svelte';

  interface Props {
    label: string;
    range: { min: number; max: number } | null | undefined;
    min: number;
    max: number;
    /** Set on ticking. */
    start: { min: number; max: number };
    unit?: string;
  }

  let { label, range = $bindable(), min, max, start, unit }: Props = $props();
</script>

<fieldset>
  <legend class="label-text">{label}</legend>
  <label class="flex items-center gap-2 py-1">
    <input
      type="checkbox"
      class="checkbox checkbox-sm"
      checked={!range}
      onchange={(event) => (range = event.currentTarget.checked ? null : { ...start })}
    />
    as in the gym plan
  </label>
  {#if range}
    <div class="flex items-center gap-1">
      <NumberField class="w-24" label="{label} from" hideLabel {min} {max} step={1} bind:value={range.min} />
      <span>to</span>
      <NumberField
        class="w-24"
        label="{label} to"
        hideLabel
        {min}
        {max}
        step={1}
        {unit}
        bind:value={range.max}
      />
    </div>
  {/if}
</fieldset>
