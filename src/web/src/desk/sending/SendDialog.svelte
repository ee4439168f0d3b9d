<script lang="ts">
  import { api, ask } from '../api/client';
  import { Problem } from '../api/problem';
  import type { LinkState, PlanSent } from '../../shared/api/types';
  import { forgetText, keptText } from '../autosave/keptText';
  import { toasts } from '../toasts.svelte';
  import Dialog from '../ui/Dialog.svelte';
  import LinkPanel from './LinkPanel.svelte';
  import MailForm from './MailForm.svelte';

  interface Props {
    open: boolean;
    planId: number;
    version: number;
    clientId: number;
    name: string;
    onclose: () => void;
    onsent?: () => void;
  }

  let { open, planId, version, clientId, name, onclose, onsent }: Props = $props();
  let word = $state('');
  let busy = $state(false);
  let sent = $state<PlanSent | null>(null);
  let link = $state<LinkState | null>(null);
  const released = $derived(link?.releases.find((r) => r.planId === planId));

  $effect(() => {
    if (!open) return;
    [sent, unread] = [null, ''];
    ask(() => api.GET('/api/v1/clients/{id}/link', { params: { path: { id: clientId } } })).then(
      (found) => (link = found),
      (error: unknown) => toasts.problem(error),
    );
  });

  /** Lines that could not be read and are not in the plan, in the server's words: they are asked about before anything goes out. */
  let unread = $state('');

  async function send(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    busy = true;
    try {
      sent = await ask(() =>
        api.POST('/api/v1/plans/{id}/releases', {
          params: { path: { id: planId } },
          body: { version, word, sure: unread !== '' },
        }),
      );
      unread = '';
      link = sent.link;
      word = '';
      await forgetText(`word-${planId}`);
      onsent?.();
    } catch (error) {
      if (error instanceof Problem && error.code === 'unread-lines') unread = error.message;
      else toasts.problem(error);
    } finally {
      busy = false;
    }
  }

  async function copy(text: string, what: string): Promise<void> {
    try {
      await navigator.clipboard.writeText(text);
      toasts.done(`${what} is copied.`);
    } catch (error) {
      toasts.problem(error);
    }
  }
</script>

<Dialog title="Send to {name}" {open} {onclose} wide={sent !== null}>
  {#if sent}
    <p class="mt-2" role="status">
      Release {sent.release.number} is out. {name} goes on with it until you send another; changes of the plan do
      not reach the phone by themselves.
    </p>
    <div class="mt-3 grid gap-4 md:grid-cols-[1fr_13rem]">
      <div>
        <label>
          <span class="label-text">The message, to copy or share</span>
          <textarea class="textarea h-52 w-full" readonly value={sent.message}></textarea>
          <button
            class="btn btn-sm mt-1"
            type="button"
            onclick={() => sent && void copy(sent.message, 'The message')}>Copy the message</button
          >
        </label>
        <MailForm {clientId} title="Your training" message={sent.message} />
      </div>
      {#if link}<LinkPanel {clientId} {link} onchange={(now) => (link = now)} />{/if}
    </div>
  {:else}
    <form id="send-plan" class="mt-2 grid gap-3" onsubmit={send}>
      <p>
        {#if released}{name} has release {released.number} of version {released.planVersion}.
        {:else}{name} gets a link of their own: the session on the phone, without a sign-in, also without a net.{/if}
        The link shows this plan and takes what was done, nothing else of the client.
      </p>
      <label>
        <span class="label-text">A word to the client, if you like</span>
        <!-- svelte-ignore a11y_autofocus -->
        <textarea
          class="textarea w-full"
          rows="3"
          maxlength="600"
          autofocus
          placeholder="What is new this week, what to look out for"
          {@attach keptText(`word-${planId}`)}
          bind:value={word}></textarea>
      </label>
      {#if unread}
        <p class="border-l-4 border-warning pl-3" role="alert">{unread}</p>
      {/if}
      {#if link && link.madeAt}<LinkPanel {clientId} {link} onchange={(now) => (link = now)} />{/if}
    </form>
  {/if}
  {#snippet actions()}
    <button class="btn" onclick={onclose}>Close</button>
    {#if !sent}
      <button class="btn btn-primary" form="send-plan" disabled={busy}
        >{unread ? 'Send without them' : released ? `Send version ${version}` : 'Send'}</button
      >
    {/if}
  {/snippet}
</Dialog>
