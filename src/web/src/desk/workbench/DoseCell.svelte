<script lang="ts">
  import { onMount, tick } from 'svelte';
  import { api, ask } from '../api/client';
  import type { ExerciseInBrief } from '../../shared/api/types';
  import { draftsHere, draftsNow } from '../autosave/tab';
  import { toasts } from '../toasts.svelte';
  import { after } from '../../shared/words';
  import TempoLine from './TempoLine.svelte';
  import type { Workbench } from './workbench.svelte';

  interface Props {
    bench: Workbench;
    line: number;
    home: ExerciseInBrief;
    /** The line is selected, so that the key opens this cell. */
    active: boolean;
    /** The other half of a pair follows at once. */
    goesOn?: boolean;
  }

  let { bench, line, home, active, goesOn = false }: Props = $props();
  const dose = $derived(home.dose);
  let typing = $state(false);
  let text = $state('');
  let wrong = $state('');
  let input = $state<HTMLInputElement>();
  let button = $state<HTMLButtonElement>();
  /** What the field started with. */
  let before = '';
  const id = $props.id();

  $effect(() => {
    if (active && bench.marks.typingIn === line && !typing) void open();
  });

  /** What is being typed here is kept under this name until it is a dose: a reload or a step back loses none of it. */
  const record = $derived(
    `dose-${bench.client?.id ?? 0}-${bench.gym.weekId ?? 0}-${bench.placeId ?? 0}-${line}-${home.exerciseId}`,
  );
  const keep = (): void => void draftsNow().put(record, { value: text, base: null, at: Date.now() });
  const forget = (): void => void draftsHere().then((drafts) => drafts.drop(record));
  onMount(() => {
    const name = record;
    void draftsHere()
      .then((drafts) => drafts.find<string>(name))
      .then((draft) => {
        if (draft && !typing && record === name)
          [text, before, wrong, typing] = [draft.value ?? '', '', '', true];
      });
  });

  async function open(): Promise<void> {
    bench.marks.typingIn = null;
    text = dose.typed;
    before = text;
    wrong = '';
    typing = true;
    await tick();
    input?.focus();
    input?.select();
  }

  /** Back to the dose that stands; the keys of the line go on from there. */
  async function leave(): Promise<void> {
    typing = false;
    forget();
    await tick();
    if (document.activeElement === document.body || !document.activeElement) button?.focus();
  }

  async function submit(event?: SubmitEvent): Promise<void> {
    event?.preventDefault();
    if (text.trim() === before) return leave();
    try {
      const body = { text, line, exerciseId: home.exerciseId };
      const read = await ask(() => api.POST('/api/v1/shorthand/dose', { body }));
      if (read.error || !read.edit) {
        wrong = read.error ?? 'It cannot be read.';
        return;
      }

      await leave();
      await bench.decide.edit(read.edit);
    } catch (error) {
      toasts.problem(error);
    }
  }
</script>

{#if typing}
  <form class="relative z-20 mt-1" onsubmit={submit}>
    <input
      bind:this={input}
      bind:value={text}
      oninput={keep}
      class={['figures input input-sm w-full', wrong && 'border-error']}
      aria-label="Dose of {home.name}, in shorthand"
      aria-invalid={wrong !== ''}
      aria-describedby={wrong ? id : undefined}
      spellcheck="false"
      maxlength="200"
      onkeydown={(event) => {
        event.stopPropagation();
        if (event.key === 'Escape') {
          [text, wrong] = [before, ''];
          void leave();
        } else if (event.key.toLowerCase() === 's' && (event.ctrlKey || event.metaKey)) {
          event.preventDefault();
          void submit();
        }
      }}
      onblur={() => {
        if (typing && !wrong) void submit();
      }}
    />
    {#if wrong}<p {id} class="mt-1 text-note text-error" role="alert">{wrong}</p>{/if}
  </form>
{:else}
  <button
    bind:this={button}
    class="figures relative z-20 -ml-1 mt-0.5 flex max-w-full cursor-text flex-wrap items-center gap-x-4 rounded px-1 text-left hover:bg-base-200"
    aria-label="Set the dose of {home.name}: {dose.figures}, {dose.timed ? '' : `${dose.tempo}, `}{goesOn
      ? ''
      : 'rest '}{after(dose.restSeconds, goesOn)}{dose.timed ? '' : `, ${dose.rir} in reserve`}"
    onclick={open}
  >
    <b class="text-figure tracking-tight">{dose.figures}</b>
    {#if !dose.timed}<span class="flex items-center gap-2 text-plain"
        >{dose.tempo} <TempoLine tempo={dose.tempo} /></span
      >{/if}
    <span class="text-plain">{after(dose.restSeconds, goesOn)}</span>
    {#if !dose.timed}<span class="text-plain text-primary">RIR {dose.rir}</span>{/if}
    {#if home.editedByCoach}<span class="soft text-note">set by you</span>{/if}
  </button>
{/if}
