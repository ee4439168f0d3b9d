<script lang="ts">
  import Dialog from '../ui/Dialog.svelte';
  import type { TaughtNames } from './taughtNames.svelte';

  interface Props {
    open: boolean;
    names: TaughtNames;
    onclose: () => void;
    onchange: (name: string) => void;
    onforget: (id: number) => void;
  }

  let { open, names, onclose, onchange, onforget }: Props = $props();
</script>

<Dialog title="Names you taught" {open} {onclose}>
  {#if names.list.length === 0}
    <p class="mt-3">
      None yet. When a line is in doubt, say what its name means, and it is known in your practice from then
      on.
    </p>
  {:else}
    <ul class="mt-3 grid gap-1">
      {#each names.list as taught (taught.id)}
        <li class="flex flex-wrap items-center gap-2 border-b border-base-300 py-1">
          <span class="grow"
            >“{taught.value.name}” is <strong>{taught.value.exerciseId.replaceAll('-', ' ')}</strong></span
          >
          <button class="btn btn-xs" onclick={() => onchange(taught.value.name)}
            >Change<span class="sr-only"> {taught.value.name}</span></button
          >
          <button class="btn btn-xs" onclick={() => onforget(taught.id)}
            >Take back<span class="sr-only"> {taught.value.name}</span></button
          >
        </li>
      {/each}
    </ul>
  {/if}
</Dialog>
