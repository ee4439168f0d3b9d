<script lang="ts">
  import type { HomeLine, RebuildResult } from '../api/types';
  import { toasts } from '../toasts.svelte';
  import Dialog from '../ui/Dialog.svelte';
  import { byDay, meanMatch } from './days';
  import Joint from './Joint.svelte';
  import { nameOf, type Workbench } from './workbench.svelte';

  interface Props {
    bench: Workbench;
    open: boolean;
    onclose: () => void;
  }

  let { bench, open, onclose }: Props = $props();
  let otherId = $state<number | null>(null);
  let there = $state<RebuildResult | null>(null);

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

  const days = $derived(there ? byDay(there.plan) : []);
  const here = (line: HomeLine): HomeLine | undefined =>
    bench.lines.find((l) => l.gym.line === line.gym.line);
  const percent = (value: number): string => `${Math.round(value * 100)} %`;

  async function go(): Promise<void> {
    if (!other) return;
    onclose();
    await bench.switchPlace(other.id);
  }
</script>

{#snippet cell(line: HomeLine | undefined)}
  {#if line?.chosen}
    <div class="flex items-start gap-2">
      <Joint match={line.chosen.match} parts={line.chosen.parts} width={46} height={24} />
      <div class="min-w-0">
        <p class="font-semibold">{nameOf(line.chosen)}{line.locked ? ' · kept' : ''}</p>
        <p class="figures text-[13px]">
          {line.chosen.exercises.map((e) => `${e.dose.figures} ${e.dose.tempo}`).join(' + ')}
          <span class="soft">{percent(line.chosen.match)}</span>
        </p>
      </div>
    </div>
  {:else}
    <p class="text-error">nothing that serves</p>
  {/if}
{/snippet}

<Dialog title="The same week at two places" wide {open} {onclose}>
  {#if !other}
    <p class="mt-3">This client has only one place. Add another in the kit screen, then compare.</p>
  {:else}
    <table class="mt-3 w-full table-fixed text-[14px]">
      <thead>
        <tr class="rule-b align-bottom">
          <th scope="col" class="w-[24%] pb-2 text-left">Gym</th>
          <th scope="col" class="pb-2 text-left">
            {bench.place?.value.name ?? 'Here'}
            {#if bench.result}<span class="figures soft font-normal"
                >{percent(meanMatch(bench.result.plan))} on average</span
              >{/if}
          </th>
          <th scope="col" class="pb-2 text-left">
            <label class="flex flex-wrap items-baseline gap-2"
              ><span class="sr-only">Other place</span>
              <select
                class="select select-sm max-w-48 font-semibold"
                value={other.id}
                onchange={(event) => (otherId = Number(event.currentTarget.value))}
              >
                {#each others as place (place.id)}<option value={place.id}>{place.value.name}</option>{/each}
              </select>
              {#if there}<span class="figures soft font-normal"
                  >{percent(meanMatch(there.plan))} on average</span
                >{/if}
            </label>
          </th>
        </tr>
      </thead>
      {#each days as day (day.name)}
        <tbody>
          {#if day.name}<tr
              ><th scope="rowgroup" colspan="3" class="pt-3 text-left font-display">{day.name}</th></tr
            >{/if}
          {#each day.lines as { line } (line.gym.line)}
            {@const same = here(line)?.chosen?.id === line.chosen?.id}
            <tr class="rule-b align-top">
              <th scope="row" class="py-2 pr-3 text-left font-normal"
                >{line.gymExerciseName} <span class="figures text-[13px]">{line.gymDose}</span></th
              >
              <td class="py-2 pr-3">{@render cell(here(line))}</td>
              <td class="py-2">
                {@render cell(line)}
                {#if same}<p class="soft text-[13px]">the same</p>{/if}
              </td>
            </tr>
          {/each}
        </tbody>
      {/each}
    </table>
    {#if !there}<p class="soft mt-3" role="status">Rebuilding the week there …</p>{/if}
    <p class="soft mt-3 text-[14px]">Each place keeps a plan of its own; going over loses nothing here.</p>
  {/if}
  {#snippet actions()}
    <button class="btn" onclick={onclose}>Close</button>
    {#if other}<button class="btn btn-primary" disabled={!there} onclick={go}
        >Go over to {other.value.name}</button
      >{/if}
  {/snippet}
</Dialog>
