<script lang="ts">
  import { onMount } from 'svelte';
  import { api, ask } from '../api/client';
  import { Problem } from '../api/problem';
  import type { SecondFactorSecret, SecondFactorState } from '../../shared/api/types';
  import { toasts } from '../toasts.svelte';
  import { count } from '../../shared/words';

  let factor = $state.raw<SecondFactorState | null>(null);
  let secret = $state.raw<SecondFactorSecret | null>(null);
  let codes = $state.raw<string[]>([]);
  let code = $state('');
  let password = $state('');
  let wrong = $state('');

  onMount(() => void read());

  async function read(): Promise<void> {
    await run(async () => (factor = await ask(() => api.GET('/api/v1/second-factor'))));
  }

  async function begin(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    await run(async () => {
      secret = await ask(() => api.POST('/api/v1/second-factor', { body: { password } }));
      password = '';
    });
  }

  async function confirm(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    await run(async () => {
      const told = await ask(() => api.POST('/api/v1/second-factor/confirm', { body: { code } }));
      [codes, secret, code] = [told.codes, null, ''];
      factor = await ask(() => api.GET('/api/v1/second-factor'));
    });
  }

  async function off(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    await run(async () => {
      await ask(() => api.POST('/api/v1/second-factor/off', { body: { password } }));
      [password, codes] = ['', []];
      toasts.done('The second factor is taken away.');
      factor = await ask(() => api.GET('/api/v1/second-factor'));
    });
  }

  async function run(what: () => Promise<unknown>): Promise<void> {
    wrong = '';
    try {
      await what();
    } catch (error) {
      wrong = error instanceof Problem ? error.detail : String(error);
    }
  }
</script>

{#snippet withPassword(send: (event: SubmitEvent) => Promise<void>, label: string, name: string)}
  <form class="mt-2 flex items-end gap-2" onsubmit={send}>
    <label class="flex-1">
      <span class="label-text">{label}</span>
      <input
        class="input w-full"
        type="password"
        autocomplete="current-password"
        required
        bind:value={password}
      />
    </label>
    <button class="btn">{name}</button>
  </form>
{/snippet}

<section class="mt-4" aria-labelledby="second-factor">
  <h3 id="second-factor" class="mb-1 text-base">Second factor</h3>
  {#if codes.length > 0}
    <p>
      It is on. Keep these recovery codes where the device is not: each opens once, and they are not shown
      again.
    </p>
    <ul class="figures mt-2 grid grid-cols-2 gap-x-6" aria-label="Recovery codes">
      {#each codes as recovery, i (i)}<li>{recovery}</li>{/each}
    </ul>
    <button class="btn btn-sm mt-2" onclick={() => (codes = [])}>I have kept them</button>
  {:else if factor?.on}
    <p>
      Sign-in asks for a code of your device. {count(factor.codesLeft, 'recovery code')} left.
    </p>
    {@render withPassword(off, 'Password, to take it away', 'Take it away')}
  {:else if secret}
    <p>Let the program that gives the codes read the picture, or type the secret into it.</p>
    <div class="mt-2 flex flex-wrap items-center gap-4">
      <img
        class="h-40 w-40 bg-white p-2"
        src="data:image/svg+xml;utf8,{encodeURIComponent(secret.picture)}"
        alt="QR code of the secret; the same stands beside it as text"
      />
      <p class="figures min-w-0 flex-1 break-words">{secret.secret}</p>
    </div>
    <form class="mt-2 flex items-end gap-2" onsubmit={confirm}>
      <label class="flex-1">
        <span class="label-text">The code that it shows now</span>
        <input
          class="input w-full font-mono"
          autocomplete="one-time-code"
          inputmode="numeric"
          required
          bind:value={code}
        />
      </label>
      <button class="btn">Switch it on</button>
    </form>
  {:else}
    <p class="soft">
      Whoever learns your password is still not you: sign-in then asks for a code of your phone, too.
    </p>
    {@render withPassword(begin, 'Password, to set it up', 'Set it up')}
  {/if}
  {#if wrong}<p class="mt-1 text-error" role="alert">{wrong}</p>{/if}
</section>
