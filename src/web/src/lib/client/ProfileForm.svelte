<script lang="ts">
  import { api, ask } from '../api/client';
  import type { ClientRecord, SavedClient } from '../api/types';
  import { toasts } from '../toasts.svelte';
  import { trade } from '../trade.svelte';
  import ConflictDialog from '../ui/ConflictDialog.svelte';
  import NumberField from '../ui/NumberField.svelte';
  import { conflictOf } from '../ui/saving';
  import { inWords, sentence } from '../words';

  interface Props {
    client: SavedClient;
    onsaved: (client: SavedClient) => void;
  }

  let { client, onsaved }: Props = $props();

  const levels = ['beginner', 'novice', 'intermediate', 'advanced'] as const;
  const goals = ['muscle', 'strength', 'endurance', 'general-fitness'] as const;
  const sexes = ['unknown', 'female', 'male'] as const;
  const joints = ['wrist', 'elbow', 'shoulder', 'neck', 'low-back', 'hip', 'knee', 'ankle'] as const;
  const screening: [NonNullable<ClientRecord['profile']['screening']>[number], string][] = [
    ['heart-or-vascular', 'heart or vascular disease'],
    ['metabolic-or-kidney', 'metabolic or kidney disease'],
    ['chest-pain-or-fainting', 'chest pain, fainting, dizziness, breathless at rest'],
    ['uncontrolled-blood-pressure', 'blood pressure not under control'],
    ['pregnancy-or-recent-birth', 'pregnancy or recent birth'],
    ['recent-surgery', 'recent surgery'],
    ['joint-under-treatment', 'a joint under treatment'],
    ['under-sixteen-without-guardian', 'under 16 without a guardian'],
    ['long-inactive-with-risk', 'long inactive and over about 45 (women 55) with risks'],
  ];
  const severities = { '': 'fine', sore: 'sore', injured: 'injured' };

  // svelte-ignore state_referenced_locally
  let draft = $state<ClientRecord>(copy(client));
  let theirs = $state<SavedClient | null>(null);
  let busy = $state(false);

  const changed = $derived(JSON.stringify(draft) !== JSON.stringify(copy(client)));

  function copy(saved: SavedClient): ClientRecord {
    const value = structuredClone($state.snapshot(saved.value)) as ClientRecord;
    value.profile.knownLifts ??= [];
    value.profile.soreJoints ??= [];
    value.profile.refuses ??= [];
    value.note ??= '';
    return value;
  }

  function setJoint(joint: (typeof joints)[number], severity: string): void {
    const others = (draft.profile.soreJoints ?? []).filter((s) => s.joint !== joint);
    draft.profile.soreJoints = severity
      ? [...others, { joint, severity: severity as 'sore' | 'injured' }]
      : others;
  }

  function setFlag(flag: (typeof screening)[number][0], holds: boolean): void {
    const others = (draft.profile.screening ?? []).filter((f) => f !== flag);
    draft.profile.screening = holds ? [...others, flag] : others;
    if (draft.profile.screening.length === 0) draft.profile.clearance = null;
  }

  function setClearance(on: string, by: string): void {
    draft.profile.clearance = on ? { on, by } : null;
  }

  async function save(revision = client.revision): Promise<void> {
    busy = true;
    try {
      const value = $state.snapshot(draft) as ClientRecord;
      value.profile.knownLifts = value.profile.knownLifts?.filter((lift) => lift.loadKg != null);
      const saved = await ask(() =>
        api.PUT('/api/v1/clients/{id}', { params: { path: { id: client.id } }, body: { revision, value } }),
      );
      theirs = null;
      onsaved(saved);
      draft = copy(saved);
      toasts.done('Client saved.');
    } catch (error) {
      theirs = conflictOf<SavedClient>(error) ?? null;
      if (!theirs) toasts.problem(error);
    } finally {
      busy = false;
    }
  }

  function takeTheirs(): void {
    if (!theirs) return;
    onsaved(theirs);
    draft = copy(theirs);
    theirs = null;
  }
</script>

<form
  class="grid gap-4"
  onsubmit={(event) => {
    event.preventDefault();
    void save();
  }}
