<script lang="ts">
  import { api, ask } from '../api/client';
  import type { BandBench, BandGrip, BandKnob, CalibrationPoint, KitItem } from '../../shared/api/types';
  import { toasts } from '../toasts.svelte';
  import { domainRules } from '../domainRules.svelte';
  import QuantityField from '../ui/QuantityField.svelte';
  import { count, number } from '../../shared/words';
  import BandCurve from './BandCurve.svelte';
  import type { KitBench } from './kitBench.svelte';
  import LiveScale from './LiveScale.svelte';
  import ResistanceChart from './ResistanceChart.svelte';

  interface Props {
    bench: KitBench;
  }

  let { bench }: Props = $props();
  const bands = $derived(bench.items.filter((i) => domainRules.kind(i.kind)?.measures.includes('force')));
  const band = $derived(bands.find((b) => b.id === bench.selectedId) ?? bands[0]);
  const kind = $derived(band ? domainRules.kind(band.kind) : undefined);
  const exercises = $derived((domainRules.summary?.exercises ?? []).filter((e) => e.bandSetups.length > 0));

  let exerciseId = $state('band-row');
  let setupId = $state('');
  let grip = $state<BandGrip>({ doubled: false, chokeCm: 0, stanceCm: 0, anchorCm: 110 });
  let knob = $state<BandKnob>('choke');
  let wanted = $state<number | null>(null);
  let found = $state<BandBench | null>(null);
  let newLength = $state<number | null>(null);
  let newForce = $state<number | null>(null);
  let live = $state(false);
  let run = 0;

  const exercise = $derived(exercises.find((e) => e.id === exerciseId));
  const setup = $derived(exercise?.bandSetups.find((s) => s.id === setupId) ?? exercise?.bandSetups[0]);
  const knobs = $derived<{ id: BandKnob; label: string }[]>(
    setup?.rig === 'anchored'
      ? [
          { id: 'anchor', label: 'where to stand' },
          { id: 'choke', label: 'how short to grip' },
        ]
      : setup?.rig === 'stood-on'
        ? [
            { id: 'choke', label: 'how short to grip' },
            { id: 'stance', label: 'how wide to stand' },
          ]
        : [{ id: 'choke', label: 'how short to grip' }],
  );
  const activeKnob = $derived(knobs.find((k) => k.id === knob)?.id ?? knobs[0]?.id ?? 'choke');
  const measured = $derived(band?.calibration ?? []);

  $effect(() => {
    if (!band) return;
    const body = {
      band: $state.snapshot(band) as KitItem,
      statureCm: bench.client?.value.profile.statureCm ?? null,
      exerciseId,
      setupId: setup?.id ?? null,
      grip: $state.snapshot(grip),
      knob: wanted ? activeKnob : null,
      wantedKg: wanted,
    };
    const mine = ++run;
    const timer = setTimeout(() => {
      ask(() => api.POST('/api/v1/bands/bench', { body })).then(
        (answer) => {
          if (mine === run) found = answer;
        },
        (error: unknown) => toasts.problem(error),
      );
    }, 120);
    return () => clearTimeout(timer);
  });

  const basis = $derived(
    found?.curve?.basis === 'calibrated'
      ? `fitted to ${count(measured.length, 'measured point')}, off by ${(found.curve.errorKg ?? 0).toFixed(2)} kg on average; ` +
          `used up to ${number(found.curve.limit)} times its length`
      : found?.curve?.basis === 'size'
        ? 'estimated from width and thickness, natural rubber: calibrate it to be sure'
        : 'estimated from its nominal force at twice its length: calibrate it to be sure',
  );
  const knobWord = (id: BandKnob, cm: number): string =>
    id === 'anchor'
      ? `start ${number(cm)} cm from the anchor`
      : id === 'stance'
        ? `feet ${number(cm)} cm apart`
        : `grip ${number(cm)} cm short`;

  function setPoints(calibration: CalibrationPoint[]): void {
    if (band) bench.update(band.id, { calibration });
  }

  function addPoint(lengthCm: number, forceKg: number): void {
    setPoints([...measured, { lengthCm, forceKg }].sort((a, b) => a.lengthCm - b.lengthCm));
    [newLength, newForce] = [null, null];
  }

  function apply(): void {
    const cm = found?.solvedCm;
    if (cm == null) return;
    grip =
      activeKnob === 'anchor'
        ? { ...grip, anchorCm: cm }
        : activeKnob === 'stance'
          ? { ...grip, stanceCm: cm }
          : { ...grip, chokeCm: cm };
  }
</script>

