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
  /** Asked for once the password was right. */
  let codeNeeded = $state(false);
  let code = $state('');
  let failure = $state('');
  let busy = $state(false);

  async function submit(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    busy = true;
    failure = '';
    try {
      await session.signIn(address, password, code);
      ondone?.();
    } catch (error) {
      if (error instanceof Problem && error.code === 'code-needed') {
        codeNeeded = true;
        return;
      }

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
  {#if codeNeeded}
    <label>
      <span class="label-text">Code of your device, or a recovery code</span>
      <!-- svelte-ignore a11y_autofocus -->
      <input
        class="input w-full font-mono"
        autocomplete="one-time-code"
        inputmode="text"
        required
        autofocus
        bind:value={code}
      />
    </label>
  {/if}
  {#if failure}<p class="text-error" role="alert">{failure}</p>{/if}
  <button class="btn btn-primary mt-1" disabled={busy}>{busy ? 'Signing in …' : 'Sign in'}</button>
</form>
