<script lang="ts">
  import type { Snippet } from 'svelte';
  import SetupSketches from '../../shared/sketches/SetupSketches.svelte';
  import Figure from '../../shared/figures/Figure.svelte';
  import { shareOfPhase } from '../../shared/figures/rep';
  import { figures } from '../keep/figures.svelte';
  import BottomBar from '../parts/BottomBar.svelte';
  import { counted, leadIn } from '../lead/count';
  import { clock, Ticking } from '../lead/ticking.svelte';
  import type { Leading, Sound } from '../lead/sound';
  import type { Training } from '../lead/training.svelte';
  import { exercisesOf, targetInWords } from '../lead/walk';
  import Overview from '../parts/Overview.svelte';
  import SwapSheet from '../parts/SwapSheet.svelte';
  import TempoWave from '../parts/TempoWave.svelte';

  interface Props {
    training: Training;
    sound: Sound;
    leading: Leading;
    onleading: (leading: Leading) => void;
    stopSigns: Snippet;
  }

  let { training, sound, leading, onleading, stopSigns }: Props = $props();
  const running = $derived(training.running!);
  const exercise = $derived(training.exercise);
  const turn = $derived(training.turn);
  const part = $derived(training.part);
  const order = $derived(exercisesOf(training.walk));
  let sheet = $state<'swap' | 'overview' | null>(null);

  const time = new Ticking();
  $effect(() => (running.countingSince !== null || running.restUntil !== null ? time.run() : undefined));
  const elapsed = $derived(
    running.countingSince === null ? 0 : Math.max(0, (time.now - running.countingSince) / 1000),
  );
  const count = $derived(
    running.countingSince === null || exercise.timed ? null : counted(exercise.phases, elapsed),
  );
  const held = $derived(elapsed - leadIn);
  const restLeft = $derived(
    running.restUntil === null ? 0 : Math.max(0, (running.restUntil - time.now) / 1000),
  );
  const phase = $derived(count && count.phase >= 0 ? exercise.phases[count.phase] : null);

  const drawing = $derived(figures.of(exercise));
  /** The figure moves with the count. */
  const share = $derived(
    drawing && phase && count ? shareOfPhase(phase.way, count.through, drawing.lowersFirst) : undefined,
  );

  /** A hold ends by itself when its time is over. */
  $effect(() => {
    if (exercise.timed && running.countingSince !== null && part.target.max > 0 && held >= part.target.max) {
      sound.buzz([120, 80, 120]);
      training.partDone();
    }
  });
  /** While it counts, the count is what is looked at. */
  let figure = $state<HTMLElement>();
  $effect(() => {
    if (running.countingSince !== null) figure?.scrollIntoView({ block: 'center' });
  });
  /** In silence each phase lights up as it begins. */
  const flash = $derived(
    leading === 'silent' && count !== null && count.phase >= 0 && count.second === 1 && count.through < 0.2,
  );
  const following = $derived(training.parts[running.part + 1]);
  const doneWord = $derived(
    !following
      ? 'Set done'
      : following.kind === 'work'
        ? 'Left side done'
        : following.kind === 'small'
          ? 'Done, a small set next'
          : following.kind === 'more'
            ? 'Done, more of this set next'
            : 'Done, go on with less',
  );
  const leadings: [Leading, string][] = [
    ['ticks', 'ticks'],
    ['voice', 'voice'],
    ['silent', 'silent'],
  ];
  const partWord = $derived(
    part.kind === 'small'
      ? 'small set'
      : part.kind === 'more'
        ? 'the same set goes on'
        : part.kind === 'go-on'
          ? 'go on with less, at once'
          : null,
  );
</script>

