<script lang="ts">
  import type { KitFind } from '../../shared/api/types';
  import { domainRules } from '../domainRules.svelte';
  import { figureOf } from './kitGroups';

  interface Props {
    find: KitFind;
    onmend: (source: string) => void;
    onleave: () => void;
  }

  let { find, onmend, onleave }: Props = $props();

  /** The name with the figures that were said of it. */
  const meant = (name: string): string =>
    [...(find.source.match(/\d[\d.,x ]*(?:kg|lbs?|cm|mm|in|l|m)\b/gi) ?? []), name].join(' ');

  const item = $derived(find.entry.item);
  const kind = $derived(item ? domainRules.kind(item.kind) : undefined);
</script>

<li
  class={[
    'sheet flex max-w-full flex-wrap items-center gap-x-2 gap-y-1 border-l-4 px-2 py-1',
    !item ? 'border-l-error' : find.ask ? 'border-l-warning' : 'border-l-primary',
  ]}
>
  <input
    class="input figures w-44 input-xs"
    aria-label="Words of this thing"
    value={find.source}
    onchange={(event) => onmend(event.currentTarget.value)}
    onkeydown={(event) => {
      if (event.key !== 'Enter') return;
      event.preventDefault();
      event.stopPropagation();
      onmend(event.currentTarget.value);
    }}
  />
  {#if item && kind}
    <b>{(item.count ?? 1) > 1 ? `${item.count} × ` : ''}{item.name ?? kind.label}</b>
    <span class="figures">{figureOf(item, kind)}</span>
    {#if find.entry.estimated}<span class="text-warning italic">estimated</span>{/if}
  {:else}
    <span class="text-error">{find.entry.error}</span>
    {#each find.entry.suggestions as name, i (i)}
      <button type="button" class="btn btn-xs" onclick={() => onmend(meant(name))}>{name}</button>
    {/each}
  {/if}
  {#if find.ask}<span class="soft">{find.ask}</span>{/if}
  <button
    type="button"
    class="btn btn-square btn-ghost btn-xs"
    aria-label="Leave out {find.source}"
    onclick={onleave}>×</button
  >
</li>
