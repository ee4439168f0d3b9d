import { api, ask } from '../api/client';
import type {
  LineInBrief,
  PlanCommand,
  RebuildRequest,
  RebuiltWeek,
  SavedClient,
  SavedPlace,
  SavedPlan,
} from '../../shared/api/types';
import { toasts } from '../toasts.svelte';
import { History } from '../ui/history.svelte';
import { stoodIn } from './days';
import { decidedIn } from './decided';
import { Decisions } from './decisions';
import { GymText } from './gymText.svelte';
import { LeftAtPlaces, type AtPlace } from './leftAtPlaces';
import { Marks } from './marks.svelte';
import { OpenClient, type Wishes } from './openClient.svelte';
import { plansOf, planWith, rebuilt } from './plans';
import { Proposal } from './proposal.svelte';
import { Saving } from './saving.svelte';
import { Versions } from './versions.svelte';

/** All that one step of undo brings back. */
interface Step extends AtPlace {
  placeId: number | null;
  wishes: Wishes;
}

/** What the address asks for. */
export interface Opened {
  plan?: number | undefined;
  week?: number | undefined;
  place?: number | undefined;
  line?: number | undefined;
}

/** A client's gym week at a place: opened, taken to other weeks and places, and decided on step by step. */
export class Workbench {
  places = $state<SavedPlace[]>([]);
  placeId = $state<number | null>(null);
  /** Why it could not be opened; null when it could. */
  failed = $state<unknown>(null);

