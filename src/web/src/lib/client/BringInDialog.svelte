<script lang="ts">
  import { api, ask } from '../api/client';
  import { Problem } from '../api/problem';
  import { toasts } from '../toasts.svelte';
  import { base64 } from '../ui/base64';
  import Dialog from '../ui/Dialog.svelte';
  import ClientTable from './ClientTable.svelte';
  import { navigate } from '../../router';

  interface Props {
    open: boolean;
    onclose: () => void;
    onadded: () => void;
  }

  let { open, onclose, onadded }: Props = $props();
  let wrong = $state('');
  let busy = $state(false);
  /** A list of clients that was chosen, base64. */
  let table = $state<string | null>(null);

  async function bring(event: Event & { currentTarget: HTMLInputElement }): Promise<void> {
    const [file] = event.currentTarget.files ?? [];
    if (!file) return;
    [busy, wrong, table] = [true, '', null];
    try {
      const content = base64(new Uint8Array(await file.arrayBuffer()));
      if (/\.(csv|tsv|txt|xlsx)$/i.test(file.name)) {
        table = content;
        return;
      }

      const client = await ask(() => api.POST('/api/v1/clients/import', { body: { content } }));
      onclose();
      toasts.done(`${client.value.name} is here, with plans and log.`);
      await navigate('/clients/:id', { params: { id: String(client.id) } });
    } catch (error) {
      wrong = error instanceof Problem ? error.detail : String(error);
    } finally {
      busy = false;
    }
  }
</script>

<Dialog title="Bring clients in" {open} {onclose} wide={table !== null}>
  <p class="mt-3">
    A client that was taken out of Ingegno, here or elsewhere, comes in with kit, program, plans and log: the
    folder (.zip) or the JSON. A client who is here already is not replaced; the file comes in beside. A list
    of clients (.csv, .xlsx), one a row with heads above, is shown first.
  </p>
  <label class="mt-3 block">
    <span class="label-text">File</span>
    <input
      class="file-input w-full"
      type="file"
      accept=".zip,.json,.csv,.tsv,.txt,.xlsx"
      disabled={busy}
      onchange={(event) => void bring(event)}
    />
  </label>
  {#if busy}<p class="soft mt-2" role="status">Reading the file …</p>{/if}
  {#if wrong}<p class="mt-2 text-error" role="alert">{wrong}</p>{/if}
  {#if table}
    {#key table}<ClientTable
        content={table}
        ondone={() => {
          table = null;
          onclose();
          onadded();
        }}
      />{/key}
  {/if}
  {#snippet actions()}
    <button class="btn" onclick={onclose}>Close</button>
  {/snippet}
</Dialog>
