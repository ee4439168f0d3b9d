<script lang="ts">
  import { onMount } from 'svelte';
  import { MediaQuery } from 'svelte/reactivity';
  import { searchParams } from 'sv-router';
  import { crumbs } from '../crumbs.svelte';
  import { keeping } from '../autosave/autosave.svelte';
  import RestoredBar from '../autosave/RestoredBar.svelte';
  import { keys } from '../keys.svelte';
  import { domainRules } from '../domainRules.svelte';
  import { showInAddress } from '../ui/address';
  import ConflictDialog from '../ui/ConflictDialog.svelte';
  import BesideBar from '../workbench/BesideBar.svelte';
  import BenchFoot from '../workbench/BenchFoot.svelte';
  import BenchHead from '../workbench/BenchHead.svelte';
  import ApproachDialog from '../workbench/ApproachDialog.svelte';
  import CompareDialog from '../workbench/CompareDialog.svelte';
  import DaySection from '../workbench/DaySection.svelte';
  import GymWeekEditor from '../workbench/GymWeekEditor.svelte';
  import Inspector from '../workbench/Inspector.svelte';
  import PlacesDialog from '../workbench/PlacesDialog.svelte';
  import LadderDialog from '../progress/LadderDialog.svelte';
  import SendDialog from '../sending/SendDialog.svelte';
  import TechniqueDialog from '../workbench/TechniqueDialog.svelte';
  import { toasts } from '../toasts.svelte';
  import { Workbench } from '../workbench/workbench.svelte';
  import { count } from '../../shared/words';
  import Opening from '../ui/Opening.svelte';
  import { navigate, p, route } from '../router';

  const id = Number(route.params.id);
  const bench = new Workbench();
  const asked = (name: string): number | undefined => Number(searchParams.get(name)) || undefined;

  let askedApproach = $state<{ approach: string; day?: string } | null>(null);
  let comparing = $state(false);
  let techniquesOf = $state<number | null>(null);
  /** Exercise of the open line whose ladder is open. */
  let ladderOf = $state<number | null>(null);
  const treated = $derived(bench.proposal.opened?.chosen?.exercises[techniquesOf ?? 0]);
  const climbed = $derived(
    ladderOf === null ? null : (bench.proposal.opened?.chosen?.exercises[ladderOf] ?? null),
  );
  let atTwoPlaces = $state(false);
  /** A line that is only passed on the way to another one is not opened, ms. */
  const restsOn = 40;
  const narrow = new MediaQuery('(max-width: 1023px)');
  /** In a narrow window: the selected line shows all that is known of it. */
  let unfolded = $state(false);

  onMount(() => {
    void domainRules.load();
    void start();
    const off = keys.add('Workbench', [
      { key: 'arrowdown', label: 'next line', run: () => move(1) },
      { key: 'arrowup', label: 'line before', run: () => move(-1) },
      ...Array.from({ length: 9 }, (_, i) => ({
        key: String(i + 1),
        label: i === 0 ? 'take a candidate' : '',
        shown: '1–9',
        run: () => void take(i),
      })),
      {
        key: 'l',
        label: 'keep the choice',
        run: () => void bench.decide.keep(),
      },
      { key: 'x', label: 'hand the line back to the engine', run: () => void bench.decide.handBack() },
      {
        key: 'a',
        label: 'another approach',
        run: () => (askedApproach = bench.proposal.result ? { approach: bench.proposal.approachOn() } : null),
      },
      { key: 'b', label: 'leave the exercise out for this client', run: ban },
      { key: 'c', label: 'compare two candidates', run: () => (comparing = bench.line !== undefined) },
      { key: 'd', label: 'next day', run: () => moveDay(1) },
      { key: 'd', shift: true, label: 'day before', run: () => moveDay(-1) },
      { key: 'e', label: 'edit the gym week', run: () => (bench.proposal.editing = true) },
      { key: 'f', label: 'type the figures of the line', run: typeFigures },
      { key: 't', label: 'techniques', run: () => (techniquesOf = bench.line?.chosen ? 0 : null) },
      { key: 'g', label: 'ladder of the exercise', run: () => (ladderOf = bench.line?.chosen ? 0 : null) },
      {
        key: 'm',
        label: 'mark the line for the next repeat',
        run: () => bench.marks.toggle(bench.line?.gym.key),
      },
      {
        key: '.',
        label: 'repeat the last edit on the marked lines, or this one',
        run: () => void bench.decide.repeatEdit(),
      },
      {
        key: 'k',
        label: 'calibration session on or off',
        run: () => bench.proposal.result && void bench.decide.toggleCalibration(),
      },
      { key: 'r', label: 'rebuild', run: () => void bench.rebuildAgain() },
      { key: 'p', label: 'same week, next place', run: nextPlace },
      {
        key: 'p',
        shift: true,
        label: 'this week at two places',
        run: () => (atTwoPlaces = bench.proposal.result !== null),
      },
      { key: 'u', label: 'undo', run: () => void bench.undo() },
      { key: 'u', shift: true, label: 'redo', run: () => void bench.redo() },
      { key: 's', label: 'save now', saves: true, run: () => void bench.saving.save() },
      { key: 'h', label: 'open the hand-out', run: () => void handout() },
      { key: 'o', label: 'send the plan out to the client', run: () => void send() },
    ]);
    return () => {
      off();
      bench.close();
      keeping.release(bench.saving.keeper);
      keeping.release(bench.gym.keeper);
    };
  });

  $effect(() => {
    const name = bench.client?.value.name;
    if (name) {
      crumbs.set(
        { text: 'Roster', href: p('/') },
        { text: name, href: p('/clients/:id', { params: { id: String(id) } }) },
        { text: 'Workbench' },
      );
    }
  });

  // The address says which plan, week, place and line are open, so that reload and links lead back here.
  $effect(() => {
    if (!bench.client) return;
    showInAddress({
      plan: bench.versions.plan?.id,
      week: bench.gym.weekId,
      place: bench.placeId,
      line: bench.proposal.result ? bench.proposal.selected + 1 : null,
    });
  });

  async function start(): Promise<void> {
    const line = asked('line');
    const key = asked('key');
    await bench.open(id, { plan: asked('plan'), week: asked('week'), place: asked('place'), line });
    const at = key ? bench.proposal.lines.findIndex((l) => l.gym.key === key) : (line ?? 1) - 1;
    bench.proposal.selected = Math.min(Math.max(0, at), Math.max(0, bench.proposal.lines.length - 1));
  }

  function move(by: number): void {
    bench.proposal.selected = Math.min(
      Math.max(0, bench.proposal.selected + by),
      Math.max(0, bench.proposal.lines.length - 1),
    );
  }

  /** A number may be pressed before the candidates of the line are here. */
  async function take(index: number): Promise<void> {
    const { line } = bench;
    if (!line || bench.proposal.editing) return;
    const candidate = (await bench.proposal.open(line.gym.key))?.candidates[index];
    if (candidate) await bench.decide.choose(candidate.id, line);
    else if (bench.proposal.openFailed) toasts.problem(bench.proposal.openFailed);
  }

  // What is known of the selected line is fetched once the eye rests on it.
  $effect(() => {
    const { result, line } = bench.proposal;
    if (!result || !line) return;
    const soon = setTimeout(() => void bench.proposal.open(), restsOn);
    return () => clearTimeout(soon);
  });

  function moveDay(by: number): void {
    const at = bench.proposal.days.findIndex((day) =>
      day.lines.some((l) => l.index === bench.proposal.selected),
    );
    const first = bench.proposal.days[at + by]?.lines[0];
    if (first) bench.proposal.selected = first.index;
  }

  function typeFigures(): void {
    if (!bench.proposal.editing && bench.line) bench.marks.typingIn = bench.line.gym.key;
  }

  function ban(): void {
    const home = bench.line?.chosen?.exercises[0];
    if (home && !bench.proposal.editing) void bench.ban(home.exerciseId, home.name);
  }

  function nextPlace(): void {
    const at = bench.places.findIndex((x) => x.id === bench.placeId);
    const next = bench.places[(at + 1) % Math.max(1, bench.places.length)];
    if (next && next.id !== bench.placeId) void bench.switchPlace(next.id);
  }

  let sending = $state(false);
  /** What is sent is a version: what is not saved yet is saved first. */
  async function send(): Promise<void> {
    if (
      !bench.proposal.result ||
      ((bench.proposal.unsaved || !bench.versions.plan) && !(await bench.saving.save()))
    )
      return;
    sending = bench.versions.plan !== null;
  }

  async function handout(): Promise<void> {
    if ((bench.proposal.unsaved || !bench.versions.plan) && !(await bench.saving.save())) return;
    if (bench.versions.plan)
      await navigate('/plans/:id/handout', { params: { id: String(bench.versions.plan.id) } });
  }
