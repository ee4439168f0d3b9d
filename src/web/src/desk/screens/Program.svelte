<script lang="ts">
  import { onMount } from 'svelte';
  import { searchParams } from 'sv-router';
  import { api, ask } from '../api/client';
  import type { SavedClient, SavedWeek } from '../../shared/api/types';
  import { crumbs } from '../crumbs.svelte';
  import { keeping } from '../autosave/autosave.svelte';
  import KeptMark from '../autosave/KeptMark.svelte';
  import RestoredBar from '../autosave/RestoredBar.svelte';
  import { keys } from '../keys.svelte';
  import BackToGymDialog from '../program/BackToGymDialog.svelte';
  import ImportDialog from '../program/ImportDialog.svelte';
  import ProgramGrid from '../program/ProgramGrid.svelte';
  import { WeekGrid } from '../program/weekGrid.svelte';
  import { toasts } from '../toasts.svelte';
  import { domainRules } from '../domainRules.svelte';
  import { showInAddress } from '../ui/address';
  import ConflictDialog from '../ui/ConflictDialog.svelte';
  import { count } from '../../shared/words';
  import Opening from '../ui/Opening.svelte';
  import { p, route } from '../router';

  const id = Number(route.params.id);
  const path = { id: String(id) };
  const forms = [
    ['csv', 'CSV'],
    ['xlsx', 'XLSX'],
    ['json', 'JSON'],
    ['txt', 'Shorthand'],
  ];
  const grid = new WeekGrid(put);
  let client = $state<SavedClient | null>(null);
  let weeks = $state<SavedWeek[]>([]);
  let importing = $state(false);
  let returning = $state(false);
  let ready = $state(false);
  let failed = $state<unknown>(null);

  onMount(() => {
    void load();
    const off = keys.add('Gym program', [
      { key: 'i', label: 'bring in a program', run: () => (importing = true) },
      { key: 'b', label: 'the way back to the gym', run: () => (returning = grid.week !== null) },
      { key: 's', label: 'save now', saves: true, run: () => void grid.keeper.flush() },
      { key: 'u', label: 'undo', run: () => grid.undo() },
      { key: 'u', shift: true, label: 'redo', run: () => grid.redo() },
    ]);
    return () => {
      off();
      keeping.release(grid.keeper);
    };
  });

  $effect(() => {
    if (grid.week) showInAddress({ week: grid.week.id });
  });

  async function load(): Promise<void> {
    failed = null;
    try {
      const params = { params: { path: { clientId: id } } };
      const [found, all] = await Promise.all([
        ask(() => api.GET('/api/v1/clients/{id}', { params: { path: { id } } })),
        ask(() => api.GET('/api/v1/clients/{clientId}/gym-weeks', params)),
        domainRules.load(),
      ]);
      [client, weeks] = [found, all];
      crumbs.set(
        { text: 'Roster', href: p('/') },
        { text: found.value.name, href: p('/clients/:id', { params: path }) },
        { text: 'Gym program' },
      );
      const asked = Number(searchParams.get('week'));
      const first = all.find((w) => w.id === asked) ?? all[0];
      if (first) await grid.open(first);
      ready = true;
    } catch (error) {
      failed = error;
    }
  }

  function put(saved: SavedWeek): void {
    weeks = weeks.map((w) => (w.id === saved.id ? saved : w));
  }

  async function open(week: SavedWeek): Promise<void> {
    await grid.open(weeks.find((w) => w.id === week.id) ?? week);
  }

  async function add(name: string, text: string): Promise<SavedWeek | undefined> {
    try {
      const added = await ask(() =>
        api.POST('/api/v1/clients/{clientId}/gym-weeks', {
          params: { path: { clientId: id } },
          body: { name, text },
        }),
      );
      weeks = [...weeks, added];
      await open(added);
      return added;
    } catch (error) {
      toasts.problem(error);
      return undefined;
    }
  }

  async function remove(removed: SavedWeek[], said: string): Promise<void> {
    try {
      for (const week of removed)
        await ask(() => api.DELETE('/api/v1/gym-weeks/{id}', { params: { path: { id: week.id } } }));
      weeks = weeks.filter((w) => !removed.some((r) => r.id === w.id));
      const next = weeks[0];
      grid.keeper.settled();
      if (next) await grid.lay(next);
      else [grid.week, grid.rows] = [null, []];
      toasts.done(said, () => void Promise.all(removed.map((w) => add(w.value.name, w.value.text))));
    } catch (error) {
      toasts.problem(error);
    }
  }

  async function brought(added: SavedWeek[]): Promise<void> {
    importing = false;
    weeks = [...weeks, ...added];
    if (added[0]) await open(added[0]);
    toasts.done(`${count(added.length, 'week')} brought in.`, () => void remove(added, 'Taken back.'));
  }
