<script lang="ts">
  import { onMount } from 'svelte';
  import { searchParams } from 'sv-router';
  import { api, ask } from '../api/client';
  import type { ClientTrends, LearnedCost, RepMaxFormula } from '../../shared/api/types';
  import { crumbs } from '../crumbs.svelte';
  import { costInWords, costOf, costRange } from '../progress/costs';
  import LiftTrendCard from '../progress/LiftTrendCard.svelte';
  import WeekTable from '../progress/WeekTable.svelte';
  import { showInAddress } from '../ui/address';
  import Opening from '../ui/Opening.svelte';
  import { p, route } from '../router';

  const id = Number(route.params.id);
  let trends = $state.raw<ClientTrends | null>(null);
  let costs = $state.raw<LearnedCost[]>([]);
  let formulas = $state.raw<RepMaxFormula[]>([]);
  let formula = $state(String(searchParams.get('formula') ?? ''));
  let name = $state('');
  const equation = $derived(formulas.find((f) => f.id === formula)?.equation);

  let failed = $state<unknown>(null);
  onMount(start);

  function start(): void {
    failed = null;
    Promise.all([
      ask(() => api.GET('/api/v1/clients/{id}', { params: { path: { id } } })),
      ask(() => api.GET('/api/v1/rep-max-formulas')),
      ask(() => api.GET('/api/v1/clients/{clientId}/strength', { params: { path: { clientId: id } } })),
    ]).then(
      ([client, all, strength]) => {
        [name, formulas, costs] = [client.value.name, all, strength.costs];
        crumbs.set(
          { text: 'Roster', href: p('/') },
          { text: name, href: p('/clients/:id', { params: { id: String(id) } }) },
          { text: 'Trends' },
        );
      },
      (error: unknown) => (failed = error),
    );
  }

  $effect(() => read(formula));

  function read(asked: string): void {
    showInAddress({ formula: asked });
    ask(() =>
      api.GET('/api/v1/clients/{clientId}/trends', {
        params: { path: { clientId: id }, query: asked ? { formula: asked } : {} },
      }),
    ).then(
      (answer) => asked === formula && (trends = answer),
      (error: unknown) => (failed = error),
    );
  }
</script>

<main id="main" class="mx-auto w-full max-w-7xl flex-1 p-6">
  <div class="mb-4 flex flex-wrap items-end gap-4">
    <h1 class="flex-1 text-3xl">Trends: {name}</h1>
    {#if trends && trends.adherence !== null && trends.adherence !== undefined}
      <p class="pb-1">
        <span class="figures text-2xl font-semibold">{Math.round(trends.adherence * 100)} %</span> of planned sessions
        done
      </p>
    {/if}
    <label>
      <span class="label-text">One-rep maximum by</span>
      <select class="select" bind:value={formula}>
        <option value="">the curve of each kind of lift</option>
        {#each formulas as f (f.id)}<option value={f.id}>{f.name}</option>{/each}
      </select>
    </label>
  </div>
  {#if equation}<p class="soft mb-3 figures text-plain">{equation}</p>{/if}
  {#if !trends}
    <Opening
      inner
      doing="Reading the logs …"
      what="trend"
      {failed}
      onagain={() => {
        start();
        read(formula);
      }}
    />
  {:else if trends.weeks.length === 0}
    <div class="sheet p-8">
      <h2 class="text-xl">Nothing logged yet</h2>
      <p class="mt-2">
        Log a session of a plan, or bring in a log file; trends begin with the second day of an exercise.
      </p>
    </div>
  {:else}
    <section aria-labelledby="weeks" class="sheet mb-6 p-4">
      <h2 id="weeks" class="mb-1 text-xl">Weeks: planned and done, pain, hard sets per muscle</h2>
      <WeekTable weeks={trends.weeks} />
    </section>
    {#if costs.length > 0}
      <section aria-labelledby="costs" class="sheet mb-6 p-4">
        <h2 id="costs" class="text-xl">What rests and techniques cost {name}</h2>
        <p class="soft mb-1 text-plain">
          Reps lost against the usual table, learnt from the log. Plans count with it; sessions with reps in
          reserve noted make it surer.
        </p>
        <table class="text-plain">
          <tbody>
            {#each costs as cost, i (i)}
              <tr class="rule-b">
                <th scope="row" class="py-1 pr-6 text-left font-normal">{costOf(cost)}</th>
                <td class="py-1 pr-6 font-semibold">{costInWords(cost)}</td>
                <td class="figures py-1 pr-6">{costRange(cost)}</td>
                <td class="soft py-1">{cost.restsOn}</td>
              </tr>
            {/each}
          </tbody>
        </table>
      </section>
    {/if}
    <section aria-labelledby="lifts">
      <h2 id="lifts" class="text-xl">Estimated strength</h2>
      <p class="soft mb-3 text-plain">
        The line is the estimate, the hatched band its range; a circle is what the best set of a day stands
        for alone. Old days fade, and an odd one counts little.
      </p>
      <div class="grid gap-4 xl:grid-cols-2">
        {#each trends.lifts as trend (trend.exerciseId)}<LiftTrendCard {trend} />{:else}<p>
            No exercise was logged on two days yet.
          </p>{/each}
      </div>
    </section>
  {/if}
</main>
