<script lang="ts">
  import type { BlockWeek, DoneWeek } from '../../shared/api/types';

  interface Props {
    week: BlockWeek;
    done: DoneWeek | undefined;
    /** Most hard sets of any week, for the scale. */
    most: number;
  }

  let { week, done, most }: Props = $props();
  const height = 30;
  const scale = $derived(height / Math.max(1, most));
  const share = $derived(done && done.plannedSets > 0 ? Math.min(1.2, done.sets / done.plannedSets) : 0);
  const id = $props.id();
</script>

<!-- Work of the week: outline as planned, filled as far as it is done, hatched where it is lighter. -->
<svg
  class="block w-full"
  {height}
  viewBox="0 0 100 {height}"
  preserveAspectRatio="none"
  role="img"
  aria-label="{week.hardSets} hard sets planned{done && done.sets > 0 ? `, ${done.sets} sets done` : ''}"
>
  <defs>
    <pattern {id} width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
      <line x1="0" y1="0" x2="0" y2="5" stroke="currentColor" stroke-width="1.2" opacity="0.55" />
    </pattern>
  </defs>
  <rect
    x="1"
    y={height - week.hardSets * scale + 0.5}
    width="98"
    height={week.hardSets * scale - 1}
    fill={week.isLight ? `url(#${id})` : 'none'}
    stroke="currentColor"
    stroke-width="1"
    vector-effect="non-scaling-stroke"
  />
  {#if share > 0}
    <rect
      x="1"
      y={Math.max(0, height - week.hardSets * scale * share)}
      width="98"
      height={Math.min(height, week.hardSets * scale * share)}
      fill="var(--color-primary)"
      opacity="0.55"
    />
  {/if}
</svg>
