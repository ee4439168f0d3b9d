<script lang="ts">
  import { Problem } from '../api/problem';
  import { session } from '../session.svelte';
  import PasswordReset from '../ui/PasswordReset.svelte';
  import SignInForm from '../ui/SignInForm.svelte';

  let name = $state('');
  let email = $state('');
  let password = $state('');
  let setupCode = $state('');
  let failure = $state('');
  /** The secret of a link to set a password, behind the # of the address. */
  const secret = /^#reset=([A-Za-z0-9_-]{20,100})$/.exec(location.hash)?.[1] ?? null;
  let forgot = $state(secret !== null);

  async function create(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    failure = '';
    try {
      await session.createFirstCoach(name, email, password, setupCode);
    } catch (error) {
      failure = error instanceof Problem ? error.detail : String(error);
    }
  }
</script>

<svelte:head><title>{session.needsFirstCoach ? 'Create the coach' : 'Sign in'} · Ingegno</title></svelte:head>

<main class="mx-auto grid min-h-screen max-w-4xl content-center gap-10 p-6 md:grid-cols-[1.2fr_1fr]">
  <div>
    <p class="font-display text-5xl font-bold tracking-tight">Inge<span class="text-secondary">g</span>no</p>
    <p class="mt-4 max-w-sm text-lg">
      The gym program, rebuilt around whatever is there: a rucksack, two chairs, one band.
    </p>
    <p class="soft mt-4 max-w-sm">
      Ingegno helps a qualified coach to plan. It is not medical advice, certifies no object, and defers to
      licensed clinicians, local rules and makers' instructions.
    </p>
  </div>
  <div class="sheet p-6">
    {#if session.needsFirstCoach}
      <h1 class="mb-1 text-2xl">Create the coach</h1>
      <p class="soft mb-4">This is the first start: nobody can sign in yet.</p>
      <form onsubmit={create} class="grid gap-3">
        <label>
          <span class="label-text">Your name</span>
          <input class="input w-full" autocomplete="name" required maxlength="80" bind:value={name} />
        </label>
        <label>
          <span class="label-text">E-mail address</span>
          <input class="input w-full" type="email" autocomplete="username" required bind:value={email} />
        </label>
        <label>
          <span class="label-text">Password, at least 12 characters</span>
          <input
            class="input w-full"
            type="password"
            autocomplete="new-password"
            required
            minlength="12"
            bind:value={password}
          />
        </label>
        <label>
          <span class="label-text">Setup code</span>
          <input
            class="input w-full font-mono uppercase"
            autocomplete="off"
            spellcheck="false"
            required
            aria-describedby="setup-code-hint"
            bind:value={setupCode}
          />
          <span id="setup-code-hint" class="soft text-sm">
            The server printed it where it was started, so that no stranger creates the coach.
          </span>
        </label>
        {#if failure}<p class="text-error" role="alert">{failure}</p>{/if}
        <button class="btn btn-primary mt-1">Create and sign in</button>
      </form>
    {:else}
      {#if forgot}
        <h1 class="mb-4 text-2xl">{secret ? 'Another password' : 'The password is forgotten'}</h1>
        <PasswordReset {secret} ondone={() => (forgot = false)} />
      {:else}
        <h1 class="mb-4 text-2xl">Sign in</h1>
        <SignInForm />
        <button class="link mt-4" onclick={() => (forgot = true)}>Forgot the password?</button>
      {/if}
    {/if}
  </div>
</main>
