<script lang="ts">
  import type { PainOnTheSpot } from '../types';
  import Sheet from './Sheet.svelte';

  interface Props {
    pain: PainOnTheSpot;
    onend: () => void;
  }

  let { pain, onend }: Props = $props();
  let open = $state(false);
</script>

<button class="plain text-error" onclick={() => (open = true)}>Stop signs</button>
{#if open}
  <Sheet title="Stop signs" onclose={() => (open = false)}>
    <p class="mt-2 text-lead">{pain.stopSigns}</p>
    <p class="mt-3">
      When it does not pass at once, call the emergency number. Your coach is no clinician, and neither is
      this page.
    </p>
    <button
      class="go mt-4"
      onclick={() => {
        open = false;
        onend();
      }}>End the session</button
    >
  </Sheet>
{/if}