  readonly #client = new OpenClient();
  readonly gym = new GymText();
  readonly versions = new Versions();
  readonly marks = new Marks();
  readonly proposal = new Proposal({ client: this.#client, gym: this.gym, place: () => this.place });
  readonly decide = new Decisions(this);
  readonly saving = new Saving(this);
  readonly history = new History<Step>();
  readonly place = $derived(this.places.find((p) => p.id === this.placeId));
  readonly canUndo = $derived(this.history.canUndo || (!this.proposal.unsaved && this.versions.canUndo));
  readonly canRedo = $derived(this.history.canRedo || (!this.proposal.unsaved && this.versions.canRedo));

  readonly #left = new LeftAtPlaces();
  #opening: Promise<void> = Promise.resolve();
  #waiting: ReturnType<typeof setTimeout> | undefined;

  get client(): SavedClient | null {
    return this.#client.saved;
  }

  /** The line that is selected. */
  get line(): LineInBrief | undefined {
    return this.proposal.line;
  }

  /** The client with what the logs teach of strength and costs. */
  clientNow(): RebuildRequest['client'] {
    return this.#client.now();
  }

  open(clientId: number, at: Opened): Promise<void> {
    return (this.#opening = this.#open(clientId, at));
  }

  async #open(clientId: number, at: Opened): Promise<void> {
    this.failed = null;
    try {
      const params = { params: { path: { clientId } } };
      const [client, places, weeks, plans, strength] = await Promise.all([
        ask(() => api.GET('/api/v1/clients/{id}', { params: { path: { id: clientId } } })),
        ask(() => api.GET('/api/v1/clients/{clientId}/places', params)),
        ask(() => api.GET('/api/v1/clients/{clientId}/gym-weeks', params)),
        plansOf(clientId),
        ask(() => api.GET('/api/v1/clients/{clientId}/strength', params)),
      ]);
      [this.places, this.versions.all, this.gym.weeks] = [places, plans, weeks];
      [this.#client.saved, this.#client.taught] = [client, strength];
      const plan = this.#asked(at);
      if (plan) await this.#openPlan(plan);
      else {
        await this.gym.open(clientId, at.week ?? weeks[0]?.id ?? null);
        this.placeId = at.place ?? places[0]?.id ?? null;
      }

      await this.saving.keepHere();
      // What was proposed before a reload is proposed again; nothing was decided about it.
      if (!this.proposal.result && at.line && this.gym.text.trim()) await this.proposal.again(false);
      if (!this.proposal.result) this.proposal.editing = true;
    } catch (error) {
      this.failed = error;
    }
  }

  /** The plan that is asked for, or the one that was worked on last. */
  #asked({ plan, week, place }: Opened): number | undefined {
    if (plan) return plan;
    return this.versions.all.find((p) => (!week || p.gymWeekId === week) && (!place || p.placeId === place))
      ?.id;
  }

  async #openPlan(id: number): Promise<void> {
    const plan = await planWith(id);
    this.placeId = plan.value.placeId ?? null;
    await this.show(plan);
  }

  /** Shows a saved version. */
  async show(plan: SavedPlan): Promise<void> {
    const { request } = plan.value.document;
    this.versions.show(plan);
    await this.gym.show(plan.value.clientId, plan.value.gymWeekId ?? null, request.gymLines.join('\n'));
    this.history.clear();
    await this.proposal.show(request);
  }

  /** Another gym week: its own plan if there is one, else a fresh start that keeps what stood where it can. */
  async switchWeek(id: number): Promise<void> {
    const clientId = this.client?.id;
    if (clientId === undefined) return;
    await this.saving.keeper.flush();
    const { proposal } = this;
    const stood = proposal.result ? stoodIn(proposal.result.plan) : [];
    if (proposal.result) this.#leave();
    this.history.clear();
    this.versions.show(null);
    const { approach, fitToMinutes, phase, calibrate } = proposal.decided;
    proposal.decided = decidedIn({ approach, fitToMinutes, phase, calibrate, before: stood });
    await this.gym.open(clientId, id);
    const left = this.#left.at(this.gym.weekId, this.placeId);
    const kept = this.versions.of(this.gym.weekId, this.placeId);
    if (left?.unsaved) {
      this.#put(left);
      await proposal.again(true);
    } else if (kept) await this.#openPlan(kept.id);
    else proposal.clear();

    await this.saving.keepHere();
  }

  /**
   * Another place for the same gym week, in one step. Each place keeps a plan of its own: what was decided there
   * before comes back; where nothing was, the coach's choices go along as far as they can be done there.
   */
  async switchPlace(id: number): Promise<void> {
    if (!this.proposal.result) {
      this.placeId = id;
      return;
    }

    await this.saving.keeper.flush();
    this.#remember();
    const at = await this.decidedAt(id);
    this.#leave();
    this.placeId = id;
    this.#put(at);
    await this.proposal.again(at.unsaved || at.plan === null);
    await this.saving.keepHere();
  }

  /** What is decided for the week at a place: as it was left, as it was saved, or as it is here. */
  async decidedAt(placeId: number): Promise<AtPlace> {
    const left = this.#left.at(this.gym.weekId, placeId);
    if (left) return left;
    const saved = this.versions.of(this.gym.weekId, placeId);
    if (saved) {
      const plan = await planWith(saved.id);
      return { decided: decidedIn(plan.value.document.request), plan, unsaved: false };
    }

    const { decided, result } = this.proposal;
    const before = result ? stoodIn(result.plan) : [];
    return { decided: { ...$state.snapshot(decided), before }, plan: null, unsaved: true };
  }

  /** The plan of the week at another place, for comparing; nothing here changes. */
  async rebuiltAt(placeId: number): Promise<RebuiltWeek> {
    const { decided } = await this.decidedAt(placeId);
    return rebuilt(this.proposal.request(decided, this.places.find((p) => p.id === placeId) ?? this.place));
  }

  /** Proposes a home plan for what is typed; a plan that is saved already gets it as its next version. */
  async propose(): Promise<void> {
    await this.#opening; // A key may be pressed before everything is there.
    this.proposal.headStart();
    await this.proposal.again(true);
    if (this.versions.plan) this.saving.keeper.changed();
  }

  /** Proposes anew, keeping what stands where nothing clearly better has come up. */
  async rebuildAgain(): Promise<void> {
    await this.#opening;
    this.#remember();
    await this.propose();
  }

  /** Proposes anew with kit, client and gym week as they are now. */
  async catchUp(): Promise<void> {
    const week = this.gym.week?.value.text;
    if (week !== undefined && this.versions.drift?.of.includes('gym-week')) this.gym.text = week;
    await this.rebuildAgain();
  }

  /** Takes a decision as a step that undo takes back; one that is refused is none. */
  async take(decision: PlanCommand): Promise<boolean> {
    let before: Step | undefined;
    const done = await this.#take(decision, () => (before = this.#step()));
    if (done && before) this.history.remember(before);
    return done;
  }

  async #take(decision: PlanCommand, first: () => void = () => undefined): Promise<boolean> {
    const done = await this.proposal.take(decision, { after: this.#opening, first });
    if (done) this.saving.keeper.changed();
    else if (this.proposal.pending.length > 0) this.waitForServer();
    return done;
  }

  /** Keeps what was decided while the server did not answer, and takes it once it does. */
  waitForServer(): void {
    this.saving.keeper.changed();
    clearTimeout(this.#waiting);
    this.#waiting = setTimeout(() => void this.#takePending(), 3_000);
  }

  async #takePending(): Promise<void> {
    if (this.proposal.pending.length === 0) return;
    const before = this.#step();
    if (await this.proposal.takePending()) {
      this.history.remember(before);
      this.saving.keeper.changed();
    } else if (this.proposal.pending.length > 0) this.waitForServer();
  }

  /** The screen goes; what waits is kept in the browser. */
  close(): void {
    clearTimeout(this.#waiting);
  }

  /** Has the lines back that the last decision changed though it was not about them; a step of its own, so that undo takes it back. */
  async keepTheRest(): Promise<void> {
    const before = this.#step();
    if (!(await this.proposal.takeWithoutTheRest())) return;
    this.history.remember(before);
    this.saving.keeper.changed();
  }

  /** Leaves an exercise out for this client, from now on and everywhere; undo takes it back. */
  async ban(exerciseId: string, name: string): Promise<void> {
    const { refuses } = this.#client.wishes;
    if (!this.client || refuses.includes(exerciseId)) return;
    this.#remember();
    if (!(await this.#client.wish({ refuses: [...refuses, exerciseId] }))) return;
    await this.#take({ kind: 'leave-out-exercise', exerciseId });
    toasts.done(`${name} is left out for ${this.client.value.name} from now on.`, () => void this.undo());
  }

  /** Offers an exercise that is off by default to this client, its caution with it; undo takes it back. */
  async allow(exerciseId: string, name: string): Promise<void> {
    const { allows } = this.#client.wishes;
    if (!this.client || allows.includes(exerciseId)) return;
    this.#remember();
    this.proposal.headStart();
    if (!(await this.#client.wish({ allows: [...allows, exerciseId] }))) return;
    await this.proposal.again(true);
    this.saving.keeper.changed();
    toasts.done(
      `${name} is offered to ${this.client.value.name} from now on, with its caution.`,
      () => void this.undo(),
    );
  }

  async undo(): Promise<void> {
    const before = this.history.undo(this.#step());
    if (before) await this.#restore(before);
    else if (this.canUndo) await this.saving.move('undo');
  }

  async redo(): Promise<void> {
    const after = this.history.redo(this.#step());
    if (after) await this.#restore(after);
    else if (this.canRedo) await this.saving.move('redo');
  }

  #leave(): void {
    this.#left.keep(this.gym.weekId, this.placeId, this.#here());
  }

  #here(): AtPlace {
    const { decided, unsaved } = this.proposal;
    return { decided: $state.snapshot(decided), plan: this.versions.plan, unsaved };
  }

  #put(at: AtPlace): void {
    this.proposal.decided = at.decided;
    this.versions.show(this.versions.newest(at.plan) ?? this.versions.seenAt(this.gym.weekId, this.placeId));
  }

  #step(): Step {
    return { ...this.#here(), placeId: this.placeId, wishes: this.#client.wishes };
  }

  #remember(): void {
    this.history.remember(this.#step());
  }

  async #restore(step: Step): Promise<void> {
    if (JSON.stringify(this.#client.wishes) !== JSON.stringify(step.wishes))
      await this.#client.wish(step.wishes);
    if (this.placeId !== null && this.placeId !== step.placeId) this.#leave();
    const moved = this.placeId !== step.placeId;
    this.placeId = step.placeId;
    this.#put(step);
    await this.proposal.again(true);
    if (moved) await this.saving.keepHere();
    else if (this.versions.plan || this.history.canUndo) this.saving.keeper.changed();
  }
}
