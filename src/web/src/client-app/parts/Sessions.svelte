<script lang="ts">
  import { dayOfYear } from '../../shared/words';
  import type { Server } from '../keep/server';
  import type { Sync } from '../keep/sync.svelte';
  import TrainingDays from './TrainingDays.svelte';
  import Sheet from './Sheet.svelte';
  import Thread from './Thread.svelte';

  interface Props {
    sync: Sync;
    server: Server | null;
  }

  let { sync, server }: Props = $props();
  let open = $state(false);
  const sessions = $derived(sync.content?.sessions ?? []);
  const dayOf = (plan: number, day: number): string =>
    sync.content?.releases.find((r) => r.planId === plan)?.release.days[day]?.name || 'Session';
</script>

<div class="mx-auto flex w-full max-w-xl flex-wrap gap-x-5 px-4 pt-3">
  {#if sessions.length > 0}
    <button class="plain px-0" onclick={() => (open = true)}>What you did, and notes</button>
  {/if}
  {#if server && sync.content?.releases[0]}
    <TrainingDays {server} days={sync.content.releases[0].release.days} />
  {/if}
</div>
{#if open}
  <Sheet title="What you did" onclose={() => (open = false)}>
    <ol class="mt-2 grid gap-2">
      {#each sessions as session (session.key)}
        <li class="border-t border-base-300 pt-1">
          <details>
            <summary class="tap w-full justify-between text-left">
              <span>{dayOf(session.planId, session.day)}, {dayOfYear(session.performedOn)}</span>
              <span class="soft text-body"
                >{session.sets} sets, {!session.finished
                  ? 'not ended'
                  : session.seenByCoach
                    ? 'seen'
                    : 'sent'}</span
              >
            </summary>
            <div class="pt-2"><Thread {sync} session={session.key} /></div>
          </details>
        </li>
      {/each}
    </ol>
  </Sheet>
{/if}
