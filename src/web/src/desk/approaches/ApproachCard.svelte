<script lang="ts">
  import type { Approach } from '../../shared/api/types';
  import { domainRules } from '../domainRules.svelte';
  import { asksFor } from './figures';

  interface Props {
    approach: Approach;
    own: boolean;
    oncopy: () => void;
    onchange: () => void;
    onremove: () => void;
  }

  let { approach, own, oncopy, onchange, onremove }: Props = $props();
  const weeks = $derived(approach.phases.reduce((sum, phase) => sum + phase.share, 0));
</script>

<article class="grid content-start gap-5 p-6">
  <header>
    <p class="soft text-plain">
      {own ? 'Yours' : 'Ships with Ingegno'}{approach.id === 'mirror' ? ' · the default' : ''}
    </p>
    <h2 class="text-3xl">{approach.name}</h2>
    <p class="mt-2 text-lead">{approach.idea}</p>
    {#if approach.conditioning}<p class="mt-1 font-semibold text-error">
        Conditioning more than strength; shown as such.
      </p>{/if}
    <p class="mt-2 border-l-2 border-secondary pl-3">
      <span class="font-semibold">Where schools disagree:</span>
      {approach.against}
    </p>
    {#if approach.note}<p class="mt-2">
        <span class="font-semibold">The client reads:</span>
        {approach.note}
      </p>{/if}
    <p class="mt-4 flex flex-wrap gap-2">
      <button class="btn btn-sm btn-primary" onclick={oncopy}
        >Copy it and change the copy <span class="keycap">N</span></button
      >
      {#if own}
        <button class="btn btn-sm" onclick={onchange}>Change it <span class="keycap">E</span></button>
        <button class="btn btn-sm btn-ghost" onclick={onremove}>Remove it</button>
      {/if}
    </p>
  </header>
  <section aria-label="What it asks for">
    <h3 class="mb-1 text-lg">What it asks for</h3>
    <dl class="grid max-w-xl grid-cols-[10rem_1fr]">
      {#each asksFor(approach) as [word, figure] (word)}
        <dt class="soft rule-b py-1">{word}</dt>
        <dd class="figures rule-b py-1">{figure}</dd>
      {/each}
    </dl>
  </section>
  {#if approach.phases.length > 0}
    <section aria-label="Phases of a block">
      <h3 class="mb-1 text-lg">Phases of a block</h3>
      <ol class="flex max-w-xl gap-1">
        {#each approach.phases as phase, i (i)}
          <li class="min-w-0 border-t-4 border-primary pt-1" style:flex={phase.share / weeks}>
            <b>{phase.name}</b>
            <span class="figures block text-note"
              >{phase.reps ? `${phase.reps.min}–${phase.reps.max} reps` : ''}
              {phase.rir === null || phase.rir === undefined ? '' : `RIR ${phase.rir}`}</span
            >
            <span class="soft block text-note">{phase.idea}</span>
          </li>
        {/each}
      </ol>
    </section>
  {/if}
  <section class="grid max-w-xl gap-4 sm:grid-cols-2" aria-label="Techniques">
    {#each [['Techniques it takes first', approach.prefers], ['Techniques it leaves out', approach.avoids]] as const as [head, list] (head)}
      <div>
        <h3 class="mb-1 text-lg">{head}</h3>
        {#if list.length > 0}
          <ol class={head.endsWith('first') ? 'list-inside list-decimal' : ''}>
            {#each list as of (of)}<li>{domainRules.techniqueName(of)}</li>{/each}
          </ol>
        {:else}<p class="soft">none</p>{/if}
      </div>
    {/each}
  </section>
</article>
