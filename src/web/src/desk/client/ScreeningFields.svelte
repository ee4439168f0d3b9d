<script lang="ts">
  import type { ClientProfile } from '../../shared/api/types';
  import { domainRules } from '../domainRules.svelte';

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

  /** Gates that were answered with yes on this screen; those with an answer behind them are open anyway. */
  let opened = $state<string[]>([]);
  const words = $derived(domainRules.summary?.clientWords);
  const behind = (gate: string) => (words?.screening ?? []).filter((q) => q.gate === gate);
  const isOpen = (gate: string, pressure: boolean) =>
    opened.includes(gate) ||
    behind(gate).some((q) => found.includes(q.answer)) ||
    (pressure && !!profile.highBloodPressure);

  /** A no takes back what was ticked behind it. */
  function close(gate: string, pressure: boolean): void {
    opened = opened.filter((g) => g !== gate);
    for (const { answer } of behind(gate)) set(answer, false);
    if (pressure) profile.highBloodPressure = false;
  }

  const today = new Date().toISOString().slice(0, 10);
</script>

<fieldset>
  <legend class="mb-1 font-semibold">Before hard work: does any of this hold?</legend>
  {#each words?.gates ?? [] as { gate, asked, pressure } (gate)}
    {@const open = isOpen(gate, pressure)}
    <div role="group" aria-label={asked} class="rule-b py-1.5">
      <div class="flex items-center gap-3 text-sm">
        <span class="flex-1">{asked}</span>
        <label class="flex items-center gap-1.5">
          <input
            type="radio"
            class="radio radio-sm"
            name="gate-{gate}"
            checked={!open}
            onchange={() => close(gate, pressure)}
          /> no
        </label>
        <label class="flex items-center gap-1.5">
          <input
            type="radio"
            class="radio radio-sm"
            name="gate-{gate}"
            checked={open}
            onchange={() => (opened = [...opened, gate])}
          /> yes
        </label>
      </div>
      {#if open}
        <div class="grid gap-x-3 pl-4 md:grid-cols-2">
          {#if pressure}
            <label class="flex items-center gap-2 py-1 text-sm">
              <input type="checkbox" class="checkbox checkbox-sm" bind:checked={profile.highBloodPressure} />
              high blood pressure
            </label>
          {/if}
          {#each behind(gate) as { answer, asked: said } (answer)}
            <label class="flex items-center gap-2 py-1 text-sm">
              <input
                type="checkbox"
                class="checkbox checkbox-sm"
                value={answer}
                checked={found.includes(answer)}
                onchange={(event) => set(answer, event.currentTarget.checked)}
              />
              {said}
            </label>
          {/each}
        </div>
      {/if}
    </div>
  {/each}
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