<div class="grid gap-3 p-4">
  <h2 class="text-xl">Band bench</h2>
  {#if !band || !kind}
    <p>No band at this place. Add one, for instance <span class="figures">band 104 cm 13 mm</span>.</p>
  {:else}
    <label>
      <span class="label-text">Band</span>
      <select
        class="select h-9 w-full"
        value={band.id}
        onchange={(event) => (bench.selectedId = event.currentTarget.value)}
      >
        {#each bands as b (b.id)}<option value={b.id}>{b.name || domainRules.kind(b.kind)?.label}</option
          >{/each}
      </select>
    </label>
    {#if found?.problem}
      <p class="border-l-2 border-error pl-2 text-error" role="alert">{found.problem}</p>
    {:else if found}
      <BandCurve {found} {measured} />
      <p class={['text-plain', found.curve?.basis !== 'calibrated' && 'text-warning']}>
        {basis.charAt(0).toUpperCase() + basis.slice(1)}.
      </p>
    {/if}

    <fieldset>
      <legend class="mb-1 font-semibold">Measured points</legend>
      <ul class="grid gap-1">
        {#each measured as point, i (i)}
          <li class="grid grid-cols-[1fr_1fr_auto] gap-2">
            <QuantityField
              label="Length of point {i + 1}"
              hideLabel
              kind="length"
              max={2000}
              value={point.lengthCm}
              onchange={(v) => v && setPoints(measured.map((p, k) => (k === i ? { ...p, lengthCm: v } : p)))}
            />
            <QuantityField
              label="Force of point {i + 1}"
              hideLabel
              kind="mass"
              max={300}
              value={point.forceKg}
              onchange={(v) => v && setPoints(measured.map((p, k) => (k === i ? { ...p, forceKg: v } : p)))}
            />
            <button
              class="btn btn-ghost btn-sm"
              aria-label="Remove point {i + 1}"
              onclick={() => setPoints(measured.filter((_, k) => k !== i))}>×</button
            >
          </li>
        {/each}
      </ul>
      <form
        class="mt-1 grid grid-cols-[1fr_1fr_auto] items-end gap-2"
        onsubmit={(event) => {
          event.preventDefault();
          if (newLength && newForce) addPoint(newLength, newForce);
        }}
      >
        <QuantityField label="Hangs to a length of" kind="length" max={2000} bind:value={newLength} />
        <QuantityField label="under a load of" kind="mass" max={300} bind:value={newForce} />
        <button class="btn btn-sm" disabled={!newLength || !newForce}>Add point</button>
      </form>
      <button class="btn btn-ghost btn-sm mt-1" aria-expanded={live} onclick={() => (live = !live)}
        >{live ? 'Put the scale away' : 'Use the hanging scale'}</button
      >
    </fieldset>
    {#if live}
      {#key band.id}
        <LiveScale
          flatCm={band.restLengthCm ?? kind.typicalRestLengthCm ?? 100}
          widthMm={band.widthMm ?? kind.typicalWidthMm ?? 13}
          thicknessMm={band.thicknessMm ?? kind.typicalThicknessMm ?? 4.5}
          strands={kind.can.includes('closed-loop') ? 2 : 1}
          ontaken={addPoint}
        />
      {/key}
    {/if}

    <fieldset class="border-t border-base-300 pt-3">
      <legend class="font-semibold">In a set-up, for {bench.client?.value.name ?? 'this client'}</legend>
      <div class="grid grid-cols-2 gap-2">
        <label>
          <span class="label-text">Exercise</span>
          <select class="select h-9 w-full" bind:value={exerciseId} onchange={() => (setupId = '')}>
            {#each exercises as e (e.id)}<option value={e.id}>{e.name}</option>{/each}
          </select>
        </label>
        <label>
          <span class="label-text">Set-up</span>
          <select
            class="select h-9 w-full"
            value={setup?.id}
            onchange={(event) => (setupId = event.currentTarget.value)}
          >
            {#each exercise?.bandSetups ?? [] as s (s.id)}<option value={s.id}>{s.text}</option>{/each}
          </select>
        </label>
        <QuantityField label="Gripped short by" kind="length" max={400} bind:value={grip.chokeCm} />
        {#if setup?.rig === 'stood-on'}
          <QuantityField
            label="Feet apart, 0 for one foot"
            kind="length"
            max={200}
            bind:value={grip.stanceCm}
          />
        {:else if setup?.rig === 'anchored'}
          <QuantityField
            label="Height of the anchor, empty when level"
            kind="length"
            max={300}
            bind:value={grip.anchorHeightCm}
          />
          <QuantityField
            label="Anchor to hand at the start"
            kind="length"
            max={1000}
            bind:value={grip.anchorCm}
          />
        {/if}
        <label class="flex min-h-9 items-center gap-2 self-end">
          <input type="checkbox" class="checkbox checkbox-sm" bind:checked={grip.doubled} />
          <span>Doubled</span>
        </label>
      </div>
      <div class="mt-2 flex flex-wrap items-center gap-4" aria-live="polite">
        {#if found?.rep}
          <ResistanceChart range={found.rep.force} width={190} height={70} />
          <div class="text-plain">
            <p>
              <b class="figures text-figure">{number(found.rep.force.most)} kg</b> where it is hardest
            </p>
            <p class="soft">
              stretched {number(found.rep.startStretch)} to {number(found.rep.endStretch)} times its length
            </p>
            {#if found.statureAssumed}<p class="text-warning">
                Stature not known: {domainRules.summary?.assumedStatureCm} cm assumed.
              </p>{/if}
            {#if found.rep.warning}<p class="border-l-2 border-warning pl-2">{found.rep.warning}</p>{/if}
          </div>
        {:else if found?.repProblem}
          <p class="border-l-2 border-error pl-2 text-error">{found.repProblem}</p>
        {/if}
      </div>
      <div class="mt-2 grid grid-cols-[1fr_1.2fr_auto] items-end gap-2">
        <QuantityField label="Wanted where hardest" kind="mass" min={0.1} max={150} bind:value={wanted} />
        <label>
          <span class="label-text">by changing</span>
          <select
            class="select h-9 w-full"
            value={activeKnob}
            onchange={(e) => (knob = e.currentTarget.value as BandKnob)}
          >
            {#each knobs as k (k.id)}<option value={k.id}>{k.label}</option>{/each}
          </select>
        </label>
        <button class="btn btn-sm" disabled={found?.solvedCm == null} onclick={apply}>Set it so</button>
      </div>
      <p class="mt-1 text-plain" aria-live="polite">
        {#if wanted && found?.solvedCm != null}For {number(wanted)} kg:
          <b>{knobWord(activeKnob, found.solvedCm)}</b>.
        {:else if wanted && found?.solveProblem}<span class="text-error">{found.solveProblem}</span>{/if}
      </p>
    </fieldset>
  {/if}
</div>
