<script lang="ts">
  import Dialog from '../ui/Dialog.svelte';
  import { keeping } from './autosave.svelte';
</script>

<Dialog
  title="Leave what you typed?"
  open={keeping.asking !== null}
  onclose={() => keeping.asking?.answer(false)}
>
  <p class="mt-3">
    {#if keeping.forgetting}It is not saved, and signing out drops it from this browser.{:else}It is not saved
      yet. It stays in this browser and comes back when you open this screen again.{/if}
  </p>
  {#snippet actions()}
    <button class="btn" onclick={() => keeping.asking?.answer(false)}>Stay here</button>
    <button class="btn btn-primary" onclick={() => keeping.asking?.answer(true)}
      >{keeping.forgetting ? 'Drop it and sign out' : 'Leave, keep it for later'}</button
    >
  {/snippet}
</Dialog>
