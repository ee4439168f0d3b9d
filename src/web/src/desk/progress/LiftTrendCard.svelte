<script lang="ts">
  import type { LiftTrend } from '../../shared/api/types';
  import { count, day, number } from '../../shared/words';
  import { trendChart } from './trendChart';

  interface Props {
    trend: LiftTrend;
  }

  let { trend }: Props = $props();
  const [width, height] = [300, 160];
  const chart = $derived(trendChart(trend, width, height));
  const now = $derived(trend.points.at(-1));
  const id = $props.id();
</script>

<article class="sheet p-4" aria-labelledby={id}>
  <div class="flex flex-wrap items-baseline gap-x-4">
    <h3 {id} class="min-w-0 flex-1 text-lg">{trend.name}</h3>
    <p class="figures text-body">
      <b>{number(now?.lowKg ?? 0)}–{number(now?.highKg ?? 0)} kg</b>
      <span class={trend.change < -0.01 ? 'text-error' : 'text-primary'}
        >{trend.change > 0 ? '+' : trend.change < 0 ? '−' : '±'}{Math.abs(Math.round(trend.change * 100))} %</span
      >
    </p>
  </div>
  {#if trend.plainly}<p class="text-body">{trend.plainly}</p>{/if}
  <p class="soft text-note">
    One-rep maximum as system load, body and weight together; rests on {trend.restsOn}.
  </p>
  <div class="mt-2 grid gap-4 md:grid-cols-[minmax(0,1fr)_minmax(0,17rem)]">
    <svg
      viewBox="0 0 {width} {height}"
      class="w-full"
      role="img"
      aria-label="Trend of {trend.name}; its figures stand in the table beside it"
    >
      <defs>
        <pattern
          id="{id}-hatch"
          width="6"
          height="6"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <line x1="0" y1="0" x2="0" y2="6" stroke="currentColor" stroke-width="1" opacity="0.55" />
        </pattern>
      </defs>
      {#each chart.ticks as tick, i (i)}
        <line x1="34" x2={width - 6} y1={tick.y} y2={tick.y} stroke="var(--rule)" />
        <text x="30" y={tick.y + 4} text-anchor="end" class="fill-current font-mono text-plain"
          >{tick.text}</text
        >
      {/each}
      <polygon points={chart.band} class="text-primary" fill="url(#{id}-hatch)" />
      <polyline
        points={chart.line}
        fill="none"
        class="stroke-primary"
        stroke-width="2.5"
        stroke-linejoin="round"
      />
      {#each chart.dots as dot, i (i)}
        <circle cx={dot.x} cy={dot.y} r="3.2" class="fill-base-100 stroke-secondary" stroke-width="1.8"
          ><title>{dot.title}</title></circle
        >
      {/each}
      {#each chart.days as mark, i (i)}
        <text
          x={mark.x}
          y={height - 3}
          text-anchor={i === 0 ? 'start' : 'end'}
          class="fill-current text-plain">{day(mark.text)}</text
        >
      {/each}
    </svg>
    <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
    <div class="max-h-40 overflow-y-auto" tabindex="0" role="region" aria-label="Days of {trend.name}">
      <table class="figures w-full text-note">
        <thead class="sticky top-0 bg-base-100 text-left"
          ><tr
            ><th class="font-normal">{count(trend.points.length, 'day')}</th><th>best set</th><th
              class="text-right">kg</th
            ></tr
          ></thead
        >
        <tbody>
          {#each trend.points.toReversed() as point, i (i)}
            <tr class="rule-b"
              ><td>{day(point.day)}</td><td>{point.bestSet}</td><td class="text-right"
                >{number(point.estimateKg)}</td
              ></tr
            >
          {/each}
        </tbody>
      </table>
    </div>
  </div>
</article>
