<script lang="ts">
  import { path, type Measure, type Sketch } from './sketch';

  interface Props {
    sketch: Sketch;
  }

  // What it shows stands in words beside it: the set-up, the list, the sum.
  let { sketch }: Props = $props();

  /** Width of a letter of a measure, px. */
  const letter = 7.3;

  /** A line with a stroke across at both ends. */
  function span({ from, to }: Measure): string {
    const upright = from[0] === to[0];
    const tick = ([x, y]: readonly [number, number]): string =>
      upright ? path([x - 4, y], [x + 4, y]) : path([x, y - 4], [x, y + 4]);
    return path(from, to) + tick(from) + tick(to);
  }
</script>

<svg
  class="setup-sketch"
  viewBox="0 0 {sketch.width} {sketch.height}"
  width={sketch.width}
  height={sketch.height}
  aria-hidden="true"
>
  {#each sketch.marks as mark, i (i)}
    <path
      d={mark.d}
      class={mark.ink}
      style:fill-opacity={mark.weight === undefined ? undefined : 0.15 + 0.75 * mark.weight}
    />
  {/each}
  {#each sketch.measures as measure, i (i)}
    {@const upright = measure.from[0] === measure.to[0]}
    {@const beside =
      !upright && Math.abs(measure.to[0] - measure.from[0]) < letter * measure.text.length + 12}
    <path d={span(measure)} class="measure" />
    <text
      class="figures"
      x={beside ? Math.max(measure.from[0], measure.to[0]) + 8 : (measure.from[0] + measure.to[0]) / 2}
      y={(measure.from[1] + measure.to[1]) / 2}
      text-anchor={beside ? 'start' : 'middle'}
      dominant-baseline="central"
      transform={upright
        ? `rotate(-90 ${measure.from[0]} ${(measure.from[1] + measure.to[1]) / 2})`
        : undefined}>{measure.text}</text
    >
  {/each}
  {#each sketch.words as word, i (i)}
    <text x={word.at[0]} y={word.at[1]} text-anchor={word.anchor}>{word.text}</text>
  {/each}
</svg>

<style>
  .setup-sketch {
    max-width: 100%;
    height: auto;
    fill: none;
    stroke: none;
  }
  .setup-sketch text {
    fill: var(--color-base-content);
    font-size: 12px;
    paint-order: stroke;
    stroke: var(--color-base-100);
    stroke-width: 5px;
    stroke-linejoin: round;
  }
  .ground,
  .measure {
    stroke: color-mix(in oklab, var(--color-base-content) 60%, var(--color-base-100));
  }
  .thing,
  .frame {
    fill: color-mix(in oklab, var(--color-base-300) 70%, var(--color-base-100));
    stroke: var(--color-accent);
    stroke-width: 1.5;
  }
  .bag {
    stroke: var(--color-accent);
    stroke-width: 2.5;
    stroke-linejoin: round;
  }
  .piece {
    fill: var(--color-primary);
    stroke: var(--color-primary);
  }
  .band {
    stroke: var(--color-primary);
    stroke-width: 2.5;
    stroke-linecap: round;
  }
  .wound {
    stroke: var(--color-primary);
    stroke-width: 7;
    stroke-linecap: round;
  }
  .later {
    stroke: var(--color-primary);
    stroke-width: 1.5;
    stroke-dasharray: 4 4;
  }
  .body {
    fill: var(--color-base-content);
  }
  .weight {
    fill: var(--color-primary);
  }
  .force {
    stroke: var(--color-secondary);
    stroke-width: 2;
    stroke-linecap: round;
    stroke-linejoin: round;
  }
</style>
