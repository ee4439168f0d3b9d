<script lang="ts">
  import type { Approach } from '../../shared/api/types';
  import { domainRules } from '../domainRules.svelte';

  interface Props {
    draft: Approach;
  }

  let { draft = $bindable() }: Props = $props();
  const techniques = $derived([...new Set((domainRules.summary?.techniqueSteps ?? []).map((s) => s.of))]);
  const taste = (of: string): string =>
    draft.prefers.includes(of) ? 'first' : draft.avoids.includes(of) ? 'out' : '';

  function take(of: string, how: string): void {
    const without = (list: string[]): string[] => list.filter((x) => x !== of);
    draft.prefers = how === 'first' ? [...without(draft.prefers), of] : without(draft.prefers);
    draft.avoids = how === 'out' ? [...without(draft.avoids), of] : without(draft.avoids);
  }

  function earlier(of: string): void {
    const at = draft.prefers.indexOf(of);
    if (at > 0) draft.prefers = draft.prefers.toSpliced(at - 1, 2, of, draft.prefers[at - 1]!);
  }
</script>

<fieldset>
  <legend class="label-text">Techniques, when a load is too light</legend>
  <ul class="grid gap-x-6 sm:grid-cols-2">
    {#each techniques as of (of)}
      <li class="rule-b flex items-center gap-2 py-1">
        <span class="min-w-0 flex-1">{domainRules.techniqueName(of)}</span>
        {#if draft.prefers.indexOf(of) > 0}
          <button class="btn btn-ghost btn-xs" onclick={() => earlier(of)}>earlier</button>
        {/if}
        {#if taste(of) === 'first'}<span class="figures w-5 text-right">{draft.prefers.indexOf(of) + 1}.</span
          >{/if}
        <select
          class="select select-sm w-32"
          aria-label="{domainRules.techniqueName(of)} is taken"
          value={taste(of)}
          onchange={(event) => take(of, event.currentTarget.value)}
        >
          <option value="">when it fits</option>
          <option value="first">first</option>
          <option value="out">never</option>
        </select>
      </li>
    {/each}
  </ul>
</fieldset>
