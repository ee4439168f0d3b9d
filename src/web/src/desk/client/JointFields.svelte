<script lang="ts">
  import type { ClientProfile } from '../../shared/api/types';
  import { domainRules } from '../domainRules.svelte';
  import { inWords, sentence } from '../../shared/words';

  interface Props {
    profile: ClientProfile;
  }

  let { profile = $bindable() }: Props = $props();

  type Sore = NonNullable<ClientProfile['soreJoints']>[number];
  type Provocation = NonNullable<Sore['provoked']>[number];

  const words = $derived(domainRules.summary?.clientWords);
  const asked = (joint: Sore['joint']) => words?.provocations.filter((p) => p.joint === joint) ?? [];

  function set(joint: Sore['joint'], severity: string): void {
    const others = (profile.soreJoints ?? []).filter((s) => s.joint !== joint);
    const before = profile.soreJoints?.find((s) => s.joint === joint);
    profile.soreJoints = severity
      ? [...others, { ...before, joint, severity: severity as Sore['severity'] }]
      : others;
  }

  function change(joint: Sore['joint'], changed: Partial<Sore>): void {
    profile.soreJoints = (profile.soreJoints ?? []).map((s) =>
      s.joint === joint ? { ...s, ...changed } : s,
    );
  }

  function provoke(sore: Sore, id: Provocation, holds: boolean): void {
    const others = (sore.provoked ?? []).filter((p) => p !== id);
    change(sore.joint, { provoked: holds ? [...others, id] : others });
  }
</script>

<fieldset>
  <legend class="mb-1 font-semibold">Joints to spare</legend>
  <div class="grid grid-cols-4 gap-x-3 gap-y-2">
    {#each words?.joints ?? [] as joint (joint)}
      <label>
        <span class="label-text">{sentence(inWords(joint))}</span>
        <select
          class="select select-sm w-full"
          value={profile.soreJoints?.find((s) => s.joint === joint)?.severity ?? ''}
          onchange={(event) => set(joint, event.currentTarget.value)}
        >
          <option value="">fine</option>
          {#each words?.sorenesses ?? [] as soreness (soreness)}<option value={soreness}
              >{inWords(soreness)}</option
            >{/each}
        </select>
      </label>
    {/each}
  </div>
  {#each profile.soreJoints ?? [] as sore (sore.joint)}
    <div
      class="rule-t mt-2 flex flex-wrap items-center gap-x-4 gap-y-1 pt-2 text-sm"
      role="group"
      aria-label="More of the {inWords(sore.joint)}"
    >
      <span class="w-24 font-semibold">{sentence(inWords(sore.joint))}</span>
      <label class="flex items-center gap-2">
        <span class="soft">side</span>
        <select
          class="select select-xs w-24"
          value={sore.side ?? ''}
          onchange={(event) =>
            change(sore.joint, { side: (event.currentTarget.value || null) as Sore['side'] })}
        >
          <option value="">not said</option>
          {#each words?.bodySides ?? [] as side (side)}<option value={side}>{side}</option>{/each}
        </select>
      </label>
      {#each asked(sore.joint) as question (question.id)}
        <label class="flex items-center gap-2">
          <input
            type="checkbox"
            class="checkbox checkbox-sm"
            checked={sore.provoked?.includes(question.id) ?? false}
            onchange={(event) => provoke(sore, question.id, event.currentTarget.checked)}
          />
          {question.asked}
        </label>
      {/each}
      {#if asked(sore.joint).some((q) => q.clinician && sore.provoked?.includes(q.id))}
        <p class="w-full text-secondary">
          Spared as injured: let a doctor or physiotherapist look at it before it is loaded again.
        </p>
      {/if}
    </div>
  {/each}
</fieldset>
