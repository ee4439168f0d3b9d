<script lang="ts">
  import { onMount } from 'svelte';
  import { api, ask } from '../api/client';
  import type { HomeExercise, HomeLine, LinkState, SavedClient, SavedPlan } from '../../shared/api/types';
  import { crumbs } from '../crumbs.svelte';
  import { keys } from '../keys.svelte';
  import { after, count, day as dateOf, rest } from '../../shared/words';
  import { byDay, inOrder, type DayOfPlan } from '../workbench/days';
  import FigureOf from '../catalogue/FigureOf.svelte';
  import SetupSketches from '../../shared/sketches/SetupSketches.svelte';
  import { hasSketch } from '../../shared/sketches/sketch';
  import TempoLine from '../workbench/TempoLine.svelte';
  import Opening from '../ui/Opening.svelte';
  import { p, route } from '../router';

  const id = Number(route.params.id);
  let plan = $state<SavedPlan | null>(null);
  let client = $state<SavedClient | null>(null);
  let link = $state<LinkState | null>(null);
  /** Larger type, for who reads it from the floor without glasses; a day may then take two pages. */
  let large = $state(localStorage.getItem('ingegno-large-handout') === 'yes');
  $effect(() => localStorage.setItem('ingegno-large-handout', large ? 'yes' : 'no'));
  /** How bags are packed and bands are tied, on a page of its own after the days. */
  let setups = $state(localStorage.getItem('ingegno-handout-setups') === 'yes');
  $effect(() => localStorage.setItem('ingegno-handout-setups', setups ? 'yes' : 'no'));
  const files = [
    ['csv', 'CSV'],
    ['xlsx', 'XLSX'],
    ['json', 'JSON'],
    ['txt', 'shorthand'],
  ] as const;
  const days = $derived(plan ? byDay(plan.value.document.plan) : []);

  /** What is packed, tied or weighed against tipping, each set-up once. */
  const drawnSetups = $derived(
    days
      .flatMap((day) => inOrder(day).flatMap(({ line }) => line.chosen?.exercises ?? []))
      .filter((home) => hasSketch(home))
      .filter(
        (home, i, all) =>
          all.findIndex((h) => h.exerciseId === home.exerciseId && h.setup === home.setup) === i,
      ),
  );

  /** A column for each set, four at least: there is room for one more. */
  const slots = (sets: number): number[] =>
    Array.from({ length: Math.max(4, Math.min(sets, 8)) }, (_, i) => i + 1);
  /** Characters of a line of text that has a figure beside it. */
  const charactersBesideFigure = 52;
  /** About so many lines an exercise takes on paper; the table to write in needs six. */
  const linesOf = (home: HomeExercise): number =>
    Math.max(
      6,
      1 +
        Math.ceil([home.setup, ...home.steps, home.how ?? ''].join('. ').length / charactersBesideFigure) +
        Math.ceil(home.cues.join(' · ').length / charactersBesideFigure) +
        home.dose.instructions.length +
        Math.ceil(home.cautions.join(' ').length / charactersBesideFigure),
    );
  /** What is on a day decides how small it is printed, so that it keeps to its page, on Letter too. */
  const printed = (day: DayOfPlan<HomeLine>): string => {
    const lines = day.lines
      .flatMap(({ line }) => line.chosen?.exercises ?? [])
      .reduce((sum, home) => sum + linesOf(home), day.warmUp.length / 2 + day.kept.length);
    return lines > 42 ? 'fullest' : lines > 29 ? 'full' : '';
  };

  /** A full page has smaller figures. */
  const figureSize = (day: DayOfPlan<HomeLine>): number =>
    large ? 110 : ({ fullest: 56, full: 66 }[printed(day) || 'few'] ?? 88);

  onMount(() => {
    void load();
    return keys.add('Hand-out', [{ key: 'p', label: 'print', run: () => print() }]);
  });

  let failed = $state<unknown>(null);
  async function load(): Promise<void> {
    failed = null;
    try {
      const found = await ask(() => api.GET('/api/v1/plans/{id}', { params: { path: { id } } }));
      const owner = await ask(() =>
        api.GET('/api/v1/clients/{id}', { params: { path: { id: found.value.clientId } } }),
      );
      link = await ask(() =>
        api.GET('/api/v1/clients/{id}/link', { params: { path: { id: found.value.clientId } } }),
      );
      [plan, client] = [found, owner];
      crumbs.ofPlan(id, owner, 'Hand-out');
    } catch (error) {
      failed = error;
    }
  }
