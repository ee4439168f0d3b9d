<script lang="ts">
  import { onMount } from 'svelte';
  import { searchParams } from 'sv-router';
  import { api, ask } from '../api/client';
  import { BlockBook } from '../block/blockBook.svelte';
  import BlockTable from '../block/BlockTable.svelte';
  import CellPanel from '../block/CellPanel.svelte';
  import SetupDialog from '../block/SetupDialog.svelte';
  import { crumbs } from '../crumbs.svelte';
  import { keys } from '../keys.svelte';
  import { toasts } from '../toasts.svelte';
  import { domainRules } from '../domainRules.svelte';
  import { showInAddress } from '../ui/address';
  import { count, day, sentence } from '../../shared/words';
  import Opening from '../ui/Opening.svelte';
  import { p, route } from '../router';

  const id = Number(route.params.id);
  const book = new BlockBook(id);
  let at = $state({ row: 0, week: 0 });
  let typing = $state(false);
  let shaping = $state<'new' | 'change' | null>(null);
  let table = $state<BlockTable>();
  const week = $derived(book.weeks[at.week]);
  const cell = $derived(book.rows[at.row]?.cells[at.week]);
  const setup = $derived(book.setup);
  const toTake = $derived(
    book.newest && book.thisWeek <= book.weeks.length && (book.view?.notInPlan.length ?? 0) > 0
      ? Math.max(1, book.thisWeek)
      : null,
  );
  const over = $derived(book.kept !== null && book.thisWeek > book.weeks.length);
  const following = $derived(
    book.weeks.find((w) => w.number === book.thisWeek + 1 && (w.phaseStarts || w.isLight)),
  );

  onMount(() => {
    start();
    return keys.add('Block', [
      {
        key: 'arrowdown',
        label: 'move between cells',
        shown: '← ↑ ↓ →',
        run: () => void table?.go(at.row, at.week),
      },
      { key: 'enter', label: 'change the cell', run: change, when: atCell },
      {
        key: 'delete',
        label: 'the cell as it would be',
        run: () => week && cell && void book.clear(week.number, cell),
        when: atCell,
      },
      { key: 'l', label: 'the week lighter, or in full', run: () => week && void book.lighter(week.number) },
      { key: 't', label: 'take the week into the plan', run: () => toTake && void book.take(toTake) },
      {
        key: 's',
        label: 'shape of the block',
        run: () => (shaping = book.kept && !over ? 'change' : 'new'),
        when: () => !book.kept || book.newest, // one of those before stands as it was
      },
      { key: 'u', label: 'undo', run: () => void book.undo() },
      { key: 'u', shift: true, label: 'redo', run: () => void book.redo() },
      { key: 'p', label: 'print', run: () => print() },
    ]);
  });

  let failed = $state<unknown>(null);
  function start(): void {
    failed = null;
    load().catch((error: unknown) => (failed = error));
  }

  async function load(): Promise<void> {
    const asked = Number(searchParams.get('block')) || undefined;
    const [plan] = await Promise.all([book.load(asked), domainRules.load()]);
    const client = await ask(() =>
      api.GET('/api/v1/clients/{id}', { params: { path: { id: plan.value.clientId } } }),
    );
    crumbs.ofPlan(id, client, 'Block');
    at = { row: 0, week: Math.min(Math.max(0, book.thisWeek - 1), Math.max(0, book.weeks.length - 1)) };
  }

  async function look(block: number): Promise<void> {
    showInAddress({ block: block === book.view?.all[0]?.id ? '' : String(block) });
    await book.load(block).catch((error: unknown) => toasts.problem(error));
  }

  /** Enter on a button or link presses that. */
  const atCell = (): boolean => document.activeElement?.matches('[data-cell], body') ?? true;

  function change(): void {
    if (week && cell && book.open(week.number)) typing = true;
  }
</script>

