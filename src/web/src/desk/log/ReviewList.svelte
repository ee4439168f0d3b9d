<script lang="ts">
  import { onMount, untrack } from 'svelte';
  import { api, ask } from '../api/client';
  import type { ChangedLine, HomeEdit, Proposal } from '../../shared/api/types';
  import { p } from '../router';
  import { keeping } from '../autosave/autosave.svelte';
  import { toasts } from '../toasts.svelte';
  import { domainRules } from '../domainRules.svelte';
  import { count, day, inWords, rest, sentence } from '../../shared/words';
  import type { LogBook } from './logBook.svelte';
  import { keyOf, sharedReasons, shown } from './review';

  interface Props {
    book: LogBook;
  }

  let { book }: Props = $props();
  const next = $derived(book.next);
  /** Lines that the coach leaves as they are. */
  let left = $state<string[]>([]);
  let changed = $state<Record<string, HomeEdit>>({});
  let typed = $state<Record<string, string>>({});
  let typingIn = $state('');
  let text = $state('');
  let wrong = $state('');
  let onPhone = $state(false);
  /** The next week goes to the phone with the same press. */
  let sends = $state(true);
  const keeper = keeping.keep<{
    left: string[];
    changed: Record<string, HomeEdit>;
    typed: Record<string, string>;
  }>({
    now: () => ({
      left: $state.snapshot(left),
      changed: $state.snapshot(changed) as Record<string, HomeEdit>,
      typed: $state.snapshot(typed),
    }),
    restore: (kept) => void ({ left, changed, typed } = kept),
    asks: false,
  });
  onMount(() => {
    book.onPhone().then(
      (is) => (onPhone = is),
      () => (onPhone = false),
    );
    void keeper.on(`review-${book.id}-${book.plan?.value.version ?? 0}`, null);
    return () => keeping.release(keeper);
  });
  $effect(() => {
    const any = left.length > 0 || Object.keys(changed).length > 0;
    untrack(() => {
      if (any) keeper.changed();
      else if (keeper.open) keeper.settled();
    });
  });
  const taken = $derived(
    (next?.proposals ?? []).filter((x) => !left.includes(keyOf(x)) && (x.changes || changed[keyOf(x)])),
  );
  /** The same again is decided, too: the log that asked has its answer. */
  const same = $derived(
    (next?.proposals ?? []).filter((x) => x.decision === 'repeat' && !x.changes && !taken.includes(x)),
  );
  const accepted = $derived([...taken, ...same]);
  /** What accepting would change on lines that nobody decides on. */
  let beside = $state<ChangedLine[]>([]);
  $effect(() => {
    const [asked, figures] = [accepted, $state.snapshot(changed) as Record<string, HomeEdit>];
    if (asked.length === 0) {
      beside = [];
      return;
    }
    const soon = setTimeout(() => {
      book.beside(asked, figures).then(
        (lines) => asked === accepted && (beside = lines),
        () => (beside = []), // accepting says what is wrong
      );
    }, 150);
    return () => clearTimeout(soon);
  });
  /** A phase that starts is said once, not on every line. */
  const phase = $derived(next?.phase);
  const shared = $derived(sharedReasons(next?.proposals ?? []));
  const saidAbove = (x: Proposal): boolean =>
    shared.some((s) => s.decision === x.decision && s.reason === x.reason);
  const needsWorkbench = ['swap', 'change', 'ease'];

  export async function accept(): Promise<void> {
    if (accepted.length === 0) return;
    await book.accept(accepted, $state.snapshot(changed) as Record<string, HomeEdit>, onPhone && sends);
    [left, changed, typed] = [[], {}, {}];
  }

  function write(proposal: Proposal): void {
    [typingIn, text, wrong] = [keyOf(proposal), proposal.doseAsTyped, ''];
  }

  async function keep(event: SubmitEvent, proposal: Proposal): Promise<void> {
    event.preventDefault();
    try {
      const read = await ask(() =>
        api.POST('/api/v1/shorthand/dose', {
          body: { text, line: proposal.line, exerciseId: proposal.exerciseId },
        }),
      );
      if (!read.edit) wrong = read.error ?? 'It cannot be read.';
      else {
        changed[keyOf(proposal)] = read.edit;
        typed[keyOf(proposal)] = text;
        left = left.filter((k) => k !== keyOf(proposal));
        typingIn = '';
      }
    } catch (error) {
      toasts.problem(error);
    }
  }

  function toggle(key: string): void {
    left = left.includes(key) ? left.filter((k) => k !== key) : [...left, key];
  }
</script>

