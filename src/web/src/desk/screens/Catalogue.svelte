<script lang="ts">
  import { onMount } from 'svelte';
  import { searchParams } from 'sv-router';
  import { api, ask } from '../api/client';
  import type { Exercise } from '../../shared/api/types';
  import ExerciseCard from '../catalogue/ExerciseCard.svelte';
  import ExerciseEditor from '../catalogue/ExerciseEditor.svelte';
  import { filtered, noFilter, type Filter } from '../catalogue/filter';
  import { OwnExercises } from '../catalogue/ownExercises.svelte';
  import { keeping } from '../autosave/autosave.svelte';
  import FigureOf from '../catalogue/FigureOf.svelte';
  import { forgetFigures } from '../catalogue/figures';
  import { crumbs } from '../crumbs.svelte';
  import { keys } from '../keys.svelte';
  import { toasts } from '../toasts.svelte';
  import { domainRules } from '../domainRules.svelte';
  import { showInAddress } from '../ui/address';
  import { count, inWords, sentence } from '../../shared/words';
  import { p } from '../router';

  const kits: [string, string][] = [
    ['nothing', 'floor and wall alone'],
    ['long-band', 'a band'],
    ['mini-band', 'a mini band'],
    ['hand-weight', 'hand weights'],
    ['wear', 'a rucksack to wear'],
    ['hold', 'a bag to hold'],
    ['loaded-bar', 'a bar'],
    ['trap-bar', 'a trap bar'],
    ['stack', 'a cable column'],
    ['hang-from', 'something to hang from'],
    ['straps', 'straps'],
    ['pull-under', 'a table'],
    ['slider', 'something that slides'],
    ['step-on', 'a step'],
    ['cloth', 'a towel or sheet'],
  ];
  const levels = $derived(domainRules.summary?.clientWords.levels ?? []);
  const joints = $derived(domainRules.summary?.clientWords.joints ?? []);

  let all = $state.raw<Exercise[] | null>(null);
  let filter = $state<Filter>({ ...noFilter });
  const own = new OwnExercises();
  let openId = $state('');
  let search = $state<HTMLInputElement>();

  const shown = $derived(filtered(all ?? [], filter, domainRules.summary?.skillCeilings));
  const open = $derived(all?.find((e) => e.id === openId) ?? shown[0]);
  const patterns = $derived([...new Set((all ?? []).map((e) => e.pattern))].toSorted());
  const muscles = $derived([...new Set((all ?? []).flatMap((e) => Object.keys(e.muscles)))].toSorted());
  const narrowed = $derived(JSON.stringify(filter) !== JSON.stringify(noFilter));

  onMount(() => () => keeping.release(own.keeper));
  onMount(() => {
    crumbs.set({ text: 'Roster', href: p('/') }, { text: 'Catalogue' });
    for (const key of Object.keys(noFilter) as (keyof Filter)[]) {
      const asked = searchParams.get(key);
      if (asked !== null && asked !== undefined) filter[key] = asked === 'any' ? '' : String(asked);
    }

    openId = String(searchParams.get('exercise') ?? '');
    Promise.all([read(), domainRules.load()]).catch((error: unknown) => toasts.problem(error));
    return keys.add('Catalogue', [
      { key: '/', label: 'search', run: () => search?.focus() },
      { key: 'arrowdown', label: 'next exercise', run: () => move(1) },
      { key: 'arrowup', label: 'exercise before', run: () => move(-1) },
      { key: 'n', label: 'a new exercise, like the open one', run: () => open && own.startFrom(open) },
      { key: 'e', label: 'change the open exercise', run: () => open && own.change(open) },
      { key: 'escape', label: 'clear the filter', run: () => (filter = { ...noFilter }) },
    ]);
  });

  // The filter and the open exercise stand in the address.
  $effect(() => {
    if (!all) return;
    const changed = Object.entries(filter).map(([key, value]): [string, string | null] => [
      key,
      value === noFilter[key as keyof Filter] ? null : value || 'any',
    ]);
    showInAddress({ ...Object.fromEntries(changed), exercise: openId });
  });

  async function read(): Promise<void> {
    [all] = await Promise.all([ask(() => api.GET('/api/v1/catalogue')), own.load()]);
  }

  async function kept(id: string): Promise<void> {
    await refresh();
    [filter, openId] = [{ ...noFilter, venue: '' }, id];
    toasts.done('The exercise is kept; it is offered from now on.');
  }

  /** Figures on the screen are asked for again. */
  let drawn = $state(0);
  async function refresh(): Promise<void> {
    // The list first: what has left it must not be asked for once more.
    await Promise.all([read(), domainRules.renew()]);
    forgetFigures();
    drawn++;
  }

  async function remove(id: string): Promise<void> {
    const removed = own.find(id);
    if (!removed) return;
    try {
      await own.remove(removed);
      await refresh();
      toasts.done(
        `${removed.value.name} is as it ships again, or gone.`,
        () => void own.restore(removed).then(refresh, (error: unknown) => toasts.problem(error)),
      );
    } catch (error) {
      toasts.problem(error);
    }
  }

  function move(by: number): void {
    const at = shown.findIndex((e) => e.id === open?.id);
    openId = shown[Math.min(Math.max(0, at + by), shown.length - 1)]?.id ?? '';
    document.getElementById(`exercise-${openId}`)?.scrollIntoView({ block: 'nearest' });
  }
