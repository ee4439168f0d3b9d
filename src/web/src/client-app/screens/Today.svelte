<script lang="ts">
  import Figure from '../../shared/figures/Figure.svelte';
  import { figures } from '../keep/figures.svelte';
  import BottomBar from '../parts/BottomBar.svelte';
  import { count, dayOfYear, inWords, moment } from '../../shared/words';
  import PainBody from '../parts/PainBody.svelte';
  import type { Joint, ClientAppContent, ClientAppHold, SentRelease } from '../types';

  interface Props {
    content: ClientAppContent;
    /** What signs of danger hold, and not all of it. */
    hold: ClientAppHold | null;
    /** A word to the coach on a session. */
    onnote: (session: string, text: string) => void;
    onbegin: (
      sent: SentRelease,
      day: number,
      course: number,
      form: string | null,
      hurts: Joint | null,
    ) => void;
  }

  let { content, hold, onnote, onbegin }: Props = $props();
  let chosen = $state(0);
  const sent = $derived(content.releases[Math.min(chosen, content.releases.length - 1)]!);
  const release = $derived(sent.release);
  /** Finished sessions of this plan, newest first; releases of a plan share their days. */
  const trained = $derived(content.sessions.filter((s) => s.finished && s.planId === sent.planId));
  let picked = $state<number | null>(null);
  const day = $derived(picked ?? (trained[0] ? (trained[0].day + 1) % release.days.length : 0));
  const today = $derived(release.days[day]!);
  let course = $state(0);
  let form = $state<string | null>(null);
  let hurts = $state<Joint | null>(null);
  let hurting = $state(false);
  const way = $derived(today.courses[course] ?? today.courses[0]!);
  const inOrder = $derived([...new Set(way.turns.map((t) => t.exercise))]);
  const setsOf = (key: string): number => way.turns.filter((t) => t.exercise === key).length;
  const lastOf = (i: number): string | null => trained.find((s) => s.day === i)?.performedOn ?? null;
  /** Days that an answer to a sign of danger stays on the first screen. */
  const answerDays = 14;
  const answer = $derived(
    content.answers.find((a) => Date.now() - Date.parse(a.at) < answerDays * 24 * 3_600_000),
  );
  /** What hurt in a session is asked about on the mornings after it, once. */
  const mornings = 3;
  const saidMorning = 'The morning after:';
  let told = $state<string | null>(null);
  const sore = $derived(content.sessions.find((s) => s.finished && s.hurt));
  const daysSince = $derived(
    sore ? Math.round((Date.parse(localDay()) - Date.parse(sore.performedOn)) / 86_400_000) : 0,
  );
  const asks = $derived(
    sore &&
      daysSince >= 1 &&
      daysSince <= mornings &&
      told !== sore.key &&
      !content.notes.some((n) => n.mine && n.session === sore.key && n.text.startsWith(saidMorning)),
  );

  function localDay(): string {
    const now = new Date();
    return new Date(now.getTime() - now.getTimezoneOffset() * 60_000).toISOString().slice(0, 10);
  }

  /** Not back to what it was: what loads it begins with less. */
  function morning(how: string, eases: boolean): void {
    if (!sore?.hurt) return;
    onnote(sore.key, `${saidMorning} the ${inWords(sore.hurt)} ${how}.`);
    told = sore.key;
    if (eases) [hurting, hurts] = [true, sore.hurt];
  }

  const held = (exerciseId: string): boolean => hold?.exercises.includes(exerciseId) ?? false;
  const advice = $derived(release.forms.find((f) => f.id === form)?.advice);
</script>

