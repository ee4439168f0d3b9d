import type { PlanCommand, SavedClient, SavedPlace, SavedPlan } from '../../shared/api/types';
import type { NotYet } from '../autosave/saver.svelte';
import { keeping } from '../autosave/autosave.svelte';
import { toasts } from '../toasts.svelte';
import { decidedIn, type Decided } from './decided';
import type { GymText } from './gymText.svelte';
import { planWith } from './plans';
import type { Proposal } from './proposal.svelte';
import type { Versions } from './versions.svelte';

/** What is decided and not saved yet, as the browser keeps it. */
interface Undecided {
  decided: Decided;
  planId: number | null;
  /** Decided while the server did not answer. */
  pending?: PlanCommand[];
}

/** What is saved. */
interface Bench {
  readonly client: SavedClient | null;
  readonly place: SavedPlace | undefined;
  readonly placeId: number | null;
  readonly gym: GymText;
  readonly proposal: Proposal;
  readonly versions: Versions;
  /** Shows a saved version. */
  show(plan: SavedPlan): Promise<void>;
  /** Keeps what was decided while the server did not answer, and takes it once it does. */
  waitForServer(): void;
}

/** What is decided at the workbench becomes versions of a plan: by itself, and at once when the coach says so. */
export class Saving {
  /** The coach looks at what somebody else saved meanwhile. */
  deciding = $state(false);

  readonly keeper = keeping.keep<Undecided>(
    {
      now: () => ({
        decided: $state.snapshot(this.#bench.proposal.decided),
        planId: this.#bench.versions.plan?.id ?? null,
        pending: $state.snapshot(this.#bench.proposal.pending) as PlanCommand[],
      }),
      restore: (left) => this.#bringBack(left),
      save: (left, base) => this.#save(left, base),
      conflict: (theirs) => {
        this.#bench.versions.conflict = theirs as SavedPlan;
        this.deciding = true;
      },
    },
    1_500,
  );
  readonly #bench: Bench;

  constructor(bench: Bench) {
    this.#bench = bench;
  }

  /** Looks after what is decided for this week at this place. */
  async keepHere(): Promise<void> {
    const { client, gym, placeId, proposal, versions } = this.#bench;
    const record = `plan-${client?.id ?? 0}-${gym.weekId ?? 'new'}-${placeId ?? 'none'}`;
    const unsaved = proposal.unsaved && versions.plan !== null;
    await this.keeper.on(record, versions.plan?.revision ?? null);
    if (unsaved && !this.keeper.restored) this.keeper.changed();
  }

  /** Saves now, a plan that nothing was decided about yet too; true when it stands on the server. */
  async save(): Promise<boolean> {
    const { proposal, versions } = this.#bench;
    await proposal.settled(); // What was pressed just before belongs to what is saved.
    if (!proposal.result) return false;
    if (proposal.unsaved || !versions.plan) this.keeper.changed();
    const saved = await this.keeper.flush();
    if (saved && versions.plan) toasts.done(`Saved as version ${versions.plan.value.version}.`);
    return saved;
  }

  /** Saves what is here over what somebody else saved meanwhile. */
  keepMine(): void {
    this.deciding = false;
    const theirs = this.#bench.versions.conflict;
    if (theirs) void this.keeper.overwrite(theirs.revision);
  }

  async takeTheirs(): Promise<void> {
    this.deciding = false;
    const { versions } = this.#bench;
    const theirs = versions.conflict;
    versions.conflict = null;
    if (!theirs) return;
    await this.#bench.show(theirs);
    this.keeper.settled(theirs.revision);
  }

  /** Goes to the version before or after. */
  async move(way: 'undo' | 'redo'): Promise<void> {
    const shown = await this.#bench.versions.move(way);
    if (!shown) return this.#behind(way);
    await this.#bench.show(shown);
    this.keeper.settled(shown.revision);
    toasts.done(`Version ${shown.value.version} of ${shown.value.versions}.`);
  }

  /** The way back was refused because somebody saved meanwhile: says so and shows what is saved; what is not saved here is asked about. */
  async #behind(way: 'undo' | 'redo'): Promise<void> {
    const { proposal, versions } = this.#bench;
    const theirs = versions.conflict;
    if (!theirs) return; // Something else was wrong, and has been told.
    if (proposal.unsaved) {
      this.deciding = true;
      return;
    }
    await this.takeTheirs();
    toasts.done(
      `Nothing was ${way === 'undo' ? 'undone' : 'redone'}: the plan was saved in another tab meanwhile. Version ${theirs.value.version} of ${theirs.value.versions} is shown now; go on from there.`,
    );
  }

  /** Drops what was restored: the plan as it is saved, or the gym week. */
  async drop(): Promise<void> {
    const { proposal, versions } = this.#bench;
    if (versions.plan) await this.#bench.show(versions.plan);
    else {
      proposal.decided = decidedIn();
      proposal.clear();
    }
  }

  /** A new plan for this week and place, or a new version of the open one. */
  async #save({ decided }: Undecided, base: number | null): Promise<number | NotYet> {
    const { client, gym, place, placeId, proposal, versions } = this.#bench;
    await proposal.settled();
    if (proposal.pending.length > 0) return { because: 'A choice waits for the server; it is kept here.' };
    if (!client || !proposal.result) return { because: 'There is no home plan yet.' };
    const title = `${gym.week?.value.name ?? 'Gym week'}, ${place?.value.name ?? 'no place'}`;
    const plan = {
      clientId: client.id,
      title,
      placeId,
      gymWeekId: gym.weekId,
      request: proposal.request(decided),
    };
    const saved = await versions.save(plan, base);
    if (JSON.stringify(decided) === JSON.stringify($state.snapshot(proposal.decided)))
      proposal.unsaved = false;
    return saved.revision;
  }

  /** Decisions that were left unsaved, taken up again. */
  async #bringBack({ decided, planId, pending }: Undecided): Promise<void> {
    const { proposal, versions } = this.#bench;
    if (planId && versions.plan?.id !== planId) versions.show(await planWith(planId));
    proposal.decided = decidedIn(decided);
    await proposal.again(true);
    proposal.pending = pending ?? [];
    if (proposal.pending.length > 0) this.#bench.waitForServer();
  }
}
