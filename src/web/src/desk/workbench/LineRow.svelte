<script lang="ts">
  import type { Snippet } from 'svelte';
  import type { LineInBrief } from '../../shared/api/types';
  import FigureOf from '../catalogue/FigureOf.svelte';
  import Joint from './Joint.svelte';
  import DoseCell from './DoseCell.svelte';
  import { count, inWords, rest } from '../../shared/words';
  import { consequences } from './effect';
  import type { DayOfPlan } from './days';
  import type { Workbench } from './workbench.svelte';

  interface Props {
    bench: Workbench;
    line: LineInBrief;
    /** Its place in the session: "B2". */
    label: string;
    /** The group that starts with this line: how its exercises alternate. */
    group?: DayOfPlan['blocks'][number] | undefined;
    index: number;
    selected: boolean;
    onselect: () => void;
    /** What stands beneath it. */
    under?: Snippet | undefined;
  }

  let { bench, line, label, group, index, selected, onselect, under }: Props = $props();
  const gym = $derived(line.gym);
  const marked = $derived(bench.marks.lines.includes(line.gym.key));
  let element = $state<HTMLLIElement>();
  $effect(() => {
    if (selected) element?.scrollIntoView({ block: 'nearest' });
  });
</script>

<li
  bind:this={element}
  class={[
    'rule-b relative grid grid-cols-[minmax(0,1fr)_96px_minmax(0,1.75fr)] max-md:grid-cols-1',
    selected ? 'bg-base-100 shadow-[inset_4px_0_0_var(--color-primary)]' : 'hover:bg-base-100/60',
  ]}
>
  <button
    class="absolute inset-0 z-10 cursor-pointer focus-visible:outline-offset-[-3px]"
    aria-pressed={selected}
    aria-label="Line {index + 1}: {line.gymExerciseName} {line.gymDose}, at home {line.chosen
      ? line.chosen.exercises.map((e) => e.name).join(' and ')
      : line.leftOut
        ? 'left out, no minutes for it'
        : 'nothing that serves'}"
    onclick={onselect}
  ></button>
  {#if group}
    <p class="col-span-full border-b border-dashed border-base-300 px-4 py-1 text-note">
      <b class="figures">{group.label}</b>
      {inWords(group.kind)}, {count(group.rounds, 'round')}, rest {rest(group.restSeconds)} after each. {group.why}
    </p>
  {/if}
  <div class="grid grid-cols-[2.2rem_minmax(0,1fr)] py-3 pl-4">
    <span class="figures text-note text-secondary">{gym.label ?? index + 1}</span>
    <div>
      <p class="font-semibold">
        {line.gymExerciseName}{#if (line.gymSaid ?? []).length > 0}<span class="soft font-normal"
            >&nbsp;({line.gymSaid.join(', ')})</span
          >{/if}
      </p>
      <p class="figures text-plain"><b>{line.gymDose}</b></p>
      <p class="figures soft text-note">{line.gymDetails}</p>
      <p class="soft text-note">{line.role}{gym.note ? `, ${gym.note}` : ''}</p>
    </div>
  </div>
  <div class="flex flex-col items-center justify-center py-2">
    {#if line.chosen}
      <Joint match={line.chosen.match} parts={line.chosen.parts} />
      <span class="figures mt-1 text-note" aria-hidden="true">{Math.round(line.chosen.match * 100)} %</span>
    {/if}
  </div>
  <div class="grid content-center gap-2 py-3 pr-4 pl-3">
    {#each line.chosen?.exercises ?? [] as home, i (home.exerciseId)}
      <div class="flex items-center gap-2">
        <div class="min-w-0 flex-1">
          <p class="flex items-baseline gap-2">
            {#if i === 0 && label}<span class="figures text-note text-secondary" title="place in the session"
                >{label}</span
              >{/if}
            <span class="font-semibold">{i > 0 ? '+ ' : ''}{home.name}</span>
            {#if i === 0}<span class="soft ml-auto text-note"
                >{marked ? 'marked' : ''}{marked && line.locked ? ', ' : ''}{line.locked
                  ? 'kept by you'
                  : ''}</span
              >{/if}
          </p>
          <p class="soft text-note leading-snug">{home.setup}</p>
          <DoseCell
            {bench}
            line={line.gym.key}
            {home}
            active={selected && i === 0}
            goesOn={i < (line.chosen?.exercises.length ?? 0) - 1}
          />
          {#if selected && home.effect}
            <p class="text-note" aria-live="polite">
              {#each consequences(home.effect) as text, n (n)}{n > 0 ? ' · ' : ''}<span
                  class={[n === 0 && (home.effect.reserveLast ?? 0) < 0 && 'font-semibold text-error']}
                  >{text}</span
                >{/each}
            </p>
          {/if}
        </div>
        <div class="max-sm:hidden">
          <FigureOf of={{ ...home, statureCm: bench.client?.value.profile.statureCm }} size={72} />
        </div>
      </div>
    {:else}
      {#if line.leftOut}
        <p class="soft">
          Left out: no minutes for it. Take one of the exercises on the right to bring it back.
        </p>
      {:else}
        <p class="text-error">Nothing here serves for this line. The reasons stand on the right.</p>
      {/if}
    {/each}
  </div>
  {@render under?.()}
</li>