<main class="mx-auto grid w-full max-w-xl gap-5 px-4 pt-4 pb-28" id="main">
  <header>
    <p class="soft text-body">{release.title}</p>
    <h1 class="text-hero">{today.name || 'Today'}</h1>
    <p class="soft">about {way.minutes} minutes, {count(inOrder.length, 'exercise')}</p>
  </header>
  {#if hold}
    <section class="grid gap-2 rounded-xl border-2 border-error p-3" aria-label="Held">
      {#each hold.toDo as todo, i (i)}<p class="font-semibold" role="alert">{todo}</p>{/each}
      <p>{hold.say}</p>
    </section>
  {/if}
  {#if answer}
    <blockquote class="border-l-4 border-error pl-3 text-lead">
      {answer.text}
      <footer class="soft text-body">
        {content.coach || 'Your coach'}, {moment(answer.at)}, on what you told
      </footer>
    </blockquote>
  {/if}
  {#if asks && sore?.hurt}
    <section class="grid gap-2 rounded-xl border border-warning p-3" aria-label="The morning after">
      <p>Your {inWords(sore.hurt)} hurt on {dayOfYear(sore.performedOn)}. How is it now?</p>
      <div class="grid grid-cols-3 gap-2">
        <button class="tap" onclick={() => morning('is fine again', false)}>fine again</button>
        <button class="tap" onclick={() => morning('still hurts a little', true)}>still a little</button>
        <button class="tap" onclick={() => morning('hurts more than after training', true)}>worse</button>
      </div>
    </section>
  {:else if told !== null && hurts}
    <p role="status">Your coach will read it. What loads it begins with less today.</p>
  {/if}
  {#if release.word}
    <blockquote class="border-l-4 border-primary pl-3 text-lead">
      {release.word}
      {#if content.coach}<footer class="soft text-body">{content.coach}</footer>{/if}
    </blockquote>
  {/if}
  {#if content.releases.length > 1}
    <section aria-labelledby="where">
      <h2 id="where" class="mb-1 text-lead">Where are you?</h2>
      <div class="flex flex-wrap gap-2">
        {#each content.releases as other, i (other.id)}
          <button
            class="tap"
            aria-pressed={i === chosen}
            onclick={() => ([chosen, picked, course] = [i, null, 0])}>{other.release.place}</button
          >
        {/each}
      </div>
    </section>
  {/if}
  {#if release.days.length > 1}
    <section aria-labelledby="which">
      <h2 id="which" class="mb-1 text-lead">Which day?</h2>
      <div class="grid gap-2">
        {#each release.days as other, i (i)}
          {@const last = lastOf(i)}
          <button
            class="tap justify-between text-left"
            aria-pressed={i === day}
            onclick={() => ([picked, course] = [i, 0])}
          >
            <span>{other.name || `Day ${i + 1}`}</span>
            {#if last}<span class="text-body">last {dayOfYear(last)}</span>{/if}
          </button>
        {/each}
      </div>
    </section>
  {/if}
  {#if today.layOut.length > 0}
    <section aria-labelledby="lay-out">
      <h2 id="lay-out" class="mb-1 text-lead">Lay out</h2>
      <ul class="flex flex-wrap gap-2">
        {#each today.layOut as thing, i (i)}
          <li class="rounded-lg border border-base-300 bg-base-100 px-3 py-2">{thing}</li>
        {/each}
      </ul>
    </section>
  {/if}
  <section aria-labelledby="how">
    <h2 id="how" class="mb-1 text-lead">How are you?</h2>
    <div class="grid grid-cols-2 gap-2">
      {#each release.forms as f (f.id)}
        <button class="tap" aria-pressed={form === f.id} onclick={() => (form = form === f.id ? null : f.id)}
          >{f.label}</button
        >
      {/each}
      <button
        class="tap col-span-2"
        aria-pressed={hurting}
        aria-expanded={hurting}
        onclick={() => ((hurting = !hurting), (hurts = null))}>something hurts</button
      >
    </div>
    {#if hurting}
      <div class="mt-3"><PainBody joint={hurts} onpick={(j) => (hurts = hurts === j ? null : j)} /></div>
      <p class="mt-2" role="status">
        {release.pain.ease}
        {#if hurts && today.exercises.some((e) => e.lighter && e.loads?.includes(hurts!))}
          What loads it begins lighter today.
        {/if}
      </p>
    {:else if advice}
      <p class="mt-2" role="status">{advice}</p>
    {/if}
  </section>
  {#if today.courses.length > 1}
    <section aria-labelledby="long">
      <h2 id="long" class="mb-1 text-lead">How long have you got?</h2>
      <div class="flex flex-wrap gap-2">
        {#each today.courses as c, i (i)}
          <button class="tap" aria-pressed={i === course} onclick={() => (course = i)}
            >{i === 0 ? `all, ${c.minutes} min` : `${c.minutes} min`}</button
          >
        {/each}
      </div>
      {#if way.givesWay.length > 0}
        <p class="mt-2" role="status">{way.givesWay.join(' ')}</p>
      {/if}
    </section>
  {/if}
  <ol class="divide-y divide-base-300 border-y border-base-300">
    {#each inOrder as key (key)}
      {@const exercise = today.exercises.find((e) => e.key === key)}
      {#if exercise}
        {@const drawing = figures.of(exercise)}
        <li class="flex items-center gap-3 py-1">
          {#if drawing}<Figure {drawing} size={56} />{/if}
          <span class="flex-1">{exercise.name}</span>
          <span class="max-w-[55%] text-right font-semibold"
            >{#if held(exercise.exerciseId)}held, left out today{:else if hurts && exercise.lighter && exercise.loads?.includes(hurts)}{exercise
                .lighter.exercise.dose}, lighter today{:else}{exercise.dose}{setsOf(key) ===
              exercise.sets.length
                ? ''
                : `, ${setsOf(key)} of ${count(exercise.sets.length, 'set')} today`}{/if}</span
          >
        </li>
      {/if}
    {/each}
    {#each today.kept as kept, i (i)}
      <li class="soft py-2">Also: {kept}</li>
    {/each}
  </ol>
</main>
<BottomBar>
  <button class="go" onclick={() => onbegin(sent, day, course, form, hurts)}>Warm up</button>
</BottomBar>
