<script lang="ts">
  import { tempoPoints } from './tempo';

  interface Props {
    tempo: string;
    width?: number;
    height?: number;
  }

  let { tempo, width = 72, height = 18 }: Props = $props();
  const segments = $derived(tempoPoints(tempo, width, height));
</script>

<svg {width} {height} viewBox="0 0 {width} {height}" aria-hidden="true" class="shrink-0">
  {#each segments as s, i (i)}
    <line
      x1={s.from[0]}
      y1={s.from[1]}
      x2={s.to[0]}
      y2={s.to[1]}
      class={s.name === 'eccentric' ? 'down' : s.name === 'concentric' ? 'up' : 'hold'}
    />
  {/each}
</svg>

<style>
  line {
    stroke-width: 2;
    stroke-linecap: round;
  }
  .down {
    stroke: var(--color-primary);
  }
  .up {
    stroke: var(--color-secondary);
  }
  .hold {
    stroke: var(--color-base-content);
  }
</style>