<main class="mx-auto grid w-full max-w-xl content-start gap-3 px-4 pt-2 pb-40" id="main">
  <div class="sticky top-0 z-10 flex items-center gap-2 bg-base-200">
    <button class="plain flex-1 text-left text-body" onclick={() => (sheet = 'overview')}>
      {order.indexOf(turn.exercise) + 1} of {order.length} · set {turn.set} of {turn.of}{turn.rounds > 1
        ? ` · round ${turn.round} of ${turn.rounds}`
        : ''}
    </button>
    {@render stopSigns()}
  </div>
  <h1 class="text-hero">{exercise.name}</h1>
  <p class="text-lead">{exercise.setup}</p>
  {#if drawing}
    <Figure {drawing} size={150} pair={share === undefined} {share} label={drawing.inWords} />
  {/if}
  {#if exercise.cues[0]}<p class="border-l-4 border-primary pl-3 text-lead">{exercise.cues[0]}</p>{/if}
  {#if part.side}
    <p class="text-title font-semibold" role="status">{part.side === 'left' ? 'Left side' : 'Right side'}</p>
  {/if}
  {#if partWord}<p class="text-title font-semibold" role="status">{partWord}</p>{/if}

  {#if running.restUntil !== null && restLeft > 0}
    <p class="figures text-center text-count leading-none" role="timer" aria-label="Rest">
      {clock(restLeft)}
    </p>
    <p class="text-center text-lead">then {targetInWords(part)}</p>
  {:else if exercise.timed}
    <p class="figures text-center text-count leading-none" role="timer" aria-label="Hold">
      {#if running.countingSince === null}{part.target.max > 0 ? clock(part.target.max) : '0:00'}
      {:else if held < 0}{Math.ceil(-held)}
      {:else}{part.target.max > 0 ? clock(Math.max(0, part.target.max - held)) : clock(Math.floor(held))}{/if}
    </p>
    <p class="text-center text-lead">
      {running.countingSince !== null && held < 0
        ? 'get ready'
        : part.target.max > 0
          ? `hold ${targetInWords(part)} seconds`
          : 'hold as long as you can'}
    </p>
  {:else}
    <div
      bind:this={figure}
      class={['grid grid-cols-[auto_1fr] items-center gap-4 rounded-xl', flash && 'bg-secondary/30']}
    >
      <p
        class={[
          'figures leading-none font-semibold whitespace-nowrap',
          !count && part.target.max > part.target.min ? 'text-range' : 'text-count',
        ]}
        aria-live="off"
      >
        {#if count}{count.rep === 0 ? count.second : count.rep}{:else}{part.target.max > 0
            ? targetInWords(part)
            : '∞'}{/if}
      </p>
      <p class="text-lead">
        {#if count}
          {count.rep === 0 ? 'get ready' : `of ${targetInWords(part)}`}<br />
          {#if phase}<b class="text-title">{phase.word} {phase.fast ? '' : count.second}</b>{/if}
        {:else}
          {part.target.max > 0 ? 'reps' : 'as many as you can'}{exercise.perSide && !part.side
            ? ' a side'
            : ''}
        {/if}
      </p>
    </div>
    <p class="text-lead">{exercise.tempo}</p>
    {#if exercise.phases.length > 0}<TempoWave
        phases={exercise.phases}
        phase={count?.phase ?? -1}
        through={count?.through ?? 0}
      />{/if}
  {/if}
  {#each exercise.instructions as instruction, i (i)}<p class="font-semibold">{instruction}</p>{/each}
  <p class="soft">
    {exercise.timed
      ? ''
      : exercise.rir === 0
        ? 'To the last clean rep.'
        : `Stop with ${exercise.rir} left in you.`}
  </p>

  <div class="flex flex-wrap items-center gap-2">
    <button
      class="tap"
      onclick={() => (running.countingSince === null ? training.count() : training.stopCount())}
    >
      {running.countingSince === null
        ? exercise.timed
          ? 'Start the clock'
          : 'Count for me'
        : 'Stop the count'}
    </button>
    <div class="flex gap-1" role="radiogroup" aria-label="What you hear">
      {#each leadings as [key, label] (key)}
        <button class="tap px-3" role="radio" aria-checked={leading === key} onclick={() => onleading(key)}
          >{label}</button
        >
      {/each}
    </div>
  </div>

  <details class="border-t border-base-300 pt-2">
    <summary class="tap w-full justify-start">How to set it up, why, and what to take care of</summary>
    <div class="grid gap-2 py-2">
      {#if exercise.steps.length > 0}
        <ol class="list-decimal pl-6">
          {#each exercise.steps as step, i (i)}<li>{step}</li>{/each}
        </ol>
      {/if}
      {#if exercise.how}<p>{exercise.how}</p>{/if}
      <SetupSketches bag={exercise.bag} bands={exercise.bands} large />
      {#if exercise.cues.length > 1}
        <ul class="list-disc pl-6">
          {#each exercise.cues.slice(1) as cue, i (i)}<li>{cue}</li>{/each}
        </ul>
      {/if}
      {#if training.planned.why}<p><b>Why.</b> {training.planned.why}</p>{/if}
      {#if exercise.cautions.length > 0}<p><b>Take care.</b> {exercise.cautions.join(' ')}</p>{/if}
    </div>
  </details>
</main>

<BottomBar>
  {#snippet more()}
    <button class="plain" onclick={() => (sheet = 'swap')}>Swap</button>
    <button class="plain" onclick={() => training.skipSet()}>Skip this set</button>
    <button class="plain" onclick={() => training.end()}>End</button>
  {/snippet}
  {#if restLeft > 0}
    <button class="go" onclick={() => training.startPart()}>Start now</button>
  {:else}
    <button class="go" onclick={() => training.partDone()}>{doneWord}</button>
  {/if}
</BottomBar>

{#if sheet === 'swap'}
  <SwapSheet
    planned={training.planned}
    now={exercise}
    onswap={(id, why) => {
      sheet = null;
      training.swap(id, why);
    }}
    onlighter={() => {
      sheet = null;
      training.lighten();
    }}
    onleave={(hurts) => {
      sheet = null;
      if (hurts) training.stopExercise();
      else training.leaveOut();
    }}
    onclose={() => (sheet = null)}
  />
{:else if sheet === 'overview'}
  <Overview {training} onclose={() => (sheet = null)} />
{/if}
