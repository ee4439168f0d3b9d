<script lang="ts">
  import { onMount } from 'svelte';
  import { searchParams } from 'sv-router';
  import FindingList from '../lib/audit/FindingList.svelte';
  import { crumbs } from '../lib/crumbs.svelte';
  import { keys } from '../lib/keys.svelte';
  import { trade } from '../lib/trade.svelte';
  import { showInAddress } from '../lib/ui/address';
  import ConflictDialog from '../lib/ui/ConflictDialog.svelte';
  import ApproachDialog from '../lib/workbench/ApproachDialog.svelte';
  import CompareDialog from '../lib/workbench/CompareDialog.svelte';
  import DaySection from '../lib/workbench/DaySection.svelte';
  import GymWeekEditor from '../lib/workbench/GymWeekEditor.svelte';
  import HardSets from '../lib/workbench/HardSets.svelte';
  import Inspector from '../lib/workbench/Inspector.svelte';
  import PlacesDialog from '../lib/workbench/PlacesDialog.svelte';
  import LadderDialog from '../lib/progress/LadderDialog.svelte';
  import TechniqueDialog from '../lib/workbench/TechniqueDialog.svelte';
  import { Workbench } from '../lib/workbench/workbench.svelte';
  import { count, inWords, sentence } from '../lib/words';
  import { navigate, p, route } from '../router';

  const id = Number(route.params.id);
  const bench = new Workbench();
  const asked = (name: string): number | undefined => Number(searchParams.get(name)) || undefined;

  const profile = $derived(bench.client?.value.profile);
  const kit = $derived(
    (bench.place?.value.items ?? []).map((item) => {
      const name = item.name || trade.kind(item.kind)?.label.toLowerCase() || item.kind;
      return (item.count ?? 1) > 1 ? `${item.count} × ${name}` : name;
    }),
  );
  let askedApproach = $state<{ approach: string; day?: string } | null>(null);
  let comparing = $state(false);
  let techniquesOf = $state<number | null>(null);
  /** Exercise of the open line whose ladder is open. */
  let ladderOf = $state<number | null>(null);
  const treated = $derived(bench.line?.chosen?.exercises[techniquesOf ?? 0]);
  const climbed = $derived(ladderOf === null ? null : (bench.line?.chosen?.exercises[ladderOf] ?? null));
  let atTwoPlaces = $state(false);

  onMount(() => {
    void trade.load();
    void bench.open(id, { plan: asked('plan'), week: asked('week'), place: asked('place') }).then(() => {
      bench.selected = Math.max(0, (asked('line') ?? 1) - 1);
    });
    return keys.add('Workbench', [
      { key: 'arrowdown', label: 'next line', run: () => move(1) },
      { key: 'arrowup', label: 'line before', run: () => move(-1) },
      ...Array.from({ length: 9 }, (_, i) => ({
        key: String(i + 1),
        label: i === 0 ? 'take a candidate' : '',
        shown: '1–9',
        run: () => take(i),
      })),
      {
        key: 'l',
        label: 'keep the choice, or leave it to the engine again',
        run: () => void bench.toggleLock(),
      },
      {
        key: 'a',
        label: 'another approach',
        run: () => (askedApproach = bench.result ? { approach: bench.approachOn() } : null),
      },
      { key: 'b', label: 'leave the exercise out for this client', run: ban },
      { key: 'c', label: 'compare two candidates', run: () => (comparing = bench.line !== undefined) },
      { key: 'd', label: 'next day', run: () => moveDay(1) },
      { key: 'd', shift: true, label: 'day before', run: () => moveDay(-1) },
      { key: 'e', label: 'edit the gym week', run: () => (bench.editing = true) },
      { key: 'f', label: 'type the figures of the line', run: typeFigures },
      { key: 't', label: 'techniques', run: () => (techniquesOf = bench.line?.chosen ? 0 : null) },
      { key: 'g', label: 'ladder of the exercise', run: () => (ladderOf = bench.line?.chosen ? 0 : null) },
      { key: 'm', label: 'mark the line for the next repeat', run: () => bench.toggleMark() },
      {
        key: '.',
        label: 'repeat the last edit on the marked lines, or this one',
        run: () => void bench.repeatEdit(),
      },
      {
        key: 'k',
        label: 'calibration session on or off',
        run: () => bench.result && void bench.toggleCalibration(),
      },
      { key: 'r', label: 'rebuild', run: () => void bench.rebuildAgain() },
      { key: 'p', label: 'same week, next place', run: nextPlace },
      {
        key: 'p',
        shift: true,
        label: 'this week at two places',
        run: () => (atTwoPlaces = bench.result !== null),
      },
      { key: 'u', label: 'undo', run: () => void bench.undo() },
      { key: 'u', shift: true, label: 'redo', run: () => void bench.redo() },
      { key: 's', label: 'save', run: () => void save() },
      { key: 'h', label: 'open the hand-out', run: () => void handout() },
    ]);
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
      plan: bench.plan?.id,
      week: bench.gym.weekId,
      place: bench.placeId,
      line: bench.result ? bench.selected + 1 : null,
    });
  });

  function move(by: number): void {
    bench.selected = Math.min(Math.max(0, bench.selected + by), Math.max(0, bench.lines.length - 1));
  }

  function take(index: number): void {
    const candidate = bench.line?.candidates[index];
    if (candidate && !bench.editing) void bench.choose(candidate.id);
  }

  function moveDay(by: number): void {
    const at = bench.days.findIndex((day) => day.lines.some((l) => l.index === bench.selected));
    const first = bench.days[at + by]?.lines[0];
    if (first) bench.selected = first.index;
  }

  function typeFigures(): void {
    if (!bench.editing && bench.line) bench.typingIn = bench.line.gym.line;
  }

  function ban(): void {
    const home = bench.line?.chosen?.exercises[0];
    if (home && !bench.editing) void bench.ban(home.exerciseId, home.name);
  }

  function nextPlace(): void {
    const at = bench.places.findIndex((x) => x.id === bench.placeId);
    const next = bench.places[(at + 1) % Math.max(1, bench.places.length)];
    if (next && next.id !== bench.placeId) void bench.switchPlace(next.id);
  }

  async function save(): Promise<boolean> {
    return bench.save();
  }

  async function handout(): Promise<void> {
    if ((bench.unsaved || !bench.plan) && !(await save())) return;
    if (bench.plan) await navigate('/plans/:id/handout', { params: { id: String(bench.plan.id) } });
  }