{#if next}
  <section class="sheet p-5" aria-labelledby="next">
    <div class="flex flex-wrap items-baseline gap-3">
      <h2 id="next" class="flex-1 text-xl">Review: the next session</h2>
      {#if next.basedOn}
        {#if onPhone}
          <label class="flex items-center gap-2 text-sm">
            <input type="checkbox" class="checkbox checkbox-sm" bind:checked={sends} /> send it to the phone
          </label>
        {/if}
        <button
          class="btn btn-primary btn-sm"
          disabled={book.busy || accepted.length === 0}
          onclick={() => void accept()}
          >Accept {taken.length > 0
            ? count(taken.length, 'change')
            : same.length > 0
              ? 'the same again'
              : 'all'}{beside.length > 0 ? ` and ${beside.length} beside` : ''}
          <span class="keycap">A</span></button
        >
      {/if}
    </div>
    <p class="soft mb-2 text-sm">
      {next.basedOn
        ? `Proposed from all that was logged up to ${day(next.basedOn)}. Untick what shall stay; type over what you want otherwise.`
        : 'Nothing is logged yet: do the plan as written.'}
    </p>
    {#if beside.length > 0}
      <section class="mb-2 border-l-4 border-warning pl-3 text-sm" aria-labelledby="beside">
        <h3 id="beside" class="font-semibold">
          Changes beside: {count(beside.length, 'line')} nobody decided on
        </h3>
        <ul>
          {#each beside as line (line.line)}
            <li>{line.gym}: {line.before || 'left out'} → {line.after || 'left out'}</li>
          {/each}
        </ul>
        <p class="soft">What they hung on is no longer here. To leave them, untick what you do not want.</p>
      </section>
    {/if}
    {#if phase}
      <p class="mb-2 border-l-4 border-secondary pl-3 text-sm">
        {phase}
        <a class="link" href={p('/plans/:id/block', { params: { id: String(book.id) } })}>Open the block</a>
      </p>
    {/if}
    {#each shared as same (same.decision + same.reason)}
      <p class="mb-2 border-l-4 border-primary pl-3 text-sm">
        <b>{sentence(inWords(same.decision))}</b>, {count(same.lines, 'exercise')}: {same.reason}
      </p>
    {/each}
    <ul>
      {#each next.proposals as proposal (keyOf(proposal))}
        {@const key = keyOf(proposal)}
        {@const { dose, kg } = shown(proposal)}
        <li class="rule-b py-2 last:border-b-0">
          <div class="flex flex-wrap items-baseline gap-x-3">
            {#if proposal.changes || changed[key]}
              <input
                type="checkbox"
                class="checkbox checkbox-sm self-center"
                aria-label="Take the change of {proposal.name}"
                checked={!left.includes(key)}
                onchange={() => toggle(key)}
              />
            {/if}
            <span class="font-semibold">{proposal.name}</span>
            <span class={['text-sm', proposal.flagsCoach ? 'font-semibold text-error' : 'text-primary']}
              >{sentence(inWords(proposal.decision))}</span
            >
            {#if changed[key]}<span class="text-sm text-secondary">changed by you</span>{/if}
            <button
              class="figures ml-auto min-h-6 cursor-text rounded px-1 text-right hover:bg-base-200"
              onclick={() => write(proposal)}
              ><b>{changed[key] ? typed[key] : dose.figures}</b>
              {#if !changed[key]}{kg > 0 ? `${kg} kg ` : ''}{dose.timed ? '' : dose.tempo}
                {rest(dose.restSeconds)}{/if}
              <span class="sr-only">, change the dose of {proposal.name}</span></button
            >
          </div>
          {#if typingIn === key}
            <form class="mt-1" onsubmit={(event) => keep(event, proposal)}>
              <!-- svelte-ignore a11y_autofocus -->
              <input
                class="figures input input-sm w-full"
                aria-label="Dose of {proposal.name}, in shorthand"
                autofocus
                spellcheck="false"
                maxlength="200"
                bind:value={text}
                onkeydown={(event) => event.key === 'Escape' && (typingIn = '')}
              />
              {#if wrong}<p class="text-note text-error" role="alert">{wrong}</p>{/if}
            </form>
          {/if}
          {#if !saidAbove(proposal) || needsWorkbench.includes(proposal.decision)}
            <p class="text-sm">
              {#if !saidAbove(proposal)}{proposal.reason}{/if}
              {#if needsWorkbench.includes(proposal.decision) && book.plan}
                <a
                  class="link"
                  href={p('/clients/:id/workbench', {
                    params: { id: String(book.plan.value.clientId) },
                    search: { plan: book.id, key: proposal.line },
                  })}>See the candidates</a
                >
              {/if}
            </p>
          {/if}
        </li>
      {/each}
    </ul>
    {#if next.aside.length > 0}
      <details class="mt-2 text-sm">
        <summary class="cursor-pointer py-1"
          >{count(next.aside.length, 'logged exercise')} set aside: no line of the plan answers to {next.aside
            .length === 1
            ? 'it'
            : 'them'} now</summary
        >
        <ul class="mt-1 grid gap-1">
          {#each next.aside as aside, i (i)}
            <li>{day(aside.day)}: {domainRules.exerciseName(aside.exerciseId)}. {aside.reason}</li>
          {/each}
        </ul>
      </details>
    {/if}
  </section>
{/if}
