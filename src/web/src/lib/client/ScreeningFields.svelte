<script lang="ts">
  import type { ClientProfile } from '../api/types';
  import { trade } from '../trade.svelte';

  interface Props {
    profile: ClientProfile;
  }

  let { profile = $bindable() }: Props = $props();

  type Answer = NonNullable<ClientProfile['screening']>[number];

  const found = $derived(profile.screening ?? []);

  function set(answer: Answer, holds: boolean): void {
    const others = found.filter((f) => f !== answer);
    profile.screening = holds ? [...others, answer] : others;
    if (profile.screening.length === 0) profile.clearance = null;
  }

  function clear(on: string, by: string): void {
    profile.clearance = on ? { ...profile.clearance, limits: profile.clearance?.limits ?? '', on, by } : null;
  }

  const today = new Date().toISOString().slice(0, 10);
</script>

<fieldset>
  <legend class="mb-1 font-semibold">Before hard work: does any of this hold?</legend>
  <div class="grid gap-x-3 md:grid-cols-2">
    {#each trade.summary?.clientWords.screening ?? [] as { answer, asked } (answer)}
      <label class="flex items-center gap-2 py-1 text-sm">
        <input
          type="checkbox"
          class="checkbox checkbox-sm"
          value={answer}
          checked={found.includes(answer)}
          onchange={(event) => set(answer, event.currentTarget.checked)}
        />
        {asked}
      </label>
    {/each}
  </div>
  {#if found.length > 0}
    <p class="mt-1 text-sm text-secondary">
      Plan no hard work until a clinician has cleared it. Local rules and licensed practice come first.
    </p>
    <div class="mt-1 grid gap-2 md:grid-cols-[10rem_1fr]">
      <label>
        <span class="label-text">Cleared on</span>
        <input
          class="input figures w-full"
          type="date"
          max={today}
          value={profile.clearance?.on ?? ''}
          onchange={(event) => clear(event.currentTarget.value, profile.clearance?.by ?? '')}
        />
      </label>
      <label>
        <span class="label-text">by whom: name and role</span>
        <input
          class="input w-full"
          maxlength="120"
          disabled={!profile.clearance}
          value={profile.clearance?.by ?? ''}
          oninput={(event) => clear(profile.clearance?.on ?? '', event.currentTarget.value)}
        />
      </label>
      {#if profile.clearance}
        <label>
          <span class="label-text">Holds until</span>
          <input
            class="input figures w-full"
            type="date"
            min={profile.clearance.on}
            value={profile.clearance.until ?? ''}
            onchange={(event) =>
              (profile.clearance = { ...profile.clearance!, until: event.currentTarget.value || null })}
          />
        </label>
        <label>
          <span class="label-text">Limits, as the clinician wrote them</span>
          <input
            class="input w-full"
            maxlength="600"
            value={profile.clearance.limits ?? ''}
            oninput={(event) =>
              (profile.clearance = { ...profile.clearance!, limits: event.currentTarget.value })}
          />
        </label>
        <p class="soft text-note md:col-span-2">
          Without a date it holds twelve months; three in pregnancy and after surgery. What an answer rules
          out for good stays out.
        </p>
      {/if}
    </div>
  {/if}
</fieldset>
