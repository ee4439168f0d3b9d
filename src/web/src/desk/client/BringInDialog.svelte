<script lang="ts">
  import { api, ask } from '../api/client';
  import { Problem } from '../api/problem';
  import type { ClientInFile } from '../../shared/api/types';
  import { toasts } from '../toasts.svelte';
  import { base64 } from '../ui/base64';
  import Dialog from '../ui/Dialog.svelte';
  import ClientTable from './ClientTable.svelte';
  import { navigate } from '../router';

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

  /** A client whose file brings something of another practice's own along: the coach says whether it comes in. */
  let looked = $state<({ content: string } & ClientInFile) | null>(null);
  const kinds = { exercise: 'exercise', approach: 'approach', 'taught-name': 'name' };

  async function take(content: string, withAdditions: boolean): Promise<void> {
    [busy, wrong] = [true, ''];
    try {
      const client = await ask(() =>
        api.POST('/api/v1/clients/import', { body: { content, withAdditions } }),
      );
      looked = null;
      onclose();
      toasts.done(`${client.value.name} is here, with plans and log.`);
      await navigate('/clients/:id', { params: { id: String(client.id) } });
    } catch (error) {
      wrong = error instanceof Problem ? error.detail : String(error);
    } finally {
      busy = false;
    }
  }

  async function bring(event: Event & { currentTarget: HTMLInputElement }): Promise<void> {
    const [file] = event.currentTarget.files ?? [];
    if (!file) return;
    [busy, wrong, table, looked] = [true, '', null, null];
    try {
      const content = base64(new Uint8Array(await file.arrayBuffer()));
      if (/\.(csv|tsv|txt|xlsx)$/i.test(file.name)) {
        table = content;
        return;
      }

      const seen = await ask(() =>
        api.POST('/api/v1/clients/import/look', { body: { content, withAdditions: false } }),
      );
      if (seen.comes.length > 0 || seen.staysOut.length > 0) looked = { content, ...seen };
      else await take(content, false);
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
  {#if looked}
    {@const { content, name, comes, staysOut } = looked}
    <section class="mt-3" aria-labelledby="comes-along">
      <h3 id="comes-along" class="text-base">What comes along with {name}</h3>
      {#if comes.length > 0}
        <p>
          Of another practice's own. It takes the place of nothing that you have, and goes with {name} when nobody
          else uses it.
        </p>
        <ul class="mt-1 list-disc pl-5">
          {#each comes as addition, i (i)}
            <li>
              {addition.name}
              <span class="soft">{kinds[addition.kind]}{addition.means ? ` for ${addition.means}` : ''}</span>
            </li>
          {/each}
        </ul>
      {/if}
      {#if staysOut.length > 0}
        <p class="mt-2">Stays out, for it means something here already:</p>
        <ul class="list-disc pl-5">
          {#each staysOut as addition, i (i)}<li>
              {addition.name} <span class="soft">for {addition.means}</span>
            </li>{/each}
        </ul>
      {/if}
      <div class="mt-3 flex flex-wrap gap-2">
        {#if comes.length > 0}
          <button class="btn btn-primary btn-sm" disabled={busy} onclick={() => void take(content, true)}
            >Bring {name} in with all of it</button
          >
          <button class="btn btn-sm" disabled={busy} onclick={() => void take(content, false)}
            >Bring {name} in without</button
          >
        {:else}
          <button class="btn btn-primary btn-sm" disabled={busy} onclick={() => void take(content, false)}
            >Bring {name} in</button
          >
        {/if}
      </div>
    </section>
  {/if}
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
