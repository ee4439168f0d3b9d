<script lang="ts">
  import type { Snippet } from 'svelte';

  interface Props {
    /** What is seldom wanted. */
    more?: Snippet;
    /** The one thing that comes next. */
    children: Snippet;
  }

  let { more, children }: Props = $props();
</script>

<!-- Under the thumb; beside one another where the phone lies on its side. -->
<div
  class="fixed inset-x-0 bottom-0 border-t border-base-300 bg-base-200 px-4 pt-2 pb-[calc(12px+env(safe-area-inset-bottom))]"
>
  <div
    class="mx-auto max-w-xl [@media(max-height:480px)]:max-w-3xl [@media(max-height:480px)]:flex [@media(max-height:480px)]:items-center [@media(max-height:480px)]:gap-3"
  >
    {#if more}
      <div class="mb-1 flex justify-between gap-2 whitespace-nowrap [@media(max-height:480px)]:mb-0">
        {@render more()}
      </div>
    {/if}
    {@render children()}
  </div>
</div>
