<script lang="ts">
  import type { LineInBrief, OpenedLine } from '../../shared/api/types';
  import FigureOf from '../catalogue/FigureOf.svelte';
  import SetupSketches from '../../shared/sketches/SetupSketches.svelte';
  import MuscleCompare from '../catalogue/MuscleCompare.svelte';
  import ResistanceChart from '../kit/ResistanceChart.svelte';
  import { domainRules } from '../domainRules.svelte';
  import { count, inWords, sentence } from '../../shared/words';
  import DoseEditor from './DoseEditor.svelte';
  import { consequences } from './effect';
  import Joint from './Joint.svelte';
  import RepsZone from './RepsZone.svelte';
  import type { Workbench } from './workbench.svelte';

  interface Props {
    bench: Workbench;
    line: LineInBrief;
    /** All that is known of it. */
    opened: OpenedLine;
    oncompare: () => void;
    /** Opens the techniques of one of the line's exercises. */
    ontechniques: (exercise: number) => void;
    /** Opens the ladder of one of the line's exercises. */
    onladder: (exercise: number) => void;
  }

  let { bench, line, opened, oncompare, ontechniques, onladder }: Props = $props();
  const chosen = $derived(opened.chosen);
  const roles = $derived(domainRules.summary?.clientWords.roles ?? []);
  const roleSet = $derived(bench.proposal.decided.choices.find((c) => c.line === line.gym.key)?.role);
</script>

