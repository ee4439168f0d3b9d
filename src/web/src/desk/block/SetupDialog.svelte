<script lang="ts">
  import { untrack } from 'svelte';
  import { api, ask } from '../api/client';
  import type { BlockDraft, BlockPhase, BlockSetup } from '../../shared/api/types';
  import { Problem } from '../api/problem';
  import { keeping } from '../autosave/autosave.svelte';
  import RestoredBar from '../autosave/RestoredBar.svelte';
  import { toasts } from '../toasts.svelte';
  import { domainRules } from '../domainRules.svelte';
  import Dialog from '../ui/Dialog.svelte';
  import NumberField from '../ui/NumberField.svelte';
  import { day } from '../../shared/words';
  import type { BlockBook } from './blockBook.svelte';
  import WorkBars from './WorkBars.svelte';

  interface Props {
    book: BlockBook;
    open: boolean;
    /** Shape the block that stands; otherwise draw up a new one. */
    changing: boolean;
    onclose: () => void;
  }

  let { book, open, changing, onclose }: Props = $props();
  let draft = $state.raw<BlockDraft | null>(null);
  let wrong = $state('');
  let starts = $state('');
  let weeks = $state<number | null>(null);
  let eventOn = $state('');
  let approach = $state('');
  let eventName = $state('');
  let asked = 0;

  const setup = $derived(draft?.setup ?? null);
  const begun = $derived(changing && (book.setup?.starts ?? '') <= (book.view?.today ?? ''));
  const approaches = $derived(domainRules.summary?.approaches ?? []);
  const most = $derived(Math.max(1, ...(draft?.block.weeks.map((w) => w.hardSets) ?? [])));
  const phasesOf = (id: string | null | undefined): string[] =>
    approaches.find((a) => a.id === id)?.phases ?? [];

  interface Typed {
    starts: string;
    weeks: number | null;
    eventOn: string;
    eventName: string;
    approach: string;
    setup: BlockSetup | null;
  }

  const typed = (): Typed => ({ starts, weeks, eventOn, eventName, approach, setup });
  const keeper = keeping.keep<Typed>({
    now: () => structuredClone(typed()),
    restore: async (kept) => {
      ({ starts, weeks, eventOn, eventName, approach } = kept);
      await look(kept.setup);
    },
    asks: false,
  });
  let asBegun = '';
  $effect(() => () => keeping.release(keeper));

  $effect(() => {
    if (open) untrack(() => void begin());
  });

  // What is shaped and not kept comes back when the dialog is opened again.
  $effect(() => {
    const now = JSON.stringify(typed());
    untrack(() => {
      if (!open || !setup) return;
      if (!asBegun) asBegun = now;
      else if (now !== asBegun) keeper.changed();
    });
  });

  async function begin(): Promise<void> {
    asBegun = '';
    const stands = changing ? book.setup : null;
    starts = stands?.starts ?? book.view?.nextStart ?? '';
    eventOn = stands?.eventOn ?? '';
    eventName = stands?.eventName ?? '';
    weeks = stands ? total(stands.phases) : null;
    [wrong, approach] = ['', ''];
    draft = stands && book.kept ? { setup: stands, block: book.kept.value.block } : null;
    if (!stands) await propose();
    await keeper.on(`block-${book.id}-${stands ? (book.kept?.id ?? 'stands') : 'new'}`, null);
  }

  async function drop(): Promise<void> {
    keeper.settled();
    await begin();
  }

  const total = (phases: BlockPhase[]): number => phases.reduce((sum, phase) => sum + phase.weeks, 0);

  /** Phases anew from the approach of the plan. */
  const propose = (): Promise<void> => look(null);

  /** The same phases with something changed. */
  const again = (change: Partial<BlockSetup>): Promise<void> =>
    setup ? look({ ...setup, ...change }) : Promise.resolve();

  async function look(of: BlockSetup | null, phases?: BlockPhase[]): Promise<void> {
    const turn = ++asked;
    try {
      const body = {
        starts,
        weeks,
        eventOn: eventOn || null,
        setup: of,
        approach: approach || null,
        phases: phases ?? null,
        block: changing ? book.kept?.id : null,
      };
      const answer = await ask(() =>
        api.POST('/api/v1/plans/{planId}/block/draft', { params: { path: { planId: book.id } }, body }),
      );
      if (turn !== asked) return;
      [draft, wrong] = [answer, ''];
      if (!of) weeks = total(answer.setup.phases);
    } catch (error) {
      if (error instanceof Problem && error.code === 'validation') {
        wrong = error.detail;
        if (of && draft) draft = { ...draft, setup: { ...of, phases: phases ?? of.phases } };
      } else toasts.problem(error);
    }
  }

  function change(index: number, by: Partial<BlockPhase>): void {
    if (!setup) return;
    const phases = setup.phases.map((phase, i) => {
      if (i !== index) return phase;
      const changed = { ...phase, ...by };
      if ('approach' in by) {
        changed.phase = phasesOf(by.approach)[0] ?? null;
        changed.name = changed.phase ?? approaches.find((a) => a.id === by.approach)?.name ?? phase.name;
      } else if (by.phase) changed.name = by.phase;
      return changed;
    });
    shaped(phases);
  }

  /** Other phases; what becomes of the lighter weeks is the server's. */
  function shaped(phases: BlockPhase[]): void {
    weeks = total(phases);
    void look(setup, phases);
  }

  function add(): void {
    if (setup) shaped([...setup.phases, { name: 'Another phase', weeks: 1, approach: 'mirror' }]);
  }

  async function keep(): Promise<void> {
    if (!setup) return;
    const asItIs = { ...setup, starts, eventOn: eventOn || null, eventName: eventName.trim() || null };
    if (!(changing ? await book.change(() => asItIs) : await book.begin(asItIs))) return;
    keeper.settled();
    onclose();
  }
