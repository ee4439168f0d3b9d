<script lang="ts">
  import type { Finding, Remedy } from '../../shared/api/types';
  import FigureOf from '../catalogue/FigureOf.svelte';
  import type { FigureAsked } from '../catalogue/figures';

  interface Props {
    findings: Finding[];
    busy?: boolean;
    /** Opens the line that a finding is about. */
    onopen?: (line: number) => void;
    onremedy?: (remedy: Remedy) => void;
    /** How the exercise of a line looks. */
    figureOf?: (line: number) => FigureAsked | undefined;
    /** Lets a finding stand with a note; an empty note takes it back. */
    onaccept?: (key: string, note: string) => void;
  }

  let { findings, busy = false, onopen, onremedy, onaccept, figureOf }: Props = $props();
  let accepting = $state<string | null>(null);
  let note = $state('');

  const words = { serious: 'Serious', warning: 'To change', hint: 'Hint' };
  const tones = { serious: 'border-error', warning: 'border-warning', hint: 'border-base-300' };

  function accept(event: SubmitEvent, key: string): void {
    event.preventDefault();
    onaccept?.(key, note.trim() || 'accepted');
    accepting = null;
  }
</script>

<ul class="grid gap-2 text-plain">
  {#each findings as finding (finding.key)}
    {@const figure = finding.line ? figureOf?.(finding.line) : undefined}
    <li class={['flow-root border-l-4 pl-2', finding.accepted ? 'border-base-300' : tones[finding.severity]]}>
      {#if figure}<span class="float-right ml-2"><FigureOf of={figure} size={44} /></span>{/if}
      <p>
        <b class={finding.severity === 'serious' && !finding.accepted ? 'text-error' : ''}
          >{finding.accepted ? 'Accepted' : words[finding.severity]}:</b
        >
        {finding.text}
        <span class="soft">{finding.accepted ? `“${finding.accepted}”` : finding.evidence}</span>
      </p>
      <p class="mt-0.5 flex flex-wrap gap-1">
        {#if finding.line && onopen}
          <button class="btn btn-ghost btn-xs" onclick={() => onopen(finding.line ?? 0)}>Show the line</button
          >
        {/if}
        {#if finding.remedy && onremedy && !finding.accepted}
          <button
            class="btn btn-xs h-auto min-h-6 py-0.5 text-left whitespace-normal"
            disabled={busy}
            onclick={() => finding.remedy && onremedy(finding.remedy)}>{finding.remedy.label}</button
          >
        {/if}
        {#if onaccept}
          {#if finding.accepted}
            <button class="btn btn-ghost btn-xs" disabled={busy} onclick={() => onaccept(finding.key, '')}
              >Take that back</button
            >
          {:else if accepting !== finding.key}
            <button
              class="btn btn-ghost btn-xs"
              onclick={() => {
                accepting = finding.key;
                note = '';
              }}>Accept …</button
            >
          {/if}
        {/if}
      </p>
      {#if accepting === finding.key}
        <form class="mt-1 flex gap-1" onsubmit={(event) => accept(event, finding.key)}>
          <!-- svelte-ignore a11y_autofocus -->
          <input
            class="input input-sm min-w-0 flex-1"
            maxlength="300"
            placeholder="why it may stand"
            aria-label="Why it may stand"
            autofocus
            bind:value={note}
            onkeydown={(event) => event.key === 'Escape' && (accepting = null)}
          />
          <button class="btn btn-sm" disabled={busy}>Accept</button>
        </form>
      {/if}
    </li>
  {/each}
</ul>
