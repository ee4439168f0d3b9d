<script lang="ts">
  import { api, ask } from '../api/client';
  import type { ClientProfile, FamilyLadder, HomeExercise, PlaceKit } from '../../shared/api/types';
  import { toasts } from '../toasts.svelte';
  import { domainRules } from '../domainRules.svelte';
  import FigureOf from '../catalogue/FigureOf.svelte';
  import Dialog from '../ui/Dialog.svelte';
  import { count, inWords } from '../../shared/words';
  import JumpTool from './JumpTool.svelte';
  import RoadAhead from './RoadAhead.svelte';
  import { stairs } from './stairs';

  interface Props {
    client: ClientProfile;
    kit: PlaceKit;
    home: HomeExercise | null;
    /** The gym week, a line each: it tells of the client's strength. */
    gymLines?: string[];
    onclose: () => void;
    /** Takes a rung of the same exercise: its load and technique. */
    ontake?: (externalKg: number, technique: string | null) => void;
  }

  let { client, kit, home, gymLines = [], onclose, ontake }: Props = $props();
  let ladder = $state.raw<FamilyLadder | null>(null);
  let none = $state('');
  let at = $state<number | null>(null);
  const [width, height] = [920, 220];
  const drawn = $derived(ladder ? stairs(ladder, width, height) : []);
  const rung = $derived(at === null ? undefined : ladder?.rungs[at]);
  const here = $derived(ladder?.here ?? null);
  const techniques = $derived(domainRules.summary?.techniqueSteps.map((s) => s.id) ?? []);

  $effect(() => {
    [ladder, none, at] = [null, '', null];
    if (!home) return;
    const asked = home;
    const technique = asked.dose.techniques.find((t) => techniques.includes(t)) ?? null;
    const body = {
      exerciseId: asked.exerciseId,
      client,
      kit,
      systemKg: asked.systemLoadKg ?? null,
      technique,
      gymLines,
      wantedReps: Math.min(30, Math.max(1, asked.dose.target.min || 8)),
    };
    ask(() => api.POST('/api/v1/ladder', { body })).then(
      (answer) => {
        if (asked !== home) return;
        [ladder, none] = [answer.ladder ?? null, answer.why ?? ''];
        at = ladder?.next ?? ladder?.here ?? 0;
      },
      (error: unknown) => toasts.problem(error),
    );
  });

  /** A rung as a coach would say it. */
  function nameOf(index: number): string {
    const r = ladder?.rungs[index];
    return r ? `${r.name}, ${r.techniqueLabel ?? r.setup}` : '';
  }

  function key(event: KeyboardEvent): void {
    if (!ladder || at === null || (event.target as HTMLElement).tagName === 'INPUT') return;
    if (event.key === 'ArrowRight') at = Math.min(ladder.rungs.length - 1, at + 1);
    else if (event.key === 'ArrowLeft') at = Math.max(0, at - 1);
    else return;
    event.preventDefault();
  }
</script>

<svelte:window onkeydown={(event) => home && key(event)} />

