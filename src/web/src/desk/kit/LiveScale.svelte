<script lang="ts">
  import { onDestroy } from 'svelte';
  import QuantityField from '../ui/QuantityField.svelte';
  import { number } from '../../shared/words';

  interface Props {
    flatCm: number;
    widthMm: number;
    thicknessMm: number;
    strands: number;
    ontaken: (lengthCm: number, forceKg: number) => void;
  }

  let { flatCm, widthMm, thicknessMm, strands, ontaken }: Props = $props();
  // svelte-ignore state_referenced_locally
  let length = $state<number | null>(Math.round(flatCm * 1.4));
  let reading = $state<{ forceKg: number; steady: boolean } | null>(null);
  let on = $state(false);
  let lost = $state(false);
  let source: EventSource | undefined;

  function listen(): void {
    source?.close();
    reading = null;
    lost = false;
    on = true;
    const asked = new URLSearchParams({
      flatCm: String(flatCm),
      widthMm: String(widthMm),
      thicknessMm: String(thicknessMm),
      strands: String(strands),
      lengthCm: String(length ?? flatCm),
    });
    source = new EventSource(`/api/v1/scale/readings?${asked.toString()}`);
    source.addEventListener('reading', (event: MessageEvent<string>) => {
      reading = JSON.parse(event.data) as typeof reading;
    });
    source.onerror = () => {
      // The stream ends by itself after a while; what was read last stays.
      source?.close();
      lost = reading === null;
      on = false;
    };
  }

  function stop(): void {
    source?.close();
    on = false;
  }

  onDestroy(stop);
</script>

<div class="sheet p-3">
  <p class="soft text-note">
    Simulated hanging scale: it pulls on a made-up band of this size. A real one takes its place behind the
    same stream of readings.
  </p>
  <div class="mt-2 grid grid-cols-[8rem_1fr_auto] items-end gap-3">
    <QuantityField
      label="Pull to"
      kind="length"
      min={flatCm}
      max={flatCm * 3.5}
      bind:value={length}
      onchange={() => on && listen()}
    />
    <p class="figures text-hero leading-none font-semibold" aria-live="off">
      {reading ? `${number(reading.forceKg)} kg` : '– kg'}
      <span class="soft font-sans text-note font-normal" role="status"
        >{lost
          ? 'no reading: try again'
          : !on && !reading
            ? 'off'
            : reading?.steady
              ? 'steady'
              : 'settling …'}</span
      >
    </p>
    <div class="flex gap-2">
      <button class="btn btn-sm" onclick={on ? stop : listen}>{on ? 'Let go' : 'Pull'}</button>
      <button
        class="btn btn-primary btn-sm"
        disabled={!reading?.steady || !length}
        onclick={() => reading && length && ontaken(length, reading.forceKg)}>Take this reading</button
      >
    </div>
  </div>
</div>
