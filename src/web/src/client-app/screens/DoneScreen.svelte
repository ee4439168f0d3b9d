<script lang="ts">
  import BottomBar from '../parts/BottomBar.svelte';
  import { count } from '../../shared/words';
  import type { Sync } from '../keep/sync.svelte';
  import type { Training } from '../lead/training.svelte';
  import Thread from '../parts/Thread.svelte';

  interface Props {
    training: Training;
    sync: Sync;
  }

  let { training, sync }: Props = $props();
  const running = $derived(training.running!);
  const there = $derived(sync.content?.sessions.find((s) => s.key === running.key && s.finished));
</script>

<main class="mx-auto grid w-full max-w-xl content-start gap-4 px-4 pt-4 pb-28" id="main">
  <h1 class="text-hero">{there ? 'Sent to your coach' : 'Kept on this phone'}</h1>
  <p class="text-lead" role="status">
    {#if there?.seenByCoach}{sync.content?.coach || 'Your coach'} has seen it.
    {:else if there}It has arrived.{there.clockWasOff
        ? ' The clock of your phone is wrong; the day was put right.'
        : ''}
    {:else}It goes to your coach as soon as there is a net. You can close this page.{/if}
  </p>
  <p class="soft">{count(training.setsDone, 'set')}, {count(training.minutes, 'minute')}.</p>
  {#each sync.refused as why, i (i)}<p class="rounded-xl border border-error p-3" role="alert">
      {why} It stays on this phone; show it to your coach.
    </p>{/each}
  <Thread {sync} session={running.key} />
</main>
<BottomBar>
  <button class="go" onclick={() => training.close()}>Done</button>
</BottomBar>
