<script lang="ts">
  import { untrack } from 'svelte';
  import type { Exercise } from '../../shared/api/types';
  import { domainRules } from '../domainRules.svelte';
  import Dialog from '../ui/Dialog.svelte';
  import { inWords, sentence } from '../../shared/words';
  import ExerciseSetups from './ExerciseSetups.svelte';
  import { keyOf } from '../ui/keyOf';
  import type { OwnExercises } from './ownExercises.svelte';
  import PoseEditor from './PoseEditor.svelte';
  import ShareList from './ShareList.svelte';

  interface Props {
    own: OwnExercises;
    all: Exercise[];
    onsaved: (id: string) => void;
  }

  let { own, all, onsaved }: Props = $props();
  type Choice = 'pattern' | 'plane' | 'structure' | 'sides' | 'chain' | 'profile' | 'measure';
  const draft = $derived(own.draft);
  /** Words of the catalogue's schema, as the server has them. */
  const words = $derived(domainRules.summary?.vocabulary ?? {});
  const id = $props.id();
  const lines = (text: string): string[] =>
    text
      .split('\n')
      .map((l) => l.trim())
      .filter(Boolean);
  const involvement: [number, string][] = [
    [1, 'prime mover'],
    [0.8, 'prime mover, less'],
    [0.5, 'synergist'],
    [0.2, 'stabiliser'],
  ];
  const stress: [number, string][] = [
    [1, 'light'],
    [2, 'medium'],
    [3, 'heavy'],
  ];

  /** Exercises that have a drawing of their own. */
  const drawn = $derived(all.filter((e) => !e.figure).toSorted((a, b) => a.name.localeCompare(b.name)));
  const looksLike = $derived(draft ? (draft.figure ?? draft.id) : '');

  async function save(): Promise<void> {
    const saved = await own.save();
    if (saved) onsaved(saved);
  }

  $effect(() => {
    if (JSON.stringify(own.draft)) untrack(() => own.touched());
  });
</script>