</script>

{#snippet choice(label: string, key: keyof Filter, options: [string, string][])}
  <label>
    <span class="label-text">{label}</span>
    <select class="select select-sm w-full" bind:value={filter[key]}>
      <option value="">any</option>
      {#each options as [value, text] (value)}<option {value}>{text}</option>{/each}
    </select>
  </label>
{/snippet}

<main id="main" class="flex min-h-0 flex-1 flex-col lg:h-[calc(100dvh-3.1rem)] lg:flex-none">
  <div
    class="rule-b grid grid-cols-2 items-end gap-3 px-5 py-3 md:grid-cols-4 lg:grid-cols-[1.6fr_repeat(6,1fr)]"
  >
    <h1 class="sr-only">Catalogue</h1>
    <label>
      <span class="label-text">Search <span class="keycap">/</span></span>
      <input
        class="input input-sm w-full"
        type="search"
        placeholder="name, synonym, pattern"
        bind:this={search}
        bind:value={filter.text}
      />
    </label>
    {@render choice(
      'Pattern',
      'pattern',
      patterns.map((x) => [x, inWords(x)]),
    )}
    {@render choice(
      'Main muscle',
      'muscle',
      muscles.map((x) => [x, inWords(x)]),
    )}
    {@render choice('With', 'kit', kits)}
    {@render choice(
      'For',
      'level',
      levels.map((x) => [x, x]),
    )}
    {@render choice(
      'Sparing the',
      'spare',
      joints.map((x) => [x, inWords(x)]),
    )}
    {@render choice('Where', 'venue', [
      ['home', 'at home'],
      ['gym', 'in the gym'],
    ])}
  </div>
  <div class="grid min-h-0 flex-1 lg:grid-cols-[minmax(0,1fr)_minmax(380px,40vw)]">
    <section class="min-w-0 lg:overflow-y-auto" aria-label="Exercises">
      <p class="soft rule-b sticky top-0 bg-base-200 px-5 py-1.5 text-plain" role="status">
        {#if !all}Reading the catalogue …{:else}{count(shown.length, 'exercise')}{narrowed
            ? ` of ${all.length}`
            : ''}{#if narrowed}<button class="link ml-2" onclick={() => (filter = { ...noFilter })}
              >Clear the filter</button
            >{/if}{/if}
      </p>
      <ul>
        {#each shown as exercise, i (exercise.id)}
          {#if exercise.pattern !== shown[i - 1]?.pattern}
            <li class="px-5 pt-3 pb-1" aria-hidden="true">
              <span class="font-display text-base font-semibold">{sentence(inWords(exercise.pattern))}</span>
            </li>
          {/if}
          <li class="rule-b" id="exercise-{exercise.id}">
            <button
              class={[
                'grid w-full cursor-pointer grid-cols-[44px_minmax(0,1.2fr)_minmax(0,1fr)_13rem] items-center gap-3 px-5 py-1 text-left hover:bg-base-100 max-md:grid-cols-[44px_minmax(0,1.2fr)_minmax(0,1fr)]',
                exercise.id === open?.id && 'bg-base-100 shadow-[inset_4px_0_0_var(--color-primary)]',
              ]}
              aria-pressed={exercise.id === open?.id}
              onclick={() => (openId = exercise.id)}
            >
              {#key drawn}<FigureOf of={{ exerciseId: exercise.id }} size={44} />{/key}
              <span class="font-semibold"
                >{exercise.name}{#if own.find(exercise.id)}<span
                    class="ml-2 text-note font-normal text-secondary">yours</span
                  >{/if}</span
              >
              <span class="soft text-plain"
                >{Object.entries(exercise.muscles)
                  .filter(([, share]) => share >= 0.8)
                  .map(([m]) => inWords(m))
                  .join(', ')}</span
              >
              <span class="figures soft text-right text-note"
                >{inWords(exercise.family)} {exercise.rung} · skill {exercise.skill}</span
              >
            </button>
          </li>
        {:else}
          {#if all}<li class="p-6">
              Nothing fits all of that. <button class="link" onclick={() => (filter = { ...noFilter })}
                >Clear the filter</button
              >
            </li>{/if}
        {/each}
      </ul>
    </section>
    <aside class="rule-l min-w-0 bg-base-100 max-lg:border-t lg:overflow-y-auto" aria-label="The exercise">
      {#if open}
        {#key drawn}<ExerciseCard
            exercise={open}
            own={own.find(open.id) !== undefined}
            onnew={() => open && own.startFrom(open)}
            onchange={() => open && own.change(open)}
            onremove={() => open && void remove(open.id)}
            named={(id) => all?.find((e) => e.id === id)?.name}
            onopen={(id) => (openId = id)}
          />{/key}
      {/if}
    </aside>
  </div>
</main>

<ExerciseEditor {own} all={all ?? []} onsaved={(id) => void kept(id)} />
