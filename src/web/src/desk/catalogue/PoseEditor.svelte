<script lang="ts">
  import { api, ask } from '../api/client';
  import type { Exercise } from '../../shared/api/types';
  import { boxOf, ground, lookOf, picture, type FigureDrawing } from '../../shared/figures/drawing';
  import { bodyOf, type Body, type JointName } from '../../shared/figures/skeleton';
  import { toasts } from '../toasts.svelte';

  type FigureShift = NonNullable<Exercise['posed']>;
  type Part = 'hips' | 'nearHand' | 'farHand' | 'nearFoot' | 'farFoot';
  type Moment = 'start' | 'middle' | 'end';

  interface Props {
    /** Exercise whose figure is taken. */
    exerciseId: string;
    posed: FigureShift | null | undefined;
    onchange: (posed: FigureShift | null) => void;
  }

  let { exerciseId, posed, onchange }: Props = $props();
  const parts: [Part, string, JointName][] = [
    ['hips', 'hips', 'hips'],
    ['nearHand', 'right hand', 'nearGrip'],
    ['farHand', 'left hand', 'farGrip'],
    ['nearFoot', 'right foot', 'nearAnkle'],
    ['farFoot', 'left foot', 'farAnkle'],
  ];
  const moments: [Moment, string][] = [
    ['start', 'at the start'],
    ['middle', 'half-way'],
    ['end', 'at the end'],
  ];
  const size = 210;
  const still: FigureShift = { start: { trunk: 0 }, end: { trunk: 0 } };
  const now = $derived(posed ?? still);
  const at = (moment: Moment): NonNullable<FigureShift['middle']> => now[moment] ?? { trunk: 0 };
  let drawing = $state.raw<FigureDrawing | null>(null);
  let faults = $state.raw<string[]>([]);
  let dragged = $state<{ moment: Moment; part: Part; x: number; y: number } | null>(null);

  // From the side: what is dragged goes ahead and up, as the eye sees it.
  const look = $derived(drawing ? lookOf({ ...drawing, over: 0 }, 0) : null);
  const box = $derived(drawing && look ? boxOf(drawing, look) : null);
  const fit = $derived(box ? size / Math.max(box.width, box.height) : 1);

  let asked = 0;
  $effect(() => {
    const body = { exerciseId, posed: now };
    const turn = ++asked;
    const timer = setTimeout(
      () => {
        ask(() => api.POST('/api/v1/figures/posed', { body })).then(
          (answer) => {
            if (turn === asked) [drawing, faults] = [answer.drawing as FigureDrawing, answer.faults];
          },
          (error: unknown) => toasts.problem(error),
        );
      },
      drawing ? 60 : 0,
    );
    return () => clearTimeout(timer);
  });

  /** Handles beside one another where parts fall together, so that each can be touched. */
  function handles(body: Body): { part: Part; name: string; x: number; y: number }[] {
    const placed: { part: Part; name: string; x: number; y: number }[] = [];
    if (!look || !box) return placed;
    for (const [part, name, joint] of parts) {
      const at = look(body[joint]);
      let x = (at.x - box.x) * fit;
      const y = (at.y - box.y) * fit;
      while (placed.some((p) => Math.hypot(p.x - x, p.y - y) < 27)) x += 9;
      placed.push({ part, name, x, y });
    }
    return placed;
  }

  const whole = (v: number): number => Math.round(v * 1000) / 1000;
  const clamp = (v: number): number => Math.min(0.8, Math.max(-0.8, whole(v)));

  function move(moment: Moment, part: Part, ahead: number, up: number): void {
    const before = at(moment)[part] ?? { ahead: 0, up: 0 };
    onchange({
      ...now,
      [moment]: { ...at(moment), [part]: { ahead: clamp(before.ahead + ahead), up: clamp(before.up + up) } },
    });
  }

  function lean(moment: Moment, trunk: number): void {
    onchange({ ...now, [moment]: { ...at(moment), trunk } });
  }

  function key(event: KeyboardEvent, moment: Moment, part: Part): void {
    const step = event.shiftKey ? 0.05 : 0.01;
    const way = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] }[event.key];
    if (!way) return;
    event.preventDefault();
    event.stopPropagation();
    move(moment, part, (way[0] ?? 0) * step, (way[1] ?? 0) * step);
  }

  function drag(event: PointerEvent): void {
    if (!dragged) return;
    const [dx, dy] = [event.clientX - dragged.x, event.clientY - dragged.y];
    if (Math.abs(dx) + Math.abs(dy) < 2) return;
    dragged = { ...dragged, x: event.clientX, y: event.clientY };
    move(dragged.moment, dragged.part, dx / fit, -dy / fit);
  }

  const moves = $derived((drawing?.frames.length ?? 0) > 1);
  const shown = $derived(moments.filter(([m]) => m === 'start' || (moves && (m === 'end' || now.middle))));

  /** A rep that bends on its way has a key pose half-way; without one it goes straight. */
  function bend(on: boolean): void {
    onchange({ ...now, middle: on ? { trunk: 0 } : null });
  }

  const frameAt = (frames: FigureDrawing['frames'], share: number): FigureDrawing['frames'][number] =>
    frames[Math.round(share * (frames.length - 1))] ?? [];

  const said = (moment: Moment, part: Part): string => {
    const by = at(moment)[part];
    return by ? `moved ${Math.round(by.ahead * 100)} % ahead, ${Math.round(by.up * 100)} % up` : 'as it is';
  };
