<script lang="ts">
  import { toasts } from '../toasts.svelte';
</script>

<div class="no-print toast toast-end z-50 max-w-md" aria-live="polite">
  {#each toasts.list as toast (toast.id)}
    <div
      class={[
        'sheet flex items-start gap-3 border-l-4 p-3 whitespace-normal shadow-md',
        toast.tone === 'problem' ? 'border-l-error' : 'border-l-primary',
      ]}
      role={toast.tone === 'problem' ? 'alert' : 'status'}
    >
      <p class="min-w-0 flex-1">{toast.text}</p>
      {#if toast.undo}
        <button
          class="btn btn-sm"
          onclick={() => {
            toast.undo?.();
            toasts.close(toast.id);
          }}>Undo</button
        >
      {/if}
      <button
        class="btn btn-ghost btn-sm"
        onclick={() => toasts.close(toast.id)}
        aria-label="Close the message">×</button
      >
    </div>
  {/each}
</div>
