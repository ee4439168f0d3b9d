<script lang="ts">
  import { api, ask } from '../api/client';
  import type { LoggedExercise, SavedSession } from '../../shared/api/types';
  import { toasts } from '../toasts.svelte';
  import { domainRules } from '../domainRules.svelte';
  import { count, day } from '../../shared/words';
  import type { LogBook } from './logBook.svelte';

  interface Props {
    book: LogBook;
  }

  let { book }: Props = $props();
  let all = $state(false);
  let typingIn = $state('');
  let text = $state('');
  let wrong = $state('');
  const shown = $derived(all ? book.sessions : book.sessions.slice(0, 6));

  /** Two entries of one day with the same exercises: both stay, the coach decides. */
  const twice = (session: SavedSession): boolean =>
    book.sessions.some(
      (s) =>
        s.id !== session.id &&
        s.value.performedOn === session.value.performedOn &&
        s.value.exercises.some((e) => session.value.exercises.some((x) => x.exerciseId === e.exerciseId)),
    );

  async function keep(event: SubmitEvent, session: SavedSession, at: number): Promise<void> {
    event.preventDefault();
    const rest = $state.snapshot(session.value.exercises) as LoggedExercise[];
    try {
      if (text.trim()) {
        const read = await ask(() => api.POST('/api/v1/shorthand/sets', { body: { text } }));
        if (read.error) {
          wrong = read.error;
          return;
        }

        rest[at] = { ...rest[at]!, sets: read.sets };
      } else rest.splice(at, 1);

      typingIn = '';
      await (rest.length > 0 ? book.change(session, rest) : book.remove(session));
    } catch (error) {
      toasts.problem(error);
    }
  }
</script>

<section class="sheet p-5" aria-labelledby="sessions">
  <h2 id="sessions" class="mb-2 text-xl">Logged sessions</h2>
  <ul>
    {#each shown as session (session.id)}
      <li class="rule-b py-2 last:border-b-0">
        <div class="flex flex-wrap items-baseline gap-x-3">
          <b>{day(session.value.performedOn)}</b>
          <span class="soft flex-1 text-sm"
            >version {session.value.planVersion}{session.value.effort
              ? `, effort ${session.value.effort}`
              : ''}{session.value.minutes ? `, ${session.value.minutes} min` : ''}{session.value.source ===
            'file'
              ? ', from a file'
              : session.value.source === 'client'
                ? ', from the client'
                : ''}</span
          >
          <button class="btn btn-ghost btn-xs" onclick={() => void book.remove(session)}>Remove</button>
        </div>
        {#if twice(session)}<p class="border-l-2 border-warning pl-2 text-sm">
            Logged twice on this day. Both stand; the fuller one decides. Remove the one that is wrong.
          </p>{/if}
        {#each session.value.exercises as exercise, i (`${exercise.line}/${exercise.exerciseId}`)}
          {@const key = `${session.id}/${i}`}
          {#if typingIn === key}
            <form onsubmit={(event) => keep(event, session, i)}>
              <!-- svelte-ignore a11y_autofocus -->
              <input
                class="figures input input-sm my-0.5 w-full"
                aria-label="Sets of {domainRules.exerciseName(exercise.exerciseId)}; empty takes it out"
                autofocus
                maxlength="400"
                bind:value={text}
                onkeydown={(event) => event.key === 'Escape' && (typingIn = '')}
              />
              {#if wrong}<p class="text-note text-error" role="alert">{wrong}</p>{/if}
            </form>
          {:else}
            <button
              class="block min-h-6 w-full cursor-text rounded py-0.5 text-left text-sm hover:bg-base-200"
              onclick={() => ([typingIn, text, wrong] = [key, exercise.written ?? '', ''])}
            >
              {domainRules.exerciseName(exercise.exerciseId)}:
              <span class="figures">{exercise.written}</span>
            </button>
          {/if}
        {/each}
        {#if session.value.note}<p class="soft text-sm">{session.value.note}</p>{/if}
      </li>
    {:else}
      <li class="soft">None yet. Type the first one on the left; partial logs are fine.</li>
    {/each}
  </ul>
  {#if book.sessions.length > shown.length}
    <button class="btn btn-ghost btn-sm mt-2" onclick={() => (all = true)}
      >Show all {count(book.sessions.length, 'session')}</button
    >
  {/if}
</section>
