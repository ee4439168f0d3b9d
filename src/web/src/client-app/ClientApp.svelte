<script lang="ts">
  import { untrack } from 'svelte';
  import { figures } from './keep/figures.svelte';
  import { secretIn } from './keep/secret';
  import { localIso, Server, whole } from './keep/server';
  import type { Phone } from './keep/phone';
  import type { Keep } from './keep/store';
  import { Sync } from './keep/sync.svelte';
  import { Awake } from './lead/awake';
  import { Sound, type Leading } from './lead/sound';
  import { Training } from './lead/training.svelte';
  import StopSigns from './parts/StopSigns.svelte';
  import ForgetPhone from './parts/ForgetPhone.svelte';
  import Sessions from './parts/Sessions.svelte';
  import DoneScreen from './screens/DoneScreen.svelte';
  import EndScreen from './screens/EndScreen.svelte';
  import IdleScreen from './screens/IdleScreen.svelte';
  import NoLink from './screens/NoLink.svelte';
  import RestScreen from './screens/RestScreen.svelte';
  import SetScreen from './screens/SetScreen.svelte';
  import StopScreen from './screens/StopScreen.svelte';
  import TakenOver from './screens/TakenOver.svelte';
  import Today from './screens/Today.svelte';
  import WarmUp from './screens/WarmUp.svelte';
  import { count } from '../shared/words';
  import type { Joint, ClientAppStopSign, SentRelease } from './types';

  interface Props {
    phone: Phone;
    store: Keep;
    secret: string | null;
    /** A coach looks on: nothing is kept or sent. */
    preview: boolean;
  }

  let { phone, store, secret, preview }: Props = $props();
  const sound = new Sound();
  const awake = new Awake();
  // svelte-ignore state_referenced_locally
  const server = secret === null ? null : new Server(secret, undefined, preview);
  // svelte-ignore state_referenced_locally
  const sync = server === null ? null : new Sync(store, server);
  // svelte-ignore state_referenced_locally
  const training = sync === null ? null : new Training(store, sync, sound);
  let leading = $state<Leading>('ticks');
  let opened = $state(false);
  /** What waits under other links of this phone. */
  let elsewhere = $state(0);
  /** Nobody has touched the session for hours. */
  let idle = $state(false);
  let wrong = $state('');

  $effect(() => {
    if (!sync || !training) {
      opened = true;
      return;
    }

    void (async () => {
      const kept = await store.content();
      sync.content = kept && whole(kept);
      leading = (await store.get<Leading>('leading')) ?? 'ticks';
      sound.leading = leading;
      await training.restore();
      await figures.restore(store);
      look();
      opened = true;
      await sync.run();
      await deliverElsewhere();
    })();
    const minute = setInterval(look, 60_000);
    // The drawings are the largest part of what a phone keeps: fetched anew when something else was sent.
    const back = (): void => {
      if (document.visibilityState !== 'visible') return;
      look();
      sync.hurry();
      void deliverElsewhere();
    };
    addEventListener('online', back);
    document.addEventListener('visibilitychange', back);
    return () => {
      clearInterval(minute);
      removeEventListener('online', back);
      document.removeEventListener('visibilitychange', back);
    };
  });

  const look = (): void => void (idle = training?.idleAt(Date.now()) ?? false);
  async function deliverElsewhere(): Promise<void> {
    if (preview) return;
    await phone.deliverElsewhere(secret);
    elsewhere = await phone.elsewhere(secret);
  }

  // A link opens something once the server has said so: until then it may be any 43 signs.
  $effect(() => {
    if (secret !== null && !preview && sync?.content && (sync.way === 'sent' || sync.way === 'waiting'))
      void phone.opened(secret);
  });

  async function takeOver(key: string): Promise<void> {
    wrong = '';
    const answer = await server?.session(key);
    if (answer?.kind === 'done' && training && sync) {
      sync.takenOver = null;
      training.takeOver(answer.value);
    } else wrong = 'It cannot be taken over now. Try again with a net.';
  }

  async function forget(): Promise<void> {
    if (secret === null) return;
    await phone.forget(secret);
    location.replace('/s/');
  }

  /** A session that was begun on another phone today or yesterday and is not ended. */
  const running = $derived(
    sync?.content?.sessions.find(
      (x) => !x.finished && Date.now() - Date.parse(x.performedOn) < 36 * 3_600_000,
    ),
  );
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
  /** A stop sign was tapped: the coach is told, now or with the next net, and the session is over. */
  async function stopSign(sign: ClientAppStopSign, joint: Joint | null): Promise<void> {
    if (!sync) return;
    const at = stage === 'set' || stage === 'rest' ? training?.exercise.exerciseId : undefined;
    await sync.stop(
      {
        key: crypto.randomUUID(),
        sign: sign.id,
        joint,
        at: localIso(Date.now()),
        session: training?.running?.key ?? null,
        exerciseId: at ?? null,
      },
      sign.toDo,
    );
    training?.stop();
  }

  const hold = $derived(sync?.hold ?? null);
  // What the coach's answer still holds is left out of the session that runs.
  $effect(() => {
    const held = hold?.exercises ?? [];
    if (held.length > 0 && training?.running) untrack(() => training.hold(held));
  });
  const open = (text: string): boolean => {
    const found = secretIn(text);
    if (found === null) return false;
    location.hash = found;
    location.reload();
    return true;
  };
  const gone = $derived(sync === null ? 'none' : sync.way === 'ended' ? 'ended' : null);
