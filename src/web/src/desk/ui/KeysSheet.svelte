<script lang="ts">
  import { keys } from '../keys.svelte';
  import Dialog from './Dialog.svelte';

  const names: Record<string, string> = { arrowup: '↑', arrowdown: '↓', escape: 'Esc', enter: 'Enter' };
</script>

<Dialog title="All keys" open={keys.sheetOpen} onclose={() => (keys.sheetOpen = false)}>
  {#each keys.groups as group, i (i)}
    <h3 class="mt-4 mb-1 text-base">{group.name}</h3>
    <dl class="grid grid-cols-[5rem_1fr] gap-x-3 gap-y-1">
      {#each group.bindings.filter((b) => b.label) as binding, at1 (at1)}
        <dt>
          <span class="keycap"
            >{binding.shown ??
              (binding.shift ? '⇧ ' : '') + (names[binding.key] ?? binding.key.toUpperCase())}</span
          >
        </dt>
        <dd>{binding.label}</dd>
      {/each}
    </dl>
  {:else}
    <p class="soft mt-3">This screen has no keys of its own.</p>
  {/each}
  <h3 class="mt-4 mb-1 text-base">Everywhere</h3>
  <dl class="grid grid-cols-[5rem_1fr] gap-x-3 gap-y-1">
    <dt><span class="keycap">?</span></dt>
    <dd>this sheet</dd>
    <dt><span class="keycap">Esc</span></dt>
    <dd>close what is open, or leave the field</dd>
    <dt><span class="keycap">Ctrl S</span></dt>
    <dd>save now; most screens save by themselves</dd>
  </dl>
</Dialog>
