<script lang="ts">
  import { onMount } from 'svelte';
  import { api, ask } from '../lib/api/client';
  import type { LoggedSet, NextProposals, SavedPlan, SavedSession } from '../lib/api/types';
  import { crumbs } from '../lib/crumbs.svelte';
  import { toasts } from '../lib/toasts.svelte';
  import ExerciseLog from '../lib/log/ExerciseLog.svelte';
  import NextSession from '../lib/log/NextSession.svelte';
  import { emptyLog, filled, type ExerciseDraft } from '../lib/log/draft';
  import NumberField from '../lib/ui/NumberField.svelte';
  import { conflictOf } from '../lib/ui/saving';
  import { day, inWords, sentence } from '../lib/words';
  import { p, route } from '../router';

  const id = Number(route.params.id);
  const today = new Date(Date.now() - new Date().getTimezoneOffset() * 60_000).toISOString().slice(0, 10);
  let plan = $state<SavedPlan | null>(null);
  let sessions = $state<SavedSession[]>([]);
  let next = $state<NextProposals | null>(null);
  let drafts = $state<ExerciseDraft[]>([]);
  let performedOn = $state(today);
  let effort = $state<number | null>(null);
  let minutes = $state<number | null>(null);
  let note = $state('');
  let dayIndex = $state(0);
  let busy = $state(false);

  const days = $derived(
    (plan?.value.document.plan.days ?? [])
      .map((d, index) => ({ ...d, index }))
      .filter((d) => drafts.some((draft) => draft.day === d.index)),
  );

  onMount(() => void load());

  async function load(): Promise<void> {
    try {
      plan = await ask(() => api.GET('/api/v1/plans/{id}', { params: { path: { id } } }));
      const clientId = plan.value.clientId;
      const client = await ask(() => api.GET('/api/v1/clients/{id}', { params: { path: { id: clientId } } }));
      const back = { params: { id: String(clientId) } };
      crumbs.set(
        { text: 'Roster', href: p('/') },
        { text: client.value.name, href: p('/clients/:id', back) },
        { text: 'Workbench', href: p('/clients/:id/workbench', { ...back, search: { plan: id } }) },
        { text: 'Log' },
      );
      drafts = emptyLog(plan.value.document.plan.lines);
      await review();
    } catch (error) {
      toasts.problem(error);
    }
  }

  async function review(): Promise<void> {
    const params = { params: { path: { planId: id } } };
    [sessions, next] = await Promise.all([
      ask(() => api.GET('/api/v1/plans/{planId}/sessions', params)),
      ask(() => api.GET('/api/v1/plans/{planId}/next', params)),
    ]);
  }

  async function save(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    if (!plan) return;
    busy = true;
    try {
      const body = {
        planVersion: plan.value.version,
        performedOn,
        effort,
        minutes,
        note: note || null,
        exercises: filled($state.snapshot(drafts) as ExerciseDraft[]),
      };
      await ask(() =>
        api.POST('/api/v1/plans/{planId}/sessions', { params: { path: { planId: id } }, body }),
      );
      drafts = emptyLog(plan.value.document.plan.lines);
      [effort, minutes, note] = [null, null, ''];
      await review();
      toasts.done('Session logged. The proposal for the next one stands on the right.');
    } catch (error) {
      toasts.problem(error);
    } finally {
      busy = false;
    }
  }

  async function remove(session: SavedSession): Promise<void> {
    try {
      await ask(() =>
        api.DELETE('/api/v1/plans/{planId}/sessions/{sessionId}', {
          params: { path: { planId: id, sessionId: session.id } },
        }),
      );
      await review();
      toasts.done('Session removed.', () => void restore(session));
    } catch (error) {
      toasts.problem(error);
    }
  }

  async function restore(session: SavedSession): Promise<void> {
    try {
      const body = $state.snapshot(session.value);
      await ask(() =>
        api.POST('/api/v1/plans/{planId}/sessions', { params: { path: { planId: id } }, body }),
      );
      await review();
    } catch (error) {
      toasts.problem(error);
    }
  }

  /** Accepts proposals: a new version of the plan with the proposed figures. */
  async function accept(): Promise<void> {
    if (!plan || !next) return;
    busy = true;
    try {
      const request = structuredClone($state.snapshot(plan.value.document.request));
      const edits = next.proposals
        .filter((x) => !['wait', 'repeat', 'swap', 'next-rung'].includes(x.decision))
        .map((x) => ({
          line: x.line,
          exerciseId: x.exerciseId,
          sets: x.dose.sets,
          target: x.dose.target,
          tempo: x.dose.tempo,
          restSeconds: x.dose.restSeconds,
          rir: x.dose.rir,
          externalKg: x.externalKg,
        }));
      const touched = new Set(edits.map((e) => `${e.line}/${e.exerciseId}`));
      request.edits = [
        ...(request.edits ?? []).filter((e) => !touched.has(`${e.line}/${e.exerciseId}`)),
        ...edits,
      ];

      // What was trained stays, whatever a rebuild would choose today.
      request.choices = plan.value.document.plan.lines
        .filter((l) => l.chosen)
        .map((l) => ({ line: l.gym.line, candidateId: l.chosen?.id, role: l.role }));
      const { revision } = plan;
      const { title } = plan.value.document;
      plan = await ask(() =>
        api.POST('/api/v1/plans/{id}/versions', {
          params: { path: { id } },
          body: { revision, title, note: 'next session accepted', request },
        }),
      );
      drafts = emptyLog(plan.value.document.plan.lines);
      toasts.done(`Accepted: version ${plan.value.version} is what to do next.`);
    } catch (error) {
      const theirs = conflictOf<SavedPlan>(error);
      if (theirs) {
        plan = theirs;
        toasts.problem(
          'The plan was changed elsewhere meanwhile; its newest version is shown now. Look at it and accept again.',
        );
      } else toasts.problem(error);
    } finally {
      busy = false;
    }
  }

  /** Name of what was done; a line that the plan has changed since is named by its key. */
  const nameOf = (line: number, exerciseId: string): string =>
    drafts.find((d) => d.line === line && d.exerciseId === exerciseId)?.name ?? sentence(inWords(exerciseId));
  const best = (sets: LoggedSet[]): string =>
    sets.map((s) => `${s.reps}${s.loadKg ? ` @ ${s.loadKg} kg` : ''}`).join(', ');