</script>

<main id="main" class="mx-auto w-full max-w-[100rem] flex-1 p-6">
  <div class="mb-4 flex flex-wrap items-end gap-3">
    <h1 class="flex-1 text-3xl">Gym program{client ? ` of ${client.value.name}` : ''}</h1>
    <button class="btn btn-primary btn-sm" onclick={() => (importing = true)}
      >Bring in <span class="keycap">I</span></button
    >
    {#if weeks.length > 0}
      <span class="soft text-sm">Take out as</span>
      {#each forms as [form, label] (form)}
        <a class="btn btn-sm" href="/api/v1/clients/{id}/program.{form}" download>{label}</a>
      {/each}
    {/if}
  </div>
  {#if !ready}
    <Opening
      inner
      doing="Opening the gym program …"
      what="gym program"
      {failed}
      onagain={() => void load()}
    />
  {:else if weeks.length === 0}
    <section class="sheet max-w-2xl p-6">
      <h2 class="text-xl">No gym program yet</h2>
      <p class="mt-2">
        Bring in what the client did in the gym: a CSV or XLSX file, cells pasted from a spreadsheet, or lines
        of shorthand. Or start with an empty week and type.
      </p>
      <p class="mt-4 flex gap-3">
        <button class="btn btn-primary" onclick={() => (importing = true)}>Bring in</button>
        <button class="btn" onclick={() => add('Week 1', '')}>Start with an empty week</button>
      </p>
    </section>
  {:else}
    <div class="grid gap-5">
      <nav aria-label="Weeks" class="rule-b flex flex-wrap items-center gap-1 pb-2">
        <ul class="flex flex-wrap gap-1">
          {#each weeks as week (week.id)}
            <li>
              <button
                class={['btn btn-sm', week.id === grid.week?.id && 'btn-neutral']}
                aria-current={week.id === grid.week?.id ? 'true' : undefined}
                onclick={() => open(week)}>{week.value.name}</button
              >
            </li>
          {/each}
        </ul>
        <button class="btn btn-ghost btn-sm" onclick={() => add(`Week ${weeks.length + 1}`, grid.text)}
          >Copy this week on</button
        >
      </nav>
      {#if grid.week}
        <section aria-label={grid.week.value.name} class="min-w-0">
          <div class="mb-3 flex flex-wrap items-end gap-3">
            <label>
              <span class="label-text">Name of the week</span>
              <input
                class="input w-56 font-semibold"
                maxlength="60"
                value={grid.week.value.name}
                oninput={(event) => grid.rename(event.currentTarget.value)}
              />
            </label>
            <button class="btn btn-sm" disabled={!grid.history.canUndo} onclick={() => grid.undo()}
              >Undo <span class="keycap">U</span></button
            >
            <button class="btn btn-sm" disabled={!grid.history.canRedo} onclick={() => grid.redo()}
              >Redo</button
            >
            <a
              class="btn btn-sm"
              href={p('/clients/:id/workbench', { params: path, search: { week: grid.week.id } })}
              >To the workbench</a
            >
            <button class="btn btn-sm" onclick={() => (returning = true)}
              >Back to the gym <span class="keycap">B</span></button
            >
            <button
              class="btn btn-ghost btn-sm"
              onclick={() => grid.week && remove([grid.week], `${grid.week.value.name} removed.`)}
              >Remove the week</button
            >
            <span class="ml-auto self-center"
              ><KeptMark keeper={grid.keeper} onconflict={() => (grid.deciding = true)} /></span
            >
          </div>
          <RestoredBar keeper={grid.keeper} ondrop={() => grid.week && void grid.lay(grid.week)} />
          <ProgramGrid {grid} />
        </section>
      {/if}
    </div>
  {/if}
</main>

<ImportDialog
  clientId={id}
  open={importing}
  onclose={() => (importing = false)}
  onbrought={(added) => void brought(added)}
/>
<BackToGymDialog
  clientId={id}
  text={grid.text}
  open={returning}
  onclose={() => (returning = false)}
  onbrought={(added) => void brought(added)}
/>
<ConflictDialog
  what="gym week"
  open={grid.deciding}
  onmine={() => grid.keepMine()}
  ontheirs={() => void grid.takeTheirs()}
  onclose={() => (grid.deciding = false)}
/>
