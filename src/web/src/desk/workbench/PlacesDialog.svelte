<script lang="ts">
  import type { RebuiltWeek } from '../../shared/api/types';
  import { toasts } from '../toasts.svelte';
  import Dialog from '../ui/Dialog.svelte';
  import PlanCompareTable from './PlanCompareTable.svelte';
  import type { Workbench } from './workbench.svelte';

  interface Props {
    bench: Workbench;
    open: boolean;
    onclose: () => void;
  }

  let { bench, open, onclose }: Props = $props();
  let otherId = $state<number | null>(null);
  let there = $state<RebuiltWeek | null>(null);

  const others = $derived(bench.places.filter((p) => p.id !== bench.placeId));
  const other = $derived(others.find((p) => p.id === otherId) ?? others[0]);

  $effect(() => {
    if (!open || !other) return;
    there = null;
    const asked = other.id;
    bench.rebuiltAt(asked).then(
      (result) => {
        if (asked === other?.id) there = result;
      },
      (error: unknown) => toasts.problem(error),
    );
  });

  async function go(): Promise<void> {
    if (!other) return;
    onclose();
    await bench.switchPlace(other.id);
  }
</script>

<Dialog title="The same week at two places" wide {open} {onclose}>
  {#if !other}
    <p class="mt-3">This client has only one place. Add another in the kit screen, then compare.</p>
  {:else if bench.proposal.result}
    <PlanCompareTable here={bench.proposal.result} hereLabel={bench.place?.value.name ?? 'Here'} {there}>
      {#snippet thereLabel()}
        <label class="inline-block"
          ><span class="sr-only">Other place</span>
          <select
            class="select select-sm max-w-48 font-semibold"
            value={other.id}
            onchange={(event) => (otherId = Number(event.currentTarget.value))}
          >
            {#each others as place (place.id)}<option value={place.id}>{place.value.name}</option>{/each}
          </select>
        </label>
      {/snippet}
    </PlanCompareTable>
    {#if !there}<p class="soft mt-3" role="status">Rebuilding the week there …</p>{/if}
    <p class="soft mt-3 text-plain">Each place keeps a plan of its own; going over loses nothing here.</p>
  {/if}
  {#snippet actions()}
    <button class="btn" onclick={onclose}>Close</button>
    {#if other}<button class="btn btn-primary" disabled={!there} onclick={go}
        >Go over to {other.value.name}</button
      >{/if}
  {/snippet}
</Dialog>
