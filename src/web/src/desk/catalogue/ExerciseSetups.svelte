<script lang="ts">
  import type { Exercise } from '../../shared/api/types';
  import { sentence } from '../../shared/words';

  interface Props {
    draft: Exercise;
    all: Exercise[];
  }

  let { draft, all }: Props = $props();
  let wrong = $state('');
  const id = $props.id();
  const readable = (text: string): string =>
    sentence(text.replaceAll('{load}', 'a load').replaceAll(/[{}]/g, ''));

  function take(name: string): void {
    const from = all.find((e) => e.name === name);
    if (from)
      draft.setups = [...draft.setups, ...structuredClone(from.setups)].filter(
        (s, i, list) => list.findIndex((o) => o.id === s.id) === i,
      );
  }

  function write(json: string): void {
    try {
      const setups: unknown = JSON.parse(json);
      if (!Array.isArray(setups)) throw new Error('a list of set-ups is expected');
      draft.setups = setups as Exercise['setups'];
      wrong = '';
    } catch (error) {
      wrong = error instanceof Error ? error.message : String(error);
    }
  }
</script>

<fieldset>
  <legend class="mb-1 font-semibold">Set-ups, simplest first</legend>
  <ul class="grid gap-1 text-plain">
    {#each draft.setups as setup, i (setup.id)}
      <li class="flex items-baseline gap-2">
        <input
          class="input input-sm min-w-0 flex-1"
          maxlength="300"
          aria-label="Text of set-up {i + 1}"
          title={readable(setup.text)}
          bind:value={setup.text}
        />
        <button
          type="button"
          class="btn btn-ghost btn-xs"
          aria-label="Without set-up {i + 1}"
          onclick={() => (draft.setups = draft.setups.filter((_, k) => k !== i))}>×</button
        >
      </li>
    {:else}
      <li class="soft">
        None. An exercise for the home needs at least one: take those of a similar exercise.
      </li>
    {/each}
  </ul>
  <label class="mt-2 flex items-baseline gap-2 text-plain">
    Take those of
    <input
      class="input input-sm w-72"
      list="{id}-exercises"
      placeholder="an exercise that is set up alike"
      onchange={(event) => {
        take(event.currentTarget.value);
        event.currentTarget.value = '';
      }}
    />
    <datalist id="{id}-exercises">
      {#each all.filter((e) => e.setups.length > 0) as exercise (exercise.id)}<option value={exercise.name}
        ></option>{/each}
    </datalist>
  </label>
  <details class="mt-2">
    <summary class="cursor-pointer text-plain">What they need and load, as JSON of the catalogue</summary>
    <textarea
      class="figures textarea mt-1 w-full text-note"
      rows="10"
      spellcheck="false"
      aria-label="Set-ups as JSON"
      aria-invalid={wrong ? 'true' : undefined}
      value={JSON.stringify(draft.setups, null, 2)}
      onchange={(event) => write(event.currentTarget.value)}></textarea>
    {#if wrong}<p class="text-plain text-error" role="alert">The JSON cannot be read: {wrong}</p>{/if}
    <p class="soft text-note">
      The form is data/catalogue/exercise.schema.json: needs as all, any and thing; load as the share of the
      body, what is held and which bands.
    </p>
  </details>
</fieldset>
