<script lang="ts">
  import type { MessageReadIn } from '../../shared/api/types';
  import { forgetText, keptText } from '../autosave/keptText';
  import { domainRules } from '../domainRules.svelte';
  import type { LogBook } from './logBook.svelte';

  interface Props {
    book: LogBook;
  }

  let { book }: Props = $props();
  const record = $derived(`message-${book.id}`);
  let text = $state('');
  let read = $state.raw<MessageReadIn | null>(null);
  let busy = $state(false);

  const named = (id: string | null | undefined): string => (id ? domainRules.exerciseName(id) : '');

  async function take(): Promise<void> {
    if (!text.trim() || busy) return;
    busy = true;
    read = await book.readMessage(text);
    if (read) void forgetText(record);
    busy = false;
  }
</script>

<details class="rule-b mb-2 pb-2">
  <summary class="inline-flex min-h-6 cursor-pointer items-center font-semibold"
    >What the client wrote</summary
  >
  <label class="mt-1 block">
    <span class="sr-only">Message of the client</span>
    <textarea
      class="textarea w-full"
      rows="3"
      maxlength="2000"
      {@attach keptText(record)}
      placeholder="squats 12 11 10 ok, rows 8/8/7 easy, press 9,8,7 last one ugly, knee sore 3"
      bind:value={text}></textarea>
  </label>
  <button type="button" class="btn btn-sm mt-1" disabled={busy || !text.trim()} onclick={() => void take()}
    >{busy ? 'Reading …' : 'Read it into the fields'}</button
  >
  {#if read?.alert}
    <div class="mt-2 border-2 border-error p-2" role="alert">
      <p class="font-semibold">{read.alert}</p>
      <p>Tell the client at once: {read.toDo.join(' ')}</p>
      <p class="soft text-note">It stands above every screen until you have answered it; training is held.</p>
    </div>
  {/if}
  {#if read}
    <ul class="mt-2 grid gap-0.5 text-note" aria-live="polite" aria-label="What was read">
      {#each read.parts as part, i (i)}
        <li class={['border-l-4 pl-2', part.sure ? 'border-primary' : 'border-warning']}>
          “{part.source}” →
          {#if part.skipped}<b>{named(part.plannedId)}</b> was left out{#if part.text}, because it hurt: <span
                class="figures">{part.text}</span
              >{/if}
          {:else}<b>{named(part.exerciseId)}</b>
            {#if part.exerciseId !== part.plannedId}instead of {named(part.plannedId)}{/if}
            <span class="figures">{part.text}</span>{/if}
          {#if !part.sure}<span class="text-warning">likeliest; look at it</span>{/if}
        </li>
      {/each}
      {#each read.pains.filter((pain) => pain.asks || !pain.exerciseId) as pain, i (i)}
        <li class="border-l-4 border-error pl-2 font-semibold text-error">
          “{pain.words}”:
          {#if pain.asks}ask how bad it is, 0 to 10{pain.score
              ? `; ${pain.score} stands until then`
              : ''}.{/if}
          {#if !pain.exerciseId}Not placed: write it behind the sets of the exercise, for instance p{pain.score ??
              4}
            {pain.where?.replace('-', ' ') ?? ''}.{/if}
        </li>
      {/each}
      {#if read.note}<li class="border-l-4 border-warning pl-2">
          Not placed, kept as the note: “{read.note}”
        </li>{/if}
    </ul>
  {/if}
</details>
