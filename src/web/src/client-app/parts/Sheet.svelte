<script lang="ts">
  import type { Snippet } from 'svelte';

  interface Props {
    title: string;
    onclose: () => void;
    children: Snippet;
  }

  let { title, onclose, children }: Props = $props();
  const heading = $props.id();
  let dialog = $state<HTMLDialogElement>();
  $effect(() => dialog?.showModal());
</script>

<dialog
  bind:this={dialog}
  class="sheet-from-below"
  aria-labelledby={heading}
  onclose={() => onclose()}
  onclick={(e) => e.target === dialog && dialog?.close()}
>
  <div class="flex items-center gap-2">
    <h2 id={heading} class="flex-1 text-title">{title}</h2>
    <button class="plain" onclick={() => dialog?.close()}>Close</button>
  </div>
  {@render children()}
</dialog>

<style>
  .sheet-from-below {
    width: 100%;
    max-width: 34rem;
    max-height: 88dvh;
    margin: auto auto 0;
    padding: 12px 18px calc(18px + env(safe-area-inset-bottom));
    overflow-y: auto;
    border: 0;
    border-radius: 18px 18px 0 0;
    background: var(--color-base-200);
    color: var(--color-base-content);
  }

  .sheet-from-below::backdrop {
    background: rgb(0 0 0 / 55%);
  }
</style>
