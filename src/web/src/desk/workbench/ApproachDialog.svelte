<script lang="ts">
  import { p } from '../router';
  import type { RebuiltWeek } from '../../shared/api/types';
  import { toasts } from '../toasts.svelte';
  import { domainRules } from '../domainRules.svelte';
  import Dialog from '../ui/Dialog.svelte';
  import PlanCompareTable from './PlanCompareTable.svelte';
  import type { Workbench } from './workbench.svelte';

  interface Props {
    bench: Workbench;
    /** Approach to look at, and the day it is meant for; null while the dialog is closed. */
    asked: { approach: string; day?: string } | null;
    onclose: () => void;
  }

  let { bench, asked, onclose }: Props = $props();
  let id = $state('');
  let there = $state<RebuiltWeek | null>(null);

  const all = $derived(domainRules.summary?.approaches ?? []);
  const approach = $derived(all.find((a) => a.id === id));
  const now = $derived(all.find((a) => a.id === bench.proposal.approachOn(asked?.day)));

  $effect(() => {
    if (asked) id = asked.approach;
  });

  $effect(() => {
    if (!asked || !id) return;
    there = null;
    const wanted = id;
    bench.decide.underApproach(wanted, asked.day).then(
      (result) => {
        if (wanted === id) there = result;
      },
      (error: unknown) => toasts.problem(error),
    );
  });

  async function follow(): Promise<void> {
    const day = asked?.day;
    onclose();
    await bench.decide.follow(id, day);
  }
</script>

<Dialog
  title={asked?.day ? `Another approach for ${asked.day}` : 'Another approach for the week'}
  wide
  open={asked !== null}
  {onclose}
>
  {#if asked && bench.proposal.result}
    <p class="mt-2">
      {approach?.idea}
      {#if approach?.conditioning}<b class="text-error">Conditioning more than strength.</b>{/if}
    </p>
    <p class="soft mt-1 text-plain">
      <span class="font-semibold">Where schools disagree:</span>
      {approach?.against} The default is Mirror: the gym plan was written for this client.
      <a class="link" href={p('/approaches')}>All approaches; copy one and change it</a>
    </p>
    <PlanCompareTable
      here={bench.proposal.result}
      hereLabel="Now, {now?.name ?? 'Mirror'}"
      {there}
      only={asked.day}
    >
      {#snippet thereLabel()}
        <label class="inline-block"
          ><span class="sr-only">Approach</span>
          <select class="select select-sm max-w-48 font-semibold" bind:value={id}>
            {#each all as a (a.id)}<option value={a.id}>{a.name}</option>{/each}
          </select>
        </label>
      {/snippet}
    </PlanCompareTable>
    {#if !there}<p class="soft mt-3" role="status">Working out what would change …</p>{/if}
  {/if}
  {#snippet actions()}
    <button class="btn" onclick={onclose}>Leave it as it is</button>
    <button class="btn btn-primary" disabled={!there} onclick={follow}>Follow {approach?.name ?? 'it'}</button
    >
  {/snippet}
</Dialog>
