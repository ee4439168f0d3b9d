<script lang="ts">
  import type { KitEntry } from '../api/types';
  import { toasts } from '../toasts.svelte';
  import { trade } from '../trade.svelte';
  import { figureOf } from './kitGroups';
  import type { KitBench } from './kitBench.svelte';

  interface Props {
    bench: KitBench;
    input?: HTMLInputElement;
  }

  let { bench, input = $bindable() }: Props = $props();
  let text = $state('');
  let entry = $state<KitEntry | null>(null);
  let timer: ReturnType<typeof setTimeout> | undefined;
  const id = $props.id();
  const kind = $derived(entry?.item ? trade.kind(entry.item.kind) : undefined);

  function typed(value: string): void {
    text = value;
    entry = null;
    clearTimeout(timer);
    if (value.trim()) timer = setTimeout(() => void read(), 180);
  }

  async function read(): Promise<KitEntry | null> {
    const asked = text;
    try {
      const read = await bench.read(asked);
      if (asked === text) entry = read;
      return read;
    } catch (error) {
      toasts.problem(error);
      return null;
    }
  }

  async function submit(event: SubmitEvent): Promise<void> {
    event.preventDefault();
    if (!text.trim()) return;
    clearTimeout(timer);
    const read_ = entry ?? (await read());
    if (!read_?.item) return;
    bench.add(read_.item);
    typed('');
    input?.focus();
  }

  async function take(name: string): Promise<void> {
    typed(name);
    clearTimeout(timer);
    await read();
    input?.focus();
  }
</script>

<form onsubmit={submit} class="min-w-64 flex-1">
  <div class="flex items-end gap-2">
    <label class="flex-1">
      <span class="label-text">Add a thing <span class="keycap">A</span></span>
      <input
        class="input figures w-full"
        bind:this={input}
        list="ready-{id}"
        autocomplete="off"
        maxlength="120"
        placeholder="2x 8 kg dumbbell · rucksack 25 L · sofa 44 cm · band 104 cm 13 mm"
        aria-describedby="read-{id}"
        value={text}
        oninput={(event) => typed(event.currentTarget.value)}
      />
      <datalist id="ready-{id}">
        {#each trade.summary?.readyItems ?? [] as ready (ready.name)}<option value={ready.name}
          ></option>{/each}
      </datalist>
    </label>
    <button class="btn btn-primary" disabled={!text.trim()}>Add</button>
  </div>
  <p id="read-{id}" class="min-h-6 pt-1 text-plain" aria-live="polite">
    {#if entry?.item && kind}
      Reads as <b
        >{(entry.item.count ?? 1) > 1 ? `${entry.item.count} × ` : ''}{entry.item.name ?? kind.label}</b
      >
      <span class="figures">{figureOf(entry.item, kind)}</span>
      {#if entry.estimated}<span class="text-warning italic">estimated</span>{/if}
    {:else if entry?.error}
      <span class="text-error">{entry.error}</span>
      {#each entry.suggestions as name (name)}
        <button type="button" class="btn btn-xs ml-1" onclick={() => take(name)}>{name}</button>
      {/each}
    {/if}
  </p>
</form>
