<script lang="ts">
  import BottomBar from '../parts/BottomBar.svelte';

  interface Props {
    /** Goes on with it on this phone. */
    onhere: () => void;
    /** Leaves it to the other one. */
    onthere: () => void;
    wrong: string;
  }

  let { onhere, onthere, wrong }: Props = $props();
</script>

<main class="mx-auto grid w-full max-w-xl content-start gap-4 px-4 pt-4 pb-40" id="main">
  <h1 class="text-hero">It goes on on another phone</h1>
  <p class="text-lead">
    This session was taken over there. What you did here has arrived; what you do here from now on would not
    count.
  </p>
  {#if wrong}<p role="alert" class="text-error">{wrong}</p>{/if}
</main>
<BottomBar>
  {#snippet more()}<button class="plain" onclick={onhere}>Go on here instead</button>{/snippet}
  <button class="go" onclick={onthere}>Leave it there</button>
</BottomBar>
