<script lang="ts">
  import { onMount } from 'svelte';
  import { searchParams } from 'sv-router';
  import { crumbs } from '../crumbs.svelte';
  import { keeping } from '../autosave/autosave.svelte';
  import KeptMark from '../autosave/KeptMark.svelte';
  import RestoredBar from '../autosave/RestoredBar.svelte';
  import { keys } from '../keys.svelte';
  import AddPlaceDialog from '../kit/AddPlaceDialog.svelte';
  import BandBenchTool from '../kit/BandBenchTool.svelte';
  import BuyNextTool from '../kit/BuyNextTool.svelte';
  import { KitBench, type Tool } from '../kit/kitBench.svelte';
  import { groups } from '../kit/kitGroups';
  import LoadBuilderTool from '../kit/LoadBuilderTool.svelte';
  import QuickAdd from '../kit/QuickAdd.svelte';
  import SetupLadderTool from '../kit/SetupLadderTool.svelte';
  import Shelf from '../kit/Shelf.svelte';
  import ThingPanel from '../kit/ThingPanel.svelte';
  import { domainRules } from '../domainRules.svelte';
  import { showInAddress } from '../ui/address';
  import ConflictDialog from '../ui/ConflictDialog.svelte';
  import Dialog from '../ui/Dialog.svelte';
  import { count } from '../../shared/words';
  import Opening from '../ui/Opening.svelte';
  import { navigate, p, route } from '../router';

  const id = Number(route.params.id);
  const bench = new KitBench();
  const tools: { id: Tool; label: string; key: string }[] = [
    { id: 'thing', label: 'Thing', key: 't' },
    { id: 'loads', label: 'Loads', key: 'l' },
    { id: 'bands', label: 'Bands', key: 'b' },
    { id: 'exercises', label: 'Exercise', key: 'x' },
    { id: 'next', label: 'Buy', key: 'n' },
  ];
  let input = $state<HTMLTextAreaElement>();
  let addingPlace = $state(false);
  let deleting = $state(false);
  const kind = $derived(bench.selected ? domainRules.kind(bench.selected.kind) : undefined);

  onMount(() => {
    void start();
    const off = keys.add('Kit', [
      { key: 'a', label: 'add a thing by typing', run: () => input?.focus() },
      { key: 'arrowdown', label: 'next thing', run: () => bench.move(1) },
      { key: 'arrowup', label: 'thing before', run: () => bench.move(-1) },
      { key: 'arrowright', label: '', run: () => bench.move(1) },
      { key: 'arrowleft', label: '', run: () => bench.move(-1) },
      ...tools.map((t) => ({
        key: t.key,
        label: t.label.toLowerCase(),
        run: () => void (bench.tool = t.id),
      })),
      {
        key: 'delete',
        label: 'remove the thing',
        run: () => bench.selectedId && bench.remove(bench.selectedId),
      },
      { key: 'u', label: 'undo', run: () => bench.undo() },
      { key: 'u', shift: true, label: 'redo', run: () => bench.redo() },
      { key: 's', label: 'save now', saves: true, run: () => void bench.keeper.flush() },
      { key: 'p', label: 'next place', run: nextPlace },
      {
        key: 'w',
        label: 'open the workbench',
        run: () => void navigate('/clients/:id/workbench', { params: { id: String(id) } }),
      },
    ]);
    return () => {
      off();
      keeping.release(bench.keeper);
    };
  });

  $effect(() => {
    const name = bench.client?.value.name;
    if (name) {
      crumbs.set(
        { text: 'Roster', href: p('/') },
        { text: name, href: p('/clients/:id', { params: { id: String(id) } }) },
        { text: 'Kit' },
      );
    }
  });

  // Place, thing and tool stand in the address, so that reload and links lead back here.
  $effect(() => {
    if (!bench.client) return;
    showInAddress({
      place: bench.placeId,
      thing: bench.selectedId,
      tool: bench.tool === 'thing' ? null : bench.tool,
    });
  });

  async function start(): Promise<void> {
    const tool = searchParams.get('tool') as Tool | null;
    const thing = searchParams.get('thing');
    await bench.open(id, Number(searchParams.get('place')) || undefined);
    if (typeof thing === 'string' && bench.items.some((i) => i.id === thing)) bench.selectedId = thing;
    if (tool && tools.some((t) => t.id === tool)) bench.tool = tool;
  }

  function nextPlace(): void {
    const at = bench.places.findIndex((x) => x.id === bench.placeId);
    const next = bench.places[(at + 1) % Math.max(1, bench.places.length)];
    if (next && next.id !== bench.placeId) void bench.show(next.id);
  }
</script>

