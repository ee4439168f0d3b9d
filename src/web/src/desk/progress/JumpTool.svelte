<script lang="ts">
  import { api, ask } from '../api/client';
  import type { JumpAnswer } from '../../shared/api/types';
  import { toasts } from '../toasts.svelte';
  import NumberField from '../ui/NumberField.svelte';

  interface Props {
    fromKg: number;
    toKg: number;
    wantedReps?: number;
    curve?: 'two-legs' | 'lower' | 'middle' | 'single-joint';
  }

  let { fromKg, toKg, wantedReps = 8, curve = 'middle' }: Props = $props();
  // svelte-ignore state_referenced_locally
  let [from, to, reps] = $state([fromKg, toKg, wantedReps]);
  let answer = $state<JumpAnswer | null>(null);

  $effect(() => {
    const body = { fromKg: from, toKg: to, wantedReps: reps, curve };
    if (!(from > 0 && to > 0 && reps >= 1 && reps <= 30)) {
      answer = null;
      return;
    }

    ask(() => api.POST('/api/v1/jump', { body })).then(
      (said) => body.fromKg === from && body.toKg === to && body.wantedReps === reps && (answer = said),
      (error: unknown) => toasts.problem(error),
    );
  });
</script>

<form
  class="flex flex-wrap items-end gap-3"
  aria-label="Reps that earn a jump in load"
  onsubmit={(event) => event.preventDefault()}
>
  <NumberField class="w-28" label="System load now" unit="kg" min={1} max={1000} bind:value={from} />
  <NumberField class="w-28" label="wanted" unit="kg" min={1} max={1000} bind:value={to} />
  <NumberField class="w-24" label="reps there" min={1} max={30} step={1} bind:value={reps} />
  {#if answer}
    <p class="min-w-0 flex-1 pb-1" role="status">
      <span class="figures">{answer.step > 0 ? '+' : ''}{Math.round(answer.step * 100)} %</span>:
      <b>{answer.advice}</b>
    </p>
  {/if}
</form>