</script>

<section class="grid gap-2" aria-label="The figure, posed by hand">
  <p class="soft text-note">
    Drag hips, hands and feet, or press the arrow keys on them; with Shift in larger steps.
  </p>
  {#if drawing && look && box}
    <div class="flex flex-wrap gap-4">
      {#each shown as [moment, when] (moment)}
        {@const share = { start: 0, middle: 0.5, end: 1 }[moment]}
        {@const frame = frameAt(drawing.frames, share)}
        {@const body = bodyOf(frame)}
        <div class="grid gap-1">
          <div
            class="relative touch-none"
            style:width="{box.width * fit}px"
            style:height="{box.height * fit}px"
          >
            <svg
              class="figure"
              viewBox="{box.x} {box.y} {box.width} {box.height}"
              width={box.width * fit}
              height={box.height * fit}
              role="img"
              aria-label="{when}: {drawing.inWords}"
            >
              {#each [ground(box), ...picture({ ...drawing, over: 0 }, share, look)] as shape, i (i)}
                <path d={shape.d} class={shape.ink} style:stroke-width={shape.width} />
              {/each}
            </svg>
            {#each handles(body) as { part, name, x, y } (part)}
              <button
                type="button"
                class={['handle', part.startsWith('far') && 'behind']}
                style:left="{x}px"
                style:top="{y}px"
                aria-label="{name} {when}, {said(moment, part)}"
                title="{name} {when}"
                onkeydown={(event) => key(event, moment, part)}
                onpointerdown={(event) => {
                  event.currentTarget.setPointerCapture(event.pointerId);
                  dragged = { moment, part, x: event.clientX, y: event.clientY };
                }}
                onpointermove={drag}
                onpointerup={() => (dragged = null)}
                onpointercancel={() => (dragged = null)}
              ></button>
            {/each}
          </div>
          <label class="flex items-center gap-2 text-note">
            trunk {when}
            <input
              type="range"
              min="-90"
              max="90"
              step="1"
              value={at(moment).trunk}
              aria-valuetext="{at(moment).trunk} degrees further forward"
              oninput={(event) => lean(moment, Number(event.currentTarget.value))}
            />
          </label>
        </div>
      {/each}
    </div>
    <div aria-live="polite">
      {#each faults as fault, i (i)}<p class="border-l-2 border-warning pl-2 text-plain">{fault}</p>{/each}
    </div>
    <p class="flex flex-wrap items-center gap-3">
      {#if moves}
        <label class="flex items-center gap-2 text-plain">
          <input
            type="checkbox"
            class="checkbox checkbox-sm"
            checked={now.middle != null}
            onchange={(event) => bend(event.currentTarget.checked)}
          />
          Goes round on its way: a pose half-way
        </label>
      {/if}
      <button type="button" class="btn btn-xs" disabled={!posed} onclick={() => onchange(null)}
        >As it was</button
      >
    </p>
  {/if}
</section>

<style>
  .handle {
    position: absolute;
    width: 24px;
    height: 24px;
    transform: translate(-50%, -50%);
    border: 2px solid var(--color-secondary);
    border-radius: 50%;
    background: color-mix(in oklab, var(--color-base-100) 35%, transparent);
    cursor: grab;
  }
  .handle.behind {
    border-style: dashed;
  }
  input[type='range'] {
    width: 8rem;
    height: 24px;
    accent-color: var(--color-secondary);
  }
</style>