<main id="main" class="mx-auto w-full max-w-[92rem] flex-1 p-6 print:p-0">
  {#if !book.view}
    <Opening doing="Opening the block …" what="block" {failed} onagain={start} />
  {:else if !setup}
    <div class="sheet mx-auto max-w-2xl p-8">
      <h1 class="text-2xl">No block yet</h1>
      <p class="mt-2">
        A block plans four to six weeks of this home plan: what each line does from week to week, phases of an
        approach, a lighter week, and the way up to an event. The log keeps the last word.
      </p>
      <button class="btn btn-primary mt-4" onclick={() => (shaping = 'new')}
        >Draw up a block <span class="keycap">S</span></button
      >
    </div>
  {:else}
    <div class="mb-3 flex flex-wrap items-end gap-x-4 gap-y-2">
      <div class="flex-1">
        <h1 class="text-3xl">Block: {book.plan?.value.document.title}</h1>
        <p class="soft">
          {day(setup.starts)} to {day(setup.ends ?? setup.starts)},
          {over
            ? 'done'
            : book.thisWeek < 1
              ? 'not begun yet'
              : `week ${book.thisWeek} of ${book.weeks.length}`}{#if setup.eventOn}; {setup.eventName ||
              'the event'} on {day(setup.eventOn)}{/if}
        </p>
      </div>
      {#if (book.view.all.length ?? 0) > 1}
        <label class="no-print">
          <span class="label-text">Blocks</span>
          <select
            class="select select-sm"
            value={book.kept?.id}
            onchange={(event) => void look(Number(event.currentTarget.value))}
          >
            {#each book.view.all as b (b.id)}<option value={b.id}>{day(b.starts)} to {day(b.ends)}</option
              >{/each}
          </select>
        </label>
      {/if}
      <div class="no-print flex flex-wrap gap-2">
        {#if over && book.newest}
          <button class="btn btn-primary btn-sm" onclick={() => (shaping = 'new')}
            >The next block <span class="keycap">S</span></button
          >
        {:else}
          <button class="btn btn-sm" disabled={!book.newest} onclick={() => (shaping = 'change')}
            >Shape <span class="keycap">S</span></button
          >
        {/if}
        <button class="btn btn-sm" disabled={!book.history.canUndo} onclick={() => void book.undo()}
          >Undo <span class="keycap">U</span></button
        >
        <button class="btn btn-sm" onclick={() => print()}>Print <span class="keycap">P</span></button>
        {#each ['csv', 'xlsx'] as form (form)}
          <a class="btn btn-sm" href="/api/v1/plans/{id}/blocks/{book.kept?.id}.{form}" download
            >{form.toUpperCase()}</a
          >
        {/each}
        <button class="btn btn-sm" disabled={!book.newest || book.busy} onclick={() => void book.end()}
          >{over ? 'Remove' : 'End it'}</button
        >
        <a class="btn btn-sm" href={p('/plans/:id/log', { params: { id: String(id) } })}>Log</a>
      </div>
    </div>
    {#if toTake}
      <div
        class="no-print mb-3 flex flex-wrap items-center gap-3 border-l-4 border-secondary bg-base-100 px-3 py-2"
      >
        <p class="flex-1">
          Week {toTake} differs from the plan in {count(book.view.notInPlan.length, 'exercise')}: the client
          still trains what the plan says.
        </p>
        <button class="btn btn-primary btn-sm" disabled={book.busy} onclick={() => void book.take(toTake)}
          >Take week {toTake} into the plan <span class="keycap">T</span></button
        >
      </div>
    {/if}
    {#if following && book.newest}
      <div
        class="no-print mb-3 flex flex-wrap items-center gap-3 border-l-4 border-base-300 bg-base-100 px-3 py-2"
      >
        <p class="flex-1">
          Next: week {following.number}, {following.phaseStarts ? following.phase : following.kind}. {following.phaseStarts
            ? 'Take it when this week is trained.'
            : sentence(following.idea)}
        </p>
        {#if following.phaseStarts}
          <button class="btn btn-sm" disabled={book.busy} onclick={() => void book.take(following.number)}
            >Take week {following.number} now</button
          >
        {/if}
      </div>
    {/if}
    {#each book.kept?.value.block.notices ?? [] as notice, i (i)}
      <p class="mb-2 border-l-4 border-warning pl-2 text-plain">{notice}</p>
    {/each}
    <div class="sheet p-4 print:border-0 print:bg-white print:p-0">
      <BlockTable {book} bind:this={table} bind:at bind:typing />
    </div>
    <div class="bottom-0 z-20 mt-3 lg:sticky print:hidden"><CellPanel {book} {at} onchange={change} /></div>
    <p class="soft mt-2 text-note">
      Weeks go on as they would if every set were done as written; the review of the log decides what is
      really next.
    </p>
  {/if}
  <SetupDialog
    {book}
    open={shaping !== null}
    changing={shaping === 'change'}
    onclose={() => (shaping = null)}
  />
</main>
