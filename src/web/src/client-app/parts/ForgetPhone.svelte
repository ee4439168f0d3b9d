<script lang="ts">
  import { count } from '../../shared/words';
  import Sheet from './Sheet.svelte';

  interface Props {
    /** Sessions and notes that the coach does not have yet. */
    undelivered: number;
    onforget: () => void;
  }

  let { undelivered, onforget }: Props = $props();
  let open = $state(false);
</script>

<button class="plain px-0" onclick={() => (open = true)}>Forget this phone</button>
{#if open}
  <Sheet title="Forget this phone" onclose={() => (open = false)}>
    <p class="mt-2">
      Plans, notes and the link are erased from this phone. What your coach has stays there; the link opens
      them again.
    </p>
    {#if undelivered > 0}
      <p class="mt-2 rounded-xl border border-error p-3" role="alert">
        {count(undelivered, 'session or note', 'sessions and notes')}
        {undelivered === 1 ? 'has' : 'have'} not been delivered and would be lost. Open this page with a net first.
      </p>
    {/if}
    <button class="tap mt-3 w-full border-error" onclick={onforget}
      >{undelivered > 0 ? 'Forget all the same' : 'Forget it'}</button
    >
  </Sheet>
{/if}
