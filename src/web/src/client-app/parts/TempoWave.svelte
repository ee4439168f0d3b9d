<script lang="ts">
  import type { RepPhase } from '../types';

  interface Props {
    phases: RepPhase[];
    /** Phase that runs; -1 for none. */
    phase?: number;
    through?: number;
  }

  let { phases, phase = -1, through = 0 }: Props = $props();
  const [width, height, edge] = [320, 76, 10];
  const total = $derived(phases.reduce((sum, p) => sum + p.seconds, 0) || 1);
  /** A rep as a line: it falls with the load, rises against it, lies still in a hold. */
  const lines = $derived.by(() => {
    let at = edge;
    // It begins high where the first way is with the load.
    let high = phases.find((p) => p.way === 'work' || p.way === 'return')?.way !== 'work';
    return phases.map((p) => {
      const from = [at, high ? edge : height - edge] as const;
      at += (p.seconds / total) * (width - 2 * edge);
      if (p.way === 'work') high = true;
      if (p.way === 'return') high = false;
      return { p, from, to: [at, high ? edge : height - edge] as const };
    });
  });
  const dot = $derived.by(() => {
    const line = lines[phase];
    if (!line) return null;
    return [
      line.from[0] + (line.to[0] - line.from[0]) * through,
      line.from[1] + (line.to[1] - line.from[1]) * through,
    ] as const;
  });
</script>

<svg viewBox="0 0 {width} {height}" class="w-full" aria-hidden="true" style:max-height="18vh">
  {#each lines as line, i (i)}
    <line
      x1={line.from[0]}
      y1={line.from[1]}
      x2={line.to[0]}
      y2={line.to[1]}
      class={[line.p.way, i === phase && 'runs']}
    />
  {/each}
  {#if dot}<circle cx={dot[0]} cy={dot[1]} r="9" />{/if}
</svg>

<style>
  line {
    stroke: var(--color-base-300);
    stroke-width: 8;
    stroke-linecap: round;
  }

  line.runs {
    stroke: var(--color-secondary);
  }

  circle {
    fill: var(--color-secondary);
    stroke: var(--color-base-200);
    stroke-width: 3;
  }
</style>