{#snippet pick(label: string, key: Choice)}
  {#if draft}
    <label>
      <span class="label-text">{label}</span>
      <select class="select select-sm w-full" bind:value={draft[key]}>
        {#each words[key] ?? [] as value (value)}<option {value}>{inWords(value)}</option>{/each}
      </select>
    </label>
  {/if}
{/snippet}

{#snippet figure(
  label: string,
  key: 'stability' | 'skill' | 'familiarity' | 'impact' | 'rung',
  min: number,
  max: number,
)}
  {#if draft}
    <label>
      <span class="label-text">{label}, {min}–{max}</span>
      <input class="input input-sm figures w-full" type="number" {min} {max} bind:value={draft[key]} />
    </label>
  {/if}
{/snippet}

{#snippet texts(label: string, key: 'cues' | 'cautions' | 'synonyms', rows: number)}
  {#if draft}
    <label class="block">
      <span class="label-text">{label}, one a line</span>
      <textarea
        class="textarea textarea-sm w-full"
        {rows}
        value={draft[key].join('\n')}
        onchange={(event) => draft && (draft[key] = lines(event.currentTarget.value))}></textarea>
    </label>
  {/if}
{/snippet}

<Dialog
  title={own.fresh ? 'A new exercise' : `Change ${draft?.name ?? ''}`}
  wide
  open={draft !== null}
  onclose={() => own.putAside()}
>
  {#if draft}
    <div class="mt-3 grid gap-4">
      <div class="grid gap-3 md:grid-cols-[2fr_1fr_1fr]">
        <label>
          <span class="label-text">Name</span>
          <input class="input w-full" maxlength="80" bind:value={draft.name} />
        </label>
        <label>
          <span class="label-text">Family</span>
          <input
            class="input w-full"
            list="{id}-families"
            value={inWords(draft.family)}
            onchange={(event) => draft && (draft.family = keyOf(event.currentTarget.value))}
          />
          <datalist id="{id}-families">
            {#each [...new Set(all.map((e) => e.family))].toSorted() as family (family)}<option
                value={inWords(family)}
              ></option>{/each}
          </datalist>
        </label>
        <fieldset>
          <legend class="label-text">Where</legend>
          {#each ['home', 'gym'] as const as venue (venue)}
            <label class="mr-3 inline-flex items-center gap-2 py-2">
              <input type="checkbox" class="checkbox checkbox-sm" value={venue} bind:group={draft.venues} />
              {venue === 'home' ? 'at home' : 'in the gym'}
            </label>
          {/each}
        </fieldset>
      </div>
      <div class="grid grid-cols-2 gap-3 md:grid-cols-4">
        {@render pick('Pattern', 'pattern')}
        {@render pick('Plane', 'plane')}
        {@render pick('Structure', 'structure')}
        {@render pick('Sides', 'sides')}
        {@render pick('Chain', 'chain')}
        {@render pick('Hardest', 'profile')}
        {@render pick('Counted in', 'measure')}
        {@render figure('Rung in the family', 'rung', 1, 99)}
        {@render figure('Skill', 'skill', 1, 5)}
        {@render figure('Familiar', 'familiarity', 1, 5)}
        {@render figure('Balance', 'stability', 0, 3)}
        {@render figure('Impact', 'impact', 0, 3)}
        <label class="flex items-end gap-2 pb-1">
          <input type="checkbox" class="checkbox checkbox-sm" bind:checked={draft.headDown} />
          <span class="text-sm">head below the hips</span>
        </label>
      </div>
      <div class="flex flex-wrap items-end gap-4">
        <label class="min-w-56 flex-1">
          <span class="label-text">Drawn like</span>
          <select
            class="select select-sm w-full"
            value={looksLike}
            onchange={(event) => {
              if (!draft) return;
              [draft.figure, draft.posed] = [event.currentTarget.value || null, null];
            }}
          >
            {#if !drawn.some((e) => e.id === looksLike)}<option value={looksLike}>its family</option>{/if}
            {#each drawn as other (other.id)}<option value={other.id}>{other.name}</option>{/each}
          </select>
        </label>
      </div>
      {#if looksLike}
        <PoseEditor
          exerciseId={looksLike}
          posed={draft.posed}
          onchange={(posed) => draft && (draft.posed = posed)}
        />
      {/if}
      <div class="grid gap-5 md:grid-cols-2">
        <ShareList
          title="Muscles"
          names={words.muscles ?? []}
          levels={involvement}
          shares={draft.muscles}
          onchange={(muscles) => draft && (draft.muscles = muscles)}
        />
        <ShareList
          title="Stress on joints"
          names={words.joints ?? []}
          levels={stress}
          shares={draft.joints}
          onchange={(joints) => draft && (draft.joints = joints)}
        />
      </div>
      <fieldset>
        <legend class="mb-1 font-semibold">Strength</legend>
        <div class="grid gap-3 md:grid-cols-3">
          <label>
            <span class="label-text">Goes with the lift</span>
            <select
              class="select select-sm w-full"
              value={draft.strength?.anchor ?? ''}
              onchange={(event) => {
                const anchor = event.currentTarget.value;
                if (draft)
                  draft.strength = anchor ? { ratio: 0.5, curve: 'middle', ...draft.strength, anchor } : null;
              }}
            >
              <option value="">load is not the measure</option>
              {#each domainRules.summary?.anchors ?? [] as anchor (anchor.id)}<option value={anchor.id}
                  >{anchor.label}</option
                >{/each}
            </select>
          </label>
          {#if draft.strength}
            <label>
              <span class="label-text">Share of that lift’s maximum</span>
              <input
                class="input input-sm figures w-full"
                type="number"
                min="0.01"
                max="10"
                step="0.01"
                bind:value={draft.strength.ratio}
              />
            </label>
            <label>
              <span class="label-text">Reps at a share of the maximum</span>
              <select class="select select-sm w-full" bind:value={draft.strength.curve}>
                <option value="two-legs">most: both legs under body and bar</option>
                <option value="lower">many: press stack, thrust</option>
                <option value="middle">usual: upper-body compound</option>
                <option value="single-joint">few: one joint</option>
              </select>
            </label>
          {/if}
        </div>
      </fieldset>
      <fieldset>
        <legend class="mb-1 font-semibold">Intensity techniques that fit</legend>
        {#each domainRules.summary?.techniques ?? [] as technique (technique)}
          <label class="mr-4 inline-flex items-center gap-2 py-1">
            <input
              type="checkbox"
              class="checkbox checkbox-sm"
              value={technique}
              bind:group={draft.techniques}
            />
            {inWords(technique)}
          </label>
        {/each}
      </fieldset>
      <label>
        <span class="label-text">The movement in one sentence, for those who have never seen it</span>
        <input
          class="input w-full"
          maxlength="220"
          value={draft.how ?? ''}
          onchange={(event) => draft && (draft.how = event.currentTarget.value.trim() || null)}
        />
      </label>
      <div class="grid gap-3 md:grid-cols-3">
        {@render texts('Cues, three at most', 'cues', 3)}
        {@render texts('Cautions', 'cautions', 3)}
        {@render texts('Other names', 'synonyms', 3)}
      </div>
      <ExerciseSetups {draft} {all} />
      {#if own.faults.length > 0}
        <div class="border-l-4 border-error pl-3" role="alert">
          <p class="font-semibold">It cannot be kept like this:</p>
          <ul class="list-disc pl-5">
            {#each own.faults as fault, i (i)}<li>{sentence(fault)}</li>{/each}
          </ul>
        </div>
      {/if}
      {#if own.conflict}
        <p class="border-l-4 border-warning pl-3" role="alert">
          It was changed elsewhere meanwhile.
          <button class="link" onclick={() => void own.save(own.conflict?.revision)}>Keep mine</button>
          or
          <button class="link" onclick={() => own.conflict && own.change(own.conflict.value)}
            >take theirs</button
          >.
        </p>
      {/if}
    </div>
  {/if}
  {#snippet actions()}
    <button class="btn" onclick={() => own.putAside()}>Cancel</button>
    <button class="btn btn-primary" disabled={own.busy} onclick={save}
      >{own.busy ? 'Keeping …' : 'Keep the exercise'}</button
    >
  {/snippet}
</Dialog>
