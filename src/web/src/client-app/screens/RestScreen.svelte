<script lang="ts">
  import type { Snippet } from 'svelte';
  import BottomBar from '../parts/BottomBar.svelte';
  import { clock, Ticking } from '../lead/ticking.svelte';
  import type { Sound } from '../lead/sound';
  import type { Training } from '../lead/training.svelte';
  import { exerciseOf, partsOf, setInWords } from '../lead/walk';
  import Overview from '../parts/Overview.svelte';
  import SetEntry from '../parts/SetEntry.svelte';
  import SwapSheet from '../parts/SwapSheet.svelte';
  import type { Joint, SwapReason } from '../types';

  interface Props {
    training: Training;
    sound: Sound;
    stopSigns: Snippet;
  }

  let { training, sound, stopSigns }: Props = $props();
  const running = $derived(training.running!);
  const done = $derived(training.doneNow);
  const next = $derived(training.next);
  const nextExercise = $derived(next ? exerciseOf(training.walk, next.exercise) : null);
  const nextParts = $derived(next ? partsOf(training.walk, next) : []);
  const nextTarget = $derived(nextParts[0]);
  let sheet = $state<'swap' | 'overview' | null>(null);
  let why = $state<SwapReason | null>(null);
  let joint = $state<Joint | null>(null);

  const time = new Ticking();
  $effect(() => (running.restUntil !== null ? time.run() : undefined));
  const left = $derived(running.restUntil === null ? 0 : (running.restUntil - time.now) / 1000);
  const over = $derived(left <= 0);
  /** Seconds beyond the rest from which how long it is over says nothing any more. */
  const longOver = 599;
  let told = $state(false);
  $effect(() => {
    if (over && !told && running.restUntil !== null) {
      told = true;
      sound.buzz([150, 80, 150]);
    } else if (!over) told = false;
  });
  const share = $derived(running.restSeconds > 0 ? Math.min(1, Math.max(0, left / running.restSeconds)) : 0);
</script>

<main class={['mx-auto grid w-full max-w-xl content-start gap-4 px-4 pt-2 pb-40']} id="main">
  <div class="sticky top-0 z-10 flex items-center gap-2 bg-base-200">
    <button class="plain flex-1 text-left text-body" onclick={() => (sheet = 'overview')}
      >{training.setsDone} of {training.setsInAll} sets</button
    >
    {@render stopSigns()}
  </div>
  {#if next}
    <h1 class="visually-hidden">Rest</h1>
    <p
      class={['figures text-count leading-none', over && 'text-secondary']}
      role="timer"
      aria-label={over ? 'Rest is over' : 'Rest'}
    >
      {left < -longOver ? 'over' : clock(left)}
    </p>
    <div class="h-2 overflow-hidden rounded bg-base-300" aria-hidden="true">
      <div class="h-full bg-primary" style:width="{share * 100}%"></div>
    </div>
    <p class="text-lead" role="status">
      {#if next.exercise !== training.turn.exercise}<b>Next: {nextExercise?.name}.</b> {nextExercise?.setup}.
      {:else}Next: set {next.set} of {next.of}.{/if}
      {#if nextTarget}<span class="figures">{setInWords(nextParts)}</span>{nextExercise?.timed
          ? ' s'
          : ''}{nextTarget.side ? ', left side first' : ''}{/if}
    </p>
  {:else}
    <h1 class="text-hero">That was the last set</h1>
  {/if}
  {#if done}
    <SetEntry
      exercise={exerciseOf(training.walk, done.exercise).exerciseId === done.exerciseId
        ? training.exercise
        : training.planned}
      set={done.set}
      meant={done.meant ?? false}
      pain={running.sent.release.pain}
      onchange={(change, meant) => training.mend(change, meant)}
      onease={training.canLighten ? () => training.lighten() : undefined}
      onstop={(where) => {
        [why, joint, sheet] = ['hurts', where, 'swap'];
      }}
    />
  {/if}
</main>

<BottomBar>
  {#snippet more()}
    {#if next}<button class="plain" onclick={() => training.longer(30)}>+ 30 s</button>{/if}
    <button class="plain" onclick={() => training.again()}>Do it again</button>
    <button
      class="plain"
      onclick={() => {
        [why, joint, sheet] = [null, null, 'swap'];
      }}>Swap</button
    >
    <button class="plain" onclick={() => training.end()}>End</button>
  {/snippet}
  <button class="go" onclick={() => (next ? training.onward() : training.end())}
    >{next ? (over ? 'Next set' : 'Skip the rest') : 'To the end'}</button
  >
</BottomBar>

{#if sheet === 'swap'}
  <SwapSheet
    planned={training.planned}
    now={training.exercise}
    {why}
    {joint}
    onswap={(id, because) => {
      sheet = null;
      training.swap(id, because);
    }}
    onlighter={training.canLighten
      ? () => {
          sheet = null;
          training.lighten();
        }
      : undefined}
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
