<script lang="ts">
  import { count } from '../../shared/words';
  import BottomBar from '../parts/BottomBar.svelte';
  import type { Training } from '../lead/training.svelte';

  interface Props {
    training: Training;
    /** It goes on. */
    ongoing: () => void;
  }

  let { training, ongoing }: Props = $props();
  // svelte-ignore state_referenced_locally
  const since = new Intl.DateTimeFormat(undefined, {
    weekday: 'long',
    hour: '2-digit',
    minute: '2-digit',
  }).format(training.lastTouch);
  let sure = $state(false);
</script>

<main class="mx-auto grid w-full max-w-xl content-start gap-4 px-4 pt-4 pb-40" id="main">
  <h1 class="text-hero">Still training?</h1>
  <p class="text-lead">
    Nothing was done here since {since}. {count(training.setsDone, 'set')}
    {training.setsDone === 1 ? 'is' : 'are'} kept on this phone.
  </p>
  {#if training.setsDone > 0}
    <button class="tap" onclick={() => training.end()}>End it as of then</button>
  {/if}
  {#if sure}
    <p role="alert">
      {training.setsDone > 0 ? `What you did, ${count(training.setsDone, 'set')}, is thrown away here.` : ''}
    </p>
    <button class="tap border-error" onclick={() => training.discard()}>Yes, throw it away</button>
  {:else}
    <button class="tap" onclick={() => (training.setsDone > 0 ? (sure = true) : training.discard())}
      >Throw it away</button
    >
  {/if}
</main>
<BottomBar>
  <button class="go" onclick={ongoing}>Go on</button>
</BottomBar>
