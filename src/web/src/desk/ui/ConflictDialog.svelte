<script lang="ts">
  import Dialog from './Dialog.svelte';

  interface Props {
    what: string;
    open: boolean;
    onmine: () => void;
    ontheirs: () => void;
    onclose: () => void;
  }

  let { what, open, onmine, ontheirs, onclose }: Props = $props();
</script>

<Dialog title="This {what} was changed elsewhere" {open} {onclose}>
  <p class="mt-3">
    Another tab or person saved it after you opened it. Both versions are here: keep yours, and it is saved on
    top of theirs, or take theirs and drop what you changed.
  </p>
  {#snippet actions()}
    <button class="btn" onclick={onclose}>Decide later</button>
    <button class="btn" onclick={ontheirs}>Take theirs</button>
    <button class="btn btn-primary" onclick={onmine}>Keep mine</button>
  {/snippet}
</Dialog>
