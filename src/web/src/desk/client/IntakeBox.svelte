<script lang="ts">
  import { api, ask } from '../api/client';
  import type { ClientProfile, Intake } from '../../shared/api/types';
  import { forgetText, keptText } from '../autosave/keptText';
  import { domainRules } from '../domainRules.svelte';
  import { toasts } from '../toasts.svelte';
  import { inWords, soreInWords } from '../../shared/words';

  interface Props {
    profile: ClientProfile;
    /** Name under which what is typed is kept. */
    record: string;
  }

  let { profile = $bindable(), record }: Props = $props();
  let text = $state('');
  let read = $state.raw<Intake | null>(null);

  const asked = (answer: string): string =>
    domainRules.summary?.clientWords.screening.find((q) => q.answer === answer)?.asked ?? inWords(answer);

  const found = $derived(
    read
      ? [
          read.ageYears && `age ${read.ageYears}`,
          read.sex,
          read.bodyMassKg && `${read.bodyMassKg} kg`,
          read.statureCm && `${read.statureCm} cm`,
          read.level,
          read.goal && inWords(read.goal),
          read.daysPerWeek && `${read.daysPerWeek} days a week`,
          read.minutesPerSession && `${read.minutesPerSession} min a session`,
          ...(read.soreJoints ?? []).map(soreInWords),
          ...(read.screening ?? []).map(asked),
          read.highBloodPressure && 'high blood pressure',
        ].filter(Boolean)
      : [],
  );

  /** Fills the fields that the sentence names; the others stay, and all are there to be checked. */
  async function take(): Promise<void> {
    try {
      const intake = await ask(() => api.POST('/api/v1/intake', { body: { text } }));
      read = intake;
      void forgetText(record);
      const { soreJoints, screening, highBloodPressure, ...plain } = intake;
      const given = Object.fromEntries(
        Object.entries(plain).filter(
          ([field, value]) => field !== 'left' && field !== 'denied' && value != null,
        ),
      );
      const joints = soreJoints ?? [];
      profile = {
        ...profile,
        ...given,
        soreJoints: [
          ...(profile.soreJoints ?? []).filter((s) => !joints.some((j) => j.joint === s.joint)),
          ...joints,
        ],
        screening: [...new Set([...(profile.screening ?? []), ...(screening ?? [])])],
        highBloodPressure: profile.highBloodPressure || highBloodPressure,
      };
    } catch (error) {
      toasts.problem(error);
    }
  }
</script>

<div class="grid gap-1">
  <div class="flex items-end gap-2">
    <label class="flex-1">
      <span class="label-text">Intake in a sentence</span>
      <input
        class="input w-full"
        maxlength="1000"
        autocomplete="off"
        placeholder="52, female, 68 kg, 165 cm, sore left knee, 3 days, 40 min, wants to keep muscle"
        {@attach keptText(record)}
        bind:value={text}
        onkeydown={(event) => {
          if (event.key !== 'Enter') return;
          event.preventDefault();
          void take();
        }}
      />
    </label>
    <button type="button" class="btn" disabled={!text.trim()} onclick={() => void take()}>Fill in</button>
  </div>
  {#if read}
    <p class="text-note" aria-live="polite">
      {#if found.length > 0}Filled in, please check: <b>{found.join(', ')}</b>.{:else}Nothing was understood.{/if}
      {#if (read.denied ?? []).length > 0}Answered no: {(read.denied ?? []).map(asked).join('; ')}.{/if}
      {#if (read.screening ?? []).length > 0}<b class="text-secondary"
          >Ticked below: no hard work before a clearance.</b
        >{/if}
      {#if read.left}<span class="text-warning">Not understood: “{read.left}”.</span>{/if}
    </p>
  {/if}
</div>
