<script lang="ts">
  import type { ClientAppHold } from '../types';

  interface Props {
    hold: ClientAppHold;
    coach: string;
    /** The coach has it. */
    told: boolean;
  }

  let { hold, coach, told }: Props = $props();
</script>

<main class="mx-auto grid w-full max-w-xl content-start gap-4 px-4 pt-8 pb-16" id="main">
  <h1 class="text-hero text-error">Stop here</h1>
  {#each hold.toDo as todo, i (i)}
    <p class="rounded-xl border-2 border-error p-4 text-title font-semibold" role="alert">{todo}</p>
  {/each}
  <p class="text-lead" role="status">
    {#if told}{coach || 'Your coach'} has been told. {hold.say}{:else}{hold.say}{/if}
  </p>
  <p>
    What you did today is kept. If you can, tell somebody near you. Your coach is no clinician, and neither is
    this page.
  </p>
</main>
