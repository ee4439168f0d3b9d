<script lang="ts">
  import { onMount, untrack } from 'svelte';
  import { api, ask } from '../api/client';
  import type { CheckedPlan, ClientProfile, Remedy, RosterRow } from '../../shared/api/types';
  import FindingList from '../audit/FindingList.svelte';
  import { rewritten } from '../audit/rewrite';
  import type { FigureAsked } from '../catalogue/figures';
  import { crumbs } from '../crumbs.svelte';
  import { keeping } from '../autosave/autosave.svelte';
  import { ProgramImport } from '../program/programImport.svelte';
  import { toasts } from '../toasts.svelte';
  import { domainRules } from '../domainRules.svelte';
  import { count } from '../../shared/words';
  import { p } from '../router';

  const example = '= Monday\nPush-up 3x8-12 60 s\nTable row 3x8-12 60 s';
  const anybody: ClientProfile = { level: 'novice', goal: 'muscle' };
  let roster = $state.raw<RosterRow[]>([]);
  let clientId = $state<number | null>(null);
  let level = $state<ClientProfile['level']>('novice');
  let text = $state('');
  let checked = $state<CheckedPlan | null>(null);
  let area = $state<HTMLTextAreaElement>();
  const bringing = new ProgramImport();
  const weeks = $derived(bringing.read?.preview.weeks ?? []);

  const keeper = keeping.keep<string>({
    now: () => text,
    restore: (kept) => void (text = kept),
    asks: false,
  });

  onMount(() => {
    void keeper.on('plan-check', null);
    crumbs.set({ text: 'Roster', href: p('/') }, { text: 'Check a plan' });
    domainRules.load().catch((error: unknown) => toasts.problem(error));
    ask(() => api.GET('/api/v1/clients')).then(
      (rows) => (roster = rows),
      (error: unknown) => toasts.problem(error),
    );
    return () => keeping.release(keeper);
  });

  $effect(() => {
    const plan = text;
    untrack(() => {
      if (plan) keeper.changed();
      else if (keeper.open) keeper.settled();
    });
    const client = roster.find((row) => row.id === clientId)?.client.profile ?? { ...anybody, level };
    if (plan.trim() === '') {
      checked = null;
      return;
    }

    const timer = setTimeout(() => {
      ask(() => api.POST('/api/v1/plan-check', { body: { client, text: plan } })).then(
        (answer) => plan === text && (checked = answer),
        (error: unknown) => toasts.problem(error),
      );
    }, 250);
    return () => clearTimeout(timer);
  });

  /** Puts another plan in the place of this one; one press takes that back. */
  function replace(plan: string, said: string): void {
    const before = text;
    text = plan;
    toasts.done(said, () => (text = before));
  }

  function remedy(of: Remedy): void {
    const joined = (line: number): number[] =>
      checked?.exercises.find((e) => e.line === line)?.joinedLines ?? [];
    replace(rewritten(text, of, joined), `Done: ${of.label}.`);
  }

  async function open(file: File): Promise<void> {
    await bringing.file(file);
    const first = bringing.read?.preview.weeks[0];
    if (first) replace(first.text, `${file.name} stands in the plan now.`);
    else if (bringing.read) bringing.problem = 'No line of an exercise was found in it.';
  }

  const figureOf = (line: number): FigureAsked | undefined => {
    const found = checked?.exercises.find((e) => e.line === line);
    const statureCm = roster.find((row) => row.id === clientId)?.client.profile.statureCm;
    return found && { exerciseId: found.exerciseId, statureCm };
  };

  function show(line: number): void {
    const rows = text.split('\n');
    const start = rows.slice(0, line - 1).reduce((sum, row) => sum + row.length + 1, 0);
    area?.focus();
    area?.setSelectionRange(start, start + (rows[line - 1]?.length ?? 0));
  }
</script>

