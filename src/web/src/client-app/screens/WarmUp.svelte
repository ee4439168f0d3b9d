<script lang="ts">
  import BottomBar from '../parts/BottomBar.svelte';
  import { clock, Ticking } from '../lead/ticking.svelte';
  import type { Sound } from '../lead/sound';
  import type { TimedStep } from '../types';

  interface Props {
    steps: TimedStep[];
    done: number[];
    sound: Sound;
    ontick: (step: number) => void;
    onwork: () => void;
    onleave: () => void;
  }

  let { steps, done, sound, ontick, onwork, onleave }: Props = $props();
  let timed = $state<{ step: number; until: number } | null>(null);
  const time = new Ticking();
  $effect(() => (timed ? time.run() : undefined));
  const left = $derived(timed ? Math.max(0, (timed.until - time.now) / 1000) : 0);
  $effect(() => {
    if (timed && left === 0) {
      if (!done.includes(timed.step)) ontick(timed.step);
      timed = null;
      sound.buzz([80, 60, 80]);
    }
  });
  const start = (step: number, seconds: number): void => {
    if (timed?.step === step) {
      timed = null;
      sound.stop();
      return;
    }

    timed = { step, until: Date.now() + seconds * 1000 };
    sound.wake();
    sound.ends(seconds);
  };
</script>

<main class="mx-auto grid w-full max-w-xl content-start gap-3 px-4 pt-4 pb-28" id="main">
  <div class="flex items-center gap-2">
    <h1 class="flex-1 text-hero">Warm-up</h1>
    <button class="plain" onclick={onleave}>Back</button>
  </div>
  <ul class="grid gap-2">
    {#each steps as step, i (i)}
      <li class="flex items-stretch gap-2">
        <button
          class="tap flex-1 justify-start text-left"
          role="checkbox"
          aria-checked={done.includes(i)}
          onclick={() => ontick(i)}
          ><span aria-hidden="true" class="w-6 shrink-0">{done.includes(i) ? '✓' : '○'}</span
          >{step.text}</button
        >
        {#if step.seconds}
          <button
            class="tap figures w-20 shrink-0"
            aria-label={timed?.step === i ? 'Stop the timer' : `Start a timer of ${clock(step.seconds)}`}
            onclick={() => start(i, step.seconds!)}
            >{timed?.step === i ? clock(left) : clock(step.seconds)}</button
          >
        {/if}
      </li>
    {:else}
      <li class="soft">Nothing is asked for. Move until you are warm.</li>
    {/each}
  </ul>
</main>
<BottomBar>
  <button class="go" onclick={onwork}>To the first exercise</button>
</BottomBar>
