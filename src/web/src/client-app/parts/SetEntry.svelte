<script lang="ts">
  import { kg } from '../../shared/words';
  import type { Joint, LoggedSet, PainOnTheSpot, ReleaseExercise } from '../types';
  import PainBody from './PainBody.svelte';

  interface Props {
    exercise: ReleaseExercise;
    set: LoggedSet;
    meant: boolean;
    pain: PainOnTheSpot;
    onchange: (change: Partial<LoggedSet>, meant?: boolean) => void;
    /** It hurts too much to go on. */
    onstop?: (joint: Joint | null) => void;
    /** Goes on with less; missing where nothing is lighter. */
    onease?: () => void;
  }

  let { exercise, set, meant, pain, onchange, onstop, onease }: Props = $props();
  const reserve = ['no more', '1', '2', '3', '4+'];
  const spoken = [
    'I could not have done one more',
    'one more',
    'two more',
    'three more',
    'four more or more',
  ];
  /** "Yes" was tapped: where, and how much, are asked; no figure stands there by itself. */
  let asked = $state(false);
  const hurting = $derived(
    asked ||
      set.hurts === true ||
      (set.pain ?? 0) > 0 ||
      set.sharp === true ||
      (set.painJoint ?? null) !== null,
  );
  let loadShown = $state(false);
  const step = $derived(exercise.timed ? 5 : 1);
  const reps = (by: number): void => onchange({ reps: Math.max(0, Math.min(500, set.reps + by)) }, false);
  const stops = $derived((set.pain ?? 0) >= pain.stopFrom || set.sharp === true);
  const asks = $derived(
    set.reps > exercise.doubt.mostReps
      ? exercise.doubt.reps
      : (set.loadKg ?? 0) > exercise.doubt.mostKg
        ? exercise.doubt.kg
        : null,
  );
</script>

<section class="grid gap-3" aria-label="That set">
  <div class="grid grid-cols-[72px_1fr_72px] items-stretch gap-3">
    <button
      class="tap text-big"
      aria-label={exercise.timed ? 'Five seconds less' : 'One rep less'}
      onclick={() => reps(-step)}>−</button
    >
    <p class="figures self-center text-center" aria-live="polite">
      <span class="text-big font-semibold">{set.reps}</span>
      <span class="block text-body"
        >{exercise.timed ? 'seconds' : set.reps === 1 ? 'rep' : 'reps'}{exercise.perSide
          ? ' a side'
          : ''}</span
      >
    </p>
    <button
      class="tap text-big"
      aria-label={exercise.timed ? 'Five seconds more' : 'One rep more'}
      onclick={() => reps(step)}>+</button
    >
  </div>
  {#if exercise.externalKg > 0}
    {#if loadShown}
      <label class="flex items-center gap-2">
        <span class="flex-1">Load of that set, kg</span>
        <input
          class="tap figures w-28"
          type="number"
          inputmode="decimal"
          min="0"
          max="500"
          step="0.5"
          value={set.loadKg ?? exercise.externalKg}
          onchange={(e) => {
            const typed = Number(e.currentTarget.value);
            if (e.currentTarget.value !== '' && typed >= 0 && typed <= 500)
              onchange({ loadKg: typed }, false);
            else e.currentTarget.value = String(set.loadKg ?? exercise.externalKg);
          }}
        />
      </label>
    {:else}
      <p class="flex items-center gap-2">
        <span class="flex-1"
          >{#if set.loadKg == null}with the load as set up{:else}with <b class="figures">{kg(set.loadKg)}</b
            >{/if}</span
        >
        <button class="plain" onclick={() => (loadShown = true)}>Other load</button>
      </p>
    {/if}
  {/if}
  {#if asks && !meant}
    <div class="rounded-xl border border-warning p-3" role="alert">
      <p>{asks} Is it right?</p>
      <div class="mt-2 flex gap-2">
        <button class="tap flex-1" onclick={() => onchange({}, true)}>Yes, I meant it</button>
        <button
          class="tap flex-1"
          onclick={() =>
            onchange({
              reps: Math.min(set.reps, exercise.doubt.mostReps),
              loadKg: null,
            })}>Mend it</button
        >
      </div>
    </div>
  {/if}
  {#if !exercise.timed}
    <div role="radiogroup" aria-labelledby="reserve">
      <h3 class="mb-1 text-lead" id="reserve">You could have done</h3>
      <div class="grid grid-cols-5 gap-2">
        {#each reserve as label, rir (rir)}
          <button
            class="tap px-1"
            role="radio"
            aria-checked={set.rir === rir}
            aria-label={spoken[rir]}
            onclick={() => onchange({ rir: set.rir === rir ? null : rir })}>{label}</button
          >
        {/each}
      </div>
    </div>
  {/if}
  <div>
    <h3 class="mb-1 text-lead" id="hurt">Did it hurt?</h3>
    <div class="grid grid-cols-2 gap-2" role="group" aria-labelledby="hurt">
      <button
        class="tap"
        aria-pressed={!hurting}
        onclick={() => {
          asked = false;
          onchange({ hurts: false, pain: null, painJoint: null, sharp: false });
        }}>no</button
      >
      <button class="tap" aria-pressed={hurting} onclick={() => ((asked = true), onchange({ hurts: true }))}
        >yes</button
      >
    </div>
    {#if hurting}
      <div class="mt-2 grid gap-3">
        <p>Where?</p>
        <PainBody joint={set.painJoint ?? null} onpick={(joint) => onchange({ painJoint: joint })} />
        <p id="how-much">How much, 0 to 10?</p>
        <div role="radiogroup" aria-labelledby="how-much" class="grid grid-cols-5 gap-2">
          {#each Array.from({ length: 10 }, (_, i) => i + 1) as n, i (i)}
            <button
              class="tap figures px-1"
              role="radio"
              aria-checked={set.pain === n}
              onclick={() => onchange({ pain: n })}>{n}</button
            >
          {/each}
        </div>
        <button class="tap" aria-pressed={set.sharp === true} onclick={() => onchange({ sharp: !set.sharp })}
          >It is sharp</button
        >
        {#if stops}
          <div class="rounded-xl border border-error p-3" role="alert">
            <p class="font-semibold">{pain.stop}</p>
            {#if onstop}
              <button class="go mt-2" onclick={() => onstop(set.painJoint ?? null)}>What now?</button>
            {/if}
          </div>
        {:else if (set.pain ?? 0) >= pain.easeFrom}
          <div class="rounded-xl border border-warning p-3" role="alert">
            <p>{pain.ease}</p>
            {#if onease}
              <button class="tap mt-2 w-full" onclick={() => onease()}>The same, with less</button>
            {/if}
          </div>
        {/if}
      </div>
    {/if}
  </div>
</section>
