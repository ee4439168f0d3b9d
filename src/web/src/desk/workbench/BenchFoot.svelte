<script lang="ts">
  import FindingList from '../audit/FindingList.svelte';
  import type { RebuiltWeek } from '../../shared/api/types';
  import BodyMap from '../../shared/figures/BodyMap.svelte';
  import type { FigureAsked } from '../catalogue/figures';
  import HardSets from './HardSets.svelte';
  import type { Workbench } from './workbench.svelte';

  const { bench, result }: { bench: Workbench; result: RebuiltWeek } = $props();

  const most = $derived(Math.max(1, ...result.plan.hardSets.map((s) => Math.max(s.gym, s.home))));
  /** Hard sets as shares of the muscle that has most, so that both maps have one measure. */
  const shares = (of: 'gym' | 'home'): Record<string, number> =>
    Object.fromEntries(result.plan.hardSets.map((s) => [s.muscle, s[of] / most]));

  const figureOf = (line: number): FigureAsked | undefined => {
    const home = bench.proposal.lines.find((l) => l.gym.key === line)?.chosen?.exercises[0];
    return home && { ...home, statureCm: bench.client?.value.profile.statureCm };
  };

  /** A finding about a line opens it. */
  function open(line: number | null | undefined): void {
    bench.proposal.selected = Math.max(
      0,
      bench.proposal.lines.findIndex((l) => l.gym.key === line),
    );
  }
</script>

<footer
  class="grid border-t border-base-300 text-plain lg:grid-cols-[minmax(0,1.6fr)_minmax(0,1fr)]"
  aria-label="The whole week"
>
  <div class="min-w-0 px-5 py-2">
    <p class="soft mb-1 text-note">Hard sets this week, gym beside home</p>
    <div class="flex gap-4">
      <div class="hidden shrink-0 gap-3 xl:flex">
        <BodyMap muscles={shares('gym')} of="gym" height={70} />
        <BodyMap muscles={shares('home')} of="home" height={70} />
      </div>
      <div class="min-w-0 flex-1"><HardSets sets={result.plan.hardSets} /></div>
    </div>
  </div>
  <div class="rule-l max-h-32 overflow-y-auto px-4 py-2" aria-live="polite">
    <p class="soft mb-1 text-note">Plan check and what to know</p>
    <FindingList
      findings={result.plan.findings}
      busy={bench.proposal.busy}
      onopen={open}
      {figureOf}
      onremedy={(remedy) => void bench.decide.remedy(remedy)}
      onaccept={(key, note) => void bench.decide.accept(key, note)}
    />
    <ul class="mt-2 grid gap-1 text-plain">
      {#each result.plan.notices as notice, i (i)}
        <li class={notice.level === 'warning' ? 'font-semibold text-error' : ''}>{notice.text}</li>
      {:else}
        {#if result.plan.findings.length === 0}<li class="soft">Nothing stands in the way.</li>{/if}
      {/each}
    </ul>
  </div>
</footer>
