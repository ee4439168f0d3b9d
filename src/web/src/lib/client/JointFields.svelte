<script lang="ts">
  import type { ClientProfile } from '../api/types';
  import { trade } from '../trade.svelte';
  import { inWords, sentence } from '../words';

  interface Props {
    profile: ClientProfile;
  }

  let { profile = $bindable() }: Props = $props();

  type Sore = NonNullable<ClientProfile['soreJoints']>[number];

  const words = $derived(trade.summary?.clientWords);

  function set(joint: Sore['joint'], severity: string): void {
    const others = (profile.soreJoints ?? []).filter((s) => s.joint !== joint);
    profile.soreJoints = severity ? [...others, { joint, severity: severity as Sore['severity'] }] : others;
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
</fieldset>
