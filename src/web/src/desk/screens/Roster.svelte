<script lang="ts">
  import { onMount } from 'svelte';
  import { searchParams } from 'sv-router';
  import { api, ask } from '../api/client';
  import type { RosterRow } from '../../shared/api/types';
  import BringInDialog from '../client/BringInDialog.svelte';
  import { crumbs } from '../crumbs.svelte';
  import { forgetText, keptText } from '../autosave/keptText';
  import { keys } from '../keys.svelte';
  import { toasts } from '../toasts.svelte';
  import { showInAddress } from '../ui/address';
  import Dialog from '../ui/Dialog.svelte';
  import { count, day, inWords, sentence, soreInWords } from '../../shared/words';
  import Opening from '../ui/Opening.svelte';
  import { navigate, p } from '../router';

  const orders = { urgent: 'who needs you first', name: 'by name', trained: 'trained longest ago' } as const;
  let rows = $state<RosterRow[] | null>(null);
  let failed = $state<unknown>(null);
  let filter = $state(String(searchParams.get('find') ?? ''));
  let order = $state<keyof typeof orders>(
    (Object.keys(orders).find((o) => o === searchParams.get('order')) as keyof typeof orders) ?? 'urgent',
  );
  let archived = $state(searchParams.get('show') === 'archived');
  let adding = $state(false);
  let bringing = $state(false);
  let name = $state('');
  let filterInput = $state<HTMLInputElement>();

  const resting = $derived((rows ?? []).filter((row) => row.client.archived));
  const listed = $derived((rows ?? []).filter((row) => (row.client.archived ?? false) === archived));
  const needing = $derived(listed.filter((row) => row.attention.length > 0).length);
  /** All words by which a client is found: who, what for, where, what hurts, what is the matter today. */
  const wordsOf = (row: RosterRow): string =>
    [
      row.client.name,
      row.client.note,
      row.client.profile.level,
      inWords(row.client.profile.goal),
      ...row.places.map((x) => x.name),
      ...(row.client.profile.soreJoints ?? []).map(soreInWords),
      ...row.attention.map((note) => `${reasons[note.kind]} ${note.text}`),
      progress(row).text,
      phoneOf(row),
    ]
      .join(' ')
      .toLowerCase();
  const found = $derived(
    listed.filter((row) =>
      filter
        .toLowerCase()
        .split(/\s+/)
        .every((word) => wordsOf(row).includes(word)),
    ),
  );
  // The server sends them with those who need the coach first.
  const shown = $derived(
    order === 'name'
      ? found.toSorted((a, b) => a.client.name.localeCompare(b.client.name))
      : order === 'trained'
        ? found.toSorted((a, b) => (a.lastTrained ?? '').localeCompare(b.lastTrained ?? ''))
        : found,
  );
  // The address keeps what is looked for, so that Back leads to the same list.
  $effect(() =>
    showInAddress({
      find: filter,
      order: order === 'urgent' ? null : order,
      show: archived ? 'archived' : null,
    }),
  );

  const reasons: Record<RosterRow['attention'][number]['kind'], string> = {
    alert: 'Alert',
    pain: 'Pain',
    asks: 'Asks',
    stall: 'Stuck',
    away: 'Away',
    missed: 'Missed',
    'check-form': 'Look at the form',
    clearance: 'Clearance',
    'block-ending': 'Block ending',
    changed: 'Changed',
    'came-in': 'Inbox',
    ready: 'Ready',
    'not-opened': 'Not opened',
    'not-started': 'Not started',
  };

  onMount(() => {
    crumbs.set({ text: 'Roster' });
    load();
    return keys.add('Roster', [
      { key: '/', label: 'filter the roster', run: () => filterInput?.focus() },
      { key: 'n', label: 'add a client', run: () => (adding = true) },
    ]);
  });

  function load(): void {
    failed = null;
    ask(() => api.GET('/api/v1/clients')).then(
      (list) => (rows = list),
      (error: unknown) => (failed = error),
    );
  }

  async function add(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    try {
      const body = { name, profile: { level: 'intermediate' as const, goal: 'muscle' as const } };
      const added = await ask(() => api.POST('/api/v1/clients', { body }));
      adding = false;
      await forgetText('new-client');
      await navigate('/clients/:id', { params: { id: String(added.id) } });
    } catch (error) {
      toasts.problem(error);
    }
  }

  /** Where the plan is on its way to the client's phone. */
  const phoneOf = (row: RosterRow): string =>
    row.onPhone
      ? `on the phone, trained ${day(row.onPhone)}`
      : row.opened
        ? `opened ${day(row.opened)}`
        : row.sent
          ? `sent ${day(row.sent)}`
          : '';

  function progress(row: RosterRow): { text: string; todo: boolean } {
    if (row.places.length === 0) return { text: 'no place yet', todo: true };
    if (row.plans === 0) return { text: 'no home plan yet', todo: true };
    return { text: count(row.plans, 'home plan'), todo: false };
  }
</script>

