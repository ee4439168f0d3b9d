<script lang="ts">
  import type { MuscleSets } from '../../shared/api/types';
  import { inWords, number } from '../../shared/words';

  interface Props {
    sets: MuscleSets[];
  }

  let { sets }: Props = $props();
  const most = $derived(Math.max(1, ...sets.map((s) => Math.max(s.gym, s.home))));
  const bar = (value: number): number => Math.max(value > 0 ? 2 : 0, (value / most) * 44);
</script>

<!-- Scrolls when many muscles are trained, so it must be reachable by keyboard. -->
<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<ul
  class="relative flex items-end gap-x-1 overflow-x-auto pb-1"
  tabindex="0"
  aria-label="Hard sets per muscle, gym beside home"
>
  {#each sets as s (s.muscle)}
    {@const low = s.home < s.gym / 2}
    <li
      class="flex w-[58px] shrink-0 flex-col items-center"
      title="{inWords(s.muscle)}: gym {number(s.gym)}, home {number(s.home)}"
    >
      <svg width="24" height="46" aria-hidden="true">
        <rect x="1" y={46 - bar(s.gym)} width="9" height={bar(s.gym)} class="gym" />
        <rect x="13" y={46 - bar(s.home)} width="9" height={bar(s.home)} class={low ? 'low' : 'home'} />
      </svg>
      <span class="figures text-fine leading-tight">{number(s.gym)}·{number(s.home)}</span>
      <span class="soft text-center text-fine leading-tight">{inWords(s.muscle)}</span>
      <span class="sr-only">gym {number(s.gym)}, home {number(s.home)}</span>
    </li>
  {/each}
</ul>

<style>
  .gym {
    fill: color-mix(in oklab, var(--color-secondary) 45%, var(--color-base-300));
  }
  .home {
    fill: var(--color-primary);
  }
  .low {
    fill: none;
    stroke: var(--color-error);
    stroke-width: 2;
  }
</style>
