<script lang="ts">
  import { onMount } from 'svelte';
  import { api, ask } from '../api/client';
  import { Problem } from '../api/problem';
  import type { ClientField, ClientTablePreview } from '../../shared/api/types';
  import { toasts } from '../toasts.svelte';
  import { count, inWords, kg, soreInWords } from '../../shared/words';

  interface Props {
    /** The file, base64. */
    content: string;
    ondone: () => void;
  }

  let { content, ondone }: Props = $props();
  let preview = $state<ClientTablePreview | null>(null);
  let wrong = $state('');
  let busy = $state(false);
  let left = $state<number[]>([]);
  const fields: [ClientField, string][] = [
    ['name', 'name'],
    ['last-name', 'last name'],
    ['note', 'note'],
    ['age', 'age'],
    ['sex', 'sex'],
    ['body-mass', 'body mass'],
    ['stature', 'stature'],
    ['days-per-week', 'days a week'],
    ['minutes', 'minutes'],
    ['goal', 'goal'],
    ['level', 'level'],
    ['sore', 'what is sore'],
    ['health', 'health'],
  ];
  const coming = $derived(
    (preview?.clients ?? []).filter((client) => !client.fault && !left.includes(client.row)),
  );

  onMount(() => void read(null));

  async function read(as: (ClientField | null)[] | null): Promise<void> {
    wrong = '';
    try {
      preview = await ask(() => api.POST('/api/v1/clients/table', { body: { content, fields: as } }));
    } catch (error) {
      wrong = error instanceof Problem ? error.detail : String(error);
    }
  }

  /** A field is in one column alone: where it was before it goes. */
  function setField(at: number, field: ClientField | null): void {
    const as = (preview?.columns ?? []).map((c, i) =>
      i === at ? field : c.field === field ? null : (c.field ?? null),
    );
    void read(as);
  }

  async function add(): Promise<void> {
    busy = true;
    try {
      const clients = coming.map(({ name, note, profile }) => ({ name, note: note || null, profile }));
      const added = await ask(() => api.POST('/api/v1/clients/many', { body: { clients } }));
      toasts.done(`${count(added, 'client')} came in.`);
      ondone();
    } catch (error) {
      wrong = error instanceof Problem ? error.detail : String(error);
    } finally {
      busy = false;
    }
  }
</script>

{#if wrong}<p class="mt-2 text-error" role="alert">{wrong}</p>{/if}
{#if preview}
  {#if preview.columns.length > 0}
    <fieldset class="mt-3 flex flex-wrap gap-3">
      <legend class="label-text">What the columns hold</legend>
      {#each preview.columns as column, i (i)}
        <label class="text-plain">
          <span class="block max-w-40 truncate" title={column.head}>{column.head}</span>
          <select
            class="select select-sm w-36"
            value={column.field ?? ''}
            onchange={(event) => setField(i, (event.currentTarget.value || null) as ClientField | null)}
          >
            <option value="">left out</option>
            {#each fields as [field, label] (field)}<option value={field}>{label}</option>{/each}
          </select>
        </label>
      {/each}
    </fieldset>
  {/if}
  {#if preview.fault}<p class="mt-3 border-l-4 border-warning pl-3" role="alert">{preview.fault}</p>{/if}
  {#if preview.clients.length > 0}
    <div class="mt-3 max-h-80 overflow-auto">
      <table class="w-full text-plain">
        <thead>
          <tr class="text-left"
            ><th scope="col">In</th><th scope="col">Name</th><th scope="col">Understood</th><th scope="col"
              >Not understood</th
            ></tr
          >
        </thead>
        <tbody>
          {#each preview.clients as client (client.row)}
            {@const profile = client.profile}
            <tr class="rule-b align-baseline">
              <td class="py-1 pr-2">
                <input
                  type="checkbox"
                  class="checkbox checkbox-sm"
                  aria-label="Bring in {client.name || `row ${client.row}`}"
                  disabled={Boolean(client.fault)}
                  checked={!client.fault && !left.includes(client.row)}
                  onchange={() =>
                    (left = left.includes(client.row)
                      ? left.filter((r) => r !== client.row)
                      : [...left, client.row])}
                />
              </td>
              <th scope="row" class="py-1 pr-3 text-left font-semibold"
                >{client.name || `row ${client.row}`}</th
              >
              <td class="py-1 pr-3">
                {#if client.fault}<span class="text-error">{client.fault}</span>{:else}
                  {[
                    profile.level,
                    inWords(profile.goal),
                    profile.ageYears && `${profile.ageYears} years`,
                    profile.bodyMassKg && kg(profile.bodyMassKg),
                    profile.statureCm && `${profile.statureCm} cm`,
                    profile.daysPerWeek && count(profile.daysPerWeek, 'day') + ' a week',
                    profile.minutesPerSession && `${profile.minutesPerSession} min`,
                    ...(profile.soreJoints ?? []).map(soreInWords),
                  ]
                    .filter(Boolean)
                    .join(', ')}
                {/if}
              </td>
              <td class="py-1 text-secondary">{client.left.join('; ')}</td>
            </tr>
          {/each}
        </tbody>
      </table>
    </div>
    <p class="soft mt-2 text-plain">
      Where nothing says otherwise a client is a beginner with general fitness as the goal. What was not
      understood is left out: look at it with the client.
    </p>
    <button class="btn btn-primary mt-3" disabled={busy || coming.length === 0} onclick={() => void add()}
      >Bring in {count(coming.length, 'client')}</button
    >
  {/if}
{/if}
