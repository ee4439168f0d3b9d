<script lang="ts">
  import { inWords } from '../words';
  import { hatch, patches } from './bodyMap';

  interface Props {
    /** Share of each muscle, 0–1. */
    muscles: Record<string, number>;
    /** What it is of: "gym", "at home". */
    of: string;
    height?: number;
  }

  let { muscles, of, height = 150 }: Props = $props();
  const id = $props.id();
  const strongest = $derived(
    Object.entries(muscles)
      .filter(([, share]) => share >= 0.4)
      .toSorted((a, b) => b[1] - a[1])
      .map(([muscle]) => inWords(muscle)),
  );
  const outline =
    'M0 1C3 1 4.6 3.4 4.4 7C4.2 10 3 12 2.4 13L2.6 16.4C5 18 9 17.8 11.4 19.2C14 20.8 14.2 25 15 30C15.8 35 17.4 40 18.2 46C18.6 49 18.8 52 17.6 52.6C16 53 15.4 50 15 47.4C14 42 12 37 11 31C10.6 33 9.6 37 9 41C9.4 44 10 47 10 50C10.2 58 9.8 64 9.4 70C9.6 77 9.4 84 8.6 91C8.6 94 9.6 96.4 9.4 98L4.6 98.6C4.6 94 4.4 86 3.8 80C3.4 76 3.6 72 3.2 68C2.6 62 1.2 56 0 53Z';
</script>

<figure class="grid justify-items-center">
  <svg
    viewBox="-21 -1 86 102"
    {height}
    role="img"
    aria-label="Muscles {of}: {strongest.length > 0 ? strongest.join(', ') : 'none'}"
  >
    <defs>
      {#each [['full', 1], ['dense', 1.7], ['thin', 3]] as [name, gap] (name)}
        <pattern
          id="{id}-{name}"
          width={gap}
          height={gap}
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <line x1="0" x2="0" y1="0" y2={gap} class="ink" stroke-width={name === 'full' ? 1.6 : 0.75} />
        </pattern>
      {/each}
    </defs>
    {#each ['front', 'back'] as const as side (side)}
      <g transform="translate({side === 'front' ? 0 : 44} 0)">
        {#each [1, -1] as mirror (mirror)}
          <path d={outline} class="body" transform="scale({mirror} 1)" />
        {/each}
        {#each patches.filter((p) => p.side === side) as patch (patch.muscle)}
          {@const how = hatch(muscles[patch.muscle] ?? 0)}
          {#if how}
            {#each patch.middle ? [1] : [1, -1] as mirror (mirror)}
              <ellipse
                cx={patch.at[0]}
                cy={patch.at[1]}
                rx={patch.half[0]}
                ry={patch.half[1]}
                transform="scale({mirror} 1) rotate({-patch.turn} {patch.at[0]} {patch.at[1]})"
                fill="url(#{id}-{how})"
                class="edge"
              />
            {/each}
          {/if}
        {/each}
      </g>
    {/each}
  </svg>
  <figcaption class="soft text-note">{of}</figcaption>
</figure>

<style>
  .body {
    fill: color-mix(in oklab, var(--color-base-content) 9%, var(--color-base-100));
  }
  .ink {
    stroke: var(--color-secondary);
  }
  .edge {
    stroke: var(--color-secondary);
    stroke-width: 0.35;
  }
</style>
