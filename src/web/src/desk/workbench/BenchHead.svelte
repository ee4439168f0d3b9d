<script lang="ts">
  import type { SavedClient } from '../../shared/api/types';
  import type { Keeper } from '../autosave/saver.svelte';
  import KeptMark from '../autosave/KeptMark.svelte';
  import { domainRules } from '../domainRules.svelte';
  import { inWords, sentence, soreInWords } from '../../shared/words';
  import { p } from '../router';
  import type { Workbench } from './workbench.svelte';

  interface Props {
    bench: Workbench;
    client: SavedClient;
    onapproach: (approach: string) => void;
    onplaces: () => void;
    onsave: () => void;
    onhandout: () => void;
    onsend: () => void;
  }

  const { bench, client, onapproach, onplaces, onsave, onhandout, onsend }: Props = $props();
  const profile = $derived(client.value.profile);
  const kit = $derived(
    (bench.place?.value.items ?? []).map((item) => {
      const name = item.name || domainRules.kind(item.kind)?.label.toLowerCase() || item.kind;
      return (item.count ?? 1) > 1 ? `${item.count} × ${name}` : name;
    }),
  );
</script>

<!-- Who, where, with what and how, and what can be done with the plan. -->
<div class="rule-b grid gap-px text-plain md:grid-cols-[minmax(0,1fr)_minmax(0,1fr)_minmax(0,1.7fr)_auto]">
  <div class="px-5 py-2">
    <p class="soft text-note">Client</p>
    <p class="font-semibold">
      {client.value.name}{profile.ageYears ? `, ${profile.ageYears}` : ''}
    </p>
    <p class="soft">{profile.level}, {inWords(profile.goal)}</p>
    {#if profile.soreJoints?.length}
      <p class="text-secondary">
        {profile.soreJoints.map(soreInWords).join(', ')}
      </p>
    {/if}
  </div>
  <div class="rule-l grid content-start gap-1 px-4 py-2">
    <div class="flex items-baseline justify-between gap-2">
      <label for="place" class="soft text-note">Place <span class="keycap">P</span></label>
      {#if bench.places.length > 1}
        <button class="link text-note" disabled={!bench.proposal.result} onclick={() => onplaces()}
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
    <p class="soft float-right text-note">
      <label
        >Approach <span class="keycap">A</span>
        <select
          class="select select-xs w-auto font-semibold"
          disabled={!bench.proposal.result || bench.proposal.busy}
          value={bench.proposal.approachOn()}
          onchange={(event) => {
            const approach = event.currentTarget.value;
            event.currentTarget.value = bench.proposal.approachOn();
            onapproach(approach);
          }}
        >
          {#each domainRules.summary?.approaches ?? [] as a (a.id)}<option value={a.id}
              >{a.name}{bench.proposal.decided.phase && a.id === bench.proposal.approachOn()
                ? `: ${bench.proposal.decided.phase}`
                : ''}</option
            >{/each}
        </select>
      </label>
    </p>
    <p class="soft text-note">Kit here</p>
    <p class="line-clamp-2" title={kit.join(', ')}>
      {kit.length > 0 ? sentence(kit.join(', ')) : 'nothing but floor and wall'}
    </p>
    <a
      class="link-alone text-plain"
      href={p('/clients/:id/kit', {
        params: { id: String(client.id) },
        search: bench.placeId ? { place: bench.placeId } : {},
      })}>Change the kit</a
    >
  </div>
  <div class="rule-l grid grid-cols-3 content-start gap-x-1 gap-y-1 px-3 py-2">
    <button
      class="btn btn-sm"
      onclick={() => (bench.proposal.editing = !bench.proposal.editing)}
      aria-pressed={bench.proposal.editing}>Gym week <span class="keycap">E</span></button
    >
    <button class="btn btn-sm" disabled={!bench.canUndo || bench.proposal.busy} onclick={() => bench.undo()}
      >Undo <span class="keycap">U</span></button
    >
    <button class="btn btn-sm" disabled={!bench.canRedo || bench.proposal.busy} onclick={() => bench.redo()}
      >Redo</button
    >
    <button
      class={['btn btn-sm', !bench.versions.plan && 'btn-primary']}
      disabled={!bench.proposal.result ||
        bench.proposal.busy ||
        (!bench.proposal.unsaved && bench.versions.plan !== null)}
      onclick={onsave}
      >{!bench.versions.plan
        ? 'Save'
        : bench.proposal.unsaved
          ? 'Saving …'
          : `Saved, v${bench.versions.plan.value.version}`}
      <span class="keycap">S</span></button
    >
    <button class="btn btn-sm" disabled={!bench.proposal.result || bench.proposal.busy} onclick={onhandout}
      >Hand-out <span class="keycap">H</span></button
    >
    <button
      class="btn btn-sm"
      aria-pressed={bench.proposal.decided.calibrate}
      title="The last set of what was never logged is open where that is safe; the log then sets the dose"
      disabled={!bench.proposal.result || bench.proposal.busy}
      onclick={() => void bench.decide.toggleCalibration()}>Calibrate <span class="keycap">K</span></button
    >
    <button class="btn btn-sm" disabled={!bench.proposal.result || bench.proposal.busy} onclick={onsend}
      >Send <span class="keycap">O</span></button
    >
    {#if bench.versions.plan}
      <a class="btn btn-sm" href={p('/plans/:id/block', { params: { id: String(bench.versions.plan.id) } })}
        >Block</a
      >
      <a class="btn btn-sm" href={p('/plans/:id/log', { params: { id: String(bench.versions.plan.id) } })}
        >Log</a
      >
    {/if}
    {#each [bench.saving.keeper, bench.gym.keeper] as keeper, i (i)}
      {@const toldBelow = i === 0 && bench.proposal.pending.length > 0}
      {#if !toldBelow && ['refused', 'conflict', 'unreachable'].includes(keeper.state)}
        <span class="col-span-3"
          ><KeptMark
            keeper={keeper as Keeper<unknown>}
            onconflict={() => (i === 0 ? (bench.saving.deciding = true) : (bench.gym.deciding = true))}
          /></span
        >
      {/if}
    {/each}
  </div>
</div>
