<script lang="ts">
  import Figure from '../../shared/figures/Figure.svelte';
  import type { FigureDrawing } from '../../shared/figures/drawing';
  import { figureOf, type FigureAsked } from './figures';

  interface Props {
    of: FigureAsked;
    /** Edge of the square, px. */
    size: number;
    pair?: boolean;
    /** With buttons to let it move and to turn it. */
    live?: boolean;
    tempo?: string | null | undefined;
    /** It tells what it shows; names beside it make that needless in lists. */
    told?: boolean;
    /** Fetched at once: a page that is printed is not scrolled. */
    soon?: boolean;
  }

  let { of, size, pair = false, live = false, tempo, told = false, soon = false }: Props = $props();
  let place = $state<HTMLElement>();
  let near = $state(false);
  let drawing = $state.raw<FigureDrawing | null>(null);
  let playing = $state(false);
  let turned = $state<number | undefined>();
  const asked = $derived([of.exerciseId, of.setupId, of.drawnWith, of.statureCm] as const);
  const calm = matchMedia('(prefers-reduced-motion: reduce)').matches;

  // Far down a long list nothing is fetched or drawn until it comes near.
  $effect(() => {
    if (soon) near = true;
    if (!place || near) return;
    const watch = new IntersectionObserver(
      (entries) => {
        near ||= entries.some((e) => e.isIntersecting);
      },
      { rootMargin: '300px' },
    );
    watch.observe(place);
    return () => watch.disconnect();
  });

  $effect(() => {
    if (!near) return;
    const [exerciseId, setupId, drawnWith, statureCm] = asked;
    let here = true;
    const show = (found: FigureDrawing | null): void => {
      if (here) [drawing, turned] = [found, undefined];
    };
    void figureOf({ exerciseId, setupId, drawnWith, statureCm }).then((found) => {
      // While a list is scrolled fast, drawing waits until there is time for it.
      if (live || soon || !('requestIdleCallback' in window)) show(found);
      else requestIdleCallback(() => show(found), { timeout: 400 });
    });
    return () => {
      here = false;
    };
  });

  const moves = $derived(live && (drawing?.frames.length ?? 0) > 1);
  const wide = $derived(pair || (live && calm && moves) ? size * 2 : size);
</script>

<span
  bind:this={place}
  class="inline-grid shrink-0 content-center justify-items-center"
  style:width="{wide}px"
  style:min-height={soon || (drawing && (size > 80 || pair)) ? undefined : `${size}px`}
>
  {#if drawing}
    <Figure
      {drawing}
      {size}
      pair={wide > size}
      {tempo}
      playing={playing && !calm}
      turn={turned}
      label={told || live ? drawing.inWords : undefined}
      muscles={size >= 48}
    />
    {#if live}
      <span class="flex w-full items-center gap-2 text-note">
        {#if moves && !calm}
          <button class="btn btn-xs" aria-pressed={playing} onclick={() => (playing = !playing)}
            >{playing ? 'Hold still' : 'Move'}</button
          >
        {/if}
        <label class="flex items-center gap-1">
          turn
          <input
            type="range"
            class="turn"
            min="-60"
            max="120"
            step="2"
            value={turned ?? drawing.turn}
            aria-valuetext="{Math.round(
              turned ?? drawing.turn,
            )} degrees; 0 is from the side, 90 from the front"
            oninput={(event) => (turned = Number(event.currentTarget.value))}
          />
        </label>
      </span>
    {/if}
  {/if}
</span>

<style>
  .turn {
    width: 7rem;
    height: 24px;
    accent-color: var(--color-secondary);
  }
</style>
