<script lang="ts">
  import type { BandBench, CalibrationPoint } from '../../shared/api/types';
  import { number } from '../../shared/words';

  interface Props {
    found: BandBench;
    measured: CalibrationPoint[];
  }

  let { found, measured }: Props = $props();
  const [width, height, left, bottom] = [400, 190, 34, 30];
  const curve = $derived(found.curve);
  const longest = $derived(found.points.at(-1)?.lengthCm ?? 1);
  const shortest = $derived(found.points[0]?.lengthCm ?? 0);
  const strongest = $derived(
    Math.max(1, found.points.at(-1)?.forceKg ?? 1, ...measured.map((m) => m.forceKg)) * 1.08,
  );
  const x = (cm: number): number => left + ((cm - shortest) / (longest - shortest)) * (width - left - 8);
  const y = (kg: number): number => height - bottom - (kg / strongest) * (height - bottom - 12);
  const warnFrom = $derived(curve ? curve.flatCm * 3 : 0);
  const steps = $derived([0, 0.25, 0.5, 0.75, 1].map((s) => Math.round(strongest * s)));
</script>

<svg
  viewBox="0 0 {width} {height}"
  class="w-full"
  role="img"
  aria-label="Force against length: {found.points
    .filter((_, i) => i % 15 === 0)
    .map((p) => `${number(p.forceKg)} kg at ${number(p.lengthCm)} cm`)
    .join(', ')}"
>
  {#if warnFrom > 0 && warnFrom < longest}
    <rect x={x(warnFrom)} y="4" width={x(longest) - x(warnFrom)} height={height - bottom - 4} class="warn" />
    <text x={x(warnFrom) + 4} y="16" class="left">past 3 ×</text>
  {/if}
  {#each steps as kg, i (i)}
    <line x1={left} x2={width - 8} y1={y(kg)} y2={y(kg)} class="grid" />
    <text x={left - 5} y={y(kg) + 4} class="right">{kg}</text>
  {/each}
  {#if curve}
    {#each [1, 1.5, 2, 2.5, 3, 3.5].filter((s) => s * curve.flatCm <= longest + 1) as s (s)}
      <text x={x(s * curve.flatCm)} y={height - 14} class="middle">{Math.round(s * curve.flatCm)}</text>
    {/each}
  {/if}
  <text x={width - 8} y={height - 1} class="right">length, cm</text>
  <text x={left + 4} y="11" class="left">kg</text>
  <polyline points={found.points.map((p) => `${x(p.lengthCm)},${y(p.forceKg)}`).join(' ')} class="curve" />
  {#each measured as m, i (i)}
    {#if m.lengthCm >= shortest && m.lengthCm <= longest * 1.02}
      <rect x={x(m.lengthCm) - 4} y={y(m.forceKg) - 4} width="8" height="8" class="point">
        <title>{number(m.forceKg)} kg at {number(m.lengthCm)} cm</title>
      </rect>
    {/if}
  {/each}
</svg>

<style>
  .curve {
    fill: none;
    stroke: var(--color-primary);
    stroke-width: 2.5;
  }
  .point {
    fill: var(--color-base-100);
    stroke: var(--color-secondary);
    stroke-width: 2;
  }
  .grid {
    stroke: var(--rule);
  }
  .warn {
    fill: color-mix(in oklab, var(--color-warning) 14%, transparent);
  }
  text {
    font-size: 14px;
    font-family: var(--font-mono);
    fill: var(--soft);
  }
  .right {
    text-anchor: end;
  }
  .middle {
    text-anchor: middle;
  }
</style>