<main id="main" class="flex min-h-0 flex-1 flex-col lg:h-[calc(100dvh-3.1rem)] lg:flex-none">
  {#if bench.client}
    <div class="rule-b flex flex-wrap items-center gap-x-4 gap-y-2 px-5 py-2">
      <h1 class="sr-only">Kit of {bench.client.value.name}</h1>
      <div class="join flex-wrap" role="group" aria-label="Places">
        {#each bench.places as x (x.id)}
          <button
            class={['btn join-item btn-sm', x.id === bench.placeId && 'btn-neutral']}
            aria-pressed={x.id === bench.placeId}
            onclick={() => void bench.show(x.id)}>{x.value.name}</button
          >
        {/each}
      </div>
      <button class="btn btn-sm" onclick={() => (addingPlace = true)}>Add a place</button>
      <p class="soft min-w-0 flex-1 basis-48 text-plain" role="status">
        {#if bench.possibilities && bench.place}
          <b class="text-primary">{count(bench.possibilities.exercises, 'exercise')}</b> possible here,
          {bench.possibilities.withNothing} of them with floor and wall alone
        {/if}
      </p>
      <div class="flex flex-wrap gap-1">
        <button class="btn btn-sm" disabled={!bench.history.canUndo} onclick={() => bench.undo()}
          >Undo <span class="keycap">U</span></button
        >
        <button class="btn btn-sm" disabled={!bench.history.canRedo} onclick={() => bench.redo()}>Redo</button
        >
        <span class="self-center pl-2"
          ><KeptMark keeper={bench.keeper} onconflict={() => (bench.deciding = true)} /></span
        >
      </div>
    </div>
    {#if bench.place}
      <div class="grid min-h-0 flex-1 lg:grid-cols-[minmax(0,1fr)_minmax(400px,36vw)]">
        <section class="scrolls min-w-0 px-5 py-3 max-lg:overflow-visible" aria-label="Things at this place">
          <RestoredBar keeper={bench.keeper} ondrop={() => bench.drop()} />
          <div class="flex flex-wrap items-start gap-3">
            <QuickAdd {bench} bind:input />
            <label class="w-44">
              <span class="label-text">Name of the place</span>
              <input
                class="input w-full"
                maxlength="60"
                value={bench.draft.name}
                oninput={(event) => {
                  const name = event.currentTarget.value;
                  bench.change((kit) => ({ ...kit, name }));
                }}
              />
            </label>
            {#if bench.items.some((i) => domainRules.kind(i.kind)?.can?.includes('loaded-bar'))}
              <label class="mb-3 flex basis-full items-center gap-3">
                <span class="label-text">A bar over chest or back: who takes it?</span>
                <select
                  class="select select-sm w-64"
                  value={bench.draft.guarded == null ? '' : bench.draft.guarded ? 'yes' : 'no'}
                  onchange={(event) => {
                    const said = event.currentTarget.value;
                    const guarded = said === '' ? null : said === 'yes';
                    bench.change((kit) => ({ ...kit, guarded }));
                  }}
                >
                  <option value="">not asked yet</option>
                  <option value="yes">safeties, or somebody beside</option>
                  <option value="no">nobody and nothing</option>
                </select>
              </label>
            {/if}
          </div>
          {#if bench.items.length === 0}
            <p class="sheet p-4">
              Nothing here yet: plans for this place use floor and wall only. Type what stands around; usual
              values are filled in and marked until somebody weighs or measures.
            </p>
          {/if}
          <div class="flex flex-wrap gap-x-6 gap-y-3">
            {#each groups as group (group.id)}
              {@const items = bench.items.filter((i) => domainRules.kind(i.kind)?.group === group.id)}
              {#if items.length > 0}
                <Shelf {bench} title={group.title} hint={group.hint} {items} />
              {/if}
            {/each}
          </div>
          <div class="flex gap-2 py-3">
            <button class="btn btn-ghost btn-sm ml-auto" onclick={() => (deleting = true)}
              >Delete this place</button
            >
          </div>
        </section>
        <aside class="rule-l flex min-w-0 flex-col bg-base-100 max-lg:border-t lg:min-h-0" aria-label="Tools">
          <div class="rule-b flex flex-wrap gap-1 px-3 py-1.5" role="group" aria-label="Tool">
            {#each tools as t (t.id)}
              <button
                class={['btn btn-sm px-2', bench.tool === t.id ? 'btn-neutral' : 'btn-ghost']}
                aria-pressed={bench.tool === t.id}
                onclick={() => (bench.tool = t.id)}
                >{t.label} <span class="keycap">{t.key.toUpperCase()}</span></button
              >
            {/each}
          </div>
          <div class="scrolls min-h-0 flex-1 max-lg:overflow-visible">
            {#if bench.tool === 'loads'}<LoadBuilderTool {bench} />
            {:else if bench.tool === 'bands'}<BandBenchTool {bench} />
            {:else if bench.tool === 'exercises'}<SetupLadderTool {bench} />
            {:else if bench.tool === 'next'}<BuyNextTool {bench} />
            {:else if bench.selected && kind}
              {#key bench.selected.id}<ThingPanel {bench} item={bench.selected} {kind} />{/key}
            {:else}<p class="soft p-4">Choose a thing, or add one.</p>{/if}
          </div>
        </aside>
      </div>
    {:else}
      <div class="p-8">
        <h2 class="text-xl">No place yet</h2>
        <p class="mt-2 mb-3">
          Add the first one: home, a hotel, a park. A usual kit or another client's saves typing.
        </p>
        <button class="btn btn-primary" onclick={() => (addingPlace = true)}>Add a place</button>
      </div>
    {/if}
  {:else}
    <div class="p-6">
      <Opening
        doing="Looking round the room …"
        what="kit"
        failed={bench.failed}
        onagain={() => void start()}
      />
    </div>
  {/if}
</main>

<AddPlaceDialog
  open={addingPlace}
  onadd={(name, items) => void bench.addPlace(name, items)}
  onclose={() => (addingPlace = false)}
/>
<Dialog title="Delete {bench.place?.value.name}?" open={deleting} onclose={() => (deleting = false)}>
  <p class="mt-3">The kit of this place goes with it. Plans made for it stay. This cannot be undone.</p>
  {#snippet actions()}
    <button class="btn" onclick={() => (deleting = false)}>Keep</button>
    <button
      class="btn btn-error"
      onclick={() => {
        deleting = false;
        void bench.deletePlace();
      }}>Delete</button
    >
  {/snippet}
</Dialog>
<ConflictDialog
  what="kit"
  open={bench.deciding}
  onmine={() => bench.keepMine()}
  ontheirs={() => bench.takeTheirs()}
  onclose={() => (bench.deciding = false)}
/>
