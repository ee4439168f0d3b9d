<script lang="ts">
  import { inWords } from '../../shared/words';
  import { jointInWords, jointShape, type Part } from './joint';

  interface Props {
    match: number;
    parts: Part[];
    width?: number;
    height?: number;
  }

  let { match, parts, width = 84, height = 60 }: Props = $props();
  const shape = $derived(jointShape(parts, width, height, width * 0.24));
  const id = $props.id();
</script>

<svg
  {width}
  {height}
  viewBox="0 0 {width} {height}"
  role="img"
  aria-label={jointInWords(match, parts)}
  class="block"
>
  <defs>
    <pattern id="hatch-{id}" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
      <line x1="0" y1="0" x2="0" y2="5" class="hatch" />
    </pattern>
  </defs>
  <rect class="gym" x="0" y="0" width={shape.board} {height} />
  <rect class="home" x={width - shape.board} y="0" width={shape.board} {height} />
  {#each shape.teeth as tooth (tooth.part)}
    <g>
      <title
        >{inWords(tooth.part)}
        {Math.round(tooth.score * 100)} %{tooth.reason ? `: ${tooth.reason}` : ''}</title
      >
      {#if tooth.gap.width > 0.5}
        <rect
          x={tooth.gap.x}
          y={tooth.y + 0.5}
          width={tooth.gap.width}
          height={tooth.height - 1}
          fill="url(#hatch-{id})"
        />
      {/if}
      {#if tooth.width > 0.5}
        <rect
          class={['tooth', tooth.from]}
          x={tooth.x}
          y={tooth.y + 0.5}
          width={tooth.width}
          height={tooth.height - 1}
        />
      {/if}
    </g>
  {/each}
</svg>

<style>
  .gym {
    fill: var(--gym-board);
  }
  .home {
    fill: var(--home-board);
  }
  .tooth {
    stroke-width: 1;
  }
  .tooth.gym {
    stroke: var(--color-secondary);
  }
  .tooth.home {
    stroke: var(--color-primary);
  }
  .hatch {
    stroke: var(--color-error);
    stroke-width: 1.2;
    opacity: 0.5;
  }
</style>