<main id="main" class="mx-auto w-full max-w-6xl flex-1 p-6">
  <div class="mb-4 flex flex-wrap items-end gap-4">
    <h1 class="text-3xl">Roster</h1>
    <p class="soft flex-1 pb-1" role="status">
      {#if rows}{filter
          ? `${shown.length} of ${count(listed.length, 'client')}`
          : `${count(listed.length, archived ? 'archived client' : 'client')}${needing > 0 ? `, ${needing} for you today` : ''}`}{/if}
    </p>
    <select class="select w-auto" aria-label="Order" bind:value={order}>
      {#each Object.entries(orders) as [key, text] (key)}<option value={key}>{text}</option>{/each}
    </select>
    <label>
      <span class="sr-only">Filter the roster</span>
      <input
        class="input w-64"
        type="search"
        placeholder="Name, goal, place, joint, state"
        bind:this={filterInput}
        bind:value={filter}
      />
    </label>
    {#if resting.length > 0 || archived}
      <button class="btn" aria-pressed={archived} onclick={() => (archived = !archived)}
        >{archived ? 'Back to the roster' : `Archived (${resting.length})`}</button
      >
    {/if}
    <button class="btn" onclick={() => (bringing = true)}>Bring in</button>
    <button class="btn btn-primary" onclick={() => (adding = true)}>Add a client</button>
  </div>

  {#if !rows}
    <Opening inner doing="Reading the roster …" what="roster" {failed} onagain={load} />
  {:else if rows.length === 0}
    <div class="sheet p-8">
      <h2 class="text-xl">Nobody here yet</h2>
      <p class="mt-2">Add a client, say what stands at their home, paste a gym week, and press Rebuild.</p>
    </div>
  {:else}
    <ul class="sheet">
      {#each shown as row (row.id)}
        {@const profile = row.client.profile}
        {@const todo = progress(row)}
        <li
          class="rule-b grid items-center gap-x-6 gap-y-1 px-5 py-3 last:border-b-0 md:grid-cols-[1.3fr_1.1fr_1.2fr_18rem]"
        >
          <div class="min-w-0">
            <a
              class="link-hover font-display text-lg font-semibold"
              href={p('/clients/:id', { params: { id: String(row.id) } })}>{row.client.name}</a
            >
            {#if row.client.note}<p class="soft truncate text-sm" title={row.client.note}>
                {row.client.note}
              </p>{/if}
            {#if row.lastTrained}<p class="soft text-sm">last trained {day(row.lastTrained)}</p>{/if}
            {#if phoneOf(row)}<p class="soft text-sm">{phoneOf(row)}</p>{/if}
          </div>
          <div>
            <p>{sentence(profile.level)}, {inWords(profile.goal)}</p>
            <p class="soft text-sm">
              {#if profile.daysPerWeek}{count(profile.daysPerWeek, 'day')} a week{/if}{#if profile.minutesPerSession},
                {profile.minutesPerSession}
                min{/if}
            </p>
          </div>
          <div class="text-sm">
            <p>
              {#each row.places as place, i (place.id)}{i > 0 ? '; ' : ''}{place.name}
                <span class="soft">({count(place.items, 'thing')})</span>{/each}
            </p>
            <p class="text-secondary">
              {(profile.soreJoints ?? []).map(soreInWords).join(', ')}
            </p>
          </div>
          <div class="flex items-center justify-end gap-4">
            <span class={['whitespace-nowrap', todo.todo ? 'font-semibold text-secondary' : 'soft']}
              >{todo.text}</span
            >
            {#if row.planId}<a
                class="btn btn-sm"
                href={p('/plans/:id/log', { params: { id: String(row.planId) } })}>Log</a
              >{/if}
            <a class="btn btn-sm" href={p('/clients/:id/workbench', { params: { id: String(row.id) } })}
              >Workbench</a
            >
          </div>
          {#if row.attention.length > 0}
            <ul class="grid gap-0.5 text-plain md:col-span-4" aria-label="Why {row.client.name} needs you">
              {#each row.attention.slice(0, 4) as note, i (i)}
                <li
                  class={[
                    'border-l-4 pl-2',
                    ['alert', 'pain'].includes(note.kind)
                      ? 'border-error'
                      : ['asks', 'stall', 'away', 'check-form'].includes(note.kind)
                        ? 'border-warning'
                        : note.kind === 'ready'
                          ? 'border-primary'
                          : 'border-base-300',
                  ]}
                >
                  <b>{reasons[note.kind]}.</b>
                  {#if note.kind === 'came-in' || note.kind === 'asks'}<a class="link" href={p('/inbox')}
                      >{note.text}</a
                    >{:else}{note.text}{/if}
                </li>
              {/each}
              {#if row.attention.length > 4}<li class="soft pl-3">
                  and {count(row.attention.length - 4, 'more reason')}
                </li>{/if}
            </ul>
          {/if}
        </li>
      {:else}
        <li class="p-6">
          {#if filter}
            Nobody matches "{filter}".
            <button class="link" onclick={() => (filter = '')}>Clear the filter</button>
          {:else if archived}
            Nobody is archived.
          {:else}
            Everybody is archived.
          {/if}
        </li>
      {/each}
    </ul>
  {/if}
</main>

<BringInDialog open={bringing} onclose={() => (bringing = false)} onadded={load} />

<Dialog title="Add a client" open={adding} onclose={() => (adding = false)}>
  <form id="add-client" onsubmit={add} class="mt-3">
    <label>
      <span class="label-text">Name</span>
      <!-- svelte-ignore a11y_autofocus -->
      <input
        class="input w-full"
        required
        maxlength="80"
        autofocus
        {@attach keptText('new-client')}
        bind:value={name}
      />
    </label>
  </form>
  {#snippet actions()}
    <button class="btn" onclick={() => (adding = false)}>Cancel</button>
    <button class="btn btn-primary" form="add-client">Add</button>
  {/snippet}
</Dialog>
