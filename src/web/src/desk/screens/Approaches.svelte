<script lang="ts">
  import { onMount } from 'svelte';
  import { searchParams } from 'sv-router';
  import { api, ask } from '../api/client';
  import type { Approach } from '../../shared/api/types';
  import ApproachCard from '../approaches/ApproachCard.svelte';
  import ApproachEditor from '../approaches/ApproachEditor.svelte';
  import { OwnApproaches } from '../approaches/ownApproaches.svelte';
  import { keeping } from '../autosave/autosave.svelte';
  import { crumbs } from '../crumbs.svelte';
  import { keys } from '../keys.svelte';
  import { toasts } from '../toasts.svelte';
  import { domainRules } from '../domainRules.svelte';
  import { showInAddress } from '../ui/address';
  import Opening from '../ui/Opening.svelte';
  import { p } from '../router';

  let all = $state.raw<Approach[] | null>(null);
  let openId = $state('mirror');
  const own = new OwnApproaches();
  const open = $derived(all?.find((a) => a.id === openId) ?? all?.[0]);

  onMount(() => () => keeping.release(own.keeper));
  onMount(() => {
    crumbs.set({ text: 'Roster', href: p('/') }, { text: 'Approaches' });
    openId = String(searchParams.get('approach') ?? 'mirror');
    start();
    return keys.add('Approaches', [
      { key: 'arrowdown', label: 'next approach', run: () => move(1) },
      { key: 'arrowup', label: 'approach before', run: () => move(-1) },
      { key: 'n', label: 'copy the open approach', run: () => open && own.copy(open) },
      {
        key: 'e',
        label: 'change the open approach, when it is yours',
        run: () => open && own.find(open.id) && own.change(open),
      },
    ]);
  });

  $effect(() => {
    if (all) showInAddress({ approach: openId });
  });

  let failed = $state<unknown>(null);
  function start(): void {
    failed = null;
    Promise.all([read(), domainRules.load()]).catch((error: unknown) => (failed = error));
  }

  async function read(): Promise<void> {
    [all] = await Promise.all([ask(() => api.GET('/api/v1/approaches')), own.load()]);
  }

  async function refresh(): Promise<void> {
    await Promise.all([read(), domainRules.renew()]);
  }

  async function kept(id: string): Promise<void> {
    await refresh();
    openId = id;
    toasts.done('The approach is kept; every client can follow it from now on.');
  }

  async function remove(id: string): Promise<void> {
    const removed = own.find(id);
    if (!removed) return;
    try {
      await own.remove(removed);
      await refresh();
      openId = 'mirror';
      toasts.done(
        `${removed.value.name} is gone; who followed it follows Mirror.`,
        () => void own.restore(removed).then(refresh, (error: unknown) => toasts.problem(error)),
      );
    } catch (error) {
      toasts.problem(error);
    }
  }

  function move(by: number): void {
    const list = all ?? [];
    const at = list.findIndex((a) => a.id === open?.id);
    openId = list[Math.min(Math.max(0, at + by), list.length - 1)]?.id ?? openId;
  }
</script>

<main id="main" class="grid min-h-0 flex-1 content-start lg:grid-cols-[minmax(300px,26rem)_1fr]">
  <section class="lg:rule-r min-w-0" aria-labelledby="approaches-title">
    <div class="rule-b px-5 py-4">
      <h1 id="approaches-title" class="text-3xl">Approaches</h1>
      <p class="soft mt-1 text-plain">
        Schools of home training. Mirror is the default: the gym plan was written for this client, so its own
        figures stand as long as the loads are good. A client, a week or a day can follow another.
        <a class="link" href={p('/beliefs')}>What Ingegno believes</a> has the figures of them all.
      </p>
    </div>
    {#if !all}<Opening
        doing="Reading the approaches …"
        what="list of approaches"
        {failed}
        onagain={start}
      />{/if}
    <ul>
      {#each all ?? [] as approach (approach.id)}
        <li class="rule-b">
          <button
            class={[
              'w-full cursor-pointer px-5 py-2.5 text-left hover:bg-base-100',
              approach.id === open?.id && 'bg-base-100 shadow-[inset_4px_0_0_var(--color-primary)]',
            ]}
            aria-pressed={approach.id === open?.id}
            onclick={() => (openId = approach.id)}
          >
            <span class="font-semibold"
              >{approach.name}{#if own.find(approach.id)}<span
                  class="ml-2 text-note font-normal text-secondary">yours</span
                >{/if}</span
            >
            <span class="soft block text-plain">{approach.idea}</span>
          </button>
        </li>
      {/each}
    </ul>
  </section>
  <div class="rule-l min-w-0 bg-base-100 max-lg:border-t">
    {#if open}
      <ApproachCard
        approach={open}
        own={own.find(open.id) !== undefined}
        oncopy={() => open && own.copy(open)}
        onchange={() => open && own.change(open)}
        onremove={() => open && void remove(open.id)}
      />
    {/if}
  </div>
</main>

<ApproachEditor {own} onsaved={(id) => void kept(id)} />
