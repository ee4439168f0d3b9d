<script lang="ts">
  import { untrack } from 'svelte';
  import type { Candidate, LineInBrief } from '../../shared/api/types';
  import Dialog from '../ui/Dialog.svelte';
  import { inWords, sentence } from '../../shared/words';
  import CompareColumn from './CompareColumn.svelte';
  import type { Workbench } from './workbench.svelte';

  interface Props {
    bench: Workbench;
    line: LineInBrief;
    open: boolean;
    onclose: () => void;
  }

  let { bench, line, open, onclose }: Props = $props();
  let ids = $state<[string | null, string | null]>([null, null]);

  let candidates = $state.raw<Candidate[] | null>(null);
  let failed = $state<unknown>(null);
  const key = $derived(line.gym.key);

  // What a column shows beyond the list is fetched when the two stand side by side.
  $effect(() => {
    if (!open || !bench.proposal.result) return;
    let here = true;
    [candidates, failed] = [null, null];
    const asked = key;
    untrack(() => bench.proposal.candidates(asked)).then(
      (found) => here && (candidates = found),
      (error: unknown) => here && (failed = error),
    );
    return () => (here = false);
  });

  const find = (id: string | null): Candidate | undefined => candidates?.find((c) => c.id === id);
  const left = $derived(find(ids[0]) ?? find(line.chosen?.id ?? null) ?? candidates?.[0]);
  const right = $derived(find(ids[1]) ?? candidates?.find((c) => c.id !== left?.id));

  async function take(id: string): Promise<void> {
    onclose();
    await bench.decide.choose(id, line);
  }
</script>

<Dialog title="Two ways to do {line.gymExerciseName} {line.gymDose}" wide {open} {onclose}>
  {#if left && right}
    <div class="mt-3 grid gap-6 md:grid-cols-2">
      <CompareColumn
        label="This"
        {line}
        candidates={candidates ?? []}
        candidate={left}
        busy={bench.proposal.busy}
        onswitch={(id) => (ids[0] = id)}
        ontake={() => void take(left.id)}
      />
      <CompareColumn
        label="Against this"
        {line}
        candidates={candidates ?? []}
        candidate={right}
        busy={bench.proposal.busy}
        onswitch={(id) => (ids[1] = id)}
        ontake={() => void take(right.id)}
      />
    </div>
    <table class="mt-4 w-full text-plain">
      <caption class="mb-1 text-left font-semibold">Part by part</caption>
      <tbody>
        {#each left.parts as part, i (part.part)}
          {@const other = right.parts[i]}
          {@const ahead = Math.round(part.score * 100) - Math.round((other?.score ?? 0) * 100)}
          <tr class="rule-b align-top last:border-b-0">
            <th scope="row" class="py-1 pr-2 text-left font-normal">{sentence(inWords(part.part))}</th>
            <td class={['figures w-14 py-1 pr-2 text-right', ahead > 0 && 'font-semibold text-primary']}
              >{Math.round(part.score * 100)} %</td
            >
            <td class="soft py-1 pr-4">{part.reason}</td>
            <td class={['figures w-14 py-1 pr-2 text-right', ahead < 0 && 'font-semibold text-primary']}
              >{Math.round((other?.score ?? 0) * 100)} %</td
            >
            <td class="soft py-1">{other?.reason}</td>
          </tr>
        {/each}
      </tbody>
    </table>
  {:else if failed}
    <p class="mt-3 text-error" role="alert">
      {failed instanceof Error ? failed.message : String(failed)}
    </p>
  {:else if candidates === null}
    <p class="soft mt-3" role="status">Fetching the two …</p>
  {:else}
    <p class="mt-3">There is only one way to do this line here, so there is nothing to compare.</p>
  {/if}
</Dialog>
