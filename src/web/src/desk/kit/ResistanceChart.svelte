<script lang="ts">
  import type { ResistanceRange } from '../../shared/api/types';
  import { number } from '../../shared/words';

  interface Props {
    range: ResistanceRange;
    /** Largest value of the scale, so that several charts can be compared. */
    most?: number;
    width?: number;
    height?: number;
  }

  let { range, most, width = 150, height = 54 }: Props = $props();
  /** Half of the widest figure: "103.7". */
  const edge = 24;
  const top = $derived(Math.max(0.1, most ?? range.most) * 1.05);
  const y = (kg: number): number => height - 14 - (kg / top) * (height - 30);
  const points = $derived([
    { x: edge, kg: range.start, name: 'long' },
    { x: width / 2, kg: range.middle, name: 'middle' },
    { x: width - edge, kg: range.end, name: 'short' },
  ]);
</script>

<svg
  {width}
  {height}
  viewBox="0 0 {width} {height}"
  role="img"
  aria-label="Resistance: {number(range.start)} kg with the muscle long, {number(
    range.middle,
  )} kg in the middle, {number(range.end)} kg with it short"
>
  <line x1="4" y1={height - 14} x2={width - 4} y2={height - 14} class="axis" />
  <polyline points={points.map((p) => `${p.x},${y(p.kg)}`).join(' ')} class="line" />
  {#each points as p, i (i)}
    <circle cx={p.x} cy={y(p.kg)} r="3" class="dot" />
    <text x={p.x} y={y(p.kg) - 6} class="figure">{number(p.kg)}</text>
    <text x={p.x} y={height - 4} class="name">{p.name}</text>
  {/each}
</svg>

<style>
  .axis {
    stroke: var(--color-base-300);
  }
  .line {
    fill: none;
    stroke: var(--color-primary);
    stroke-width: 2;
  }
  .dot {
    fill: var(--color-base-100);
    stroke: var(--color-primary);
    stroke-width: 2;
  }
  text {
    text-anchor: middle;
    font-size: 13px;
    fill: var(--color-base-content);
  }
  .figure {
    font-family: var(--font-mono);
  }
  .name {
    fill: var(--soft);
  }
</style>
