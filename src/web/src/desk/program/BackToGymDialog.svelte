<script lang="ts">
  import { api, ask } from '../api/client';
  import type { GymReturn, SavedWeek } from '../../shared/api/types';
  import { toasts } from '../toasts.svelte';
  import Dialog from '../ui/Dialog.svelte';
  import NumberField from '../ui/NumberField.svelte';
  import { count, number } from '../../shared/words';

  interface Props {
    clientId: number;
    /** The gym week as it was, in shorthand. */
    text: string;
    open: boolean;
    onclose: () => void;
    onbrought: (weeks: SavedWeek[]) => void;
  }

  let { clientId, text, open, onclose, onbrought }: Props = $props();
  let weeksAway = $state<number | null>(12);
  let back = $state.raw<GymReturn | null>(null);
  let busy = $state(false);
  const path = $derived({ clientId });

  $effect(() => {
    const asked = weeksAway;
    if (!open || asked === null || asked < 0 || asked > 520 || !Number.isInteger(asked)) {
      back = null;
      return;
    }

    ask(() =>
      api.POST('/api/v1/clients/{clientId}/back-to-gym', {
        params: { path },
        body: { text, weeksAway: asked },
      }),
    ).then(
      (answer) => asked === weeksAway && (back = answer),
      (error: unknown) => toasts.problem(error),
    );
  });

  async function keep(): Promise<void> {
    if (!back || busy) return;
    busy = true;
    try {
      const weeks = back.weeks.map((w) => ({ name: w.name, text: w.text }));
      onbrought(
        await ask(() =>
          api.POST('/api/v1/clients/{clientId}/program', { params: { path }, body: { weeks } }),
        ),
      );
      onclose();
    } catch (error) {
      toasts.problem(error);
    } finally {
      busy = false;
    }
  }
</script>

<Dialog title="Back to the gym" wide {open} {onclose}>
  <div class="mt-2 flex flex-wrap items-end gap-4">
    <NumberField class="w-36" label="Weeks away" min={0} max={520} step={1} bind:value={weeksAway} />
    <p class="soft min-w-0 flex-1 pb-1 text-plain">
      First loads from those of this week, from how long the gym was out of reach, and from what the home log
      shows.
    </p>
  </div>
  {#if back}
    <ul class="mt-3 grid gap-1">
      {#each back.notes as note, i (i)}<li class="border-l-2 border-secondary pl-2 text-plain">
          {note}
        </li>{/each}
    </ul>
    <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
    <div class="mt-3 overflow-x-auto" tabindex="0" role="region" aria-label="Loads by week">
      <table class="w-full text-plain">
        <thead>
          <tr class="rule-b text-left">
            <th class="p-1">Exercise</th>
            <th class="p-1 text-right">before</th>
            {#each back.shares as share, i (i)}
              <th class="p-1 text-right whitespace-nowrap"
                >week {i + 1} <span class="soft figures">{Math.round(share * 100)} %</span></th
              >
            {/each}
            <th class="p-1">why</th>
          </tr>
        </thead>
        <tbody>
          {#each back.lines as line (line.line)}
            <tr class="rule-b align-baseline">
              <th scope="row" class="p-1 text-left font-semibold">{line.name}</th>
              <td class="figures p-1 text-right">{line.oldKg ? `${number(line.oldKg)} kg` : '–'}</td>
              {#each back.shares as share, i (`${i}/${share}`)}
                <td class="figures p-1 text-right"
                  >{line.loadsKg[i] ? `${number(line.loadsKg[i] ?? 0)} kg` : '–'}</td
                >
              {/each}
              <td class="soft p-1 text-note">{line.reason}</td>
            </tr>
          {:else}
            <tr><td class="p-1" colspan="4">No line of this week can be read.</td></tr>
          {/each}
        </tbody>
      </table>
    </div>
  {/if}
  {#snippet actions()}
    <button class="btn" onclick={onclose}>Cancel</button>
    <button class="btn btn-primary" disabled={busy || !back?.lines.length} onclick={() => void keep()}
      >Add {count(back?.weeks.length ?? 0, 'week')} to the program</button
    >
  {/snippet}
</Dialog>
