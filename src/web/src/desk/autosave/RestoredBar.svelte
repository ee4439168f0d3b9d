<script lang="ts" generics="T">
  import type { Keeper } from './saver.svelte';

  interface Props {
    keeper: Keeper<T>;
    /** Puts what the server has back on the screen. */
    ondrop: () => void;
  }

  let { keeper, ondrop }: Props = $props();
</script>

{#if keeper.restored}
  <p
    class="no-print flex flex-wrap items-center gap-x-3 border-l-4 border-primary bg-base-100 px-3 py-1"
    role="status"
  >
    <span>Restored what you had not saved.</span>
    <button
      type="button"
      class="link inline-flex min-h-6 items-center"
      onclick={() => {
        keeper.settled();
        ondrop();
      }}>Drop it</button
    >
  </p>
{/if}