</script>

<main id="main" class="mx-auto w-full max-w-7xl flex-1 p-6">
  {#if plan}
    <div class="mb-4 flex flex-wrap items-end gap-4">
      <h1 class="flex-1 text-3xl">Log: {plan.value.document.title}</h1>
      <p class="soft">version {plan.value.version}</p>
      <a class="btn btn-sm" href={p('/plans/:id/handout', { params: { id: String(id) } })}>Hand-out</a>
    </div>
    <div class="grid gap-6 lg:grid-cols-[minmax(0,7fr)_minmax(0,5fr)]">
      <form class="sheet content-start p-5" onsubmit={save} aria-label="Log a session">
        <div class="mb-2 flex flex-wrap items-end gap-3">
          <label>
            <span class="label-text">Date</span>
            <input class="input figures" type="date" required bind:value={performedOn} />
          </label>
          {#if days.length > 1}
            <label>
              <span class="label-text">Training day</span>
              <select class="select" bind:value={dayIndex}>
                {#each days as d (d.index)}<option value={d.index}>{d.name || 'The day'}</option>{/each}
              </select>
            </label>
          {/if}
          <NumberField class="w-28" label="Effort, 1–10" min={1} max={10} step={1} bind:value={effort} />
          <NumberField class="w-28" label="Minutes" min={1} max={600} step={1} bind:value={minutes} />
        </div>
        {#each drafts as draft, i (`${draft.line}/${draft.exerciseId}`)}
          {#if days.length < 2 || draft.day === dayIndex}<ExerciseLog bind:draft={drafts[i]!} />{/if}
        {/each}
        <label class="mt-3 block">
          <span class="label-text">Note</span>
          <textarea class="textarea w-full" rows="2" maxlength="2000" bind:value={note}></textarea>
        </label>
        <button class="btn btn-primary mt-3" disabled={busy}>{busy ? 'Saving …' : 'Log the session'}</button>
      </form>
      <div class="grid content-start gap-6">
        {#if next}<NextSession {next} {busy} onaccept={accept} />{/if}
        <section class="sheet p-5" aria-labelledby="sessions">
          <h2 id="sessions" class="mb-2 text-xl">Logged sessions</h2>
          <ul>
            {#each sessions as session (session.id)}
              <li class="rule-b py-2 last:border-b-0">
                <div class="flex items-baseline gap-3">
                  <b>{day(session.value.performedOn)}</b>
                  <span class="soft flex-1 text-sm"
                    >version {session.value.planVersion}{session.value.effort
                      ? `, effort ${session.value.effort}`
                      : ''}{session.value.minutes ? `, ${session.value.minutes} min` : ''}</span
                  >
                  <button class="btn btn-ghost btn-xs" onclick={() => remove(session)}>Remove</button>
                </div>
                {#each session.value.exercises as exercise (`${exercise.line}/${exercise.exerciseId}`)}
                  <p class="text-sm">
                    {nameOf(exercise.line, exercise.exerciseId)}:
                    <span class="figures">{best(exercise.sets)}</span>
                  </p>
                {/each}
                {#if session.value.note}<p class="soft text-sm">{session.value.note}</p>{/if}
              </li>
            {:else}
              <li class="soft">None yet. Enter the first one on the left; partial logs are fine.</li>
            {/each}
          </ul>
        </section>
      </div>
    </div>
  {:else}
    <p class="soft" role="status">Opening the log …</p>
  {/if}
</main>
