<script lang="ts">
  import { onMount } from 'svelte';
  import { Router } from 'sv-router';
  import LeaveDialog from './autosave/LeaveDialog.svelte';
  import { keys } from './keys.svelte';
  import { session } from './session.svelte';
  import { theme } from './theme.svelte';
  import Opening from './ui/Opening.svelte';
  import { FocusKeeper } from './ui/focus';
  import AlertBar from './ui/AlertBar.svelte';
  import Header from './ui/Header.svelte';
  import KeysSheet from './ui/KeysSheet.svelte';
  import SignInAgain from './ui/SignInAgain.svelte';
  import Toasts from './ui/Toasts.svelte';
  import { route } from './router';
  import Entry from './screens/Entry.svelte';

  $effect(() => {
    document.documentElement.dataset.theme = theme.current;
  });

  let failed = $state<unknown>(null);
  function start(): void {
    failed = null;
    session.refresh().catch((error: unknown) => (failed = error));
  }

  const focus = new FocusKeeper();
  onMount(() => focus.start());
  let screen = '';
  $effect(() => {
    const now = route.pathname;
    if (screen && screen !== now) void focus.screenChanged();
    screen = now;
  });

  onMount(() => {
    start();
  });
</script>

<!-- A file that is dropped beside a place for files must not take the page away. -->
<svelte:window
  onkeydown={(event) => keys.handle(event)}
  ondragover={(event) => event.preventDefault()}
  ondrop={(event) => event.preventDefault()}
/>

{#if session.coach || session.expired}
  <!-- Behind the question who it is nothing can be read. -->
  <div class={['flex min-h-screen flex-col', session.expired && 'invisible']} inert={session.expired}>
    <Header />
    <AlertBar />
    <svelte:boundary onerror={(error) => console.error(error)}>
      <Router />
      {#snippet failed(error, reset)}
        <main id="main" class="max-w-xl p-6">
          <h1 class="text-2xl">This screen stopped</h1>
          <p class="mt-2" role="alert">{error instanceof Error ? error.message : String(error)}</p>
          <p class="mt-2">
            What you typed is kept in this browser. Go on; if it stops again, open another screen and tell
            whoever runs this server these words.
          </p>
          <p class="mt-3 flex gap-2">
            <button class="btn btn-primary" onclick={reset}>Go on</button>
            <button class="btn" onclick={() => location.reload()}>Reload the page</button>
          </p>
        </main>
      {/snippet}
    </svelte:boundary>
  </div>
  <KeysSheet />
  <LeaveDialog />
{:else if session.ready}
  <Entry />
{:else}
  <main class="p-8">
    <Opening doing="Opening Ingegno …" what="application" {failed} onagain={start} />
  </main>
{/if}

{#if session.expired}
  <SignInAgain />
{/if}
<Toasts />