</script>

{#snippet inspector()}
  {#if bench.line && bench.proposal.opened}
    {#key bench.line.gym.key}<Inspector
        {bench}
        line={bench.line}
        opened={bench.proposal.opened}
        oncompare={() => (comparing = true)}
        ontechniques={(exercise) => (techniquesOf = exercise)}
        onladder={(i) => (ladderOf = i)}
      />{/key}
  {:else if bench.line && bench.proposal.openFailed}
    <div class="p-4" role="alert">
      <p class="mb-2">
        What is known of {bench.line.gymExerciseName} could not be fetched. {bench.proposal
          .openFailed instanceof Error
          ? bench.proposal.openFailed.message
          : ''}
      </p>
      <button class="btn btn-sm" onclick={() => void bench.proposal.open()}>Try again</button>
    </div>
  {:else if bench.line}
    <p class="soft p-4" role="status">Opening {bench.line.gymExerciseName} …</p>
  {/if}
{/snippet}

<!-- In a narrow window what is known of a line unfolds beneath it. -->
{#snippet beneath()}
  {#if unfolded}
    <aside aria-label="Inspector" class="relative z-20 col-span-full border-t border-base-300 bg-base-100">
      {@render inspector()}
      <p class="p-4 pt-0"><button class="btn btn-sm" onclick={() => (unfolded = false)}>Fold</button></p>
    </aside>
  {:else}
    <p class="relative z-20 col-span-full px-4 pb-2">
      <button class="btn btn-sm" onclick={() => (unfolded = true)}>Why, candidates, set-up</button>
    </p>
  {/if}
{/snippet}

<main id="main" class="flex min-h-0 flex-1 flex-col lg:h-[calc(100dvh-3.1rem)] lg:flex-none">
  <h1 class="sr-only">Workbench of {bench.client?.value.name ?? 'a client'}</h1>
  {#if bench.client}
    <BenchHead
      {bench}
      client={bench.client}
      onapproach={(approach) => (askedApproach = { approach })}
      onplaces={() => (atTwoPlaces = true)}
      onsave={() => void bench.saving.save()}
      onhandout={() => void handout()}
      onsend={() => void send()}
    />

    <RestoredBar keeper={bench.saving.keeper} ondrop={() => void bench.saving.drop()} />
    <RestoredBar keeper={bench.gym.keeper} ondrop={() => bench.gym.drop()} />
    {#if bench.versions.drift?.text && !bench.proposal.unsaved && !bench.proposal.editing}
      <p
        class="rule-b flex flex-wrap items-center gap-x-4 gap-y-1 border-l-4 border-l-secondary px-4 py-1"
        role="status"
      >
        <span>{bench.versions.drift.text}</span>
        <button class="btn btn-xs" disabled={bench.proposal.busy} onclick={() => void bench.catchUp()}
          >Rebuild {count(bench.versions.drift.lines, 'line')}, keep your choices</button
        >
      </p>
    {/if}
    {#if bench.proposal.pending.length > 0}
      <p class="rule-b border-l-4 border-l-warning px-4 py-1" role="status">
        The server does not answer. {count(bench.proposal.pending.length, 'choice')}
        {bench.proposal.pending.length === 1 ? 'is' : 'are'} kept here and taken as soon as it does.
      </p>
    {/if}
    <BesideBar {bench} />
    {#if bench.proposal.editing}
      <GymWeekEditor {bench} />
    {:else if bench.proposal.result}
      <div
        class="grid min-h-0 flex-1 lg:min-h-64 lg:grid-cols-[minmax(0,1fr)_minmax(340px,30vw)]"
        aria-busy={bench.proposal.busy}
      >
        <section aria-label="Gym plan facing home plan" class="scrolls min-w-0 max-lg:overflow-visible">
          <div
            class="rule-b sticky top-0 z-20 grid grid-cols-[minmax(0,1fr)_96px_minmax(0,1.75fr)] bg-base-200 py-1 text-note font-semibold max-md:hidden"
          >
            <span class="soft pl-4">Gym plan, {bench.gym.week?.value.name ?? 'week'}</span>
            <span class="soft text-center">match</span>
            <span class="soft pl-3">Home plan, {bench.place?.value.name ?? 'no place'}</span>
          </div>
          {#if bench.gym.errors.length > 0}
            <p class="rule-b border-l-4 border-l-error px-4 py-2">
              {count(bench.gym.errors.length, 'gym line')} could not be read and {bench.gym.errors.length ===
              1
                ? 'waits'
                : 'wait'}.
              <button class="link" onclick={() => (bench.proposal.editing = true)}
                >Mend {bench.gym.errors.length === 1 ? 'it' : 'them'}</button
              >
            </p>
          {/if}
          {#each bench.proposal.days as day, i (i)}<DaySection
              {bench}
              {day}
              under={narrow.current ? beneath : undefined}
              onapproach={(approach, name) => (askedApproach = { approach, day: name })}
            />{/each}
        </section>
        {#if !narrow.current}
          <aside aria-label="Inspector" class="scrolls rule-l min-w-0 bg-base-100">
            {#if bench.line}{@render inspector()}{/if}
          </aside>
        {/if}
      </div>
      <BenchFoot {bench} result={bench.proposal.result} />
    {/if}
  {:else}
    <div class="p-6">
      <Opening
        doing="Laying out the workbench …"
        what="workbench"
        failed={bench.failed}
        onagain={() => void start()}
      />
    </div>
  {/if}
</main>

<ConflictDialog
  what="plan"
  open={bench.saving.deciding}
  onmine={() => bench.saving.keepMine()}
  ontheirs={() => void bench.saving.takeTheirs()}
  onclose={() => (bench.saving.deciding = false)}
/>
<ConflictDialog
  what="gym week"
  open={bench.gym.deciding}
  onmine={() => void bench.gym.takeMine().then(() => bench.propose())}
  ontheirs={() => void bench.gym.takeTheirs()}
  onclose={() => (bench.gym.deciding = false)}
/>
{#if bench.line}
  <CompareDialog {bench} line={bench.line} open={comparing} onclose={() => (comparing = false)} />
{/if}
{#if bench.line && treated}
  <TechniqueDialog
    {bench}
    line={bench.line.gym.key}
    home={treated}
    open={techniquesOf !== null}
    onclose={() => (techniquesOf = null)}
  />
{/if}
{#if bench.client}
  <LadderDialog
    client={bench.clientNow()}
    kit={bench.place?.value ?? { name: 'no place', items: [] }}
    home={climbed}
    gymLines={bench.gym.text.split(/\r?\n/)}
    onclose={() => (ladderOf = null)}
    ontake={(externalKg, technique) => {
      if (bench.line && climbed)
        void bench.decide.edit({
          line: bench.line.gym.key,
          exerciseId: climbed.exerciseId,
          externalKg,
          techniques: technique ? [technique] : [],
        });
    }}
  />
{/if}
<ApproachDialog {bench} asked={askedApproach} onclose={() => (askedApproach = null)} />
<PlacesDialog {bench} open={atTwoPlaces} onclose={() => (atTwoPlaces = false)} />
{#if bench.client && bench.versions.plan}
  <SendDialog
    open={sending}
    planId={bench.versions.plan.id}
    version={bench.versions.plan.value.version}
    clientId={bench.client.id}
    name={bench.client.value.name}
    onclose={() => (sending = false)}
  />
{/if}
