<script lang="ts">
  import BodyMap from '../../shared/figures/BodyMap.svelte';
  import { figureOf } from './figures';

  interface Props {
    /** Exercise of the gym line; null where it is not known. */
    gym: string | null;
    /** Exercises that are done at home in its place. */
    home: string[];
  }

  let { gym, home }: Props = $props();
  let maps = $state.raw<{ gym: Record<string, number>; home: Record<string, number> } | null>(null);

  $effect(() => {
    const [before, now] = [gym, home];
    let here = true;
    void Promise.all(
      [before, ...now].map((id) => (id ? figureOf({ exerciseId: id }) : Promise.resolve(null))),
    ).then(([first, ...others]) => {
      if (!here) return;
      const all: Record<string, number> = {};
      for (const figure of others)
        for (const [muscle, share] of Object.entries(figure?.muscles ?? {}))
          all[muscle] = Math.max(all[muscle] ?? 0, share);
      maps = { gym: { ...first?.muscles }, home: all };
    });
    return () => {
      here = false;
    };
  });
</script>

{#if maps}
  <div class="flex flex-wrap gap-6">
    {#if gym}<BodyMap muscles={maps.gym} of="in the gym" />{/if}
    <BodyMap muscles={maps.home} of="at home" />
    <p class="soft max-w-40 self-center text-note">
      Close hatching: prime movers; wide: helpers. Front on the left, back on the right.
    </p>
  </div>
{/if}
