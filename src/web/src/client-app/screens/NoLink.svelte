<script lang="ts">
  import { count } from '../../shared/words';

  interface Props {
    why: 'none' | 'ended' | 'unknown';
    /** Sessions and notes that are kept on this phone and not delivered. */
    undelivered?: number;
    onlink: (text: string) => boolean;
  }

  let { why, undelivered = 0, onlink }: Props = $props();
  let text = $state('');
  let wrong = $state(false);
</script>

<main class="mx-auto grid w-full max-w-xl content-start gap-4 px-4 pt-8" id="main">
  <h1 class="text-hero">{why === 'ended' ? 'This link has ended' : 'Open the link of your coach'}</h1>
  <p class="text-lead">
    {#if why === 'ended'}Its plans are erased from this phone. Ask your coach for a new link.
    {:else if why === 'unknown'}The link opens nothing here. Open it whole, or ask for a new one.
    {:else}Your plan opens with the link that your coach sent, or with the code on your hand-out. Open it
      once; from then on it works without a net.{/if}
  </p>
  {#if undelivered > 0}
    <p class="rounded-xl border border-base-300 p-3" role="status">
      {count(undelivered, 'session or note', 'sessions and notes')} not delivered: kept on this phone until your
      coach has
      {undelivered === 1 ? 'it' : 'them'}.
    </p>
  {/if}
  <form
    class="grid gap-2"
    onsubmit={(e) => {
      e.preventDefault();
      wrong = !onlink(text);
    }}
  >
    <label>
      <span class="mb-1 block">Or paste the link here</span>
      <input
        class="tap w-full text-left"
        type="text"
        autocomplete="off"
        spellcheck="false"
        bind:value={text}
      />
    </label>
    {#if wrong}<p role="alert" class="text-error">
        That is no link to a session: it has a # with 43 signs behind it.
      </p>{/if}
    <button class="go" disabled={!text.trim()}>Open</button>
  </form>
</main>
