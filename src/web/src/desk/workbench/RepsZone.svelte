<script lang="ts">
  import type { HomeExercise } from '../../shared/api/types';
  import { drawZone, fitInWords } from './repsZone';

  interface Props {
    expected: NonNullable<HomeExercise['expected']>;
    wanted: NonNullable<HomeExercise['wanted']>;
    fit: NonNullable<HomeExercise['fit']>;
    width?: number;
  }

  let { expected, wanted, fit, width = 260 }: Props = $props();
  const pad = 12;
  const drawn = $derived(drawZone(expected, wanted, width - 2 * pad));
</script>

<figure class="m-0">
  <svg
    {width}
    height="46"
    viewBox="0 0 {width} 46"
    role="img"
    aria-label="{expected.inWords} reps to failure expected, {wanted.min} to {wanted.max} wanted: {fitInWords[
      fit
    ]}"
  >
    <g transform="translate({pad} 0)">
      <rect x={drawn.zone.x} y="4" width={drawn.zone.width} height="22" class="zone" />
      <line x1="0" x2={width - 2 * pad} y1="26" y2="26" class="axis" />
      <rect x={drawn.range.x} y="11" width={drawn.range.width} height="8" rx="1" class="expected" />
      <line x1={drawn.range.mid} x2={drawn.range.mid} y1="6" y2="24" class="mid" />
      {#each drawn.ticks as tick (tick.reps)}
        <line x1={tick.x} x2={tick.x} y1="26" y2="30" class="axis" />
        <text x={tick.x} y="42">{tick.reps}</text>
      {/each}
    </g>
  </svg>
  <figcaption class="soft text-note">
    reps to failure: bar expected, field wanted; <b>{fitInWords[fit]}</b>
  </figcaption>
</figure>

<style>
  .zone {
    fill: var(--home-board);
    stroke: var(--color-primary);
    stroke-dasharray: 3 2;
  }
  .expected {
    fill: var(--color-secondary);
  }
  .mid {
    stroke: var(--color-base-content);
    stroke-width: 2;
  }
  .axis {
    stroke: var(--color-base-content);
  }
  text {
    font-family: var(--font-mono);
    font-size: 12px;
    text-anchor: middle;
    fill: var(--color-base-content);
  }
</style>
