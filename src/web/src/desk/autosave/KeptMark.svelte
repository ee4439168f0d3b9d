<script lang="ts" generics="T">
  import type { Keeper } from './saver.svelte';

  interface Props {
    keeper: Keeper<T>;
    /** Opens what has to be decided after a conflict. */
    onconflict?: () => void;
  }

  let { keeper, onconflict }: Props = $props();
  const words: Record<typeof keeper.state, string> = {
    saved: 'Saved',
    waiting: 'Saving …',
    saving: 'Saving …',
    refused: 'Not saved',
    conflict: 'Changed elsewhere',
    unreachable: 'Kept here; the server does not answer, trying again',
    kept: 'Kept in this browser, not saved yet',
  };
</script>

<span
  role="status"
  data-keeping={keeper.state}
  class={[
    'text-note',
    ['refused', 'conflict', 'unreachable'].includes(keeper.state) ? 'font-semibold text-error' : 'soft',
  ]}
  >{words[keeper.state]}{#if keeper.state === 'refused' && keeper.refusal}: {keeper.refusal}{/if}{#if keeper.state === 'conflict' && onconflict}
    <button type="button" class="link inline-flex min-h-6 items-center" onclick={onconflict}>Decide</button
    >{/if}</span
>
