<script lang="ts">
  import type { Snippet } from 'svelte';
  import { domainRules } from '../domainRules.svelte';
  import LineRow from './LineRow.svelte';
  import type { LineInBrief } from '../../shared/api/types';
  import type { DayOfPlan } from './days';
  import type { Workbench } from './workbench.svelte';

  interface Props {
    bench: Workbench;
    day: DayOfPlan<LineInBrief>;
    onapproach: (approach: string, day: string) => void;
    /** What stands beneath the selected line. */
    under?: Snippet | undefined;
  }

  let { bench, day, onapproach, under }: Props = $props();
  const over = $derived(day.limit !== null && day.minutes > day.limit);
  const id = $props.id();

  /** The line of a group that stands first on the sheet, which keeps the order of the gym text. */
  const firstOf = (keys: number[]): number | undefined =>
    day.lines.find(({ line }) => keys.includes(line.gym.key))?.line.gym.key;
</script>

<section aria-labelledby={id}>
  <div
    class="rule-b sticky top-[1.9rem] z-[15] flex flex-wrap items-baseline gap-x-3 bg-base-200 py-1.5 pr-4 pl-4 max-md:top-0"
  >
    <h2 {id} class="min-w-0 flex-1 truncate text-base">{day.name || 'The day'}</h2>
    {#if day.name}
      <select
        class="select select-xs w-auto"
        aria-label="Approach of {day.name}"
        disabled={bench.proposal.busy}
        value={bench.proposal.approachOn(day.name)}
        onchange={(event) => {
          const wanted = event.currentTarget.value;
          event.currentTarget.value = bench.proposal.approachOn(day.name);
          onapproach(wanted, day.name);
        }}
      >
        {#each domainRules.summary?.approaches ?? [] as approach (approach.id)}<option value={approach.id}
            >{approach.name}</option
          >{/each}
      </select>
    {/if}
    <p class="text-plain">
      <span class={['figures', over && 'font-semibold text-error']}>{day.minutes} min</span>
      {#if day.limit !== null}<span class="soft">of <span class="figures">{day.limit}</span></span>{/if}
      {#if over}<span class="sr-only">too long</span>{/if}
    </p>
  </div>
  {#if day.cut.length > 0 || !bench.proposal.decided.fitToMinutes}
    <p class="rule-b flex flex-wrap items-baseline gap-x-3 bg-base-200 px-4 py-1 text-note">
      {#if day.cut.length > 0}<span class="min-w-0 flex-1"
          ><b>Cut to fit {day.limit} min:</b>
          {day.cut.join(' ')}</span
        ><button class="btn btn-xs" disabled={bench.proposal.busy} onclick={() => bench.decide.fit(false)}
          >Leave it whole</button
        >
      {:else if day.limit !== null && day.minutes > day.limit}<span class="min-w-0 flex-1"
          >Left whole, {day.minutes - day.limit} minutes over.</span
        ><button class="btn btn-xs" disabled={bench.proposal.busy} onclick={() => bench.decide.fit(true)}
          >Cut to fit</button
        >
      {/if}
    </p>
  {/if}
  <ol>
    {#each day.lines as { line, index }, i (line.gym.key)}
      {@const block = day.blocks.find((b) => b.why && firstOf(b.lines) === line.gym.key)}
      <LineRow
        {bench}
        {line}
        label={day.labels[line.gym.key] ?? ''}
        group={block}
        under={index === bench.proposal.selected ? under : undefined}
        index={i}
        selected={index === bench.proposal.selected}
        onselect={() => (bench.proposal.selected = index)}
      />
    {/each}
  </ol>
  {#if day.kept.length > 0}
    <p class="px-4 py-1 text-note">
      <b>Kept as written</b>, no home exercise takes its place:
      <span class="figures">{day.kept.join(' · ')}</span>
    </p>
  {/if}
</section>