<div class="rule-b p-4">
  <div class="flex items-start gap-3">
    <h2 class="min-w-0 flex-1 text-xl">
      {chosen
        ? chosen.exercises.map((e) => e.name).join(' + ')
        : line.leftOut
          ? 'Left out: no minutes'
          : 'Nothing that serves'}
    </h2>
    {#if chosen}
      <button
        class={['btn btn-sm', line.locked && 'btn-neutral']}
        aria-pressed={line.locked}
        onclick={() => bench.decide.keep()}
        >{line.locked ? 'Kept' : 'Keep'} <span class="keycap">L</span></button
      >
      {#if line.locked}
        <button class="btn btn-ghost btn-sm" onclick={() => bench.decide.handBack()}
          >Hand back <span class="keycap">X</span></button
        >
      {/if}
    {/if}
  </div>
  <p class="soft flex flex-wrap items-center gap-x-2 text-sm">
    for {line.gymExerciseName}
    {line.gymDose}, as
    <label>
      <span class="sr-only">What the line is for</span>
      <select
        class="select select-xs w-auto"
        value={roleSet ?? ''}
        disabled={bench.proposal.busy}
        onchange={(event) =>
          bench.decide.setRole((event.currentTarget.value || null) as LineInBrief['role'] | null)}
      >
        <option value="">{roleSet ? 'inferred' : `${line.role}, inferred`}</option>
        {#each roles as role (role)}<option value={role}>{role}</option>{/each}
      </select>
    </label>
  </p>
  {#if chosen}
    <div class="mt-2 flex flex-wrap gap-4">
      {#each chosen.exercises as home (home.exerciseId)}
        <FigureOf
          of={{ ...home, statureCm: bench.client?.value.profile.statureCm }}
          size={170}
          live
          tempo={home.dose.timed ? null : home.dose.tempo}
        />
      {/each}
    </div>
    <ul class="mt-2 grid list-disc gap-1 pl-5 text-plain">
      {#each chosen.why as why, i (i)}<li>{why}</li>{/each}
      {#each chosen.lost as lost, i (i)}<li class="text-error">
          <span class="font-semibold">Lost:</span>
          {lost}
        </li>{/each}
    </ul>
  {/if}
  {#each opened.better as better, i (i)}
    <p class="mt-2 border-l-2 border-secondary pl-2 text-plain">
      <span class="font-semibold">Better:</span>
      {better}
    </p>
  {/each}
</div>

<section class="rule-b p-4" aria-labelledby="candidates">
  <div class="mb-2 flex items-baseline gap-3">
    <h3 id="candidates" class="flex-1 text-base">Candidates, press a number</h3>
    <button class="btn btn-xs" disabled={opened.candidates.length < 2} onclick={oncompare}
      >Compare two <span class="keycap">C</span></button
    >
  </div>
  <ol class="grid gap-1">
    {#each opened.candidates as candidate, i (candidate.id)}
      {@const taken = candidate.id === chosen?.id}
      <li>
        <button
          class={[
            'grid w-full cursor-pointer grid-cols-[1.8rem_44px_56px_minmax(0,1fr)_auto] items-center gap-2 rounded px-1 py-1 text-left hover:bg-base-200',
            taken && 'font-semibold text-primary',
          ]}
          aria-pressed={taken}
          onclick={() => bench.decide.choose(candidate.id)}
        >
          <span class="keycap">{i < 9 ? i + 1 : ''}</span>
          {#if candidate.exercises[0]}
            <FigureOf
              of={{ ...candidate.exercises[0], statureCm: bench.client?.value.profile.statureCm }}
              size={44}
            />
          {/if}
          <Joint match={candidate.match} parts={candidate.parts} width={52} height={26} />
          <span class="min-w-0">
            {candidate.exercises.map((e) => e.name).join(' + ')}
            {#if candidate.exercises[0]?.expectedReps}
              <span class="soft block text-note font-normal"
                >{candidate.exercises
                  .map((e) => (e.expectedReps ? `${e.expectedReps} reps` : 'hold'))
                  .join(', then ')} to failure</span
              >
            {/if}
          </span>
          <span class="figures">{Math.round(candidate.match * 100)} %</span>
        </button>
      </li>
    {/each}
  </ol>
  {#if opened.ruledOut.length > 0}
    <details class="mt-2">
      <summary class="cursor-pointer py-1 text-plain"
        >{count(opened.ruledOut.length, 'exercise')} ruled out, with reasons</summary
      >
      <ul class="mt-1 grid gap-1 text-plain">
        {#each opened.ruledOut as out (out.exerciseId)}
          <li>
            <span class="font-semibold">{out.name}.</span>
            {out.reason}
            {#if out.code === 'off-by-default'}
              <button
                class="btn btn-xs"
                disabled={bench.proposal.busy}
                onclick={() => bench.allow(out.exerciseId, out.name)}
                >Offer it to this client all the same</button
              >
            {/if}
          </li>
        {/each}
      </ul>
    </details>
  {/if}
</section>

{#each chosen?.exercises ?? [] as home, i (home.exerciseId)}
  <section class="rule-b p-4" aria-label="Set-up and dose of {home.name}">
    <div class="flex items-baseline gap-3">
      <h3 class="min-w-0 flex-1 text-base">
        {chosen && chosen.exercises.length > 1 ? home.name : 'Set-up and dose'}
      </h3>
      <button
        class="btn btn-ghost btn-xs"
        disabled={bench.proposal.busy}
        aria-label="Leave {home.name} out for this client"
        onclick={() => bench.ban(home.exerciseId, home.name)}
        >Leave out for this client {#if i === 0}<span class="keycap">B</span>{/if}</button
      >
    </div>
    <p class="mt-1">{home.setup}</p>
    {#if home.how}<p class="mt-1 text-plain">{home.how}</p>{/if}
    {#if home.steps.length > 0}
      <ol class="mt-1 list-decimal pl-5 text-plain">
        {#each home.steps as step, at1 (at1)}<li>{step}</li>{/each}
      </ol>
    {/if}
    <SetupSketches bag={home.bag} bands={home.bands} checks={home.checks} />
    {#if home.expected && home.wanted}
      <div class="mt-2">
        <RepsZone expected={home.expected} wanted={home.wanted} fit={home.fit ?? 'in-zone'} />
      </div>
    {/if}
    {#if home.expectedReps}
      <div class="mt-2 flex flex-wrap items-center gap-3">
        {#if home.resistance}<ResistanceChart range={home.resistance} />{/if}
        <p class="min-w-40 flex-1 text-plain">
          <span class="figures font-semibold">{home.expectedReps}</span> reps to failure expected at
          <span class="figures">{home.systemLoadKg} kg</span> system load. Rests on {home.restsOn}.
          {#if home.loadEstimated}<span class="text-warning"
              >The body’s share is estimated: {home.loadBasis}.</span
            >{/if}
        </p>
      </div>
    {/if}
    {#each home.checks as check, c (c)}
      <p
        class={[
          'mt-1 border-l-2 pl-2 text-note',
          check.verdict === 'fine' ? 'border-primary' : 'border-warning',
        ]}
      >
        {check.thing}: {check.sum}.
        {check.advice}
      </p>
    {/each}
    {#if home.checks.length > 0}
      <p class="soft mt-1 text-note">
        Sums for slow, even movement: aids to judgement, no certificates. Test before the first use.
      </p>
    {/if}
    {#if home.effect}
      <p class="mt-1 text-plain">{sentence(consequences(home.effect).join(' · '))}</p>
    {/if}
    {#each home.dose.instructions as instruction, at1 (at1)}
      <p class="mt-1 text-plain text-secondary">{instruction}</p>
    {/each}
    <div class="mt-2 flex flex-wrap gap-2">
      <button class="btn btn-sm" disabled={bench.proposal.busy} onclick={() => ontechniques(i)}
        >Techniques {#if i === 0}<span class="keycap">T</span>{/if}</button
      >
      <button class="btn btn-sm" onclick={() => onladder(i)}
        >Ladder {#if i === 0}<span class="keycap">G</span>{/if}</button
      >
      <button
        class="btn btn-sm"
        disabled={bench.proposal.busy || !bench.marks.lastEdit}
        onclick={() => bench.decide.repeatEdit()}>Repeat the last edit <span class="keycap">.</span></button
      >
    </div>
    <div class="mt-3">
      {#key `${line.gym.key}/${home.exerciseId}/${home.doseAsTyped}`}
        <DoseEditor line={line.gym.key} {home} onedit={(edit) => bench.decide.edit(edit)} />
      {/key}
    </div>
    {#if home.cautions.length > 0}
      <ul class="mt-3 grid gap-1 text-plain">
        {#each home.cautions as caution, at1 (at1)}
          <li class="border-l-2 border-warning pl-2"><span class="sr-only">Caution:</span> {caution}</li>
        {/each}
      </ul>
    {/if}
    {#if home.easierName || home.harderName}
      <p class="soft mt-2 text-plain">
        {home.easierName ? `Easier: ${home.easierName}. ` : ''}{home.harderName
          ? `Harder: ${home.harderName}.`
          : ''}
      </p>
    {/if}
  </section>
{/each}

{#if chosen}
  <section class="p-4" aria-labelledby="parts">
    <h3 id="parts" class="mb-1 text-base">The match, part by part</h3>
    <table class="w-full text-plain">
      <thead class="sr-only"><tr><th>Part</th><th>Kept</th><th>Weight</th></tr></thead>
      <tbody>
        {#each chosen.parts as part (part.part)}
          <tr class="rule-b last:border-b-0">
            <th scope="row" class="py-1 text-left font-normal">{sentence(inWords(part.part))}</th>
            <td class="figures text-right">{Math.round(part.score * 100)} %</td>
            <td class="figures soft w-24 text-right">weight {Math.round(part.weight * 100)}</td>
          </tr>
        {/each}
      </tbody>
    </table>
  </section>
{/if}

{#if chosen}
  <section class="rule-b p-4" aria-labelledby="muscles">
    <h3 id="muscles" class="mb-2 text-base">Muscles, gym beside home</h3>
    <MuscleCompare gym={line.gym.exerciseId ?? null} home={chosen.exercises.map((e) => e.exerciseId)} />
  </section>
{/if}