</script>

<main id="main" class="flex min-h-0 flex-1 flex-col lg:h-[calc(100dvh-3.1rem)] lg:flex-none">
  <h1 class="sr-only">Workbench of {bench.client?.value.name ?? 'a client'}</h1>
  {#if bench.client && profile}
    <div
      class="rule-b grid gap-px text-[14px] md:grid-cols-[minmax(0,1fr)_minmax(0,1fr)_minmax(0,1.7fr)_auto]"
    >
      <div class="px-5 py-2">
        <p class="soft text-[13px]">Client</p>
        <p class="font-semibold">
          {bench.client.value.name}{profile.ageYears ? `, ${profile.ageYears}` : ''}
        </p>
        <p class="soft">{profile.level}, {inWords(profile.goal)}</p>
        {#if profile.soreJoints?.length}
          <p class="text-secondary">
            {profile.soreJoints.map((s) => `${inWords(s.joint)} ${s.severity}`).join(', ')}
          </p>
        {/if}
      </div>
      <div class="rule-l grid content-start gap-1 px-4 py-2">
        <div class="flex items-baseline justify-between gap-2">
          <label for="place" class="soft text-[13px]">Place <span class="keycap">P</span></label>
          {#if bench.places.length > 1}
            <button class="link text-[13px]" disabled={!bench.result} onclick={() => (atTwoPlaces = true)}
              >Two at once</button
            >
          {/if}
        </div>
        <select
          id="place"
          class="select select-sm w-full font-semibold"
          value={bench.placeId}
          onchange={(event) => bench.switchPlace(Number(event.currentTarget.value))}
        >
          {#each bench.places as place (place.id)}<option value={place.id}>{place.value.name}</option>{/each}
          {#if bench.places.length === 0}<option value={null}>no place yet</option>{/if}
        </select>
        <label>
          <span class="sr-only">Gym week</span>
          <select
            class="select select-sm w-full"
            value={bench.gym.weekId}
            onchange={(event) => bench.switchWeek(Number(event.currentTarget.value))}
          >
            {#each bench.gym.weeks as week (week.id)}<option value={week.id}>{week.value.name}</option>{/each}
            {#if bench.gym.weekId === null}<option value={null}>new gym week</option>{/if}
          </select>
        </label>
      </div>
      <div class="rule-l px-4 py-2">
        <p class="soft float-right text-[13px]">
          <label
            >Approach <span class="keycap">A</span>
            <select
              class="select select-xs w-auto font-semibold"
              disabled={!bench.result || bench.busy}
              value={bench.approachOn()}
              onchange={(event) => {
                const approach = event.currentTarget.value;
                event.currentTarget.value = bench.approachOn();
                askedApproach = { approach };
              }}
            >
              {#each trade.summary?.approaches ?? [] as a (a.id)}<option value={a.id}
                  >{a.name}{bench.phase && a.id === bench.approachOn() ? `: ${bench.phase}` : ''}</option
                >{/each}
            </select>
          </label>
        </p>
        <p class="soft text-[13px]">Kit here</p>
        <p class="line-clamp-2" title={kit.join(', ')}>
          {kit.length > 0 ? sentence(kit.join(', ')) : 'nothing but floor and wall'}
        </p>
        <a
          class="link text-[14px]"
          href={p('/clients/:id/kit', {
            params: { id: String(id) },
            search: bench.placeId ? { place: bench.placeId } : {},
          })}>Change the kit</a
        >
      </div>
      <div class="rule-l grid grid-cols-3 content-start gap-x-1 gap-y-1 px-3 py-2">
        <button
          class="btn btn-sm"
          onclick={() => (bench.editing = !bench.editing)}
          aria-pressed={bench.editing}>Gym week <span class="keycap">E</span></button
        >
        <button class="btn btn-sm" disabled={!bench.canUndo || bench.busy} onclick={() => bench.undo()}
          >Undo <span class="keycap">U</span></button
        >
        <button class="btn btn-sm" disabled={!bench.canRedo || bench.busy} onclick={() => bench.redo()}
          >Redo</button
        >
        <button
          class={['btn btn-sm', bench.unsaved && 'btn-primary']}
          disabled={!bench.result || bench.busy || (!bench.unsaved && bench.plan !== null)}
          onclick={save}
          >{bench.unsaved || !bench.plan ? 'Save' : `Saved, v${bench.plan.value.version}`}
          <span class="keycap">S</span></button
        >
        <button class="btn btn-sm" disabled={!bench.result || bench.busy} onclick={handout}
          >Hand-out <span class="keycap">H</span></button
        >
        <button
          class="btn btn-sm"
          aria-pressed={bench.calibrate}
          title="The last set of what was never logged is open where that is safe; the log then sets the dose"
          disabled={!bench.result || bench.busy}
          onclick={() => void bench.toggleCalibration()}>Calibrate <span class="keycap">K</span></button
        >
        {#if bench.plan}
          <a class="btn btn-sm" href={p('/plans/:id/block', { params: { id: String(bench.plan.id) } })}
            >Block</a
          >
          <a class="btn btn-sm" href={p('/plans/:id/log', { params: { id: String(bench.plan.id) } })}>Log</a>
        {/if}
      </div>
    </div>

    {#if bench.editing}
      <GymWeekEditor {bench} />
    {:else if bench.result}
      <div
        class="grid min-h-0 flex-1 lg:min-h-64 lg:grid-cols-[minmax(0,1fr)_minmax(340px,30vw)]"
        aria-busy={bench.busy}
      >
        <section aria-label="Gym plan facing home plan" class="min-w-0 lg:overflow-y-auto">
          <div
            class="rule-b sticky top-0 z-20 grid grid-cols-[minmax(0,1fr)_96px_minmax(0,1.75fr)] bg-base-200 py-1 text-[13px] font-semibold max-md:hidden"
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
              <button class="link" onclick={() => (bench.editing = true)}
                >Mend {bench.gym.errors.length === 1 ? 'it' : 'them'}</button
              >
            </p>
          {/if}
          {#each bench.days as day (day.name)}<DaySection
              {bench}
              {day}
              onapproach={(approach, name) => (askedApproach = { approach, day: name })}
            />{/each}
        </section>
        <aside aria-label="Inspector" class="rule-l min-w-0 bg-base-100 max-lg:border-t lg:overflow-y-auto">
          {#if bench.line}
            {#key bench.line.gym.line}<Inspector
                {bench}
                line={bench.line}
                oncompare={() => (comparing = true)}
                ontechniques={(exercise) => (techniquesOf = exercise)}
                onladder={(i) => (ladderOf = i)}
              />{/key}
          {/if}
        </aside>
      </div>
      <footer
        class="grid border-t border-base-300 text-[14px] lg:grid-cols-[minmax(0,1.6fr)_minmax(0,1fr)]"
        aria-label="The whole week"
      >
        <div class="min-w-0 px-5 py-2">
          <p class="soft mb-1 text-[13px]">Hard sets this week, gym beside home</p>
          <HardSets sets={bench.result.plan.hardSets} />
        </div>
        <div class="rule-l max-h-32 overflow-y-auto px-4 py-2" aria-live="polite">
          <p class="soft mb-1 text-[13px]">Plan check and what to know</p>
          <FindingList
            findings={bench.result.plan.findings}
            busy={bench.busy}
            onopen={(line) => {
              bench.selected = Math.max(
                0,
                bench.lines.findIndex((l) => l.gym.line === line),
              );
            }}
            onremedy={(remedy) => void bench.remedy(remedy)}
            onaccept={(key, note) => void bench.accept(key, note)}
          />
          <ul class="mt-2 grid gap-1 text-[14px]">
            {#each bench.result.plan.notices as notice (notice.text)}
              <li class={notice.level === 'warning' ? 'font-semibold text-error' : ''}>{notice.text}</li>
            {:else}
              {#if bench.result.plan.findings.length === 0}<li class="soft">
                  Nothing stands in the way.
                </li>{/if}
            {/each}
          </ul>
        </div>
      </footer>
    {/if}
  {:else if bench.failed}
    <p class="p-8">The workbench cannot be opened. <a class="link" href={p('/')}>Back to the roster</a></p>
  {:else}
    <p class="soft p-8" role="status">Laying out the workbench …</p>
  {/if}
</main>

<ConflictDialog
  what="plan"
  open={bench.conflict !== null}
  onmine={() => bench.conflict && void bench.save(bench.conflict.revision)}
  ontheirs={() => void bench.takeTheirs()}
  onclose={() => (bench.conflict = null)}
/>
<ConflictDialog
  what="gym week"
  open={bench.gym.conflict !== null}
  onmine={() => {
    bench.gym.takeMine();
    void bench.rebuild();
  }}
  ontheirs={() => void bench.gym.takeTheirs()}
  onclose={() => (bench.gym.conflict = null)}
/>
{#if bench.line}
  <CompareDialog {bench} line={bench.line} open={comparing} onclose={() => (comparing = false)} />
{/if}
{#if bench.line && treated}
  <TechniqueDialog
    {bench}
    line={bench.line.gym.line}
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
    onclose={() => (ladderOf = null)}
    ontake={(externalKg, technique) => {
      if (bench.line && climbed)
        void bench.edit({
          line: bench.line.gym.line,
          exerciseId: climbed.exerciseId,
          externalKg,
          techniques: technique ? [technique] : [],
        });
    }}
  />
{/if}
<ApproachDialog {bench} asked={askedApproach} onclose={() => (askedApproach = null)} />
<PlacesDialog {bench} open={atTwoPlaces} onclose={() => (atTwoPlaces = false)} />
