<script lang="ts">
  import type { Candidate, LineInBrief } from '../../shared/api/types';
  import FigureOf from '../catalogue/FigureOf.svelte';
  import ResistanceChart from '../kit/ResistanceChart.svelte';
  import { after } from '../../shared/words';
  import Joint from './Joint.svelte';
  import TempoLine from './TempoLine.svelte';
  import { nameOf } from './days';

  interface Props {
    label: string;
    line: LineInBrief;
    /** All candidates of the line. */
    candidates: Candidate[];
    candidate: Candidate;
    busy: boolean;
    onswitch: (id: string) => void;
    ontake: () => void;
  }

  let { label, line, candidates, candidate, busy, onswitch, ontake }: Props = $props();
  const taken = $derived(line.chosen?.id === candidate.id);
</script>

<section class="grid min-w-0 content-start gap-3" aria-label="{label}: {nameOf(candidate)}">
  <label>
    <span class="label-text">{label}</span>
    <select
      class="select w-full font-semibold"
      value={candidate.id}
      onchange={(event) => onswitch(event.currentTarget.value)}
    >
      {#each candidates as other (other.id)}<option value={other.id}>{nameOf(other)}</option>{/each}
    </select>
  </label>
  <div class="flex items-center gap-3">
    <Joint match={candidate.match} parts={candidate.parts} />
    <p class="figures text-2xl font-semibold">{Math.round(candidate.match * 100)} %</p>
    <button class={['btn btn-sm ml-auto', !taken && 'btn-primary']} disabled={taken || busy} onclick={ontake}
      >{taken ? 'Taken' : 'Take this one'}</button
    >
  </div>
  {#each candidate.exercises as home, half (home.exerciseId)}
    <div class="rule-b pb-2 text-plain">
      <FigureOf of={home} size={150} pair told />
      {#if candidate.exercises.length > 1}<p class="font-semibold">{home.name}</p>{/if}
      <p class="figures flex flex-wrap items-center gap-x-3">
        <b class="text-lg">{home.dose.figures}</b>
        {#if !home.dose.timed}<span class="flex items-center gap-1"
            >{home.dose.tempo} <TempoLine tempo={home.dose.tempo} /></span
          >{/if}
        <span>{after(home.dose.restSeconds, half < candidate.exercises.length - 1)}</span>
      </p>
      <p>{home.setup}</p>
      <div class="mt-1 flex items-center gap-2">
        {#if home.resistance}<ResistanceChart range={home.resistance} />{/if}
        <p class="soft min-w-0 flex-1">
          {home.expectedReps
            ? `${home.expectedReps} reps to failure at ${home.systemLoadKg} kg system load`
            : 'Set by position and time'}
        </p>
      </div>
      {#each home.cautions as caution, at1 (at1)}<p class="mt-1 border-l-2 border-warning pl-2">
          {caution}
        </p>{/each}
    </div>
  {/each}
  <div class="text-plain">
    {#each candidate.lost as lost, i (i)}
      <p class="mt-1"><span class="font-semibold text-error">Lost:</span> {lost}</p>
    {:else}
      <p>Nothing worth naming is lost.</p>
    {/each}
  </div>
</section>
