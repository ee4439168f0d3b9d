<script lang="ts">
  import { onMount, tick, untrack } from 'svelte';
  import { api, ask } from '../api/client';
  import { crumbs } from '../crumbs.svelte';
  import { keeping } from '../autosave/autosave.svelte';
  import KeptMark from '../autosave/KeptMark.svelte';
  import RestoredBar from '../autosave/RestoredBar.svelte';
  import { keys } from '../keys.svelte';
  import EntryRow from '../log/EntryRow.svelte';
  import { LogBook } from '../log/logBook.svelte';
  import LogFileDialog from '../log/LogFileDialog.svelte';
  import MessageBox from '../log/MessageBox.svelte';
  import ReviewList from '../log/ReviewList.svelte';
  import SessionList from '../log/SessionList.svelte';
  import { domainRules } from '../domainRules.svelte';
  import NumberField from '../ui/NumberField.svelte';
  import Opening from '../ui/Opening.svelte';
  import { p, route } from '../router';

  const id = Number(route.params.id);
  const today = new Date(Date.now() - new Date().getTimezoneOffset() * 60_000).toISOString().slice(0, 10);
  const book = new LogBook(id, today);
  let form = $state<HTMLFormElement>();
  let list = $state<ReviewList>();
  let bringingIn = $state(false);
  const clientId = $derived(String(book.plan?.value.clientId ?? ''));

  onMount(() => {
    start();
    const off = keys.add('Log', [
      { key: 'a', label: 'accept all that is proposed', run: () => void list?.accept() },
      { key: 'n', label: 'type the sets', run: () => fields()[0]?.focus() },
      { key: 'i', label: 'bring in a log file', run: () => (bringingIn = true) },
    ]);
    return () => {
      off();
      keeping.release(book.keeper);
    };
  });

  // Whatever is typed of a session is kept until it is logged.
  $effect(() => {
    void [
      book.entries.map((e) => e.text + e.exerciseId),
      book.effort,
      book.minutes,
      book.note,
      book.performedOn,
    ];
    if (book.plan) untrack(() => book.keep());
  });

  let failed = $state<unknown>(null);
  function start(): void {
    failed = null;
    load().catch((error: unknown) => (failed = error));
  }

  async function load(): Promise<void> {
    const [plan] = await Promise.all([book.load(), domainRules.load()]);
    const client = await ask(() =>
      api.GET('/api/v1/clients/{id}', { params: { path: { id: plan.value.clientId } } }),
    );
    crumbs.ofPlan(id, client, 'Log');
  }

  const fields = (): HTMLInputElement[] => [
    ...(form?.querySelectorAll<HTMLInputElement>('input[data-entry]') ?? []),
  ];

  function next(at: number): void {
    const field = fields()[at + 1];
    if (field) field.focus();
    else form?.querySelector<HTMLButtonElement>('button[type=submit]')?.focus();
  }

  async function submit(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    await Promise.all(book.shown.map((entry) => book.read(entry)));
    await tick();
    await book.log();
  }
</script>

<main id="main" class="mx-auto w-full max-w-7xl flex-1 p-6">
  {#if book.plan}
    <div class="mb-4 flex flex-wrap items-end gap-3">
      <h1 class="flex-1 text-3xl">Log: {book.plan.value.document.title}</h1>
      <p class="soft">version {book.plan.value.version}</p>
      <button class="btn btn-sm" onclick={() => (bringingIn = true)}
        >Bring in a file <span class="keycap">I</span></button
      >
      <a class="btn btn-sm" href={p('/plans/:id/block', { params: { id: String(id) } })}>Block</a>
      <a class="btn btn-sm" href={p('/clients/:id/trends', { params: { id: clientId } })}>Trends</a>
      <a class="btn btn-sm" href={p('/plans/:id/handout', { params: { id: String(id) } })}>Hand-out</a>
    </div>
    <div class="grid gap-6 lg:grid-cols-[minmax(0,7fr)_minmax(0,6fr)]">
      <form
        class="sheet content-start self-start p-5"
        aria-label="Log a session"
        bind:this={form}
        onsubmit={submit}
      >
        <RestoredBar keeper={book.keeper} ondrop={() => book.drop()} />
        <div class="mb-2 flex flex-wrap items-end gap-3">
          <label>
            <span class="label-text">Date</span>
            <input
              class="input figures w-44"
              type="date"
              required
              max={today}
              bind:value={book.performedOn}
            />
          </label>
          {#if book.days.length > 1}
            <label>
              <span class="label-text">Training day</span>
              <select class="select" bind:value={book.dayIndex}>
                {#each book.days as d (d.index)}<option value={d.index}>{d.name || 'The day'}</option>{/each}
              </select>
            </label>
          {/if}
          <NumberField class="w-28" label="Effort, 1–10" min={1} max={10} step={1} bind:value={book.effort} />
          <NumberField class="w-28" label="Minutes" min={1} max={600} step={1} bind:value={book.minutes} />
        </div>
        <MessageBox {book} />
        <p class="soft text-note">
          A field an exercise: <span class="figures">12,11,10 @8kg r1</span>, pain as
          <span class="figures">p3 knee</span>. Enter goes on, Ctrl Enter logs. Leave out what was not done.
        </p>
        {#each book.shown as entry, i (`${entry.line}/${entry.plannedId}`)}
          <EntryRow {book} bind:entry={book.entries[book.entries.indexOf(entry)]!} onnext={() => next(i)} />
        {/each}
        <label class="mt-3 block">
          <span class="label-text">Note</span>
          <textarea class="textarea w-full" rows="2" maxlength="2000" bind:value={book.note}></textarea>
        </label>
        {#if book.doubts.length > 0}
          <div class="mt-3 border-l-4 border-warning pl-3" role="alert">
            <p class="font-semibold">Is that meant? Nothing is stored yet.</p>
            <ul>
              {#each book.doubts as doubt, i (i)}<li>{doubt.question} (set {doubt.set})</li>{/each}
            </ul>
            <button
              type="button"
              class="btn btn-sm mt-2"
              disabled={book.busy}
              onclick={() => void book.log(true)}>Yes, log it as it stands</button
            >
          </div>
        {/if}
        <button type="submit" class="btn btn-primary mt-3" disabled={book.busy}
          >{book.busy ? 'Saving …' : 'Log the session'} <span class="keycap">Ctrl ↵</span></button
        >
        {#if book.keeper.open}<KeptMark keeper={book.keeper} />{/if}
      </form>
      <div class="grid content-start gap-6">
        <ReviewList {book} bind:this={list} />
        <SessionList {book} />
      </div>
    </div>
    <LogFileDialog {book} open={bringingIn} onclose={() => (bringingIn = false)} />
  {:else}
    <Opening doing="Opening the log …" what="log" {failed} onagain={start} />
  {/if}
</main>
