<script lang="ts">
  import { onMount } from 'svelte';
  import { Router } from 'sv-router';
  import LeaveDialog from './lib/keeping/LeaveDialog.svelte';
  import { keys } from './lib/keys.svelte';
  import { session } from './lib/session.svelte';
  import { theme } from './lib/theme.svelte';
  import { toasts } from './lib/toasts.svelte';
  import Header from './lib/ui/Header.svelte';
  import KeysSheet from './lib/ui/KeysSheet.svelte';
  import SignInAgain from './lib/ui/SignInAgain.svelte';
  import Toasts from './lib/ui/Toasts.svelte';
  import Entry from './routes/Entry.svelte';

  $effect(() => {
    document.documentElement.dataset.theme = theme.current;
  });

  onMount(() => {
    session.refresh().catch((error: unknown) => toasts.problem(error));
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
  <p class="soft p-8" role="status">Opening Ingegno …</p>
{/if}

{#if session.expired}
  <SignInAgain />
{/if}
<Toasts />
