<script lang="ts">
  import { moment } from '../../shared/words';
  import type { Sync } from '../keep/sync.svelte';

  interface Props {
    sync: Sync;
    session: string;
  }

  let { sync, session }: Props = $props();
  const notes = $derived((sync.content?.notes ?? []).filter((n) => n.session === session));
  let said = $state<{ key: string; text: string }[]>([]);
  let text = $state('');
  const waiting = $derived(said.filter((s) => !notes.some((n) => n.mine && n.text === s.text)));
  let busy = $state(false);
  let lost = $state(false);

  /** A note stands as said once the phone keeps it; one that it cannot keep stays in the box. */
  const send = async (): Promise<void> => {
    const note = { key: crypto.randomUUID(), session, text: text.trim() };
    if (!note.text || busy) return;
    busy = true;
    try {
      await sync.say(note);
      said = [...said, note];
      [text, lost] = ['', false];
    } catch {
      lost = true;
    } finally {
      busy = false;
    }
  };
</script>

<section aria-labelledby="notes" class="grid gap-2">
  <h2 id="notes" class="text-lead">Notes</h2>
  <ul class="grid gap-2" aria-live="polite">
    {#each notes as note, i (i)}
      <li
        class={[
          'max-w-[85%] rounded-xl border border-base-300 px-3 py-2',
          note.mine ? 'justify-self-end bg-base-100' : 'bg-base-300',
        ]}
      >
        <p>{note.text}</p>
        <p class="soft text-note">{note.mine ? 'you' : sync.content?.coach}, {moment(note.at)}</p>
      </li>
    {/each}
    {#each waiting as note (note.key)}
      <li class="max-w-[85%] justify-self-end rounded-xl border border-base-300 px-3 py-2 opacity-80">
        <p>{note.text}</p>
        <p class="soft text-note">waits for a net</p>
      </li>
    {/each}
  </ul>
  <form
    class="flex gap-2"
    onsubmit={(e) => {
      e.preventDefault();
      void send();
    }}
  >
    <input
      class="tap min-w-0 flex-1 text-left"
      aria-label="A note to your coach"
      maxlength="1000"
      bind:value={text}
    />
    <button class="tap" disabled={!text.trim() || busy}>Send</button>
  </form>
  {#if lost}<p role="alert">This phone could not keep the note. Send it again.</p>{/if}
</section>
