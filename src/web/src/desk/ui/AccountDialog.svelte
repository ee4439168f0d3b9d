<script lang="ts">
  import { api, ask } from '../api/client';
  import { Problem } from '../api/problem';
  import type { Audited, SignedIn } from '../../shared/api/types';
  import { session } from '../session.svelte';
  import { toasts } from '../toasts.svelte';
  import { count, day, moment } from '../../shared/words';
  import { deviceName } from './deviceName';
  import Dialog from './Dialog.svelte';
  import SecondFactor from './SecondFactor.svelte';

  interface Props {
    open: boolean;
    onclose: () => void;
  }

  let { open, onclose }: Props = $props();
  let places = $state.raw<SignedIn[]>([]);
  let trail = $state.raw<Audited[]>([]);
  let present = $state('');
  let next = $state('');
  let wrong = $state('');
  let busy = $state(false);

  $effect(() => {
    if (open) void read();
  });

  async function read(): Promise<void> {
    try {
      [places, trail] = await Promise.all([
        ask(() => api.GET('/api/v1/signed-in')),
        ask(() => api.GET('/api/v1/audit')),
      ]);
    } catch (error) {
      toasts.problem(error);
    }
  }

  const done: Record<string, string> = {
    'signed-in': 'signed in',
    'sign-in-refused': 'a wrong password was tried',
    'sessions-ended': 'signed out everywhere else',
    'password-changed': 'password changed',
    'password-reset': 'password made anew on the server',
    'second-factor-on': 'second factor switched on',
    'second-factor-off': 'second factor taken away',
    'client-exported': 'client taken out',
    'client-imported': 'client brought in',
    'client-erased': 'client erased',
  };

  async function endOthers(): Promise<void> {
    try {
      await ask(() => api.DELETE('/api/v1/signed-in/others'));
      toasts.done('You are signed out everywhere else.');
      await read();
    } catch (error) {
      toasts.problem(error);
    }
  }

  async function change(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    [busy, wrong] = [true, ''];
    try {
      await ask(() => api.PUT('/api/v1/password', { body: { present, next } }));
      [present, next] = ['', ''];
      toasts.done('The password is changed; you are signed out everywhere else.');
      await read();
    } catch (error) {
      wrong = error instanceof Problem ? error.detail : String(error);
    } finally {
      busy = false;
    }
  }
</script>

<Dialog title="Your account" {open} {onclose}>
  <p class="mt-2">{session.coach?.name}, {session.coach?.email}</p>
  <h3 class="mt-4 mb-1 text-base">Signed in at {count(places.length, 'place')}</h3>
  <ul>
    {#each places as place, i (i)}
      <li class="rule-b py-1 text-plain">
        {place.device ? deviceName(place.device) : 'a program without a name'}
        {#if place.here}<b>here</b>{/if}
        <span class="soft">since {day(place.beganAt)}, used last {day(place.seenAt)}</span>
      </li>
    {/each}
  </ul>
  <button class="btn btn-sm mt-2" disabled={places.length < 2} onclick={() => void endOthers()}
    >Sign out everywhere else</button
  >
  <form class="mt-4 grid gap-2" onsubmit={change} aria-label="Change the password">
    <h3 class="text-base">Change the password</h3>
    <input type="hidden" autocomplete="username" value={session.coach?.email ?? ''} />
    <label>
      <span class="label-text">Present password</span>
      <input
        class="input w-full"
        type="password"
        autocomplete="current-password"
        required
        bind:value={present}
      />
    </label>
    <label>
      <span class="label-text">New password, 12 characters at least</span>
      <input
        class="input w-full"
        type="password"
        autocomplete="new-password"
        minlength="12"
        maxlength="200"
        required
        bind:value={next}
      />
    </label>
    {#if wrong}<p class="text-error" role="alert">{wrong}</p>{/if}
    <p><button class="btn btn-sm" disabled={busy}>Change it</button></p>
  </form>
  {#if open}<SecondFactor />{/if}
  <h3 class="mt-4 mb-1 text-base" id="audit-trail">What was done</h3>
  <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
  <div class="max-h-40 overflow-y-auto" role="region" aria-labelledby="audit-trail" tabindex="0">
    <ul>
      {#each trail as entry, i (i)}
        <li class="rule-b flex gap-3 py-1 text-plain">
          <span class="soft w-40 shrink-0">{moment(entry.at)}</span>
          <span>{done[entry.what] ?? entry.what}{entry.about ? ` (number ${entry.about})` : ''}</span>
        </li>
      {:else}
        <li class="soft">Nothing yet.</li>
      {/each}
    </ul>
  </div>
  {#if session.version}<p class="soft mt-4 text-note">
      Ingegno <span class="figures">{session.version}</span>
    </p>{/if}
</Dialog>
