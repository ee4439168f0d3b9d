<script lang="ts">
  import Figure from '../../shared/figures/Figure.svelte';
  import { figures } from '../keep/figures.svelte';
  import { offered } from '../lead/walk';
  import type { Joint, ReleaseExercise, SwapReason } from '../types';
  import Sheet from './Sheet.svelte';

  interface Props {
    planned: ReleaseExercise;
    now: ReleaseExercise;
    why?: SwapReason | null;
    joint?: Joint | null;
    onswap: (exerciseId: string, why: SwapReason) => void;
    /** Leave it out for today. */
    onleave: (hurts: boolean) => void;
    /** The same exercise, lighter; missing where no set of it is left to do. */
    onlighter?: () => void;
    onclose: () => void;
  }

  let {
    planned,
    now,
    why: given = null,
    joint = null,
    onswap,
    onleave,
    onlighter,
    onclose,
  }: Props = $props();
  const reasons: [SwapReason, string][] = [
    ['too-hard', 'too hard'],
    ['too-easy', 'too easy'],
    ['hurts', 'it hurts'],
    ['not-here', 'the thing is not here'],
    ['dull', 'something else'],
  ];
  // svelte-ignore state_referenced_locally
  let why = $state<SwapReason | null>(given);
  const others = $derived(
    why === null ? [] : offered(planned, why, joint).filter((a) => a.exercise.exerciseId !== now.exerciseId),
  );
</script>

<Sheet title={why === 'hurts' ? 'It hurts' : 'Another exercise'} {onclose}>
  {#if !given}
    <p class="mt-2" id="why">Why?</p>
    <div class="mt-1 grid grid-cols-2 gap-2" role="group" aria-labelledby="why">
      {#each reasons as [key, label] (key)}
        <button class="tap" aria-pressed={why === key} onclick={() => (why = key)}>{label}</button>
      {/each}
    </div>
  {/if}
  {#if why !== null}
    <ul class="mt-3 grid gap-2" aria-label="What your coach allows instead">
      {#if why === 'hurts' && !given && onlighter && planned.lighter && now.exerciseId === planned.exerciseId && now !== planned.lighter.exercise}
        <li>
          <button class="tap w-full flex-col items-start text-left" onclick={() => onlighter()}>
            <b>The same, with less: {planned.lighter.exercise.dose}</b>
            <span class="soft text-body"
              >{planned.lighter.exercise.setup}. {planned.lighter.exercise.instructions?.join(' ')}</span
            >
          </button>
        </li>
      {/if}
      {#each others as other (other.exercise.exerciseId)}
        {@const drawing = figures.of(other.exercise)}
        <li>
          <button
            class="tap w-full flex-col items-start text-left"
            onclick={() => onswap(other.exercise.exerciseId, why!)}
          >
            {#if drawing}<Figure {drawing} size={88} pair />{/if}
            <b>{other.exercise.name} {other.exercise.dose}</b>
            <span class="soft text-body">{other.exercise.setup}</span>
          </button>
        </li>
      {:else}
        <li class="soft">
          {why === 'hurts'
            ? 'Nothing else here spares it. To stop this one is right: your coach will see it and answer.'
            : 'Your coach has nothing else for that here. Leave it out, or tell your coach.'}
        </li>
      {/each}
      {#if now.exerciseId !== planned.exerciseId && why !== 'hurts'}
        <li>
          <button class="tap w-full" onclick={() => onswap(planned.exerciseId, why!)}
            >Back to {planned.name}</button
          >
        </li>
      {/if}
    </ul>
    <button class="tap mt-3 w-full" onclick={() => onleave(why === 'hurts')}>Leave it out for today</button>
  {/if}
</Sheet>
