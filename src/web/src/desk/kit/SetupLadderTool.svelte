<script lang="ts">
  import { api, ask } from '../api/client';
  import type { ClientProfile, PlaceKit, SetupRange } from '../../shared/api/types';
  import { toasts } from '../toasts.svelte';
  import { domainRules } from '../domainRules.svelte';
  import { count, number } from '../../shared/words';
  import type { KitBench } from './kitBench.svelte';
  import ResistanceChart from './ResistanceChart.svelte';

  interface Props {
    bench: KitBench;
  }

  let { bench }: Props = $props();
  let exerciseId = $state('split-squat');
  let range = $state<SetupRange | null>(null);
  let open = $state<number | null>(null);
  let busy = $state(false);
  let run = 0;
  const exercises = $derived(
    (domainRules.summary?.exercises ?? [])
      .filter((e) => e.atHome)
      .toSorted((a, b) => a.name.localeCompare(b.name)),
  );
  const most = $derived(Math.max(1, ...(range?.setups ?? []).map((s) => s.systemKg)));

  $effect(() => {
    const client = bench.client?.value.profile;
    if (!client) return;
    const body = {
      client: $state.snapshot(client) as ClientProfile,
      kit: $state.snapshot(bench.draft) as PlaceKit,
      exerciseId,
    };
    const mine = ++run;
    const timer = setTimeout(() => {
      busy = true;
      ask(() => api.POST('/api/v1/setups', { body }))
        .then(
          (answer) => {
            if (mine !== run) return;
            range = answer;
            open = null;
          },
          (error: unknown) => toasts.problem(error),
        )
        .finally(() => (busy = false));
    }, 200);
    return () => clearTimeout(timer);
  });
</script>

<div class="grid gap-3 p-4" aria-busy={busy}>
  <h2 class="text-xl">An exercise here, light to heavy</h2>
  <label>
    <span class="label-text">Exercise</span>
    <select class="select h-9 w-full" bind:value={exerciseId}>
      {#each exercises as e (e.id)}<option value={e.id}>{e.name}</option>{/each}
    </select>
  </label>
  {#if range}
    {#if range.setups.length === 0}
      <p>It cannot be done here.</p>
    {:else}
      {#if range.gap}
        <p class="border-l-2 border-secondary pl-2 text-plain">
          The largest step is <b class="figures">{Math.round(range.gap.step * 100)} %</b>, after
          <b>{number(range.setups[range.gap.after]?.systemKg ?? 0)} kg</b>.
          {#if range.gap.fill.length > 0}What would fill it: {range.gap.fill.join('; ')}.{:else}No step is too
            high.{/if}
        </p>
      {/if}
      <p class="soft text-note">
        {count(range.setups.length, 'set-up')}; bars show the system load, body and load together
      </p>
      <ol>
        {#each range.setups as setup, i (i)}
          <li class="rule-b last:border-b-0">
            <button
              class="grid w-full cursor-pointer grid-cols-[3.4rem_minmax(0,1fr)_5.2rem] items-center gap-2 py-1.5 text-left"
              aria-expanded={open === i}
              onclick={() => (open = open === i ? null : i)}
            >
              <span
                class={[
                  'figures text-right text-note',
                  setup.step != null && setup.step > 0.1 ? 'font-semibold text-error' : 'soft',
                ]}>{setup.step == null ? '' : `+${Math.round(setup.step * 100)} %`}</span
              >
              <span>
                <span class="block text-plain leading-tight">{setup.text}</span>
                <span class="mt-1 block h-1.5 bg-primary" style:width="{(setup.systemKg / most) * 100}%"
                ></span>
              </span>
              <span class="figures text-right text-plain"
                >{number(setup.systemKg)} kg{#if setup.reps}<span class="soft block text-note"
                    >{setup.reps} reps</span
                  >{/if}</span
              >
            </button>
            {#if open === i}
              <div class="flex flex-wrap items-start gap-3 pb-2 pl-[3.9rem]">
                <ResistanceChart range={setup.range} />
                <div class="min-w-40 flex-1 text-note">
                  <p class={setup.estimated ? 'text-warning' : 'soft'}>
                    {setup.estimated ? 'Body share estimated: ' : 'Body share: '}{setup.basis}.
                  </p>
                  {#each setup.warnings as warning, at1 (at1)}<p class="mt-1 border-l-2 border-warning pl-2">
                      {warning}
                    </p>{/each}
                </div>
              </div>
            {/if}
          </li>
        {/each}
      </ol>
    {/if}
    {#each range.missing as missing, i (i)}<p class="soft text-plain">{missing}</p>{/each}
  {:else}
    <p class="soft" role="status">Counting what can be reached …</p>
  {/if}
</div>
