<script lang="ts">
  import { api, ask } from '../api/client';
  import type { Exercise } from '../api/types';
  import { toasts } from '../toasts.svelte';
  import Dialog from '../ui/Dialog.svelte';

  interface Props {
    /** The name that is taught; null when nothing is. */
    name: string | null;
    onclose: () => void;
    onteach: (name: string, exerciseId: string) => void;
  }

  let { name, onclose, onteach }: Props = $props();

  const shown = 12;
  let all = $state.raw<Exercise[]>([]);
  let wanted = $state('');
  let picked = $state<string | null>(null);

  $effect(() => {
    if (name === null) return;
    [wanted, picked] = ['', null];
    if (all.length === 0)
      ask(() => api.GET('/api/v1/catalogue')).then((list) => (all = list), toasts.problem);
  });

  const found = $derived(
    all
      .filter((e) =>
        [e.name, ...(e.synonyms ?? [])].some((n) =>
          wanted
            .toLowerCase()
            .split(/\s+/)
            .every((w) => n.toLowerCase().includes(w)),
        ),
      )
      .slice(0, shown),
  );

  // What the button would take is seen as picked.
  const taken = $derived(found.some((e) => e.id === picked) ? picked : (found[0]?.id ?? null));
</script>

<Dialog title={`This is …: “${name ?? ''}”`} open={name !== null} {onclose}>
  <form
    id="teach"
    class="mt-3 grid gap-3"
    onsubmit={(event) => {
      event.preventDefault();
      if (name !== null && taken) onteach(name, taken);
    }}
  >
    <label class="grid gap-1">
      <span>Exercise of the catalogue</span>
      <input class="input w-full" bind:value={wanted} placeholder="squat, row, press …" autocomplete="off" />
    </label>
    <fieldset class="grid gap-1">
      <legend class="sr-only">What it is</legend>
      {#each found as exercise (exercise.id)}
        <label class="flex min-h-6 items-center gap-2">
          <input
            type="radio"
            class="radio radio-sm"
            name="exercise"
            value={exercise.id}
            checked={exercise.id === taken}
            onchange={() => (picked = exercise.id)}
          />
          {exercise.name}
        </label>
      {:else}
        <p class="soft">Nothing is called so. Try the movement: squat, row, press, curl.</p>
      {/each}
    </fieldset>
    <p class="soft text-sm">
      The name is known in your practice from then on, in programs and logs. You can take it back under “Names
      you taught”.
    </p>
  </form>
  {#snippet actions()}
    <button class="btn" onclick={onclose}>Cancel</button>
    <button class="btn btn-primary" form="teach" disabled={found.length === 0}>Remember it</button>
  {/snippet}
</Dialog>
