<script lang="ts">
  import { onMount } from 'svelte';
  import { Router } from 'sv-router';
  import LeaveDialog from './lib/keeping/LeaveDialog.svelte';
  import { keys } from './lib/keys.svelte';
  import { session } from './lib/session.svelte';
  import { theme } from './lib/theme.svelte';
  import Opening from './lib/ui/Opening.svelte';
  import { FocusKeeper } from './lib/ui/focus';
  import Header from './lib/ui/Header.svelte';
  import KeysSheet from './lib/ui/KeysSheet.svelte';
  import SignInAgain from './lib/ui/SignInAgain.svelte';
  import Toasts from './lib/ui/Toasts.svelte';
  import { route } from './router';
  import Entry from './routes/Entry.svelte';

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

<svelte:window onkeydown={(event) => keys.handle(event)} />

{#if session.coach || session.expired}
  <div class="flex min-h-screen flex-col">
    <Header />
    <Router />
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
