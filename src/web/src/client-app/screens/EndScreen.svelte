<script lang="ts">
  import BottomBar from '../parts/BottomBar.svelte';
  import { count } from '../../shared/words';
  import type { Training } from '../lead/training.svelte';

  interface Props {
    training: Training;
  }

  let { training }: Props = $props();
  const running = $derived(training.running!);
  const day = $derived(running.sent.release.days[running.day]!);
  // svelte-ignore state_referenced_locally
  let effort = $state<number | null>(running.effort);
  // svelte-ignore state_referenced_locally
  let note = $state(running.note);
  const words = ['', 'very easy', '', 'easy', '', 'some effort', '', 'hard', '', 'very hard', 'nothing left'];
  const said = $derived(effort === null ? '' : words[effort] || words[effort - 1] || '');
</script>

<main class="mx-auto grid w-full max-w-xl content-start gap-4 px-4 pt-4 pb-40" id="main">
  <h1 class="text-hero">Well done</h1>
  <p class="text-lead">{count(training.setsDone, 'set')} in {count(training.minutes, 'minute')}.</p>
  {#if day.coolDown.length > 0}
    <section aria-labelledby="cool">
      <h2 id="cool" class="text-lead">Cool down</h2>
      <ul class="list-disc pl-6">
        {#each day.coolDown as step, i (i)}<li>{step.text}</li>{/each}
      </ul>
    </section>
  {/if}
  <section>
    <h2 id="effort" class="mb-1 text-lead">How hard was it in all?</h2>
    <div class="grid grid-cols-5 gap-2" role="radiogroup" aria-labelledby="effort">
      {#each Array.from({ length: 10 }, (_, i) => i + 1) as n, i (i)}
        <button
          class="tap figures"
          role="radio"
          aria-checked={effort === n}
          onclick={() => (effort = effort === n ? null : n)}>{n}</button
        >
      {/each}
    </div>
    <p class="soft mt-1 min-h-6" role="status">{said}</p>
  </section>
  <label>
    <span class="mb-1 block text-lead">A word to your coach</span>
    <textarea
      class="tap w-full justify-start text-left"
      rows="3"
      maxlength="1000"
      bind:value={note}
      placeholder="A question, what was good, what was not"></textarea>
  </label>
</main>
<BottomBar>
  {#snippet more()}
    <button class="plain" onclick={() => training.resume()}>Go on training</button>
    {#if training.setsDone === 0}<button class="plain" onclick={() => training.discard()}
        >Forget this session</button
      >{/if}
  {/snippet}
  <button class="go" disabled={training.setsDone === 0} onclick={() => training.finish(effort, note)}
    >Send to your coach</button
  >
</BottomBar>
