<script lang="ts">
  import { p } from '../router';
  import { crumbs } from '../crumbs.svelte';
  import { keys } from '../keys.svelte';
  import { session } from '../session.svelte';
  import { theme } from '../theme.svelte';
  import { keeping } from '../autosave/autosave.svelte';
  import { toasts } from '../toasts.svelte';
  import AccountDialog from './AccountDialog.svelte';

  let account = $state(false);

  /** Drafts leave the browser with the coach, so what is typed is saved or asked about first. */
  async function signOut(): Promise<void> {
    if (!(await keeping.mayForget())) return;
    await session.signOut(() => keeping.forget());
  }
</script>

<a href="#main" class="sr-only focus:not-sr-only focus:absolute focus:z-50 focus:bg-base-100 focus:p-2"
  >Skip to the content</a
>
<header class="no-print rule-b flex min-h-12 flex-wrap items-center gap-x-6 gap-y-1 px-5 py-1">
  <a href={p('/')} class="font-display text-2xl font-bold tracking-tight" aria-label="Ingegno, to the roster"
    >Inge<span class="text-secondary">g</span>no</a
  >
  <nav aria-label="Where you are" class="min-w-0 flex-1">
    <ol class="soft flex flex-wrap items-center gap-x-2">
      {#each crumbs.list as crumb, i (i)}
        <li class="flex items-center gap-2">
          {#if i > 0}<span aria-hidden="true">/</span>{/if}
          {#if crumb.href}
            <a class="link-hover py-1" href={crumb.href}>{crumb.text}</a>
          {:else}
            <span class="font-semibold text-base-content" aria-current="page">{crumb.text}</span>
          {/if}
        </li>
      {/each}
    </ol>
  </nav>
  <div class="flex flex-wrap items-center gap-1">
    <a class="btn btn-ghost btn-sm font-normal" href={p('/inbox')}>Inbox</a>
    <a class="btn btn-ghost btn-sm font-normal" href={p('/check')}>Check a plan</a>
    <a class="btn btn-ghost btn-sm font-normal" href={p('/approaches')}>Approaches</a>
    <a class="btn btn-ghost btn-sm font-normal" href={p('/catalogue')}>Catalogue</a>
    <button class="btn btn-ghost btn-sm font-normal" onclick={() => (keys.sheetOpen = true)}
      >All keys <span class="keycap">?</span></button
    >
    <button
      class="btn btn-ghost btn-sm font-normal"
      onclick={() => theme.toggle()}
      aria-label="Switch to the {theme.current === 'paper' ? 'dark' : 'light'} theme"
      >{theme.current === 'paper' ? 'Dark' : 'Light'}</button
    >
    <button class="btn btn-ghost btn-sm font-normal" onclick={() => (account = true)}>Account</button>
    <button
      class="btn btn-ghost btn-sm font-normal"
      title={session.coach?.email}
      onclick={() => signOut().catch((error: unknown) => toasts.problem(error))}>Sign out</button
    >
  </div>
</header>
<AccountDialog open={account} onclose={() => (account = false)} />
