<script lang="ts">
  import type { HomeExercise, PackedBag, RiggedBand } from '../api/types';
  import { bagSketch } from './bagSketch';
  import { bandSketch } from './bandSketch';
  import { leverSketch } from './leverSketch';
  import SketchPicture from './SketchPicture.svelte';

  interface Props {
    bag?: PackedBag | null | undefined;
    bands?: RiggedBand[] | undefined;
    checks?: HomeExercise['checks'] | undefined;
    /** For a phone on the floor. */
    large?: boolean;
  }

  let { bag, bands = [], checks = [], large = false }: Props = $props();
  const levers = $derived(
    checks.flatMap((check) =>
      check.lever ? [{ lever: check.lever, chair: check.kind === 'chair-back', thing: check.thing }] : [],
    ),
  );
</script>

{#if bag && bag.contents.length > 0}
  <figure class={['sketch', large && 'large']}>
    <figcaption class={large ? 'text-body font-semibold' : 'label-text'}>
      {bag.hands === 2 ? 'Packed the same for each hand' : `Packed, ${bag.massKg} kg`}
    </figcaption>
    <div class="flex flex-wrap items-center gap-3">
      <SketchPicture sketch={bagSketch(bag)} />
      <div class={['min-w-40 flex-1', large ? 'text-body' : 'text-plain']}>
        <ol class="list-decimal pl-5">
          {#each bag.contents as content, i (i)}
            <li>
              {content.count > 1
                ? `${content.count} × `
                : ''}{content.name}{#if !content.name.endsWith(' kg')},
                <span class="figures">{content.massKg} kg</span>{content.count > 1 ? ' each' : ''}{/if}
            </li>
          {/each}
        </ol>
        <p class={['soft mt-1', !large && 'text-note']}>
          <span class="figures">{bag.contentKg} of {bag.mostKg} kg</span>{#if bag.filledL > 0}&#32;·&#32;<span
              class="figures">{bag.filledL} of {bag.volumeL} L</span
            >{/if}
        </p>
      </div>
    </div>
  </figure>
{/if}
{#each bands as band, i (i)}
  <figure class={['sketch', large && 'large']}>
    <figcaption class={large ? 'text-body font-semibold' : 'label-text'}>
      {band.name}{band.doubled ? ', doubled' : ''}
    </figcaption>
    <SketchPicture sketch={bandSketch(band)} />
  </figure>
{/each}
{#each levers as { lever, chair, thing }, i (i)}
  <figure class={['sketch', large && 'large']}>
    <figcaption class={large ? 'text-body font-semibold' : 'label-text'}>{thing}</figcaption>
    <SketchPicture sketch={leverSketch(lever, chair)} />
  </figure>
{/each}

<style>
  .sketch {
    margin-top: 0.75rem;
  }
  /* A third larger: its words are read from the floor. */
  .large :global(svg) {
    zoom: 1.33;
  }
</style>
