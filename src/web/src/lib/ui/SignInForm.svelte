<script lang="ts">
  import { Problem } from '../api/problem';
  import { session } from '../session.svelte';

  interface Props {
    email?: string;
    ondone?: () => void;
  }

  let { email = '', ondone }: Props = $props();
  // svelte-ignore state_referenced_locally
  let address = $state(email);
  let password = $state('');
  let failure = $state('');
  let busy = $state(false);

  async function submit(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    busy = true;
    failure = '';
    try {
      await session.signIn(address, password);
      ondone?.();
    } catch (error) {
      failure = error instanceof Problem ? `${error.title}. ${error.detail}` : String(error);
    } finally {
      busy = false;
    }
  }
</script>

<form onsubmit={submit} class="grid gap-3">
  <label>
    <span class="label-text">E-mail address</span>
    <input class="input w-full" type="email" autocomplete="username" required bind:value={address} />
  </label>
  <label>
    <span class="label-text">Password</span>
    <input
      class="input w-full"
      type="password"
      autocomplete="current-password"
      required
      bind:value={password}
    />
  </label>
  {#if failure}<p class="text-error" role="alert">{failure}</p>{/if}
  <button class="btn btn-primary mt-1" disabled={busy}>{busy ? 'Signing in …' : 'Sign in'}</button>
</form>