<main id="main" class="mx-auto grid w-full max-w-7xl flex-1 content-start gap-6 p-6 lg:grid-cols-2">
  <section aria-labelledby="check-title">
    <h1 id="check-title" class="text-3xl">Is this home plan any good?</h1>
    <p class="mt-2">
      Paste any plan, not only one of ours: one line per exercise, with headings for its days. The verdict and
      the reasons stand beside it as you type.
    </p>
    <div class="mt-4 flex flex-wrap items-end gap-3">
      <label>
        <span class="label-text">For</span>
        <select class="select" bind:value={clientId}>
          <option value={null}>nobody in particular</option>
          {#each roster as row (row.id)}<option value={row.id}>{row.client.name}</option>{/each}
        </select>
      </label>
      {#if clientId === null}
        <label>
          <span class="label-text">Level</span>
          <select class="select" bind:value={level}>
            {#each domainRules.summary?.clientWords.levels ?? [] as value (value)}<option {value}
                >{value}</option
              >{/each}
          </select>
        </label>
      {/if}
    </div>
    <div class="mt-3 flex flex-wrap items-end gap-3">
      <label>
        <span class="label-text">Open a file: CSV, XLSX, JSON of ours, or shorthand</span>
        <input
          type="file"
          class="file-input w-full max-w-sm"
          accept=".csv,.tsv,.txt,.xlsx,.json"
          disabled={bringing.busy}
          onchange={(event) => {
            const file = event.currentTarget.files?.[0];
            if (file) void open(file);
            event.currentTarget.value = '';
          }}
        />
      </label>
      {#if weeks.length > 1}
        <label>
          <span class="label-text">Week of {bringing.name}</span>
          <select
            class="select"
            onchange={(event) => (text = weeks[event.currentTarget.selectedIndex]?.text ?? text)}
          >
            {#each weeks as week, i (i)}<option>{week.name}</option>{/each}
          </select>
        </label>
      {/if}
    </div>
    {#if bringing.busy}<p class="soft mt-2" role="status">Reading {bringing.name} …</p>{/if}
    {#if bringing.problem}
      <p class="mt-2 border-l-4 border-error pl-3" role="alert">
        <b>{bringing.name || 'The file'} cannot be read.</b>
        {bringing.problem} The plan below is as it was.
      </p>
    {/if}
    {#if bringing.read && bringing.read.preview.faults.length > 0}
      <p class="mt-2 border-l-4 border-warning pl-3">
        {count(bringing.read.preview.faults.length, 'cell')} of {bringing.name} could not be read and {bringing
          .read.preview.faults.length === 1
          ? 'is'
          : 'are'} left out: {bringing.read.preview.faults
          .slice(0, 3)
          .map((f) => f.message)
          .join(' ')}
      </p>
    {/if}
    <label class="mt-4 block">
      <span class="label-text">The plan</span>
      <textarea
        bind:this={area}
        class="figures textarea w-full text-plain leading-7"
        rows="16"
        spellcheck="false"
        placeholder={example}
        bind:value={text}></textarea>
    </label>
  </section>
  <section aria-label="Verdict" aria-live="polite" class="sheet content-start p-5">
    {#if checked}
      <h2 class="text-2xl">{checked.verdict}</h2>
      {#if checked.onlyFirst}<p class="mt-2 border-l-4 border-l-warning pl-3">{checked.onlyFirst}</p>{/if}
      <p class="soft mb-3 text-plain">
        {count(checked.lines, 'line')} read{checked.errors.length > 0
          ? `, ${checked.errors.length} to mend`
          : ''}. Checked against handed-down rules of the trade: an aid to judgement, no clearance.
      </p>
      {#if checked.errors.length > 0}
        <ul class="mb-4 grid gap-1 text-plain">
          {#each checked.errors as error (`${error.line}/${error.column}`)}
            <li class="border-l-2 border-error pl-2">
              <button class="link figures" onclick={() => show(error.line)}>line {error.line}</button>
              {error.message}
            </li>
          {/each}
        </ul>
      {/if}
      <FindingList findings={checked.findings} onopen={show} onremedy={remedy} {figureOf} />
    {:else}
      <h2 class="text-2xl">Nothing to judge yet</h2>
      <p class="mt-2">Paste a plan on the left.</p>
    {/if}
  </section>
</main>
