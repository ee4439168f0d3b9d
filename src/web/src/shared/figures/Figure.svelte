<script lang="ts">
  import { arrow, boxOf, ghost, ground, labels, lookOf, picture, type FigureDrawing } from './drawing';
  import { shareAt, stretches } from './rep';
  import type { Shape } from './shapes';

  interface Props {
    drawing: FigureDrawing;
    /** The longer side of the picture, px; it fills its place when left out. */
    size?: number | undefined;
    /** Start and end side by side, as on paper. */
    pair?: boolean;
    /** It moves at this tempo; still while there is none. */
    tempo?: string | null | undefined;
    playing?: boolean;
    /** It stands so far along the rep, 0–1, led from outside. */
    share?: number | undefined;
    /** Degrees from which it is seen; its own when left out. */
    turn?: number | undefined;
    /** Muscles are marked. */
    muscles?: boolean;
    /** What it shows, for whoever does not see it; decoration when left out. */
    label?: string | undefined;
  }

  let {
    drawing,
    size,
    pair = false,
    tempo,
    playing = false,
    share,
    turn,
    muscles = true,
    label,
  }: Props = $props();
  const look = $derived(lookOf(drawing, turn));
  const box = $derived(boxOf(drawing, look));
  /** Pixels for the length of a stature: the longer side of the picture takes the size. */
  const fit = $derived(size && size / Math.max(box.width, box.height));
  const rep = $derived(stretches(tempo ?? '', drawing.lowersFirst));
  const moves = $derived(playing && drawing.frames.length > 1);
  const marked = $derived(muscles ? drawing.working : []);
  let seconds = $state(0);

  $effect(() => {
    if (!moves) return;
    let began = 0;
    let frame = requestAnimationFrame(function step(now) {
      began ||= now;
      seconds = (now - began) / 1000;
      frame = requestAnimationFrame(step);
    });
    return () => cancelAnimationFrame(frame);
  });

  const stills = $derived(pair && drawing.frames.length > 1 ? [0, 1] : [1]);
  /** Words can be read from this size on. */
  const written = $derived((size ?? 0) >= 110);
  /** All that is drawn, what lies behind first. */
  const shapes = (at: number, before: boolean, after: boolean): Shape[] => [
    ground(box),
    ...(before ? ghost(drawing, look) : []),
    ...picture(drawing, at, look, marked),
    ...(after ? arrow(drawing, look) : []),
  ];
  const viewBox = $derived(`${box.x} ${box.y} ${box.width} ${box.height}`);
</script>

{#snippet one(share: number, before: boolean, after: boolean)}
  <span class="figure-picture">
    <svg
      class={['figure', moves && 'moves']}
      {viewBox}
      width={fit && box.width * fit}
      height={fit && box.height * fit}
      aria-hidden="true"
    >
      {#each shapes(share, before, after) as shape, i (i)}
        <path d={shape.d} class={shape.ink} stroke-width={shape.width} style:stroke-width={shape.width} />
      {/each}
    </svg>
    {#if written && fit}
      {#each labels(drawing, look) as word, i (i)}
        <span class="word" style:left="{(word.x - box.x) * fit}px" style:top="{(word.y - box.y) * fit}px"
          >{word.text}</span
        >
      {/each}
    {/if}
  </span>
{/snippet}

<span
  class="figure-place"
  role={label ? 'img' : undefined}
  aria-label={label}
  aria-hidden={label ? undefined : true}
>
  {#if share !== undefined || moves}
    {@render one(share ?? shareAt(rep, seconds), false, false)}
  {:else}
    {#each stills as share (share)}
      {@render one(share, stills.length === 1 && drawing.frames.length > 1, share === 1)}
    {/each}
  {/if}
</span>
