<script lang="ts">
  import { onMount } from 'svelte';
  import { api, ask } from '../api/client';
  import type { BeliefTopic } from '../../shared/api/types';
  import { crumbs } from '../crumbs.svelte';
  import { keys } from '../keys.svelte';
  import { p } from '../router';
  import Opening from '../ui/Opening.svelte';

  let topics = $state.raw<BeliefTopic[] | null>(null);
  let failed = $state<unknown>(null);
  let wanted = $state('');
  let box = $state<HTMLInputElement>();

  const has = (text: string): boolean => text.toLowerCase().includes(wanted.trim().toLowerCase());
  const shown = $derived(
    (topics ?? [])
      .map(({ topic, beliefs }) => ({
        topic,
        beliefs: beliefs.filter((b) =>
          [topic, b.says, b.source, ...b.figures.flatMap((f) => [f.name, ...f.values])].some(has),
        ),
      }))
      .filter((t) => t.beliefs.length > 0),
  );
  const count = $derived(shown.reduce((all, t) => all + t.beliefs.length, 0));

  onMount(() => {
    crumbs.set(
      { text: 'Roster', href: p('/') },
      { text: 'Approaches', href: p('/approaches') },
      { text: 'What Ingegno believes' },
    );
    start();
    return keys.add('What Ingegno believes', [{ key: '/', label: 'find a figure', run: () => box?.focus() }]);
  });

  function start(): void {
    failed = null;
    ask(() => api.GET('/api/v1/beliefs')).then(
      (read) => (topics = read),
      (error: unknown) => (failed = error),
    );
  }

  const id = (topic: string): string => `on-${topic.replaceAll(' ', '-')}`;
</script>

<main id="main" class="grid min-h-0 flex-1 content-start lg:grid-cols-[15rem_1fr]">
  <nav class="lg:rule-r min-w-0 px-5 py-4 lg:sticky lg:top-0 lg:self-start" aria-label="Concerns">
    <h1 class="text-3xl">What Ingegno believes</h1>
    <p class="soft mt-1 text-plain">
      The figures that every plan is reckoned with, what they mean and where they come from. This page is made
      from them.
    </p>
    <label class="mt-3 block text-note" for="find-figure">Find a figure</label>
    <input
      bind:this={box}
      bind:value={wanted}
      id="find-figure"
      type="search"
      class="input input-sm w-full"
      maxlength="60"
      autocomplete="off"
    />
    {#if topics}<p class="soft mt-1 text-note" role="status">
        {count === 1 ? '1 note' : `${count} notes`}
      </p>{/if}
    <ul class="mt-3 max-lg:flex max-lg:flex-wrap max-lg:gap-x-4">
      {#each shown as { topic } (topic)}
        <li><a class="link inline-block py-1 first-letter:uppercase" href={`#${id(topic)}`}>{topic}</a></li>
      {/each}
    </ul>
  </nav>
  <div class="rule-l min-w-0 bg-base-100 px-5 py-4 max-lg:border-t">
    {#if !topics}
      <Opening doing="Reading the figures …" what="list of figures" {failed} onagain={start} inner />
    {:else if shown.length === 0}
      <p>No note has “{wanted.trim()}” in it.</p>
    {/if}
    {#each shown as { topic, beliefs } (topic)}
      <section class="mb-6" aria-labelledby={id(topic)}>
        <h2 id={id(topic)} class="scroll-mt-4 text-xl first-letter:uppercase">{topic}</h2>
        {#each beliefs as belief, i (i)}
          <article class="rule-b py-3">
            <p class="max-w-prose">{belief.says}</p>
            <dl class="mt-2 grid gap-x-5 gap-y-1 sm:grid-cols-[minmax(8rem,auto)_1fr]">
              {#each belief.figures as figure, f (f)}
                <dt class="soft text-plain">{figure.name}</dt>
                <dd class="figures min-w-0 text-plain break-words">
                  {#each figure.values as value, v (v)}<span class="block">{value}</span>{/each}
                  {#if figure.more > 0}<span class="soft block">and {figure.more} more</span>{/if}
                </dd>
              {/each}
            </dl>
            <p class="soft mt-2 max-w-prose text-note">{belief.source}</p>
          </article>
        {/each}
      </section>
    {/each}
  </div>
</main>
