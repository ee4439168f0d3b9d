<script lang="ts">
  import type { Joint, ClientAppStopSign } from '../types';
  import PainBody from './PainBody.svelte';
  import Sheet from './Sheet.svelte';

  interface Props {
    signs: ClientAppStopSign[];
    /** A sign was tapped: training ends, and the coach is told. */
    onsign: (sign: ClientAppStopSign, joint: Joint | null) => void;
  }

  let { signs, onsign }: Props = $props();
  let open = $state(false);
  let picked = $state<ClientAppStopSign | null>(null);
  let joint = $state<Joint | null>(null);
  const ofBody = $derived(signs.filter((s) => !s.ofLimb));
  const ofLimb = $derived(signs.filter((s) => s.ofLimb));

  const close = (): void => {
    [open, picked, joint] = [false, null, null];
  };
  const say = (sign: ClientAppStopSign, where: Joint | null): void => {
    close();
    onsign(sign, where);
  };
</script>

<button class="plain text-error" onclick={() => (open = true)}>Stop signs</button>
{#if open}
  <Sheet title={picked ? 'Where?' : 'Stop signs'} onclose={close}>
    {#if picked}
      <p class="mt-2 text-lead">{picked.label}</p>
      <div class="mt-3"><PainBody {joint} onpick={(j) => (joint = joint === j ? null : j)} /></div>
      <button class="go mt-4" onclick={() => say(picked!, joint)}
        >{joint ? 'Stop here' : 'Somewhere else: stop here'}</button
      >
    {:else}
      <p class="mt-2 text-lead">
        Is it one of these? Tap it: training stops, you read what to do, and your coach is told.
      </p>
      <h3 class="mt-3 mb-1 text-lead" id="of-body">You</h3>
      <ul class="grid gap-2" aria-labelledby="of-body">
        {#each ofBody as sign (sign.id)}
          <li>
            <button class="tap w-full justify-start text-left" onclick={() => say(sign, null)}
              >{sign.label}</button
            >
          </li>
        {/each}
      </ul>
      <h3 class="mt-3 mb-1 text-lead" id="of-limb">An arm, a leg, a joint</h3>
      <ul class="grid gap-2" aria-labelledby="of-limb">
        {#each ofLimb as sign (sign.id)}
          <li>
            <button class="tap w-full justify-start text-left" onclick={() => (picked = sign)}
              >{sign.label}</button
            >
          </li>
        {/each}
      </ul>
      <p class="mt-3">
        Your coach is no clinician, and neither is this page. In doubt call the emergency number.
      </p>
    {/if}
  </Sheet>
{/if}
