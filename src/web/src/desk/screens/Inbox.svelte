<script lang="ts">
  import { onMount, tick } from 'svelte';
  import { api, ask } from '../api/client';
  import type { CameIn } from '../../shared/api/types';
  import { crumbs } from '../crumbs.svelte';
  import { keys } from '../keys.svelte';
  import CameInCard from '../sending/CameInCard.svelte';
  import { toasts } from '../toasts.svelte';
  import Opening from '../ui/Opening.svelte';
  import { count, day } from '../../shared/words';
  import { navigate, p } from '../router';

  let list = $state<CameIn[] | null>(null);
  let failed = $state<unknown>(null);
  let at = $state(0);
  let seen = $state<number[]>([]);
  let cards = $state<Record<number, CameInCard>>({});
  const current = $derived(list?.[at]);
  const left = $derived((list ?? []).filter((c) => !seen.includes(c.id)).length);
  const clients = $derived(new Set((list ?? []).map((c) => c.clientId)).size);

  onMount(() => {
    crumbs.set({ text: 'Roster', href: p('/') }, { text: 'Inbox' });
    void load();
    return keys.add('Inbox', [
      { key: 'arrowdown', label: 'next session', run: () => move(1) },
      { key: 'arrowup', label: 'session before', run: () => move(-1) },
      { key: 'n', label: 'seen, next client', run: () => void nextClient() },
      { key: 's', label: 'seen, next session', run: () => void done() },
      { key: 'r', label: 'answer', run: () => current && cards[current.id]?.answer() },
      { key: 'enter', label: 'open the review', run: review },
    ]);
  });

  async function load(): Promise<void> {
    failed = null;
    try {
      const came = await ask(() => api.GET('/api/v1/came-in'));
      // A client's sessions stand together, those with the gravest remark first.
      const grave = (c: CameIn): number =>
        Math.min(
          9,
          ...c.remarks.map((r) => ['stopped', 'hurts', 'asks'].indexOf(r.kind)).filter((i) => i >= 0),
        );
      const first: Record<number, number> = {};
      for (const c of came) first[c.clientId] = Math.min(first[c.clientId] ?? 9, grave(c));
      list = came.toSorted(
        (a, b) => first[a.clientId]! - first[b.clientId]! || a.client.localeCompare(b.client) || a.id - b.id,
      );
      at = 0;
    } catch (error) {
      failed = error;
    }
  }

  function move(by: number): void {
    at = Math.min(Math.max(0, at + by), Math.max(0, (list?.length ?? 1) - 1));
    void tick().then(() =>
      document.getElementById(`came-${current?.id}`)?.scrollIntoView({ block: 'nearest' }),
    );
  }

  async function markSeen(one: CameIn): Promise<void> {
    if (seen.includes(one.id)) return;
    await ask(() => api.POST('/api/v1/came-in/{id}/seen', { params: { path: { id: one.id } } }));
    seen = [...seen, one.id];
  }

  async function done(): Promise<void> {
    if (!current) return;
    try {
      await markSeen(current);
      move(1);
    } catch (error) {
      toasts.problem(error);
    }
  }

  /** All sessions of this client are seen, and the next client's are on. */
  async function nextClient(): Promise<void> {
    if (!current || !list) return;
    try {
      const client = current.clientId;
      for (const one of list.filter((c) => c.clientId === client)) await markSeen(one);
      const next = list.findIndex((c, i) => i > at && c.clientId !== client);
      move(next < 0 ? 0 : next - at);
    } catch (error) {
      toasts.problem(error);
    }
  }

  function review(): void {
    if (current) void navigate('/plans/:id/log', { params: { id: String(current.planId) } });
  }
</script>

<main id="main" class="mx-auto w-full max-w-6xl flex-1 p-6">
  <div class="mb-4 flex flex-wrap items-end gap-4">
    <h1 class="text-3xl">Inbox</h1>
    <p class="soft flex-1 pb-1" role="status">
      {#if list}{count(left, 'session')} to look at, {count(clients, 'client')}{/if}
    </p>
    <a class="link-alone text-plain" href={p('/outbox')}>Outbox</a>
    <p class="soft text-plain">
      <span class="keycap">S</span> seen, next <span class="keycap">N</span> next client
      <span class="keycap">R</span> answer <span class="keycap">↵</span> review
    </p>
  </div>
  {#if !list}
    <Opening inner doing="Reading what came in …" what="list" {failed} onagain={() => void load()} />
  {:else if list.length === 0}
    <div class="sheet p-8">
      <h2 class="text-xl">Nothing new</h2>
      <p class="mt-2">
        Sessions that clients train on their phones come here, with what hurt, what they swapped and what they
        ask. Send a plan from its workbench.
      </p>
    </div>
  {:else}
    <ol class="sheet">
      {#each list as came, i (came.id)}
        <li
          id="came-{came.id}"
          class={[
            'rule-b px-5 py-3 last:border-b-0',
            i === at && 'border-l-4 border-l-primary bg-base-100',
            seen.includes(came.id) && i !== at && 'opacity-70',
          ]}
          aria-current={i === at ? 'true' : undefined}
        >
          <div class="mb-1 flex flex-wrap items-baseline gap-x-4">
            <h2 class="text-lg">
              <button class="link-hover text-left" onclick={() => (at = i)}>{came.client}</button>
            </h2>
            <span>{came.day || came.title}, {day(came.performedOn)}</span>
            <span class="figures">{came.setsDone} of {count(came.setsPlanned, 'set')}</span>
            {#if came.session.effort}<span>effort {came.session.effort}</span>{/if}
            {#if came.session.minutes}<span>{came.session.minutes} min</span>{/if}
            {#if !came.finished}<span class="font-semibold text-secondary">not ended</span>{/if}
            <span class="flex-1"></span>
            {#if seen.includes(came.id)}<span class="soft">seen</span>
            {:else}<button
                class="btn btn-sm"
                onclick={() => {
                  at = i;
                  void done();
                }}>Seen</button
              >{/if}
            <a class="btn btn-sm" href={p('/plans/:id/log', { params: { id: String(came.planId) } })}
              >Review</a
            >
          </div>
          <CameInCard bind:this={cards[came.id]} {came} onchange={(now) => (list![i] = now)} />
        </li>
      {/each}
    </ol>
  {/if}
</main>
