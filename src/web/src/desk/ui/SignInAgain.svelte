<script lang="ts">
  import { session } from '../session.svelte';
  import SignInForm from './SignInForm.svelte';

  let element = $state<HTMLDialogElement>();
  $effect(() => element?.showModal());
</script>

<dialog
  bind:this={element}
  class="modal"
  aria-labelledby="sign-in-again"
  oncancel={(e) => e.preventDefault()}
>
  <div class="modal-box sheet max-w-sm">
    <h2 id="sign-in-again" class="mb-2 text-xl">Sign in again</h2>
    <p class="mb-4">
      Your session has ended. Everything you typed is still here and goes on as soon as you are back.
    </p>
    <SignInForm email={session.coach?.email ?? ''} />
  </div>
</dialog>
