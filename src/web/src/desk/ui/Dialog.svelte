<script lang="ts">
  import type { Snippet } from 'svelte';

  interface Props {
    title: string;
    open: boolean;
    onclose: () => void;
    children: Snippet;
    actions?: Snippet;
    /** For tables and things side by side. */
    wide?: boolean;
  }

  let { title, open, onclose, children, actions, wide = false }: Props = $props();
  let element = $state<HTMLDialogElement>();
  const id = $props.id();

  $effect(() => {
    if (open && !element?.open) element?.showModal();
    else if (!open && element?.open) element.close();
  });
</script>

<dialog bind:this={element} class="modal" aria-labelledby={id} {onclose}>
  <div class={['modal-box sheet', wide ? 'max-w-5xl' : 'max-w-xl']}>
    <h2 {id} class="text-xl">{title}</h2>
    {@render children()}
    <div class="modal-action">
      {#if actions}{@render actions()}{:else}<button class="btn" onclick={onclose}>Close</button>{/if}
    </div>
  </div>
</dialog>