</script>

<main id="main" class="mx-auto w-full max-w-4xl flex-1 p-6 print:max-w-none print:p-0">
  {#if plan && client}
    <div class="no-print mb-4 flex flex-wrap items-center gap-3">
      <p class="soft flex-1">
        {days.length > 1 ? 'One page a day' : 'One page'} for {client.value.name}, on paper.
        {#if !link?.picture}Send the plan, and the page bears the code of the session on the phone.{/if}
      </p>
      <label class="flex items-center gap-2">
        <input type="checkbox" class="checkbox checkbox-sm" bind:checked={large} /> Large type
      </label>
      {#if drawnSetups.length > 0}
        <label class="flex items-center gap-2">
          <input type="checkbox" class="checkbox checkbox-sm" bind:checked={setups} /> Set-up drawings
        </label>
      {/if}
      <span class="flex items-center gap-2" role="group" aria-label="The plan as a file">
        {#each files as [form, label] (form)}<a
            class="link-alone"
            href="/api/v1/plans/{plan.id}/home-plan.{form}"
            download>{label}</a
          >{/each}
      </span>
      <a class="btn btn-sm" href={p('/plans/:id/log', { params: { id: String(plan.id) } })}>Log a session</a>
      <button class="btn btn-primary btn-sm" onclick={() => print()}
        >Print <span class="keycap">P</span></button
      >
    </div>
    <article class="sheet p-6 print:border-0 print:p-0">
      {#each days as day, n (n)}
        <section
          class={[
            'sheet-of-day',
            large ? 'large' : printed(day),
            n > 0 && 'mt-8 print:mt-0 print:break-before-page',
          ]}
        >
          <header class="mb-2 flex flex-wrap items-end gap-x-6 border-b-2 border-base-content pb-1">
            {#if n === 0}<h1 class="flex-1 text-2xl print:text-lg">{plan.value.document.title}</h1>
            {:else}<p class="flex-1 font-display text-xl font-semibold print:text-lg">
                {plan.value.document.title}
              </p>{/if}
            <p class="text-sm">
              {client.value.name}, {plan.value.document.request.kit.name}, {dateOf(plan.updatedAt)}, version {plan
                .value.version}
            </p>
          </header>
          <div class="mb-2 flex flex-wrap items-baseline gap-x-4">
            <h2 class="flex-1 text-xl print:text-base">{day.name || 'The day'}</h2>
            <p class="soft text-sm">about {day.minutes} min</p>
            <p class="hidden text-sm print:block">
              Date ______________ Minutes ______ Effort of the day, 1–10 ______
            </p>
          </div>
          <p class="mb-2 text-sm">
            <b>Stop, sit down and call the emergency number</b>, even if it passes: pressure or pain in chest,
            jaw or arm, fainting, trouble breathing, a drooping face, a sudden very bad headache, numb between
            or in both legs. <b>Stop, and ask a doctor or physiotherapist</b> before that joint is loaded again:
            it locks, gives way, swells, popped out, or is numb. Tell your coach.
          </p>
          {#if day.warmUp.length > 0}
            <section class="mb-2 text-sm" aria-label="Warm-up">
              <h3 class="text-base print:text-sm">Warm-up, 5–10 minutes</h3>
              <ol class="list-decimal pl-5 print:columns-2">
                {#each day.warmUp as step, at1 (at1)}<li>{step}</li>{/each}
              </ol>
            </section>
          {/if}
          {#each day.blocks.filter((b) => b.lines.length > 1) as block, at1 (at1)}
            <p class="text-sm">
              <b class="figures">{block.label}</b>: {count(block.rounds, 'round')} of {block.lines.length} exercises
              in turn, then rest {rest(block.restSeconds)}.
            </p>
          {/each}
          <ol class="grid gap-3 print:gap-1">
            {#each inOrder(day).filter((l) => l.line.chosen) as { line } (line.gym.key)}
              {#each line.chosen?.exercises ?? [] as home, half (home.exerciseId)}
                {@const goesOn = half < (line.chosen?.exercises.length ?? 0) - 1}
                <li
                  class="grid grid-cols-[2rem_minmax(0,1fr)_minmax(0,15rem)] gap-x-3 border-t border-base-300 pt-2 break-inside-avoid max-sm:grid-cols-[2rem_minmax(0,1fr)] print:grid-cols-[1.6rem_minmax(0,1fr)_78mm] print:border-base-content print:pt-1"
                >
                  <span class="figures text-secondary print:text-black"
                    >{day.labels[line.gym.key] ?? ''}{half > 0 ? '+' : ''}</span
                  >
                  <div class="flow-root">
                    <span class="float-right ml-2 print:-my-1">
                      <FigureOf
                        of={{ ...home, statureCm: client.value.profile.statureCm }}
                        size={figureSize(day)}
                        pair
                        told
                        soon
                      />
                    </span>
                    <h3 class="text-lg print:text-sm">{home.name}</h3>
                    <p class="text-sm">
                      {home.setup}{home.steps.length > 0 ? `. ${home.steps.join('. ')}.` : '.'}
                      {home.how ?? ''}
                    </p>
                    <p class="text-sm">{home.cues.join(' · ')}</p>
                    {#each home.dose.instructions as instruction, at3 (at3)}<p class="text-sm font-semibold">
                        {instruction}
                      </p>{/each}
                    {#if home.cautions.length > 0}<p class="text-sm text-secondary print:text-black">
                        <b>Take care:</b>
                        {home.cautions.join(' ')}
                      </p>{/if}
                    {#if home.easierName || home.harderName}
                      <p class="soft text-note print:hidden">
                        {home.easierName ? `Easier: ${home.easierName}. ` : ''}{home.harderName
                          ? `Harder: ${home.harderName}.`
                          : ''}
                      </p>
                    {/if}
                  </div>
                  <div class="figures max-sm:col-start-2">
                    <p class="flex flex-wrap items-baseline gap-x-3">
                      <b class="text-xl print:text-base">{home.dose.figures}</b>
                      {#if !home.dose.timed}<span class="flex items-center gap-2 text-sm"
                          >{home.dose.tempo}
                          <TempoLine tempo={home.dose.tempo} width={48} height={14} /></span
                        >{/if}
                    </p>
                    <p class="text-sm">
                      {goesOn ? '' : 'rest '}{after(home.dose.restSeconds, goesOn)}{home.dose.timed
                        ? ''
                        : `, ${home.dose.rir} left in reserve`}
                    </p>
                    <table class="write-in" aria-hidden="true">
                      <tbody>
                        <tr
                          ><th>set</th>{#each slots(home.dose.sets) as set (set)}<th>{set}</th>{/each}<th
                            >left</th
                          ><th>pain</th></tr
                        >
                        <tr
                          ><th>kg</th>{#each slots(home.dose.sets) as set (set)}<td></td>{/each}<td
                            rowspan="2"
                          ></td><td rowspan="2"></td></tr
                        >
                        <tr
                          ><th>{home.dose.timed ? 's' : 'reps'}</th
                          >{#each slots(home.dose.sets) as set (set)}<td></td>{/each}</tr
                        >
                      </tbody>
                    </table>
                  </div>
                </li>
              {/each}
            {/each}
          </ol>
          {#if day.kept.length > 0}
            <p class="mt-2 text-sm break-inside-avoid"><b>Also, as written.</b> {day.kept.join(' · ')}</p>
          {/if}
          {#if day.coolDown.length > 0}
            <p class="mt-2 text-sm break-inside-avoid"><b>Cool-down.</b> {day.coolDown.join(' ')}</p>
          {/if}
          <footer
            class={[
              'mt-3 flow-root border-t border-base-300 pt-1 text-note',
              n < days.length - 1 && 'hidden print:block',
            ]}
          >
            {#if link?.picture}
              <div class="code" role="img" aria-label="Code of the session on the phone">
                <!-- The picture is made by the server from the address alone. -->
                <!-- eslint-disable-next-line svelte/no-at-html-tags -->
                {@html link.picture}
              </div>
            {/if}
            <p>
              {#if link?.picture}<b>On the phone:</b> scan the code; it leads through the session and works without
                a net.{/if}
              2-0-1-0: seconds down, pause, up, pause; X is as fast as you can. Left in reserve: reps you could
              still have done. Pain 0–10; stop the exercise when it is sharp or grows. Before the first use of furniture,
              bars and anchors: push, half weight, full weight; look over every band for nicks. Ingegno helps a
              qualified coach to plan. It is no medical advice, certifies no object, and defers to licensed clinicians,
              local rules and makers' instructions.
            </p>
          </footer>
        </section>
      {/each}
      {#if setups && drawnSetups.length > 0}
        <section class="sheet-of-day mt-8 print:mt-0 print:break-before-page" aria-label="Set-up drawings">
          <h2 class="mb-2 border-b-2 border-base-content pb-1 text-xl print:text-base">Setting up</h2>
          <ul class="grid grid-cols-[repeat(auto-fill,minmax(17rem,1fr))] gap-x-6 gap-y-4 print:grid-cols-2">
            {#each drawnSetups as home (`${home.exerciseId} ${home.setup}`)}
              <li class="break-inside-avoid border-t border-base-300 pt-2 print:border-base-content">
                <h3 class="text-base print:text-sm">{home.name}</h3>
                <p class="text-sm">{home.setup}</p>
                <SetupSketches bag={home.bag} bands={home.bands ?? []} checks={home.checks} />
              </li>
            {/each}
          </ul>
        </section>
      {/if}
    </article>
  {:else}
    <Opening doing="Writing the hand-out …" what="hand-out" {failed} onagain={() => void load()} />
  {/if}
</main>

<style>
  .write-in {
    display: none;
  }

  .code {
    float: right;
    width: 17mm;
    margin: 0 0 0 4mm;
    background: #fff;
  }

  @page {
    margin: 11mm 12mm;
  }

  @media print {
    .sheet-of-day {
      font-size: 9pt;
      line-height: 1.25;
    }

    .sheet-of-day.large {
      font-size: 12.5pt;
      line-height: 1.3;
    }

    .sheet-of-day.large :global(.figures b) {
      font-size: 15pt;
    }

    .sheet-of-day.fullest {
      font-size: 7.2pt;
      line-height: 1.15;
    }

    .sheet-of-day.full {
      font-size: 8pt;
      line-height: 1.2;
    }

    .sheet-of-day :global(.text-sm),
    .sheet-of-day :global(.text-note) {
      font-size: 1em;
      line-height: inherit;
    }

    .write-in {
      display: table;
      width: 100%;
      margin-top: 1mm;
      table-layout: fixed;
      border-collapse: collapse;
    }

    .write-in th,
    .write-in td {
      height: 5mm;
      border: 0.3mm solid #000;
      font-size: 7.5pt;
      font-weight: 400;
      text-align: center;
    }

    .write-in tr:first-child th {
      height: 3.4mm;
      border: 0;
    }

    .write-in th:first-child {
      border: 0;
    }
  }
</style>
