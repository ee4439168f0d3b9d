<script lang="ts">
  import type { ClientProfile } from '../../shared/api/types';
  import { domainRules } from '../domainRules.svelte';
  import NumberField from '../ui/NumberField.svelte';
  import { inWords, sentence } from '../../shared/words';

  interface Props {
    profile: ClientProfile;
  }

  let { profile = $bindable() }: Props = $props();

  const words = $derived(domainRules.summary?.clientWords);
</script>

<div class="grid grid-cols-3 gap-3">
  <label>
    <span class="label-text">Level</span>
    <select class="select w-full" bind:value={profile.level}>
      {#each words?.levels ?? [] as level (level)}<option value={level}>{sentence(level)}</option>{/each}
    </select>
  </label>
  <label>
    <span class="label-text">Goal</span>
    <select class="select w-full" bind:value={profile.goal}>
      {#each words?.goals ?? [] as goal (goal)}<option value={goal}>{sentence(inWords(goal))}</option>{/each}
    </select>
  </label>
  <label>
    <span class="label-text">Sex, for strength tables</span>
    <select class="select w-full" bind:value={profile.sex}>
      {#each words?.sexes ?? [] as sex (sex)}<option value={sex}>{sentence(sex)}</option>{/each}
    </select>
  </label>
  <NumberField
    label="Body mass"
    unit="kg"
    min={25}
    max={300}
    bind:value={profile.bodyMassKg}
    placeholder={domainRules.summary ? `${domainRules.summary.assumedMassKg}?` : ''}
  />
  <NumberField
    label="Stature"
    unit="cm"
    min={100}
    max={250}
    bind:value={profile.statureCm}
    placeholder={domainRules.summary ? `${domainRules.summary.assumedStatureCm}?` : ''}
  />
  <NumberField label="Age" unit="years" min={10} max={100} step={1} bind:value={profile.ageYears} />
  <NumberField label="Days a week" min={1} max={7} step={1} bind:value={profile.daysPerWeek} />
  <NumberField
    label="Minutes a session"
    unit="min"
    min={10}
    max={240}
    step={1}
    bind:value={profile.minutesPerSession}
  />
  <label>
    <span class="label-text">Approach</span>
    <select
      class="select w-full"
      value={profile.approach ?? 'mirror'}
      onchange={(event) => (profile.approach = event.currentTarget.value)}
    >
      {#each domainRules.summary?.approaches ?? [] as approach (approach.id)}<option
          value={approach.id}
          title={approach.idea}>{approach.name}</option
        >{/each}
    </select>
  </label>
</div>
