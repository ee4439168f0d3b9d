<script lang="ts">
  import { domainRules } from '../domainRules.svelte';
  import type { Entry } from './entry';
  import type { LogBook } from './logBook.svelte';

  interface Props {
    book: LogBook;
    entry: Entry;
    /** Goes to the field below. */
    onnext: () => void;
  }

  let { book, entry = $bindable(), onnext }: Props = $props();
  const id = $props.id();
  let timer: ReturnType<typeof setTimeout> | undefined;
  let instead = $state(false);
  const last = $derived(book.last(entry));
  const other = $derived(entry.exerciseId !== entry.plannedId);

  function typed(): void {
    clearTimeout(timer);
    timer = setTimeout(() => void book.read(entry), 150);
  }

  async function put(text: string): Promise<void> {
    entry.text = text;
    await book.read(entry);
  }

  function took(name: string): void {
    const found = domainRules.summary?.exercises.find((e) => e.name === name);
    if (found) entry.exerciseId = found.id;
  }
</script>

<div class="rule-b py-2.5">
  <div class="grid items-start gap-x-4 gap-y-1 md:grid-cols-[minmax(0,1fr)_minmax(0,1.1fr)]">
    <div class="min-w-0">
      <label class="font-semibold" for={id}
        >{other ? domainRules.exerciseName(entry.exerciseId) : entry.name}</label
      >
      {#if other}<span class="text-note text-secondary"
          >instead of {entry.name}
          <button
            type="button"
            class="link inline-flex min-h-6 items-center"
            onclick={() => (entry.exerciseId = entry.plannedId)}>as planned</button
          ></span
        >{/if}
      <p class="soft text-note"><span class="figures">{entry.figures}</span> · {entry.setup}</p>
    </div>
    <div class="min-w-0">
      <input
        {id}
        class={['figures input w-full', entry.wrong && 'border-error']}
        data-entry
        spellcheck="false"
        autocomplete="off"
        maxlength="400"
        placeholder={entry.asPlanned}
        aria-invalid={entry.wrong !== ''}
        aria-describedby="{id}-said"
        bind:value={entry.text}
        oninput={typed}
        onkeydown={(event) => {
          if (event.key !== 'Enter') return;
          event.preventDefault();
          if (event.ctrlKey || event.metaKey) event.currentTarget.form?.requestSubmit();
          else onnext();
        }}
      />
      <p id="{id}-said" class="mt-0.5 flex flex-wrap gap-x-3 text-note">
        {#if entry.wrong}<span class="text-error" role="alert">{entry.wrong}</span>
        {:else if entry.sets.length > 0}<span class="figures text-primary"
            >{entry.sets.length} × : {entry.sets
              .map((s) => `${s.reps}${s.loadKg ? ` at ${s.loadKg} kg` : ''}`)
              .join(', ')}</span
          >
        {:else if last}<span class="soft">last time <span class="figures">{last}</span></span>{/if}
        <button
          type="button"
          class="link inline-flex min-h-6 items-center"
          onclick={() => void put(entry.asPlanned)}>as planned</button
        >
        {#if last}<button
            type="button"
            class="link inline-flex min-h-6 items-center"
            onclick={() => void put(last)}>as last time</button
          >{/if}
        <button
          type="button"
          class="link inline-flex min-h-6 items-center"
          onclick={() => (instead = !instead)}>something else</button
        >
      </p>
      {#if instead}
        <label class="mt-1 block text-note"
          >What was done instead
          <input
            class="input input-sm w-full"
            list="{id}-all"
            onchange={(event) => {
              took(event.currentTarget.value);
              instead = false;
            }}
          />
          <datalist id="{id}-all"
            >{#each domainRules.summary?.exercises ?? [] as e (e.id)}<option value={e.name}
              ></option>{/each}</datalist
          >
        </label>
      {/if}
    </div>
  </div>
</div>
