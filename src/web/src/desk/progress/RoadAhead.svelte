<script lang="ts">
  import { api, ask } from '../api/client';
  import type { ClientProfile, HomeExercise, PlaceKit, Road } from '../../shared/api/types';
  import FigureOf from '../catalogue/FigureOf.svelte';
  import { toasts } from '../toasts.svelte';
  import { inWords, rest, sentence } from '../../shared/words';

  interface Props {
    client: ClientProfile;
    kit: PlaceKit;
    home: HomeExercise;
    gymLines: string[];
  }

  let { client, kit, home, gymLines }: Props = $props();
  let road = $state.raw<Road | null>(null);

  $effect(() => {
    road = null;
    const asked = home;
    const body = {
      client,
      kit,
      gymLines,
      setupId: asked.setupId,
      spots: asked.spots,
      systemKg: asked.systemLoadKg ?? null,
      figures: {
        line: 1,
        exerciseId: asked.exerciseId,
        sets: asked.dose.sets,
        target: asked.dose.target,
        zone: asked.dose.zone ?? null,
        tempo: asked.dose.tempo,
        restSeconds: asked.dose.restSeconds,
        rir: asked.dose.rir,
        techniques: asked.dose.techniques,
        externalKg: asked.externalKg,
      },
    };
    ask(() => api.POST('/api/v1/road', { body })).then(
      (answer) => {
        if (asked === home) road = answer;
      },
      (error: unknown) => toasts.problem(error),
    );
  });
</script>

<section class="mt-4 border-t border-base-300 pt-3" aria-labelledby="road">
  <h3 id="road" class="text-base">The road ahead here</h3>
  {#if !road}
    <p class="soft text-plain">Looking ahead …</p>
  {:else if road.stops.length === 0}
    <p class="soft text-plain">No step further with what is here.</p>
  {:else}
    <ol class="mt-2 flex flex-wrap gap-y-4 pb-2">
      <li class="w-36 shrink-0 pr-3">
        <span class="block h-3 border-b-2 border-primary" aria-hidden="true"
          ><span class="-mb-1 inline-block size-3 translate-y-1 bg-primary"></span></span
        >
        <FigureOf of={{ ...home, statureCm: client.statureCm }} size={72} />
        <p class="mt-2 text-plain leading-snug"><b>Now</b><br />{home.name}</p>
        <p class="figures text-plain">{home.dose.figures}</p>
      </li>
      {#each road.stops as stop, i (i)}
        <li class="w-44 shrink-0 pr-3">
          <span class="block h-3 border-b-2 border-base-content/40" aria-hidden="true"
            ><span class="-mb-1 inline-block h-3 w-1 translate-y-1 bg-base-content"></span></span
          >
          {#if stop.exerciseId !== (road.stops[i - 1]?.exerciseId ?? home.exerciseId)}
            <FigureOf of={{ ...stop, statureCm: client.statureCm }} size={72} />
          {/if}
          <p class="soft mt-2 text-note">after {stop.earned}</p>
          <p class="text-plain leading-snug" title={stop.reason}>
            <b>{sentence(inWords(stop.decision))}</b
            >{#if stop.name !== (road.stops[i - 1]?.name ?? home.name)}<br />{stop.name}{/if}
          </p>
          <p class="figures text-plain">
            <span class="whitespace-nowrap">{stop.figures}</span>
            <span class="whitespace-nowrap">{stop.tempo}</span>
            <span class="whitespace-nowrap">{rest(stop.restSeconds)}</span>
          </p>
          {#if stop.techniques.length > 0}<p class="text-note leading-snug">
              {sentence(stop.techniques.join(', '))}
            </p>{/if}
          {#if stop.load}<p class="soft text-note leading-snug">{stop.load}</p>{/if}
        </li>
      {/each}
      {#if road.ends}
        <li class="w-44 shrink-0">
          <span class="block h-3 border-b-2 border-transparent" aria-hidden="true"
            ><span class="-mb-1 inline-block h-3 w-3 translate-y-1 border-r-4 border-t-4 border-base-content"
            ></span></span
          >
          <p class="mt-2 text-plain leading-snug">
            <b>Here this kit ends.</b>
            {#if road.longer.length > 0}<br />It goes on with {road.longer.join('; or ')}.{/if}
          </p>
        </li>
      {/if}
    </ol>
  {/if}
</section>
