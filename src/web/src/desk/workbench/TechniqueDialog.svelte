<script lang="ts">
  import type { HomeExercise } from '../../shared/api/types';
  import { domainRules } from '../domainRules.svelte';
  import Dialog from '../ui/Dialog.svelte';
  import { sentence } from '../../shared/words';
  import TempoLine from './TempoLine.svelte';
  import type { Workbench } from './workbench.svelte';

  interface Props {
    bench: Workbench;
    line: number;
    home: HomeExercise;
    open: boolean;
    onclose: () => void;
  }

  let { bench, line, home, open, onclose }: Props = $props();
  const steps = $derived(domainRules.summary?.techniqueSteps ?? []);
  const fitting = $derived(steps.filter((s) => home.techniquesThatFit.includes(s.id)));
  const others = $derived(
    steps.filter((s) => !home.techniquesThatFit.includes(s.id) && home.dose.techniques.includes(s.id)),
  );

  /** One step of a technique at a time: five seconds down takes the place of three. */
  async function toggle(id: string): Promise<void> {
    const of = steps.find((s) => s.id === id)?.of;
    const on = home.dose.techniques.filter((t) => t !== 'explosive');
    const techniques = on.includes(id)
      ? on.filter((t) => t !== id)
      : [...on.filter((t) => steps.find((s) => s.id === t)?.of !== of), id];
    await bench.decide.edit({ line, exerciseId: home.exerciseId, techniques });
  }

  function key(event: KeyboardEvent): void {
    const step = /^[1-9]$/.test(event.key) ? fitting[Number(event.key) - 1] : undefined;
    if (step) {
      event.preventDefault();
      void toggle(step.id);
    } else if (event.key === '0')
      void bench.decide.edit({ line, exerciseId: home.exerciseId, techniques: [] });
  }
</script>

<svelte:window onkeydown={(event) => open && key(event)} />

<Dialog title="Techniques for {home.name}" {open} {onclose}>
  <p class="mt-2 flex flex-wrap items-center gap-x-4">
    <span class="figures font-semibold">{home.dose.figures}</span>
    {#if !home.dose.timed}<span class="figures flex items-center gap-2"
        >{home.dose.tempo} <TempoLine tempo={home.dose.tempo} /></span
      >{/if}
    {#if home.expectedReps}<span aria-live="polite"
        ><span class="figures">{home.expectedReps}</span> to failure expected</span
      >{/if}
  </p>
  {#if fitting.length === 0 && others.length === 0}
    <p class="mt-3">No technique fits this exercise and this client: position and time make it hard.</p>
  {/if}
  <ul class="mt-3 grid gap-1">
    {#each [...fitting, ...others] as step, i (step.id)}
      {@const on = home.dose.techniques.includes(step.id)}
      <li>
        <button
          class={[
            'grid w-full cursor-pointer grid-cols-[1.8rem_1.4rem_minmax(0,1fr)_auto] items-baseline gap-2 rounded px-1 py-1 text-left hover:bg-base-200',
            on && 'font-semibold text-primary',
          ]}
          aria-pressed={on}
          disabled={bench.proposal.busy}
          onclick={() => toggle(step.id)}
        >
          <span class="keycap">{i < 9 && i < fitting.length ? i + 1 : ''}</span>
          <span aria-hidden="true">{on ? '✓' : ''}</span>
          <span class="min-w-0"
            >{sentence(step.label)}
            <span class="soft block text-note font-normal">{step.how} {step.caution ?? ''}</span></span
          >
          <span class="figures soft text-note font-normal"
            >{step.repsLeft < 1 ? `${Math.round(step.repsLeft * 100)} % of the reps` : 'same reps'}</span
          >
        </button>
      </li>
    {/each}
  </ul>
  {#snippet actions()}
    <button
      class="btn"
      disabled={bench.proposal.busy || home.dose.techniques.length === 0}
      onclick={() => bench.decide.edit({ line, exerciseId: home.exerciseId, techniques: [] })}
      >Straight sets <span class="keycap">0</span></button
    >
    <button class="btn btn-primary" onclick={onclose}>Done</button>
  {/snippet}
</Dialog>