</script>

{#if preview}
  <p class="border-b border-base-300 bg-base-300 px-4 py-2 text-center" role="status">
    A look at what your client sees. Nothing here is kept, sent or counted.
  </p>
{/if}
{#snippet stopSigns()}
  {#if sync?.content}
    <StopSigns signs={sync.content.stopSigns} onsign={(sign, joint) => void stopSign(sign, joint)} />
  {/if}
{/snippet}
{#if !gone && stage !== 'set' && stage !== 'rest' && sync?.content && !hold?.all}
  <p class="mx-auto flex w-full max-w-xl justify-end px-4 pt-5">{@render stopSigns()}</p>
{/if}
<svelte:boundary onerror={(error) => console.error(error)}>
  {#snippet failed(error, reset)}
    <main id="main" class="mx-auto grid w-full max-w-xl content-start gap-4 px-4 pt-8">
      <h1 class="text-hero">This screen stopped</h1>
      <p class="text-lead" role="alert">{error instanceof Error ? error.message : String(error)}</p>
      <p>What you did is kept on this phone. Go on; if it stops again, tell your coach these words.</p>
      <button class="tap" onclick={reset}>Go on</button>
      {#if training?.running}<button class="tap" onclick={() => (training.end(), reset())}
          >End the session</button
        >{/if}
      <button class="tap" onclick={() => location.reload()}>Open the page anew</button>
    </main>
  {/snippet}
  {#if sync && hold?.all}
    <StopScreen {hold} coach={sync.content?.coach ?? ''} told={sync.tapped === null} />
    <Sessions {sync} {server} />
  {:else if gone || !sync || !training}
    <NoLink why={gone ?? 'none'} undelivered={(sync?.undelivered ?? 0) + elsewhere} onlink={open} />
  {:else if training.running && sync.takenOver === training.running.key && stage !== 'done'}
    <TakenOver
      {wrong}
      onhere={() => void takeOver(training.running!.key)}
      onthere={() => {
        sync.takenOver = null;
        training.close();
      }}
    />
  {:else if training.running && idle && (stage === 'set' || stage === 'rest' || stage === 'warm-up')}
    <IdleScreen
      {training}
      ongoing={() => {
        idle = false;
        training.goOn();
      }}
    />
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
      <SetScreen {training} {sound} {leading} onleading={chooseLeading} {stopSigns} />
    {/key}
  {:else if training.running && stage === 'rest'}
    {#key training.running.turn}<RestScreen {training} {sound} {stopSigns} />{/key}
  {:else if training.running && stage === 'end'}
    <EndScreen {training} />
  {:else if training.running && stage === 'done'}
    <DoneScreen {training} {sync} />
  {:else if sync.content && sync.content.releases.length > 0}
    {#if sync.undelivered + elsewhere > 0 && sync.way !== 'sending'}
      <p class="mx-auto w-full max-w-xl px-4 pt-3" role="status">
        {count(sync.undelivered + elsewhere, 'session or note', 'sessions and notes')} not delivered yet: kept on
        this phone, sent as soon as there is a net.
      </p>
    {/if}
    {#if running && running.key !== training.running?.key}
      <section class="mx-auto mt-3 grid w-full max-w-xl gap-2 px-4" aria-label="A session under way">
        <p class="text-lead">
          A session is under way on another phone: {count(running.sets, 'set')}.
        </p>
        <button class="tap" onclick={() => void takeOver(running.key)}>Go on with it here</button>
        {#if wrong}<p role="alert" class="text-error">{wrong}</p>{/if}
      </section>
    {/if}
    <Sessions {sync} {server} />
    <Today
      content={sync.content}
      {hold}
      onnote={(session, text) => {
        if (!preview) void sync.say({ key: crypto.randomUUID(), session, text });
      }}
      onbegin={begin}
    />
    {#if !preview}
      <p class="mx-auto w-full max-w-xl px-4 pb-32">
        <ForgetPhone undelivered={sync.undelivered} onforget={() => void forget()} />
      </p>
    {/if}
  {:else if sync.way === 'unknown'}
    <NoLink why="unknown" undelivered={sync.undelivered + elsewhere} onlink={open} />
  {:else if !opened || sync.way === 'sending'}
    <p class="p-8 text-center text-lead" role="status">Opening your plan …</p>
  {:else if sync.content}
    <main id="main" class="p-8 text-center">
      <h1 class="text-hero">Nothing was sent yet</h1>
      <p class="mt-2 text-lead">
        Your coach has not sent a plan. This page shows it as soon as there is one.
      </p>
    </main>
  {:else}
    <main id="main" class="grid justify-items-center gap-3 p-8 text-center">
      <h1 class="text-hero">No net</h1>
      <p class="text-lead">Open this page once with a net; from then on it works without.</p>
      <button class="tap" onclick={() => sync.hurry()}>Try again</button>
    </main>
  {/if}
</svelte:boundary>

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
