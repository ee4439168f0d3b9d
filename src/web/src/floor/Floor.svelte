<script lang="ts">
  import { figures } from './keep/figures.svelte';
  import { secretIn } from './keep/secret';
  import { Server } from './keep/server';
  import type { Store } from './keep/store';
  import { Sync } from './keep/sync.svelte';
  import { Awake } from './lead/awake';
  import { Sound, type Leading } from './lead/sound';
  import { Training } from './lead/training.svelte';
  import Sessions from './parts/Sessions.svelte';
  import DoneScreen from './screens/DoneScreen.svelte';
  import EndScreen from './screens/EndScreen.svelte';
  import NoLink from './screens/NoLink.svelte';
  import RestScreen from './screens/RestScreen.svelte';
  import SetScreen from './screens/SetScreen.svelte';
  import Today from './screens/Today.svelte';
  import WarmUp from './screens/WarmUp.svelte';
  import type { Joint, SentRelease } from './types';

  interface Props {
    store: Store;
    secret: string | null;
  }

  let { store, secret }: Props = $props();
  const sound = new Sound();
  const awake = new Awake();
  // svelte-ignore state_referenced_locally
  const server = secret === null ? null : new Server(secret);
  // svelte-ignore state_referenced_locally
  const sync = server === null ? null : new Sync(store, server);
  // svelte-ignore state_referenced_locally
  const training = sync === null ? null : new Training(store, sync, sound);
  let leading = $state<Leading>('ticks');
  let opened = $state(false);

  $effect(() => {
    if (!sync || !training) {
      opened = true;
      return;
    }

    void (async () => {
      sync.content = await store.content();
      leading = (await store.get<Leading>('leading')) ?? 'ticks';
      sound.leading = leading;
      await training.restore();
      await figures.restore(store);
      opened = true;
      await sync.run();
      opened = true;
    })();
    // The drawings are the largest part of what a phone keeps: fetched anew when something else was sent.
    const back = (): void => {
      if (document.visibilityState === 'visible') sync.hurry();
    };
    addEventListener('online', back);
    document.addEventListener('visibilitychange', back);
    return () => {
      removeEventListener('online', back);
      document.removeEventListener('visibilitychange', back);
    };
  });

  const sentNow = $derived(sync?.content?.releases.map((r) => r.id).join(' ') ?? '');
  $effect(() => {
    if (server && sentNow) void figures.fetch(store, server);
  });

  const stage = $derived(training?.running?.stage ?? null);
  $effect(() => awake.want(stage !== null && stage !== 'done'));
  // Another screen begins at its top, and its heading is where a reader of screens goes on.
  const screen = $derived(`${stage} ${training?.running?.turn ?? ''} ${training?.running?.part ?? ''}`);
  $effect(() => {
    void screen;
    scrollTo(0, 0);
    document.querySelector('h1')?.setAttribute('tabindex', '-1');
    document.querySelector<HTMLElement>('h1')?.focus({ preventScroll: true });
  });

  const chooseLeading = (to: Leading): void => {
    leading = to;
    sound.leading = to;
    sound.stop();
    training?.stopCount();
    void store.put('leading', to);
  };
  const begin = (
    sent: SentRelease,
    day: number,
    course: number,
    form: string | null,
    hurts: Joint | null,
  ): void => {
    sound.wake();
    training?.begin(sent, day, course, form, hurts);
  };
  const open = (text: string): boolean => {
    const found = secretIn(text);
    if (found === null) return false;
    location.hash = found;
    location.reload();
    return true;
  };
  const gone = $derived(sync === null ? 'none' : sync.way === 'ended' ? 'ended' : null);
</script>

{#if gone || !sync || !training}
  <NoLink why={gone ?? 'none'} onlink={open} />
{:else if training.running && stage === 'warm-up'}
  <WarmUp
    steps={training.walk.day.warmUp}
    done={training.running.warmedUp}
    {sound}
    ontick={(step) => training.warm(step)}
    onwork={() => training.toWork()}
    onleave={() => training.discard()}
  />
{:else if training.running && stage === 'set'}
  {#key `${training.running.turn} ${training.running.part}`}
    <SetScreen {training} {sound} {leading} onleading={chooseLeading} />
  {/key}
{:else if training.running && stage === 'rest'}
  {#key training.running.turn}<RestScreen {training} {sound} />{/key}
{:else if training.running && stage === 'end'}
  <EndScreen {training} />
{:else if training.running && stage === 'done'}
  <DoneScreen {training} {sync} />
{:else if sync.content && sync.content.releases.length > 0}
  <Sessions {sync} {server} />
  <Today content={sync.content} onbegin={begin} />
{:else if sync.way === 'unknown'}
  <NoLink why="unknown" onlink={open} />
{:else if !opened || sync.way === 'sending'}
  <p class="p-8 text-center text-lead" role="status">Opening your plan …</p>
{:else if sync.content}
  <main id="main" class="p-8 text-center">
    <h1 class="text-hero">Nothing was sent yet</h1>
    <p class="mt-2 text-lead">Your coach has not sent a plan. This page shows it as soon as there is one.</p>
  </main>
{:else}
  <main id="main" class="grid justify-items-center gap-3 p-8 text-center">
    <h1 class="text-hero">No net</h1>
    <p class="text-lead">Open this page once with a net; from then on it works without.</p>
    <button class="tap" onclick={() => sync.hurry()}>Try again</button>
  </main>
{/if}

{#if sync && !gone && stage !== 'set' && stage !== 'rest'}
  <p class="soft fixed top-1 right-3 text-fine" role="status">
    {sync.way === 'sending'
      ? 'sending …'
      : sync.way === 'waiting'
        ? 'no net: kept on this phone'
        : sync.way === 'unknown'
          ? 'the link opens nothing'
          : 'works offline'}
  </p>
{/if}
