<script lang="ts">
  import { baseUnit, readQuantity, type QuantityKind } from '../../shared/units';
  import { number } from '../../shared/words';

  interface Props {
    label: string;
    kind: QuantityKind;
    value: number | null | undefined;
    /** Unit shown instead of the usual one of the kind. */
    unit?: string;
    usual?: number | null | undefined;
    min?: number;
    max?: number;
    hideLabel?: boolean;
    class?: string;
    onchange?: (value: number | null) => void;
  }

  let {
    label,
    kind,
    value = $bindable(),
    unit,
    usual,
    min = 0,
    max = Number.POSITIVE_INFINITY,
    hideLabel = false,
    class: extra = '',
    onchange,
  }: Props = $props();

  let typed = $state<string | null>(null);
  let fault = $state('');
  const id = $props.id();
  const shown = $derived(typed ?? (value == null ? '' : String(Math.round(value * 1000) / 1000)));

  function read(text: string): void {
    typed = text;
    const parsed = readQuantity(text, kind);
    if (parsed === undefined) {
      fault =
        kind === 'number' ? 'a number, please' : `a number, with or without a unit such as ${baseUnit[kind]}`;
      return;
    }

    if (parsed !== null && (parsed < min || parsed > max)) {
      fault = `between ${number(min)} and ${number(max)}`;
      return;
    }

    fault = '';
    value = parsed;
    onchange?.(parsed);
  }

  function leave(): void {
    if (fault === '') typed = null;
  }
</script>

<label class={extra}>
  <span class={hideLabel ? 'sr-only' : 'label-text'}>{label}</span>
  <span class={['input figures flex h-9 w-full items-center gap-1 px-2', fault && 'border-error']}>
    <input
      class="min-w-0 grow"
      type="text"
      inputmode="decimal"
      autocomplete="off"
      placeholder={usual == null ? '' : number(usual)}
      value={shown}
      aria-invalid={fault !== ''}
      aria-describedby={fault ? `fault-${id}` : undefined}
      oninput={(event) => read(event.currentTarget.value)}
      onblur={leave}
    />
    <span class="soft text-note">{unit ?? baseUnit[kind]}</span>
  </span>
  {#if fault}<span id="fault-{id}" class="block text-note text-error">{fault}</span>{/if}
</label>
