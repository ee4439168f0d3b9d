<script lang="ts">
  import type { KitItem } from '../../shared/api/types';
  import { domainRules } from '../domainRules.svelte';
  import { count } from '../../shared/words';
  import type { KitBench } from './kitBench.svelte';
  import { figureOf } from './kitGroups';

  interface Props {
    bench: KitBench;
    title: string;
    hint: string;
    items: KitItem[];
  }

  let { bench, title, hint, items }: Props = $props();
  const value = (id: string) => bench.possibilities?.things.find((t) => t.itemId === id);
</script>

<section aria-label={title} class="grow" style:flex-basis="{Math.min(4, items.length) * 12}rem">
  <h2 class="rule-b flex items-baseline gap-3 pb-1 text-base">
    {title} <span class="soft text-note font-normal">{hint}</span>
  </h2>
  <ul class="grid grid-cols-[repeat(auto-fill,minmax(11.5rem,1fr))] gap-2 py-2">
    {#each items as item (item.id)}
      {@const kind = domainRules.kind(item.kind)}
      {@const worth = value(item.id)}
      {@const chosen = item.id === bench.selectedId}
      {#if kind}
        <li>
          <button
            class={[
              'sheet h-full w-full cursor-pointer p-2 text-left hover:border-base-content',
              chosen && 'border-primary shadow-[inset_0_-3px_0_var(--color-primary)]',
            ]}
            aria-pressed={chosen}
            onclick={() => {
              bench.selectedId = item.id;
              if (bench.tool === 'exercises' || bench.tool === 'loads') bench.tool = 'thing';
            }}
          >
            <span class="block font-semibold leading-tight">
              {(item.count ?? 1) > 1 ? `${item.count} × ` : ''}{item.name || kind.label}
            </span>
            <span class="figures block text-plain"
              >{figureOf(item, kind)}{#if worth?.estimated}
                <span class="font-sans text-note text-warning italic">estimated</span>{/if}</span
            >
            {#if (item.hazards ?? []).length > 0 || item.state === 'nicked'}
              <span class="block text-note font-semibold text-error">never to be used</span>
            {:else if worth}
              <span class="soft block text-note"
                >{worth.used > 0
                  ? `opens ${count(worth.used, 'exercise')}`
                  : 'opens nothing by itself'}{worth.only > 0 && worth.only < worth.used
                  ? `, ${worth.only} alone`
                  : ''}</span
              >
            {/if}
          </button>
        </li>
      {/if}
    {/each}
  </ul>
</section>
