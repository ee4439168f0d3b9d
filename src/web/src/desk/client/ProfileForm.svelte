<script lang="ts">
  import { onMount, untrack } from 'svelte';
  import { api, ask } from '../api/client';
  import type { ClientRecord, SavedClient } from '../../shared/api/types';
  import type { NotYet } from '../autosave/saver.svelte';
  import { keeping } from '../autosave/autosave.svelte';
  import KeptMark from '../autosave/KeptMark.svelte';
  import RestoredBar from '../autosave/RestoredBar.svelte';
  import { keys } from '../keys.svelte';
  import { domainRules } from '../domainRules.svelte';
  import ConflictDialog from '../ui/ConflictDialog.svelte';
  import { History } from '../ui/history.svelte';
  import IntakeBox from './IntakeBox.svelte';
  import JointFields from './JointFields.svelte';
  import KnownLifts from './KnownLifts.svelte';
  import Persona from './Persona.svelte';
  import ScreeningFields from './ScreeningFields.svelte';

  interface Props {
    client: SavedClient;
    onsaved: (client: SavedClient) => void;
  }

  let { client, onsaved }: Props = $props();

  // svelte-ignore state_referenced_locally
  let draft = $state<ClientRecord>(copy(client));
  let theirs = $state<SavedClient | null>(null);
  let deciding = $state(false);
  let form = $state<HTMLFormElement>();
  /** The client as the undo steps know it; a change is one step once it is saved. */
  let steady = JSON.stringify(draftNow());
  const history = new History<string>();

  const keeper = keeping.keep<ClientRecord>({
    now: draftNow,
    restore: (value) => put(value),
    fields: true,
    save,
    conflict: (current) => {
      theirs = current as SavedClient;
      deciding = true;
    },
  });

  onMount(() => {
    void keeper.on(`client-${client.id}`, client.revision);
    const off = keys.add('Client form', [
      { key: 's', label: 'save now', saves: true, run: () => void keeper.flush() },
      { key: 'u', label: 'undo', run: () => step('undo') },
      { key: 'u', shift: true, label: 'redo', run: () => step('redo') },
    ]);
    return () => {
      off();
      keeping.release(keeper);
    };
  });

  // Whatever field changed: the draft is kept and saved once the typing pauses.
  $effect(() => {
    const now = JSON.stringify(draft);
    untrack(() => {
      if (now !== JSON.stringify(copy(client))) keeper.changed();
      else if (keeper.open && keeper.state !== 'saving') keeper.settled();
    });
  });

  function copy(saved: SavedClient): ClientRecord {
    const value = structuredClone($state.snapshot(saved.value)) as ClientRecord;
    value.profile.knownLifts ??= [];
    value.profile.soreJoints ??= [];
    value.profile.refuses ??= [];
    value.note ??= '';
    return value;
  }

  function draftNow(): ClientRecord {
    return $state.snapshot(draft) as ClientRecord;
  }

  function put(value: ClientRecord): void {
    draft = structuredClone(value);
  }

  async function save(sent: ClientRecord, base: number | null): Promise<number | NotYet> {
    const wrong = form?.querySelector<HTMLInputElement>(':invalid:not(fieldset)');
    if (wrong)
      return {
        because: `${wrong.labels?.[0]?.innerText.split('\n')[0] ?? 'A field'}: ${wrong.validationMessage}`,
      };
    const value = structuredClone(sent);
    value.profile.knownLifts = value.profile.knownLifts?.filter((lift) => lift.loadKg != null);
    const body = { revision: base ?? client.revision, value };
    const saved = await ask(() =>
      api.PUT('/api/v1/clients/{id}', { params: { path: { id: client.id } }, body }),
    );
    theirs = null;
    if (steady !== JSON.stringify(sent)) {
      history.remember(steady);
      steady = JSON.stringify(sent);
    }
    onsaved(saved);
    return saved.revision;
  }

  function step(way: 'undo' | 'redo'): void {
    const now = JSON.stringify(draftNow());
    // What is typed and not saved yet is the first step back.
    const to = way === 'undo' ? (now === steady ? history.undo(now) : steady) : history.redo(now);
    if (to === undefined) return;
    steady = to;
    put(JSON.parse(to) as ClientRecord);
  }

  function keepMine(): void {
    deciding = false;
    if (theirs) void keeper.overwrite(theirs.revision);
  }

  function takeTheirs(): void {
    deciding = false;
    if (!theirs) return;
    onsaved(theirs);
    put(copy(theirs));
    keeper.settled(theirs.revision);
    theirs = null;
  }
</script>

<form
  class="grid gap-4"
  bind:this={form}
  onsubmit={(event) => {
    event.preventDefault();
    void keeper.flush();
  }}
>
  <RestoredBar {keeper} ondrop={() => put(copy(client))} />
  <label>
    <span class="label-text">Name</span>
    <input class="input w-full" required maxlength="80" bind:value={draft.name} />
  </label>
  <IntakeBox bind:profile={draft.profile} record="intake-{client.id}" />
  <Persona bind:profile={draft.profile} />
  <ScreeningFields bind:profile={draft.profile} />
  <JointFields bind:profile={draft.profile} />
  <KnownLifts bind:profile={draft.profile} />

  {#if (draft.profile.refuses ?? []).length > 0}
    <fieldset>
      <legend class="mb-1 font-semibold">Left out for this client</legend>
      <ul class="flex flex-wrap gap-2">
        {#each draft.profile.refuses ?? [] as id (id)}
          <li>
            <button
              type="button"
              class="btn btn-sm"
              aria-label="Offer {domainRules.exerciseName(id)} again"
              onclick={() => (draft.profile.refuses = draft.profile.refuses?.filter((r) => r !== id))}
              >{domainRules.exerciseName(id)} <span aria-hidden="true">×</span></button
            >
          </li>
        {/each}
      </ul>
    </fieldset>
  {/if}

  <label>
    <span class="label-text">Note</span>
    <textarea class="textarea w-full" rows="2" maxlength="2000" bind:value={draft.note}></textarea>
  </label>
  <div class="flex flex-wrap items-center gap-3">
    <button
      type="button"
      class="btn btn-sm"
      disabled={!history.canUndo && !keeper.open}
      onclick={() => step('undo')}>Undo <span class="keycap">U</span></button
    >
    <button type="button" class="btn btn-sm" disabled={!history.canRedo} onclick={() => step('redo')}
      >Redo</button
    >
    <KeptMark {keeper} onconflict={() => (deciding = true)} />
  </div>
</form>

<ConflictDialog
  what="client"
  open={deciding}
  onmine={keepMine}
  ontheirs={takeTheirs}
  onclose={() => (deciding = false)}
/>
