<script lang="ts">
  import type { Exercise } from '../../shared/api/types';
  import BodyMap from '../../shared/figures/BodyMap.svelte';
  import FigureOf from './FigureOf.svelte';
  import { domainRules } from '../domainRules.svelte';
  import { inWords, sentence } from '../../shared/words';

  interface Props {
    exercise: Exercise;
    /** It is the practice's own, or changed by it. */
    own: boolean;
    onnew: () => void;
    onchange: () => void;
    onremove: () => void;
    named: (id: string) => string | undefined;
    onopen: (id: string) => void;
  }

  let { exercise, own, onnew, onchange, onremove, named, onopen }: Props = $props();
  const muscles = $derived(Object.entries(exercise.muscles).toSorted((a, b) => b[1] - a[1]));
  const joints = $derived(Object.entries(exercise.joints).toSorted((a, b) => b[1] - a[1]));
  const stress = ['', 'light', 'medium', 'heavy'];
  const anchor = $derived(
    domainRules.summary?.anchors.find((a) => a.id === exercise.strength?.anchor)?.label.toLowerCase(),
  );
  const readable = (text: string): string =>
    sentence(text.replaceAll('{load}', 'a load').replaceAll(/[{}]/g, ''));
</script>

<article class="grid grid-cols-1 gap-4 p-5">
  <header>
    <h2 class="text-2xl">{exercise.name}</h2>
    {#if exercise.synonyms.length > 0}<p class="soft text-plain">also {exercise.synonyms.join(', ')}</p>{/if}
    <p class="mt-1">
      {sentence(inWords(exercise.pattern))}, {exercise.structure}, {exercise.sides === 'unilateral'
        ? 'one side at a time'
        : 'both sides together'}, {exercise.chain} chain, {exercise.plane} plane;
      {exercise.profile === 'even' ? 'even over the range' : `hardest ${inWords(exercise.profile)}`}
    </p>
    <p class="soft text-plain">
      {exercise.venues.map((v) => (v === 'home' ? 'at home' : 'in the gym')).join(' and ')}; skill {exercise.skill}
      of 5, familiar {exercise.familiarity} of 5{exercise.impact
        ? `; impact ${exercise.impact} of 3`
        : ''}{exercise.headDown ? '; head below the hips' : ''}
    </p>
    <p class="mt-2 flex flex-wrap gap-2">
      <button class="btn btn-xs" onclick={onchange}
        >{own ? 'Change' : 'Change for my practice'} <span class="keycap">E</span></button
      >
      <button class="btn btn-xs" onclick={onnew}>New one like it <span class="keycap">N</span></button>
      {#if own}<button class="btn btn-ghost btn-xs" onclick={onremove}>Remove mine</button>{/if}
    </p>
    {#if exercise.offByDefault}<p class="mt-1 border-l-2 border-error pl-2">{exercise.offByDefault}</p>{/if}
  </header>

  <FigureOf of={{ exerciseId: exercise.id }} size={280} live tempo={exercise.tempo ?? '3-0-1-0'} />

  <section aria-label="Muscles">
    <h3 class="mb-1 text-base">Muscles</h3>
    <div class="grid items-start gap-4 sm:grid-cols-[auto_minmax(0,1fr)]">
      <BodyMap muscles={exercise.muscles} of="front and back" />
      <ul class="grid gap-0.5">
        {#each muscles as [muscle, share] (muscle)}
          <li class="grid grid-cols-[8rem_1fr_3rem] items-center gap-2 text-plain">
            <span>{inWords(muscle)}</span>
            <span class="h-2 bg-base-200"
              ><span class="block h-2 bg-primary" style:width="{share * 100}%"></span></span
            >
            <span class="figures text-right">{Math.round(share * 100)} %</span>
          </li>
        {/each}
      </ul>
    </div>
  </section>

  {#if exercise.setups.length > 0}
    {#if exercise.how}<p>{exercise.how}</p>{/if}
    <section aria-label="Set-ups">
      <h3 class="mb-1 text-base">Set-ups</h3>
      <ul class="grid list-disc gap-1 pl-5 text-plain">
        {#each exercise.setups as setup (setup.id)}
          <li>
            {readable(setup.text)}{setup.steps.length > 0 ? `. ${setup.steps.map(readable).join('. ')}` : ''}
          </li>
        {/each}
      </ul>
    </section>
    <section aria-label="Cues">
      <h3 class="mb-1 text-base">Cues</h3>
      <ol class="list-decimal pl-5 text-plain">
        {#each exercise.cues as cue, i (i)}<li>{cue}</li>{/each}
      </ol>
      {#each exercise.cautions as caution, i (i)}<p class="mt-1 border-l-2 border-warning pl-2 text-plain">
          {caution}
        </p>{/each}
    </section>
  {/if}

  <section class="grid gap-1 text-plain" aria-label="For the engine">
    {#if joints.length > 0}
      <p>
        <b>Joints:</b>
        {joints.map(([joint, n]) => `${inWords(joint)} ${stress[n]}`).join(', ')}
      </p>
    {/if}
    {#if exercise.techniques.length > 0}<p>
        <b>Techniques:</b>
        {exercise.techniques.map(inWords).join(', ')}
      </p>{/if}
    {#if exercise.strength}
      <p>
        <b>Strength:</b>
        <span class="figures">{exercise.strength.ratio}</span> of the {anchor}, {inWords(
          exercise.strength.curve,
        )} curve{exercise.strength.beginnerRatio ? `; beginners ${exercise.strength.beginnerRatio}` : ''}
      </p>
    {/if}
    <p>
      <b>Family:</b>
      {inWords(exercise.family)}, rung {exercise.rung}.
      {#if exercise.easier && named(exercise.easier)}Easier:
        <button class="link" onclick={() => exercise.easier && onopen(exercise.easier)}
          >{named(exercise.easier)}</button
        >.{/if}
      {#if exercise.harder && named(exercise.harder)}Harder:
        <button class="link" onclick={() => exercise.harder && onopen(exercise.harder)}
          >{named(exercise.harder)}</button
        >.{/if}
    </p>
  </section>
</article>
