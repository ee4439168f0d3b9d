<script lang="ts">
  import { api, ask } from '../api/client';
  import type { FoundName } from '../../shared/api/types';
  import { toasts } from '../toasts.svelte';
  import Dialog from '../ui/Dialog.svelte';

  interface Props {
    /** The name that is taught; null when nothing is. */
    name: string | null;
    onclose: () => void;
    onteach: (name: string, exerciseId: string) => void;
  }

  let { name, onclose, onteach }: Props = $props();

  let found = $state.raw<FoundName[]>([]);
  let wanted = $state('');
  /** Place of the exercise that the cursor stands on; -1 while it stands in the field. */
  let at = $state(-1);

  $effect(() => {
    if (name !== null) [wanted, at] = ['', -1];
  });
  $effect(() => {
    if (name === null) return;
    const asked = wanted.trim();
    const soon = setTimeout(
      () => {
        ask(() => api.GET('/api/v1/catalogue/names', { params: { query: { wanted: asked } } })).then(
          (list) => {
            if (asked !== wanted.trim()) return;
            found = list;
            at = list[0]?.exact ? 0 : -1;
          },
          toasts.problem,
        );
      },
      asked ? 120 : 0,
    );
    return () => clearTimeout(soon);
  });

  const taken = $derived(found[at] ?? null);

  /** Enter takes an exact name; on anything else it moves the cursor on, and the button or another Enter there takes it. */
  function pressed(event: KeyboardEvent): void {
    if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
      event.preventDefault();
      at = Math.min(found.length - 1, Math.max(0, at + (event.key === 'ArrowDown' ? 1 : -1)));
    } else if (event.key === 'Enter' && !found[0]?.exact) {
      event.preventDefault();
      document.querySelector<HTMLInputElement>('#teach input[type=radio]')?.focus();
      at = Math.max(0, at);
    }
  }
</script>

<Dialog title={`This is …: “${name ?? ''}”`} open={name !== null} {onclose}>
  <form
    id="teach"
    class="mt-3 grid gap-3"
    onsubmit={(event) => {
      event.preventDefault();
      if (name !== null && taken) onteach(name, taken.exerciseId);
    }}
  >
    <label class="grid gap-1">
      <span>Exercise of the catalogue</span>
      <input
        class="input w-full"
        bind:value={wanted}
        placeholder="squat, row, press …"
        autocomplete="off"
        onkeydown={pressed}
      />
    </label>
    <fieldset class="grid gap-1">
      <legend class="sr-only">What it is</legend>
      {#each found as exercise, i (exercise.exerciseId)}
        <label class="flex min-h-6 items-center gap-2">
          <input
            type="radio"
            class="radio radio-sm"
            name="exercise"
            value={exercise.exerciseId}
            checked={i === at}
            onchange={() => (at = i)}
          />
          {exercise.name}
          {#if exercise.synonym}<span class="soft">also called {exercise.synonym}</span>{/if}
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
    <button class="btn btn-primary" form="teach" disabled={taken === null}>Remember it</button>
  {/snippet}
</Dialog>