>
  <label>
    <span class="label-text">Name</span>
    <input class="input w-full" required maxlength="80" bind:value={draft.name} />
  </label>
  <div class="grid grid-cols-3 gap-3">
    <label>
      <span class="label-text">Level</span>
      <select class="select w-full" bind:value={draft.profile.level}>
        {#each levels as level (level)}<option value={level}>{sentence(level)}</option>{/each}
      </select>
    </label>
    <label>
      <span class="label-text">Goal</span>
      <select class="select w-full" bind:value={draft.profile.goal}>
        {#each goals as goal (goal)}<option value={goal}>{sentence(inWords(goal))}</option>{/each}
      </select>
    </label>
    <label>
      <span class="label-text">Sex, for strength tables</span>
      <select class="select w-full" bind:value={draft.profile.sex}>
        {#each sexes as sex (sex)}<option value={sex}>{sentence(sex)}</option>{/each}
      </select>
    </label>
    <NumberField
      label="Body mass"
      unit="kg"
      min={25}
      max={300}
      bind:value={draft.profile.bodyMassKg}
      placeholder="70?"
    />
    <NumberField
      label="Stature"
      unit="cm"
      min={100}
      max={250}
      bind:value={draft.profile.statureCm}
      placeholder="172?"
    />
    <NumberField label="Age" unit="years" min={10} max={100} step={1} bind:value={draft.profile.ageYears} />
    <NumberField label="Days a week" min={1} max={7} step={1} bind:value={draft.profile.daysPerWeek} />
    <NumberField
      label="Minutes a session"
      unit="min"
      min={10}
      max={240}
      step={1}
      bind:value={draft.profile.minutesPerSession}
    />
    <label>
      <span class="label-text">Approach</span>
      <select
        class="select w-full"
        value={draft.profile.approach ?? 'mirror'}
        onchange={(event) => (draft.profile.approach = event.currentTarget.value)}
      >
        {#each trade.summary?.approaches ?? [] as approach (approach.id)}<option
            value={approach.id}
            title={approach.idea}>{approach.name}</option
          >{/each}
      </select>
    </label>
    <label class="flex items-end gap-2 pb-2 leading-tight">
      <input type="checkbox" class="checkbox checkbox-sm" bind:checked={draft.profile.highBloodPressure} />
      <span class="text-sm">High blood pressure</span>
    </label>
  </div>

  <fieldset>
    <legend class="mb-1 font-semibold">Before hard work: does any of this hold?</legend>
    <div class="grid gap-x-3 md:grid-cols-2">
      {#each screening as [flag, words] (flag)}
        <label class="flex items-center gap-2 py-1 text-sm">
          <input
            type="checkbox"
            class="checkbox checkbox-sm"
            value={flag}
            checked={draft.profile.screening?.includes(flag)}
            onchange={(event) => setFlag(flag, event.currentTarget.checked)}
          />
          {words}
        </label>
      {/each}
    </div>
    {#if (draft.profile.screening ?? []).length > 0}
      <p class="mt-1 text-sm text-secondary">
        Plan no hard work until a clinician has cleared it. Local rules and licensed practice come first.
      </p>
      <div class="mt-1 grid gap-2 md:grid-cols-[10rem_1fr]">
        <label>
          <span class="label-text">Cleared on</span>
          <input
            class="input figures w-full"
            type="date"
            value={draft.profile.clearance?.on ?? ''}
            onchange={(event) => setClearance(event.currentTarget.value, draft.profile.clearance?.by ?? '')}
          />
        </label>
        <label>
          <span class="label-text">by</span>
          <input
            class="input w-full"
            maxlength="120"
            disabled={!draft.profile.clearance}
            value={draft.profile.clearance?.by ?? ''}
            onchange={(event) => setClearance(draft.profile.clearance?.on ?? '', event.currentTarget.value)}
          />
        </label>
      </div>
    {/if}
  </fieldset>

  <fieldset>
    <legend class="mb-1 font-semibold">Joints to spare</legend>
    <div class="grid grid-cols-4 gap-x-3 gap-y-2">
      {#each joints as joint (joint)}
        <label>
          <span class="label-text">{sentence(inWords(joint))}</span>
          <select
            class="select select-sm w-full"
            value={draft.profile.soreJoints?.find((s) => s.joint === joint)?.severity ?? ''}
            onchange={(event) => setJoint(joint, event.currentTarget.value)}
          >
            {#each Object.entries(severities) as [value, text] (value)}<option {value}>{text}</option>{/each}
          </select>
        </label>
      {/each}
    </div>
  </fieldset>

  <fieldset>
    <legend class="mb-1 font-semibold">Known lifts</legend>
    {#each draft.profile.knownLifts ?? [] as lift, i (i)}
      <div class="mb-2 grid grid-cols-[1.4fr_1fr_1fr_auto] items-end gap-2">
        <label>
          <span class="sr-only">Lift {i + 1}</span>
          <select class="select w-full" bind:value={lift.anchor}>
            {#each trade.summary?.anchors ?? [] as anchor (anchor.id)}<option value={anchor.id}
                >{anchor.label}</option
              >{/each}
          </select>
        </label>
        <NumberField
          label="Load of lift {i + 1}"
          hideLabel
          unit="kg"
          min={0.5}
          max={500}
          bind:value={lift.loadKg}
        />
        <NumberField
          label="Reps of lift {i + 1}"
          hideLabel
          unit="reps"
          min={1}
          max={20}
          step={1}
          bind:value={lift.reps}
        />
        <button
          type="button"
          class="btn btn-ghost"
          aria-label="Remove lift {i + 1}"
          onclick={() => (draft.profile.knownLifts = draft.profile.knownLifts?.filter((_, k) => k !== i))}
          >×</button
        >
      </div>
    {:else}
      <p class="soft mb-2 text-sm">None known: strength is then estimated from level and body mass.</p>
    {/each}
    <button
      type="button"
      class="btn btn-sm"
      onclick={() =>
        (draft.profile.knownLifts = [
          ...(draft.profile.knownLifts ?? []),
          { anchor: 'back-squat', loadKg: 40, reps: 5 },
        ])}>Add a known lift</button
    >
  </fieldset>

  {#if (draft.profile.refuses ?? []).length > 0}
    <fieldset>
      <legend class="mb-1 font-semibold">Left out for this client</legend>
      <ul class="flex flex-wrap gap-2">
        {#each draft.profile.refuses ?? [] as id (id)}
          <li>
            <button
              type="button"
              class="btn btn-sm"
              aria-label="Offer {trade.exerciseName(id)} again"
              onclick={() => (draft.profile.refuses = draft.profile.refuses?.filter((r) => r !== id))}
              >{trade.exerciseName(id)} <span aria-hidden="true">×</span></button
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
  <div class="flex items-center gap-3">
    <button class="btn btn-primary" disabled={busy || !changed}>{busy ? 'Saving …' : 'Save client'}</button>
    <span class="soft text-sm" role="status">{changed ? 'Not saved yet' : 'Saved'}</span>
    {#if changed}<button type="button" class="btn btn-ghost btn-sm" onclick={() => (draft = copy(client))}
        >Take back changes</button
      >{/if}
  </div>
</form>

<ConflictDialog
  what="client"
  open={theirs !== null}
  onmine={() => theirs && save(theirs.revision)}
  ontheirs={takeTheirs}
  onclose={() => (theirs = null)}
/>
