<script lang="ts">
  import { count } from '../../shared/words';
  import type { Workbench } from './workbench.svelte';

  interface Props {
    bench: Workbench;
  }

  let { bench }: Props = $props();
  const beside = $derived(bench.proposal.beside);
</script>

{#if beside.length > 0 && !bench.proposal.editing}
  <section
    class="rule-b border-l-4 border-l-warning px-4 py-1"
    aria-label="What the last step changed beside"
    role="status"
  >
    <p class="flex flex-wrap items-center gap-x-4 gap-y-1">
      <span class="flex-1">This also changed {count(beside.length, 'other line')}:</span>
      <button class="btn btn-xs" disabled={bench.proposal.busy} onclick={() => void bench.keepTheRest()}
        >Leave {beside.length === 1 ? 'it' : 'them'} as {beside.length === 1 ? 'it was' : 'they were'}</button
      >
      <button class="btn btn-ghost btn-xs" onclick={() => (bench.proposal.beside = [])}>Fine</button>
    </p>
    <ul class="max-h-24 overflow-y-auto text-sm">
      {#each beside as line (line.line)}
        <li>
          <b>{line.gym}</b>: <span class="figures">{line.before || 'left out'}</span> →
          <span class="figures">{line.after || 'left out'}</span>
        </li>
      {/each}
    </ul>
  </section>
{/if}
