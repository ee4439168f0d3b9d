<script lang="ts">
  import { inWords } from '../../shared/words';
  import type { Joint } from '../types';

  interface Props {
    joint: Joint | null;
    onpick: (joint: Joint) => void;
  }

  let { joint, onpick }: Props = $props();
  /** Where the joints lie on the drawing, in parts of its width and height; both sides of a pair. */
  const places: { joint: Joint; at: [number, number][] }[] = [
    { joint: 'neck', at: [[50, 17]] },
    {
      joint: 'shoulder',
      at: [
        [33, 24],
        [67, 24],
      ],
    },
    {
      joint: 'elbow',
      at: [
        [26, 40],
        [74, 40],
      ],
    },
    {
      joint: 'wrist',
      at: [
        [20, 54],
        [80, 54],
      ],
    },
    { joint: 'low-back', at: [[50, 42]] },
    {
      joint: 'hip',
      at: [
        [40, 53],
        [60, 53],
      ],
    },
    {
      joint: 'knee',
      at: [
        [40, 74],
        [60, 74],
      ],
    },
    {
      joint: 'ankle',
      at: [
        [40, 93],
        [60, 93],
      ],
    },
  ];
</script>

<div class="flex items-center gap-3" role="group" aria-label="Where does it hurt?">
  <svg viewBox="0 0 100 100" class="h-52 shrink-0" aria-hidden="true">
    <g class="figure">
      <circle cx="50" cy="8" r="6.5" />
      <path d="M50 15V22M34 24H66M34 24L26 40L20 54M66 24L74 40L80 54M40 25L42 52M60 25L58 52M41 53H59" />
      <path d="M41 53L40 74L40 93M59 53L60 74L60 93" />
    </g>
    {#each places as place (place.joint)}
      {#each place.at as at, i (i)}
        <!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions -->
        <circle
          cx={at[0]}
          cy={at[1]}
          r="5.5"
          class={['spot', joint === place.joint && 'picked']}
          onclick={() => onpick(place.joint)}
        />
      {/each}
    {/each}
  </svg>
  <div class="grid flex-1 grid-cols-2 gap-2">
    {#each places as place (place.joint)}
      <button class="tap" aria-pressed={joint === place.joint} onclick={() => onpick(place.joint)}
        >{inWords(place.joint)}</button
      >
    {/each}
  </div>
</div>

<style>
  .figure {
    fill: none;
    stroke: var(--color-base-content);
    stroke-width: 5;
    stroke-linecap: round;
    stroke-linejoin: round;
    opacity: 0.45;
  }

  .spot {
    fill: var(--color-base-100);
    stroke: var(--color-secondary);
    stroke-width: 1.6;
    cursor: pointer;
  }

  .picked {
    fill: var(--color-secondary);
  }
</style>
