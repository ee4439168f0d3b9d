<script lang="ts">
  import { number } from '../../shared/words';

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

  const id = $props.id();
  const fault = $derived.by(() => {
    if (value == null || ((min == null || value >= min) && (max == null || value <= max))) return '';
    if (min != null && max != null) return `between ${number(min)} and ${number(max)}`;
    return min != null ? `at least ${number(min)}` : `at most ${number(max ?? 0)}`;
  });
</script>

<label class={extra}>
  <span class={hideLabel ? 'sr-only' : 'label-text'}>{label}</span>
  <span class={['input figures flex w-full items-center gap-1 px-2', fault && 'border-error']}>
    <input
      class="min-w-0 grow"
      type="number"
      inputmode="decimal"
      {min}
      {max}
      {step}
      {placeholder}
      aria-invalid={fault !== ''}
      aria-describedby={fault ? `fault-${id}` : undefined}
      bind:value={() => value ?? null, (v) => (value = v ?? null)}
    />
    {#if unit}<span class="soft text-note">{unit}</span>{/if}
  </span>
  {#if fault}<span id="fault-{id}" class="block text-note text-error">{fault}</span>{/if}
</label>
