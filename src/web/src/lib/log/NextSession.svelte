<script lang="ts">
  import type { NextProposals } from '../api/types';
  import { day, inWords, rest, sentence } from '../words';

  interface Props {
    next: NextProposals;
    busy: boolean;
    onaccept: () => void;
  }

  let { next, busy, onaccept }: Props = $props();
  const changes = $derived(next.proposals.some((p) => !['wait', 'repeat'].includes(p.decision)));
</script>

<section class="sheet p-5" aria-labelledby="next">
  <h2 id="next" class="text-xl">Next session</h2>
  <p class="soft mb-2 text-sm">
    {next.basedOn
      ? `Proposed from the session of ${day(next.basedOn)}.`
      : 'Nothing is logged yet: do the plan as written.'}
  </p>
  <ul>
    {#each next.proposals as proposal (`${proposal.line}/${proposal.exerciseId}`)}
      <li class="rule-b py-2 last:border-b-0">
        <p class="flex flex-wrap items-baseline gap-x-3">
          <span class="font-semibold">{proposal.name}</span>
          <span class={['text-sm', proposal.flagsCoach ? 'font-semibold text-error' : 'text-primary']}
            >{sentence(inWords(proposal.decision))}</span
          >
          <span class="figures ml-auto"
            ><b>{proposal.dose.figures}</b> {proposal.dose.tempo} {rest(proposal.dose.restSeconds)}</span
          >
        </p>
        <p class="text-sm">{proposal.reason}</p>
      </li>
    {/each}
  </ul>
  {#if next.basedOn}
    <button class="btn btn-primary mt-3" disabled={busy || !changes} onclick={onaccept}
      >Accept all for the next session</button
    >
  {/if}
</section>
