<script lang="ts">
  interface Props {
    label: string;
    value: number | null | undefined;
    unit?: string;
    min?: number;
    max?: number;
    step?: number | 'any';
    placeholder?: string;
    hideLabel?: boolean;
    class?: string;
  }

  let {
    label,
    value = $bindable(),
    unit,
    min,
    max,
    step = 'any',
    placeholder,
    hideLabel = false,
    class: extra = '',
  }: Props = $props();
</script>

<label class={extra}>
  <span class={hideLabel ? 'sr-only' : 'label-text'}>{label}</span>
  <span class="input figures flex w-full items-center gap-1 px-2">
    <input
      class="min-w-0 grow"
      type="number"
      inputmode="decimal"
      {min}
      {max}
      {step}
      {placeholder}
      bind:value={() => value ?? null, (v) => (value = v ?? null)}
    />
    {#if unit}<span class="soft text-note">{unit}</span>{/if}
  </span>
</label>