<Dialog title="Ladder of {home?.name ?? ''}" wide open={home !== null} {onclose}>
  {#if none}<p class="mt-2">{none}</p>
  {:else if !ladder}<p class="soft mt-2" role="status">Building the ladder …</p>
  {:else}
    <p class="mt-1">
      {count(ladder.rungs.length, 'rung')} of the family “{inWords(ladder.family)}” with what is at {kit.name},
      easiest first. Strength rests on {ladder.restsOn}.
      {#if here === null}The exercise as set up is not on it.{/if}
    </p>
    <svg
      viewBox="-2 -34 {width + 4} {height + 58}"
      class="mt-3 w-full"
      role="img"
      aria-label="Stairs of {ladder.rungs.length} rungs; each is named in the list below"
    >
      <defs>
        <pattern
          id="too-high"
          width="6"
          height="6"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <line x1="0" y1="0" x2="0" y2="6" class="stroke-error" stroke-width="2" />
        </pattern>
      </defs>
      {#each drawn as stair (stair.index)}
        {@const before = drawn[stair.index - 1]}
        <!-- svelte-ignore a11y_click_events_have_key_events, a11y_no_static_element_interactions -->
        <g class="cursor-pointer" onclick={() => (at = stair.index)}>
          <rect
            x={stair.x}
            y={stair.y}
            width={stair.width}
            height={stair.height}
            class={[
              stair.index === here ? 'fill-primary' : 'fill-base-300',
              stair.index === at ? 'stroke-secondary' : 'stroke-base-100',
            ]}
            stroke-width={stair.index === at ? 3 : 1}
          />
          {#if stair.high && before}
            <rect x={stair.x} y={stair.y} width="7" height={before.y - stair.y} fill="url(#too-high)" />
            <text x={stair.x + 10} y={stair.y - 6} class="fill-error font-mono text-note"
              >+{Math.round((ladder.rungs[stair.index]?.step ?? 0) * 100)} %</text
            >
          {/if}
          {#if stair.index === here}
            <text
              x={stair.x + stair.width / 2}
              y={stair.y - 20}
              text-anchor="middle"
              class="fill-current text-plain font-semibold">here</text
            >
            <path d="M{stair.x + stair.width / 2 - 5} {stair.y - 14} h10 l-5 9 z" class="fill-current" />
          {/if}
        </g>
      {/each}
      <text x="0" y={height + 20} class="fill-current text-note">easier</text>
      <text x={width} y={height + 20} text-anchor="end" class="fill-current text-note">harder</text>
    </svg>
    {#if rung}
      <div
        class="mt-1 grid items-center gap-x-6 gap-y-1 border-l-4 border-secondary pl-3 md:grid-cols-[auto_minmax(0,1fr)_auto]"
        aria-live="polite"
      >
        <FigureOf of={{ exerciseId: rung.exerciseId, statureCm: client.statureCm }} size={110} pair told />
        <p>
          <b>{rung.name}</b>{rung.techniqueLabel ? `, ${rung.techniqueLabel}` : ''}
          {#if at === here}<span class="text-primary">you are here</span>{:else if at === ladder.next}<span
              class="text-secondary">next</span
            >{/if}
          <span class="soft block text-plain">{rung.setup}</span>
        </p>
        <p class="figures text-right text-plain">
          {rung.systemKg} kg system load · {rung.reps} reps to failure<br />
          {rung.step ? `step +${Math.round(rung.step * 100)} %` : 'the first'} · standard {rung.standard}
        </p>
      </div>
      <p class="mt-2 flex flex-wrap gap-2">
        <button class="btn btn-sm" disabled={at === 0} onclick={() => (at = (at ?? 1) - 1)}
          >Easier <span class="keycap">←</span></button
        >
        <button
          class="btn btn-sm"
          disabled={at === ladder.rungs.length - 1}
          onclick={() => (at = (at ?? 0) + 1)}>Harder <span class="keycap">→</span></button
        >
        {#if ontake && rung.exerciseId === home?.exerciseId && at !== here}
          <button
            class="btn btn-sm btn-primary"
            onclick={() => {
              ontake(rung.externalKg, rung.technique ?? null);
              onclose();
            }}>Set the line to this rung</button
          >
        {/if}
      </p>
    {/if}
    {#if ladder.gaps.length > 0}
      <h3 class="mt-4 text-base">Steps that are too high, and what fills them</h3>
      <ul class="grid gap-2 text-plain">
        {#each ladder.gaps as gap, i (i)}
          <li class="border-l-4 border-error pl-2">
            <button class="link text-left" onclick={() => (at = gap.after + 1)}
              ><span class="figures">+{Math.round(gap.step * 100)} %</span> above {nameOf(gap.after)}</button
            >
            {gap.fill.join(' ')}
          </li>
        {/each}
      </ul>
    {/if}
    {#if home}
      <RoadAhead {client} {kit} {home} {gymLines} />
    {/if}
    {#if here !== null && ladder.rungs[here]}
      <h3 class="mt-4 text-base">A jump over a gap: the reps that earn it</h3>
      {#key home?.exerciseId}
        <JumpTool
          wantedReps={Math.min(30, Math.max(1, home?.dose.target.min || 8))}
          fromKg={ladder.rungs[here].systemKg}
          toKg={ladder.rungs.slice(here + 1).find((r) => r.exerciseId === home?.exerciseId && !r.technique)
            ?.systemKg ?? Math.round(ladder.rungs[here].systemKg * 1.25)}
        />
      {/key}
    {/if}
    <details class="mt-3">
      <summary class="cursor-pointer py-1 text-plain">All rungs as a table</summary>
      <table class="figures w-full text-note">
        <thead class="text-left"
          ><tr class="rule-b"
            ><th class="p-1">rung</th><th class="p-1">set-up</th><th class="p-1 text-right">system</th><th
              class="p-1 text-right">reps</th
            ><th class="p-1 text-right">step</th><th class="p-1">standard</th></tr
          ></thead
        >
        <tbody>
          {#each ladder.rungs as r, i (r.key)}
            <tr class={['rule-b', i === here && 'font-semibold text-primary']}>
              <td class="p-1"
                >{r.name}{r.techniqueLabel ? `, ${r.techniqueLabel}` : ''}{i === here ? ' (here)' : ''}</td
              >
              <td class="p-1">{r.setup}</td>
              <td class="p-1 text-right whitespace-nowrap">{r.systemKg} kg</td>
              <td class="p-1 text-right whitespace-nowrap">{r.reps}</td>
              <td class="p-1 text-right">{r.step ? `${Math.round(r.step * 100)} %` : ''}</td>
              <td class="p-1 whitespace-nowrap">{r.standard}</td>
            </tr>
          {/each}
        </tbody>
      </table>
    </details>
  {/if}
</Dialog>
