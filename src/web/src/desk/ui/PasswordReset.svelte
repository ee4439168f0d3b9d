<script lang="ts">
  import { api, ask } from '../api/client';
  import { Problem } from '../api/problem';

  interface Props {
    /** Secret of a link that was opened; null to ask for one. */
    secret: string | null;
    ondone: () => void;
  }

  let { secret, ondone }: Props = $props();
  let email = $state('');
  let next = $state('');
  let failure = $state('');
  let said = $state('');
  let changed = $state(false);

  async function run(event: SubmitEvent, what: () => Promise<void>): Promise<void> {
    event.preventDefault();
    failure = '';
    try {
      await what();
    } catch (error) {
      failure = error instanceof Problem ? error.detail : String(error);
    }
  }

  const askFor = async (): Promise<void> => {
    const answer = await ask(() => api.POST('/api/v1/password-reset', { body: { email } }));
    said = answer.byMail
      ? 'If somebody signs in with this address, a mail with a link is on its way. It works once, for an hour.'
      : 'This installation sends no mail. Ask whoever runs it for a link: ./ingegno password --email … --link yes.';
  };
  const set = async (): Promise<void> => {
    await ask(() => api.POST('/api/v1/password-reset/use', { body: { secret: secret ?? '', next } }));
    changed = true;
    history.replaceState(null, '', location.pathname);
  };
</script>

{#if changed}
  <p role="status">The password is changed, and all sessions of before are ended. Sign in with it.</p>
  <button class="btn btn-primary mt-3" onclick={ondone}>To the sign-in</button>
{:else if secret !== null}
  <form class="grid gap-3" onsubmit={(event) => run(event, set)}>
    <label>
      <span class="label-text">The new password, at least 12 characters</span>
      <input
        class="input w-full"
        type="password"
        autocomplete="new-password"
        required
        minlength="12"
        bind:value={next}
      />
    </label>
    {#if failure}<p class="text-error" role="alert">{failure}</p>{/if}
    <button class="btn btn-primary">Set the password</button>
  </form>
{:else}
  <form class="grid gap-3" onsubmit={(event) => run(event, askFor)}>
    <label>
      <span class="label-text">E-mail address with which you sign in</span>
      <input class="input w-full" type="email" autocomplete="username" required bind:value={email} />
    </label>
    {#if failure}<p class="text-error" role="alert">{failure}</p>{/if}
    <p role="status">{said}</p>
    <div class="flex gap-2">
      <button class="btn btn-primary">Ask for a link</button>
      <button class="btn" type="button" onclick={ondone}>Back</button>
    </div>
  </form>
{/if}
