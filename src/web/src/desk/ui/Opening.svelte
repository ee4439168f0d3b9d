<script lang="ts">
  import { p } from '../router';
  import { Problem } from '../api/problem';

  interface Props {
    /** What goes on, for instance "Reading the roster …". */
    doing: string;
    /** What is to be opened, for instance "hand-out". */
    what: string;
    /** Why it could not be; null while it is still being tried. */
    failed: unknown;
    onagain: () => void;
    /** The screen has a heading of its own. */
    inner?: boolean;
  }

  let { doing, what, failed, onagain, inner = false }: Props = $props();
  const missing = $derived(failed instanceof Problem && failed.status === 404);
</script>

{#if !failed}
  <p class="soft p-2" role="status">{doing}</p>
{:else}
  <div class="sheet max-w-xl p-6" role="alert">
    <svelte:element this={inner ? 'h2' : 'h1'} class="text-xl">This {what} cannot be opened</svelte:element>
    <p class="mt-2 mb-3">
      {#if missing}There is none at this address: it was deleted, or the address is not whole.
      {:else}{failed instanceof Error ? failed.message : String(failed)}{/if}
    </p>
    <div class="flex flex-wrap gap-3">
      {#if !missing}<button class="btn btn-primary btn-sm" onclick={onagain}>Try again</button>{/if}
      <a class="btn btn-sm" href={p('/')}>To the roster</a>
    </div>
  </div>
{/if}
