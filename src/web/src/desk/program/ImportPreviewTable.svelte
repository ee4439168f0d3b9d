<script lang="ts">
  import type { ImportPreview } from '../../shared/api/types';
  import { count } from '../../shared/words';

  interface Props {
    preview: ImportPreview;
  }

  let { preview }: Props = $props();
  const mostFaults = 40;
</script>

<div class="mt-4 grid gap-5 md:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
  <section aria-label="What would come in">
    {#each preview.weeks as week, i (i)}
      <details open={preview.weeks.length < 3}>
        <summary class="cursor-pointer py-1"
          ><b>{week.name}</b> <span class="soft">{count(week.lines, 'line')}</span></summary
        >
        <pre class="figures sheet max-h-56 overflow-auto p-2 text-note whitespace-pre-wrap">{week.text}</pre>
      </details>
    {:else}
      <p>No line of a gym program was found. Look at what the columns are taken for.</p>
    {/each}
  </section>
  <section aria-label="To mend">
    {#if preview.faults.length > 0}
      <h3 class="text-base">To mend</h3>
      <p class="soft mb-2 text-plain">
        Mend them in the file, or bring them in as they are: they wait in the text of the week.
      </p>
      <ul class="grid max-h-72 gap-2 overflow-y-auto text-plain">
        {#each preview.faults.slice(0, mostFaults) as fault (`${fault.sheet}!${fault.cell}/${fault.field}`)}
          <li class="border-l-2 border-error pl-2">
            <b class="figures">{fault.sheet ? `${fault.sheet} ` : ''}{fault.cell}</b>
            {fault.message}
            {#if fault.suggestions.length > 0}<span class="soft">Perhaps {fault.suggestions.join(', ')}.</span
              >{/if}
          </li>
        {/each}
      </ul>
      {#if preview.faults.length > mostFaults}<p class="soft mt-1 text-plain">
          And {preview.faults.length - mostFaults} more.
        </p>{/if}
    {:else}
      <p class="text-primary">Every line can be read.</p>
    {/if}
  </section>
</div>
