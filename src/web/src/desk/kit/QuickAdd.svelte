<script lang="ts">
  import type { KitFind } from '../../shared/api/types';
  import { forgetText, keptText } from '../autosave/keptText';
  import { toasts } from '../toasts.svelte';
  import { domainRules } from '../domainRules.svelte';
  import { count } from '../../shared/words';
  import KitChip from './KitChip.svelte';
  import type { KitBench } from './kitBench.svelte';

  interface Props {
    bench: KitBench;
    input?: HTMLTextAreaElement;
  }

  let { bench, input = $bindable() }: Props = $props();
  let text = $state('');
  let finds = $state.raw<KitFind[]>([]);
  let timer: ReturnType<typeof setTimeout> | undefined;
  const id = $props.id();
  const record = $derived(`kit-words-${bench.placeId}`);
  const known = $derived(finds.filter((f) => f.entry.item));
  const ordinary = $derived(domainRules.summary?.kitTemplates.find((t) => t.id === 'ordinary-home'));

  function typed(value: string): void {
    text = value;
    finds = [];
    clearTimeout(timer);
    if (value.trim()) timer = setTimeout(() => void read(), 180);
  }

  async function read(): Promise<void> {
    const asked = text;
    try {
      const read = await bench.readAll(asked);
      if (asked === text) finds = read;
    } catch (error) {
      toasts.problem(error);
    }
  }

  /** Reads the words of one thing again, as they were mended. */
  async function mend(at: number, source: string): Promise<void> {
    try {
      const [first, ...more] = await bench.readAll(source);
      if (first) finds = [...finds.slice(0, at), first, ...more, ...finds.slice(at + 1)];
    } catch (error) {
      toasts.problem(error);
    }
  }

  async function submit(event?: Event): Promise<void> {
    event?.preventDefault();
    if (!text.trim()) return;
    clearTimeout(timer);
    if (finds.length === 0) await read();
    if (known.length === 0) return;
    const left = finds.filter((f) => !f.entry.item).map((f) => f.source);
    bench.addAll(known.map((f) => f.entry.item!));
    typed(left.join(', '));
    void forgetText(record);
    input?.focus();
  }
</script>

<form onsubmit={submit} class="min-w-64 flex-1">
  <div class="flex items-end gap-2">
    <label class="flex-1">
      <span class="label-text">Add things, as they are said <span class="keycap">A</span></span>
      <textarea
        class="input figures h-auto min-h-10 w-full resize-y py-2 leading-6 whitespace-pre-wrap"
        rows="2"
        bind:this={input}
        {@attach keptText(record)}
        autocomplete="off"
        maxlength="2000"
        placeholder="loop bands, a chair 45 cm, stairs, rucksack and a 16 kg kettlebell, some 5s and 10s"
        aria-describedby="read-{id}"
        value={text}
        oninput={(event) => typed(event.currentTarget.value)}
        onkeydown={(event) => {
          if (event.key === 'Enter' && !event.shiftKey) void submit(event);
        }}></textarea>
    </label>
    <button class="btn btn-primary" disabled={!text.trim()}
      >{known.length > 1 ? `Add ${count(known.length, 'thing')}` : 'Add'}</button
    >
    {#if ordinary}
      <button type="button" class="btn" onclick={() => bench.addAll(ordinary.items ?? [])}
        >An ordinary home</button
      >
    {/if}
  </div>
  <ul id="read-{id}" class="flex min-h-6 flex-wrap gap-2 pt-2 text-plain" aria-live="polite">
    {#each finds as find, at (find.source + at)}
      <KitChip
        {find}
        onmend={(source) => void mend(at, source)}
        onleave={() => (finds = finds.filter((_, i) => i !== at))}
      />
    {/each}
  </ul>
</form>