</script>

<Dialog title={changing ? 'Shape of the block' : 'A block of four to six weeks'} wide {open} {onclose}>
  <RestoredBar {keeper} ondrop={() => void drop()} />
  <div class="mt-2 flex flex-wrap items-end gap-3">
    <label>
      <span class="label-text">Starts</span>
      <input
        class="input figures w-44"
        type="date"
        disabled={begun}
        bind:value={starts}
        onchange={() => void again({ starts })}
      />
    </label>
    <label>
      <span class="label-text">Event, if there is one</span>
      <input
        class="input figures w-44"
        type="date"
        bind:value={eventOn}
        onchange={() => {
          if (changing) void again({ eventOn: eventOn || null });
          else {
            weeks = null;
            void propose();
          }
        }}
      />
    </label>
    {#if eventOn}
      <label class="w-56">
        <span class="label-text">Name of the event</span>
        <input
          class="input w-full"
          maxlength="60"
          placeholder="the spring regatta"
          bind:value={eventName}
          onchange={() => void again({ eventName })}
        />
      </label>
    {/if}
    {#if !changing}
      <label>
        <span class="label-text">Laid out by</span>
        <select
          class="select w-44"
          bind:value={
            () => approach,
            (key) => {
              approach = key;
              void propose();
            }
          }
        >
          <option value="">the plan's approach</option>
          {#each approaches as a (a.id)}<option value={a.id}
              >{a.name}{a.phases.length > 0 ? `, ${a.phases.length} phases` : ''}</option
            >{/each}
        </select>
      </label>
      <NumberField
        class="w-24"
        label="Weeks"
        min={4}
        max={6}
        step={1}
        bind:value={
          () => weeks,
          (v) => {
            weeks = v;
            if (v !== null && v >= 4 && v <= 6) void propose();
          }
        }
      />
    {/if}
  </div>
  {#if setup}
    <table class="mt-4 w-full text-plain">
      <thead>
        <tr class="rule-b text-left"
          ><th class="py-1">Phase</th><th>Weeks</th><th>Approach</th><th>Its phase</th><th></th></tr
        >
      </thead>
      <tbody>
        {#each setup.phases as phase, i (i)}
          <tr class="rule-b">
            <td class="py-1.5 pr-2"
              ><input
                class="input input-sm w-40"
                aria-label="Name of phase {i + 1}"
                maxlength="60"
                value={phase.name}
                onchange={(event) => change(i, { name: event.currentTarget.value })}
              /></td
            >
            <td class="pr-2"
              ><input
                class="input figures input-sm w-16"
                type="number"
                min="1"
                max="6"
                aria-label="Weeks of phase {i + 1}"
                value={phase.weeks}
                onchange={(event) => change(i, { weeks: Number(event.currentTarget.value) })}
              /></td
            >
            <td class="pr-2"
              ><select
                class="select select-sm w-44"
                aria-label="Approach of phase {i + 1}"
                value={phase.approach ?? ''}
                onchange={(event) => change(i, { approach: event.currentTarget.value || null })}
              >
                <option value="">as the plan</option>
                {#each approaches as a (a.id)}<option value={a.id}>{a.name}</option>{/each}
              </select></td
            >
            <td class="pr-2"
              >{#if phasesOf(phase.approach).length > 0}<select
                  class="select select-sm w-40"
                  aria-label="Phase of the approach of phase {i + 1}"
                  value={phase.phase ?? ''}
                  onchange={(event) => change(i, { phase: event.currentTarget.value || null })}
                >
                  <option value="">the whole</option>
                  {#each phasesOf(phase.approach) as of (of)}<option value={of}>{of}</option>{/each}
                </select>{:else}<span class="soft">has none</span>{/if}</td
            >
            <td class="text-right"
              >{#if setup.phases.length > 1}<button
                  class="btn btn-xs"
                  onclick={() => shaped(setup.phases.filter((_, at) => at !== i))}
                  >Leave out<span class="sr-only"> phase {phase.name}</span></button
                >{/if}</td
            >
          </tr>
        {/each}
      </tbody>
    </table>
    <button class="btn btn-sm mt-2" onclick={add} disabled={setup.phases.length >= 6}>Add a phase</button>
  {/if}
  {#if wrong}<p class="mt-3 text-error" role="alert">{wrong}</p>{/if}
  {#if draft && !wrong}
    <div class="mt-4 flex gap-2" aria-label="Weeks as they would be" role="list">
      {#each draft.block.weeks as week (week.number)}
        <div class="min-w-0 flex-1" role="listitem">
          <WorkBars {week} done={undefined} {most} />
          <p class="pt-1 text-note leading-tight">
            <b>{week.number}</b>
            {week.phase}
            <span class="soft block">{week.hardSets} hard sets{week.isLight ? `, ${week.kind}` : ''}</span>
          </p>
        </div>
      {/each}
    </div>
    <p class="soft mt-2 text-plain">
      Ends {day(draft.setup.ends ?? starts)}. Outlines are hard sets a week; hatched weeks are lighter.
    </p>
    <ul class="mt-1 text-plain">
      {#each draft.block.notices as notice, i (i)}<li class="border-l-4 border-warning pl-2">
          {notice}
        </li>{/each}
    </ul>
  {:else if !wrong}
    <p class="soft mt-3" role="status">Laying out the weeks …</p>
  {/if}
  {#snippet actions()}
    <button class="btn" onclick={onclose}>{changing ? 'Leave it as it is' : 'Not now'}</button>
    <button class="btn btn-primary" disabled={!draft || wrong !== '' || book.busy} onclick={() => void keep()}
      >{changing ? 'Shape it so' : 'Begin the block'}</button
    >
  {/snippet}
</Dialog>
