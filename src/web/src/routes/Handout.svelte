<script lang="ts">
  import { onMount } from 'svelte';
  import { api, ask } from '../lib/api/client';
  import type { SavedClient, SavedPlan } from '../lib/api/types';
  import { crumbs } from '../lib/crumbs.svelte';
  import { keys } from '../lib/keys.svelte';
  import { toasts } from '../lib/toasts.svelte';
  import { count, day, rest } from '../lib/words';
  import { byDay, inOrder } from '../lib/workbench/days';
  import TempoLine from '../lib/workbench/TempoLine.svelte';
  import { p, route } from '../router';

  const id = Number(route.params.id);
  let plan = $state<SavedPlan | null>(null);
  let client = $state<SavedClient | null>(null);
  const days = $derived(plan ? byDay(plan.value.document.plan) : []);

  onMount(() => {
    void load();
    return keys.add('Hand-out', [{ key: 'p', label: 'print', run: () => print() }]);
  });

  async function load(): Promise<void> {
    try {
      const found = await ask(() => api.GET('/api/v1/plans/{id}', { params: { path: { id } } }));
      const owner = await ask(() =>
        api.GET('/api/v1/clients/{id}', { params: { path: { id: found.value.clientId } } }),
      );
      [plan, client] = [found, owner];
      crumbs.ofPlan(id, owner, 'Hand-out');
    } catch (error) {
      toasts.problem(error);
    }
  }
</script>

<main id="main" class="mx-auto w-full max-w-4xl flex-1 p-6 print:max-w-none print:p-0">
  {#if plan && client}
    <div class="no-print mb-4 flex items-center gap-3">
      <p class="soft flex-1">
        {days.length > 1 ? 'One page a day' : 'One page'} for {client.value.name}, on paper or on a phone.
      </p>
      <a class="btn btn-sm" href={p('/plans/:id/log', { params: { id: String(plan.id) } })}>Log a session</a>
      <button class="btn btn-primary btn-sm" onclick={() => print()}
        >Print <span class="keycap">P</span></button
      >
    </div>
    <article class="sheet p-6 print:border-0 print:p-0">
      <header class="mb-3 flex flex-wrap items-end gap-x-6 border-b-2 border-base-content pb-2">
        <h1 class="flex-1 text-2xl print:text-xl">{plan.value.document.title}</h1>
        <p class="text-sm">
          {client.value.name}, {plan.value.document.request.kit.name}, {day(plan.updatedAt)}, version {plan
            .value.version}
        </p>
      </header>
      <p class="mb-3 text-sm">
        <b>Stop at once</b> on chest pain or pressure, faintness, unusual breathlessness, sharp or spreading pain,
        or numbness.
      </p>
      {#each days as day, n (day.name)}
        {#if day.name}
          <h2
            class={[
              'mt-6 mb-2 flex items-baseline gap-3 border-b border-base-content text-xl first-of-type:mt-0',
              n > 0 && 'print:break-before-page',
            ]}
          >
            <span class="flex-1">{day.name}</span>
            <span class="soft font-sans text-sm font-normal">about {day.minutes} min</span>
          </h2>
        {/if}
        {#if day.warmUp.length > 0}
          <section class="mb-3 text-sm" aria-label="Warm-up">
            <h3 class="text-base">Warm-up, 5–10 minutes</h3>
            <ol class="list-decimal pl-5">
              {#each day.warmUp as step (step)}<li>{step}</li>{/each}
            </ol>
          </section>
        {/if}
        {#each day.blocks.filter((b) => b.lines.length > 1) as block (block.label)}
          <p class="text-sm">
            <b class="figures">{block.label}</b>: {count(block.rounds, 'round')} of {block.lines.length} exercises
            in turn, then rest {rest(block.restSeconds)}.
          </p>
        {/each}
        <ol class="grid gap-3 print:gap-2">
          {#each inOrder(day).filter((l) => l.line.chosen) as { line } (line.gym.key)}
            {#each line.chosen?.exercises ?? [] as home, half (home.exerciseId)}
              <li
                class="grid grid-cols-[2rem_minmax(0,1fr)_minmax(0,14rem)] gap-x-3 border-t border-base-300 pt-2 break-inside-avoid max-sm:grid-cols-[2rem_minmax(0,1fr)]"
              >
                <span class="figures text-secondary"
                  >{day.labels[line.gym.key] ?? ''}{half > 0 ? '+' : ''}</span
                >
                <div>
                  <h3 class="text-lg print:text-base">{home.name}</h3>
                  <p class="text-sm">
                    {home.setup}{home.steps.length > 0 ? `. ${home.steps.join('. ')}.` : '.'}
                  </p>
                  {#if home.how}<p class="text-sm">{home.how}</p>{/if}
                  <p class="text-sm">{home.cues.join(' · ')}</p>
                  {#each home.dose.instructions as instruction (instruction)}<p class="text-sm font-semibold">
                      {instruction}
                    </p>{/each}
                  {#if home.cautions.length > 0}<p class="text-sm text-secondary">
                      <b>Take care:</b>
                      {home.cautions.join(' ')}
                    </p>{/if}
                  {#if home.easierName || home.harderName}
                    <p class="soft text-note">
                      {home.easierName ? `Easier: ${home.easierName}. ` : ''}{home.harderName
                        ? `Harder: ${home.harderName}.`
                        : ''}
                    </p>
                  {/if}
                </div>
                <div class="figures max-sm:col-start-2">
                  <p class="text-xl font-semibold print:text-lg">{home.dose.figures}</p>
                  <p class="flex items-center gap-2 text-sm">
                    {home.dose.tempo}
                    <TempoLine tempo={home.dose.tempo} width={60} height={14} />
                  </p>
                  <p class="text-sm">rest {rest(home.dose.restSeconds)}, {home.dose.rir} left in reserve</p>
                  <p class="soft mt-1 text-note tracking-widest" aria-hidden="true">
                    {'___ '.repeat(home.dose.sets)}
                  </p>
                </div>
              </li>
            {/each}
          {/each}
        </ol>
        {#if day.kept.length > 0}
          <p class="mt-3 text-sm break-inside-avoid"><b>Also, as written.</b> {day.kept.join(' · ')}</p>
        {/if}
        {#if day.coolDown.length > 0}
          <p class="mt-3 text-sm break-inside-avoid"><b>Cool-down.</b> {day.coolDown.join(' ')}</p>
        {/if}
      {/each}
      <footer class="mt-4 border-t border-base-300 pt-2 text-note">
        <p>
          Tempo: seconds down, pause, up, pause. Before the first use of furniture, bars and anchors: push,
          half weight, full weight; look over every band for nicks.
        </p>
        <p class="mt-1">
          Ingegno helps a qualified coach to plan. It is no medical advice, certifies no object, and defers to
          licensed clinicians, local rules and makers' instructions.
        </p>
      </footer>
    </article>
  {:else}
    <p class="soft" role="status">Writing the hand-out …</p>
  {/if}
</main>
