<script lang="ts">
  import type { Snippet } from 'svelte';
  import type { LineInBrief, RebuiltWeek } from '../../shared/api/types';
  import { rest } from '../../shared/words';
  import { byDay, meanMatch } from './days';
  import Joint from './Joint.svelte';
  import { nameOf } from './days';

  interface Props {
    /** The plan as it stands. */
    here: RebuiltWeek;
    hereLabel: string;
    /** The plan it is held against; null while it is being made. */
    there: RebuiltWeek | null;
    thereLabel: Snippet;
    /** Only this day. */
    only?: string;
  }

  let { here, hereLabel, there, thereLabel, only }: Props = $props();
  const days = $derived(byDay((there ?? here).plan).filter((d) => only === undefined || d.name === only));
  const find = (result: RebuiltWeek | null, line: LineInBrief): LineInBrief | undefined =>
    result?.plan.lines.find((l) => l.gym.key === line.gym.key);
  const doses = (line: LineInBrief | undefined): string =>
    line?.chosen?.exercises
      .map((e) =>
        e.dose.timed
          ? `${e.dose.figures} ${rest(e.dose.restSeconds)}`
          : `${e.dose.figures} ${e.dose.tempo} ${rest(e.dose.restSeconds)} RIR ${e.dose.rir}`,
      )
      .join(' + ') ?? '';
  const percent = (value: number): string => `${Math.round(value * 100)} %`;
  const minutes = (result: RebuiltWeek, day: string): number | undefined =>
    result.plan.days.find((d) => d.name === day)?.minutes.total;
</script>

{#snippet cell(line: LineInBrief | undefined)}
  {#if line?.chosen}
    <div class="flex items-start gap-2">
      <Joint match={line.chosen.match} parts={line.chosen.parts} width={46} height={24} />
      <div class="min-w-0">
        <p class="font-semibold">{nameOf(line.chosen)}{line.locked ? ' · kept' : ''}</p>
        <p class="figures text-note">
          {doses(line)} <span class="soft">{percent(line.chosen.match)}</span>
        </p>
      </div>
    </div>
  {:else}
    <p class="text-error">nothing that serves</p>
  {/if}
{/snippet}

<table class="mt-3 w-full table-fixed text-plain">
  <thead>
    <tr class="rule-b align-bottom">
      <th scope="col" class="w-[22%] pb-2 text-left">Gym</th>
      <th scope="col" class="pb-2 text-left"
        >{hereLabel}
        <span class="figures soft font-normal">{percent(meanMatch(here.plan))} on average</span></th
      >
      <th scope="col" class="pb-2 text-left">
        {@render thereLabel()}
        {#if there}<span class="figures soft font-normal">{percent(meanMatch(there.plan))} on average</span
          >{/if}
      </th>
    </tr>
  </thead>
  {#each days as day, i (i)}
    <tbody>
      <tr class="font-display">
        <th scope="rowgroup" class="pt-3 text-left">{day.name || 'The day'}</th>
        <td class="figures pt-3 text-note">{minutes(here, day.name)} min</td>
        <td class="figures pt-3 text-note">{there ? `${minutes(there, day.name)} min` : ''}</td>
      </tr>
      {#each day.lines as { line } (line.gym.key)}
        {@const [now, then] = [find(here, line), find(there, line)]}
        {@const same = now?.chosen?.id === then?.chosen?.id && doses(now) === doses(then)}
        <tr class="rule-b align-top">
          <th scope="row" class="py-2 pr-3 text-left font-normal"
            >{line.gymExerciseName} <span class="figures text-note">{line.gymDose}</span></th
          >
          <td class="py-2 pr-3">{@render cell(now)}</td>
          <td class="py-2">
            {#if there && same}<p class="soft">the same</p>{:else if there}{@render cell(then)}{/if}
          </td>
        </tr>
      {/each}
    </tbody>
  {/each}
</table>
