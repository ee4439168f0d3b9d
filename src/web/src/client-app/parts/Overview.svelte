<script lang="ts">
  import type { Training } from '../lead/training.svelte';
  import { exerciseOf, exercisesOf, turnsOf } from '../lead/walk';
  import Sheet from './Sheet.svelte';
  import SetEntry from './SetEntry.svelte';

  interface Props {
    training: Training;
    onclose: () => void;
  }

  let { training, onclose }: Props = $props();
  const running = $derived(training.running!);
  const turns = $derived(turnsOf(training.walk).map((turn, at) => ({ turn, at })));
  let mending = $state<number | null>(null);
  const stateOf = (key: string): string => {
    const decided = running.decided[key];
    return decided?.stopped ? 'stopped' : decided?.skipped ? 'left out' : '';
  };
</script>

<Sheet title="The whole day" {onclose}>
  <ol class="mt-2 grid gap-3">
    {#each exercisesOf(training.walk) as key (key)}
      {@const exercise = exerciseOf(training.walk, key)}
      <li>
        <p class="flex items-baseline gap-2">
          <b class="flex-1">{exercise.name}</b>
          <span class="soft">{stateOf(key) || exercise.dose}</span>
        </p>
        <div class="mt-1 flex flex-wrap gap-2">
          {#each turns.filter((t) => t.turn.exercise === key) as { turn, at } (at)}
            {@const done = running.done.find((d) => d.turn === at)}
            {#if done}
              <button
                class="tap figures"
                aria-label="Mend set {turn.set}: {done.set.reps}"
                onclick={() => (mending = mending === at ? null : at)}
                >{done.set.reps}{done.set.loadKg
                  ? ` × ${Math.round(done.set.loadKg * 10) / 10} kg`
                  : ''}</button
              >
            {:else if !stateOf(key)}
              <button
                class="tap"
                aria-current={at === running.turn ? 'step' : undefined}
                onclick={() => {
                  training.goTo(at);
                  onclose();
                }}>{at === running.turn ? 'now' : `set ${turn.set}`}</button
              >
            {/if}
          {/each}
        </div>
        {#if mending !== null && turns[mending]?.turn.exercise === key}
          {@const done = running.done.find((d) => d.turn === mending)}
          {#if done}
            <div class="mt-3 rounded-xl border border-base-300 p-3">
              <SetEntry
                {exercise}
                set={done.set}
                meant={done.meant ?? false}
                pain={running.sent.release.pain}
                onchange={(change, meant) => training.mend(change, meant, done.turn)}
              />
            </div>
          {/if}
        {/if}
      </li>
    {/each}
  </ol>
</Sheet>
