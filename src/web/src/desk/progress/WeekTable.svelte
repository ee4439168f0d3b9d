<script lang="ts">
  import type { WeekTrend } from '../../shared/api/types';
  import { day, inWords, number } from '../../shared/words';

  interface Props {
    weeks: WeekTrend[];
  }

  let { weeks }: Props = $props();
  const mostSets = $derived(Math.max(1, ...weeks.map((w) => Math.max(w.sets, w.plannedSets))));
  const muscles = $derived(
    [...new Set(weeks.flatMap((w) => w.hardSets.map((h) => h.muscle)))]
      .map((muscle) => ({ muscle, sum: weeks.reduce((s, w) => s + setsOf(w, muscle), 0) }))
      .sort((a, b) => b.sum - a.sum)
      .slice(0, 8)
      .map((m) => m.muscle),
  );

  function setsOf(week: WeekTrend, muscle: string): number {
    return week.hardSets.find((h) => h.muscle === muscle)?.sets ?? 0;
  }
</script>

<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<div class="overflow-x-auto" tabindex="0" role="region" aria-label="Weeks">
  <table class="figures w-full text-note">
    <thead>
      <tr class="rule-b text-left align-bottom">
        <th class="p-1">Week of</th>
        <th class="p-1">sessions</th>
        <th class="p-1">sets, done of planned</th>
        <th class="p-1">reps reached</th>
        <th class="p-1">pain</th>
        {#each muscles as muscle (muscle)}<th class="p-1 text-right font-normal">{inWords(muscle)}</th>{/each}
      </tr>
    </thead>
    <tbody>
      {#each weeks.toReversed() as week, i (i)}
        <tr class="rule-b">
          <th scope="row" class="p-1 text-left font-normal whitespace-nowrap">{day(week.monday)}</th>
          <td class="p-1">{week.sessions} of {week.plannedSessions}</td>
          <td class="p-1">
            <span class="flex items-center gap-2">
              <span class="inline-block h-3 w-28 border border-current" aria-hidden="true">
                <span class="block h-full bg-primary" style:width="{(100 * week.sets) / mostSets}%"></span>
              </span>
              {week.sets} of {week.plannedSets}
            </span>
          </td>
          <td class="p-1">{week.sets > 0 ? `${Math.round((100 * week.reachedSets) / week.sets)} %` : '–'}</td>
          <td class={['p-1', (week.worstPain ?? 0) > 2 && 'font-semibold text-error']}
            >{week.worstPain ? `${week.worstPain} ${week.painJoint ? inWords(week.painJoint) : ''}` : '–'}</td
          >
          {#each muscles as muscle (muscle)}<td class="p-1 text-right">{number(setsOf(week, muscle))}</td
            >{/each}
        </tr>
      {/each}
    </tbody>
  </table>
</div>
