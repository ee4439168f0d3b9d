<script lang="ts">
  import type { LoadRecipe } from '../../shared/api/types';
  import { kg, number } from '../../shared/words';
  import { layout } from './loadDrawing';

  interface Props {
    recipe: LoadRecipe;
  }

  let { recipe }: Props = $props();
  const width = 150;
  const height = 190;
  const drawn = $derived(layout(recipe, width - 16, height - 40));
  const id = $props.id();
</script>

<svg {width} {height} viewBox="0 0 {width} {height}" role="img" aria-label={recipe.inWords}>
  <defs>
    <pattern id="pour-{id}" width="6" height="6" patternUnits="userSpaceOnUse">
      <path d="M0 3 q1.5 -2 3 0 t3 0" class="wave" />
    </pattern>
  </defs>
  <path d="M52 14 q23 -16 46 0" class="handle" />
  <g transform="translate(8 14)">
    {#if drawn.pour > 0}
      <rect
        x="0"
        y={height - 40 - drawn.pour}
        width={width - 16}
        height={drawn.pour}
        fill="url(#pour-{id})"
      />
    {/if}
    {#each drawn.blocks as block (block.key)}
      <g>
        <title>{block.name}, {number(block.massKg)} kg</title>
        <rect x={block.x} y={block.y} width={block.width} height={block.height} class="piece" />
        {#if block.height > 14 && block.width > 26}
          <text x={block.x + block.width / 2} y={block.y + block.height / 2 + 4}>{number(block.massKg)}</text>
        {/if}
      </g>
    {/each}
    <rect x="0" y="0" width={width - 16} height={height - 40} class="bag" />
  </g>
  <text x={width / 2} y={height - 4} class="total">{kg(recipe.massKg)}</text>
</svg>

<style>
  .bag {
    fill: none;
    stroke: var(--color-base-content);
    stroke-width: 2;
  }
  .handle {
    fill: none;
    stroke: var(--color-base-content);
    stroke-width: 2;
  }
  .piece {
    fill: var(--home-board);
    stroke: var(--color-primary);
  }
  .wave {
    fill: none;
    stroke: var(--color-primary);
  }
  text {
    text-anchor: middle;
    font-family: var(--font-mono);
    font-size: 12px;
    fill: var(--color-base-content);
  }
  .total {
    font-size: 14px;
    font-weight: 600;
  }
</style>
