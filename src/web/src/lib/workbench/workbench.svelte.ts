import { api, ask } from '../api/client';
import type {
  DecidedPlan,
  HomeLine,
  PlanDecision,
  RebuildRequest,
  RebuildResult,
  SavedClient,
  SavedPlace,
  SavedPlan,
  StandingLine,
} from '../api/types';
import type { NotYet } from '../keeping/keeper.svelte';
import { keeping } from '../keeping/keeping.svelte';
import { toasts } from '../toasts.svelte';
import { History } from '../ui/history.svelte';
import { byDay, stoodIn } from './days';
import { decidedIn, type Decided } from './decided';
import { Decisions } from './decisions';
import { GymText } from './gymText.svelte';
import { LeftAtPlaces, type AtPlace } from './leftAtPlaces';
import { Marks } from './marks.svelte';
import { OpenClient, type Wishes } from './openClient.svelte';
import { decided, plansOf, planWith, rebuilt } from './plans';
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

/** What is decided and not saved yet, as the browser keeps it. */
interface Undecided {
  decided: Decided;
  planId: number | null;
}

/** The state of the workbench: a gym week, a place, what the engine proposes and what the coach decides. */
export class Workbench {
  places = $state<SavedPlace[]>([]);
  placeId = $state<number | null>(null);
  result = $state<RebuildResult | null>(null);
  /** What the coach decided, here and now. */
  decided = $state<Decided>(decidedIn());
  selected = $state(0);
  editing = $state(false);
  busy = $state(false);
  unsaved = $state(false);
  /** Why it could not be opened; null when it could. */
  failed = $state<unknown>(null);
  /** The coach looks at what somebody else saved meanwhile. */
  deciding = $state(false);

  readonly gym = new GymText();
  readonly versions = new Versions();
  readonly marks = new Marks();
  readonly decide = new Decisions(this);
  readonly history = new History<Step>();
  readonly keeper = keeping.keep<Undecided>(
    {
      now: () => ({ decided: $state.snapshot(this.decided), planId: this.versions.plan?.id ?? null }),
      restore: (left) => this.#bringBack(left),
      save: (left, base) => this.#save(left, base),
      conflict: (theirs) => {
        this.versions.conflict = theirs as SavedPlan;
        this.deciding = true;
      },
    },
    1_500,
  );
  readonly #client = new OpenClient();
  readonly place = $derived(this.places.find((p) => p.id === this.placeId));
  readonly lines = $derived<HomeLine[]>(this.result?.plan.lines ?? []);
  readonly days = $derived(this.result ? byDay(this.result.plan) : []);
  readonly line = $derived<HomeLine | undefined>(this.lines[this.selected]);
  readonly canUndo = $derived(this.history.canUndo || (!this.unsaved && this.versions.canUndo));
  readonly canRedo = $derived(this.history.canRedo || (!this.unsaved && this.versions.canRedo));

  readonly #left = new LeftAtPlaces();
  #opening: Promise<void> = Promise.resolve();
  #working: Promise<unknown> = Promise.resolve();

  get client(): SavedClient | null {
    return this.#client.saved;
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

      await this.#keepHere();
      // What was proposed before a reload is proposed again; nothing was decided about it.
      if (!this.result && at.line && this.gym.text.trim()) await this.#rebuild(false);
      if (!this.result) this.editing = true;
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

  /** Another gym week: its own plan if there is one, else a fresh start that keeps what stood where it can. */
  async switchWeek(id: number): Promise<void> {
    const clientId = this.client?.id;
    if (clientId === undefined) return;
    await this.keeper.flush();
    const stood = this.result ? stoodIn(this.result.plan) : [];
    if (this.result) this.#leave();
    this.history.clear();
    this.versions.show(null);
    const { approach, fitToMinutes, phase, calibrate } = this.decided;
    this.decided = decidedIn({ approach, fitToMinutes, phase, calibrate, before: stood });
    await this.gym.open(clientId, id);
    const left = this.#left.at(this.gym.weekId, this.placeId);
    const kept = this.versions.of(this.gym.weekId, this.placeId);
    if (left?.unsaved) {
      this.#put(left);
      await this.#again(true);
    } else if (kept) await this.#openPlan(kept.id);
    else {
      this.result = null;
      this.editing = true;
    }

    await this.#keepHere();
  }

  /**
   * Another place for the same gym week, in one step. Each place keeps a plan of its own: what was decided there
   * before comes back; where nothing was, the coach's choices go along as far as they can be done there.
   */
  async switchPlace(id: number): Promise<void> {
    if (!this.result) {
      this.placeId = id;
      return;
    }

    await this.keeper.flush();
    this.#remember();
    const at = await this.decidedAt(id);
    this.#leave();
    this.placeId = id;
    this.#put(at);
    await this.#again(at.unsaved || at.plan === null);
    await this.#keepHere();
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

    const before = this.result ? stoodIn(this.result.plan) : [];
    return { decided: { ...$state.snapshot(this.decided), before }, plan: null, unsaved: true };
  }

  /** The plan of the week at another place, for comparing; nothing here changes. */
  async rebuiltAt(placeId: number): Promise<RebuildResult> {
    const { decided } = await this.decidedAt(placeId);
    return rebuilt(this.request(decided, this.places.find((p) => p.id === placeId) ?? this.place));
  }

  /** Proposes a home plan for what is typed; a plan that is saved already gets it as its next version. */
  async propose(): Promise<void> {
    await this.#opening; // A key may be pressed before everything is there.
    this.#headStart(); // Two kilograms more or a line more change what they touch, not the rest.
    await this.#again(true);
    if (this.versions.plan) this.keeper.changed();
  }

  async #again(unsaved: boolean): Promise<void> {
    if (!this.busy) this.#working = this.#rebuild(unsaved);
    await this.#working;
  }

  /** True when there is a new plan; what is refused is said and changes nothing. */
  async #rebuild(unsaved: boolean, decisions: PlanDecision[] = []): Promise<boolean> {
    if (!this.client || this.busy) return false;
    this.busy = true;
    try {
      await this.gym.keeper.flush();
      const { request, result } = await this.#built(decisions);
      this.decided = decidedIn(request);
      this.result = result;
      this.gym.readAs(result.plan.lines.length, result.errors, result.rows);
      this.selected = Math.min(this.selected, Math.max(0, result.plan.lines.length - 1));
      this.editing = result.plan.lines.length === 0;
      this.unsaved = unsaved;
      if (decisions.length > 0) this.keeper.changed();
      return true;
    } catch (error) {
      toasts.problem(error);
      return false;
    } finally {
      this.busy = false;
    }
  }

  /** The plan that decisions give; without any, of what is decided already. */
  async #built(decisions: PlanDecision[]): Promise<DecidedPlan> {
    const request = this.request();
    if (decisions.length > 0) return decided(request, this.#standing(), decisions);
    const result = await rebuilt(request);
    return { request: { ...request, keyed: result.keyed }, result };
  }

  /** What stands in the plan that is shown. */
  #standing(): StandingLine[] {
    return this.result?.plan.standing ?? [];
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

  request(decided: Decided = this.decided, place = this.place): RebuildRequest {
    return {
      client: this.#client.now(),
      kit: ($state.snapshot(place?.value) as RebuildRequest['kit'] | undefined) ?? {
        name: 'No place',
        items: [],
      },
      gymLines: this.gym.text.split(/\r?\n/),
      ...$state.snapshot(decided),
    };
  }

  /** Key of the approach that a day follows, or the week without one. */
  approachOn(day?: string): string {
    const own =
      day === undefined ? undefined : this.decided.dayApproaches.find((a) => a.day === day)?.approach;
    return own ?? this.decided.approach ?? this.#client.approach;
  }

  /** The plan that a decision would give, for looking before taking; nothing here changes. */
  async tried(decision: PlanDecision): Promise<RebuildResult> {
    return (await decided(this.request(), this.#standing(), [decision])).result;
  }

  /** Takes a decision as a step that undo takes back; one that is refused is none. */
  async take(decision: PlanDecision): Promise<boolean> {
    let before: Step | undefined;
    const done = await this.#take(decision, () => (before = this.#step()));
    if (done && before) this.history.remember(before);
    return done;
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
    this.#change();
    if (!(await this.#client.wish({ allows: [...allows, exerciseId] }))) return;
    await this.#again(true);
    this.keeper.changed();
    toasts.done(
      `${name} is offered to ${this.client.value.name} from now on, with its caution.`,
      () => void this.undo(),
    );
  }

  async undo(): Promise<void> {
    const before = this.history.undo(this.#step());
    if (before) await this.#restore(before);
    else if (this.canUndo) await this.#moveVersion('undo');
  }

  async redo(): Promise<void> {
    const after = this.history.redo(this.#step());
    if (after) await this.#restore(after);
    else if (this.canRedo) await this.#moveVersion('redo');
  }

  /** Saves now, a plan that nothing was decided about yet too; true when it stands on the server. */
  async save(): Promise<boolean> {
    await this.#working; // What was pressed just before belongs to what is saved.
    if (!this.result) return false;
    if (this.unsaved || !this.versions.plan) this.keeper.changed();
    const saved = await this.keeper.flush();
    if (saved && this.versions.plan) toasts.done(`Saved as version ${this.versions.plan.value.version}.`);
    return saved;
  }

  /** Saves what is here over what somebody else saved meanwhile. */
  keepMine(): void {
    this.deciding = false;
    const theirs = this.versions.conflict;
    if (theirs) void this.keeper.overwrite(theirs.revision);
  }

  async takeTheirs(): Promise<void> {
    this.deciding = false;
    const theirs = this.versions.conflict;
    this.versions.conflict = null;
    if (!theirs) return;
    await this.#show(theirs);
    this.keeper.settled(theirs.revision);
  }

  /** A new plan for this week and place, or a new version of the open one. */
  async #save({ decided }: Undecided, base: number | null): Promise<number | NotYet> {
    await this.#working;
    if (!this.client || !this.result) return { because: 'There is no home plan yet.' };
    const title = `${this.gym.week?.value.name ?? 'Gym week'}, ${this.place?.value.name ?? 'no place'}`;
    const plan = {
      clientId: this.client.id,
      title,
      placeId: this.placeId,
      gymWeekId: this.gym.weekId,
      request: this.request(decided),
    };
    const saved = await this.versions.save(plan, base);
    if (JSON.stringify(decided) === JSON.stringify($state.snapshot(this.decided))) this.unsaved = false;
    return saved.revision;
  }

  /** Drops what was restored: the plan as it is saved, or the gym week. */
  async drop(): Promise<void> {
    if (this.versions.plan) await this.#show(this.versions.plan);
    else {
      this.decided = decidedIn();
      this.result = null;
      this.editing = true;
    }
  }

  /** Looks after what is decided for this week at this place. */
  async #keepHere(): Promise<void> {
    const record = `plan-${this.client?.id ?? 0}-${this.gym.weekId ?? 'new'}-${this.placeId ?? 'none'}`;
    const unsaved = this.unsaved && this.versions.plan !== null;
    await this.keeper.on(record, this.versions.plan?.revision ?? null);
    if (unsaved && !this.keeper.restored) this.keeper.changed();
  }

  /** Decisions that were left unsaved, taken up again. */
  async #bringBack({ decided, planId }: Undecided): Promise<void> {
    if (planId && this.versions.plan?.id !== planId) this.versions.show(await planWith(planId));
    this.decided = decidedIn(decided);
    await this.#rebuild(true);
  }

  async #openPlan(id: number): Promise<void> {
    const plan = await planWith(id);
    this.placeId = plan.value.placeId ?? null;
    await this.#show(plan);
  }

  /** Shows a stored version; its candidates are found again from the same request. */
  async #show(plan: SavedPlan): Promise<void> {
    const { request } = plan.value.document;
    this.versions.show(plan);
    await this.gym.show(plan.value.clientId, plan.value.gymWeekId ?? null, request.gymLines.join('\n'));
    this.decided = decidedIn(request);
    this.history.clear();
    this.result = await rebuilt(request);
    this.gym.readAs(this.result.plan.lines.length, this.result.errors, this.result.rows);
    this.editing = false;
    this.unsaved = false;
  }

  async #moveVersion(way: 'undo' | 'redo'): Promise<void> {
    const shown = await this.versions.move(way);
    if (!shown) return;
    await this.#show(shown);
    this.keeper.settled(shown.revision);
    toasts.done(`Version ${shown.value.version} of ${shown.value.versions}.`);
  }

  #leave(): void {
    this.#left.keep(this.gym.weekId, this.placeId, this.#here());
  }

  #here(): AtPlace {
    return { decided: $state.snapshot(this.decided), plan: this.versions.plan, unsaved: this.unsaved };
  }

  #put(at: AtPlace): void {
    this.decided = at.decided;
    this.versions.show(this.versions.newest(at.plan) ?? this.versions.seenAt(this.gym.weekId, this.placeId));
  }

  #step(): Step {
    return { ...this.#here(), placeId: this.placeId, wishes: this.#client.wishes };
  }

  #remember(): void {
    this.history.remember(this.#step());
  }

  /** What stands now gets a head start. */
  #headStart(): void {
    if (this.result) this.decided.before = stoodIn(this.result.plan);
  }

  /** A step of the coach: what stands now gets the head start, so that only what the step touches changes. */
  #change(): void {
    this.#remember();
    this.#headStart();
  }

  /** Takes a decision once what is under way is done. */
  #take(decision: PlanDecision, first: () => void = () => undefined): Promise<boolean> {
    const plain = $state.snapshot(decision) as PlanDecision;
    const taken = Promise.all([this.#opening, this.#working]).then(() => {
      first();
      return this.#rebuild(true, [plain]);
    });
    this.#working = taken;
    return taken;
  }

  async #restore(step: Step): Promise<void> {
    if (JSON.stringify(this.#client.wishes) !== JSON.stringify(step.wishes))
      await this.#client.wish(step.wishes);
    if (this.placeId !== null && this.placeId !== step.placeId) this.#leave();
    const moved = this.placeId !== step.placeId;
    this.placeId = step.placeId;
    this.#put(step);
    await this.#again(true);
    if (moved) await this.#keepHere();
    else if (this.versions.plan || this.history.canUndo) this.keeper.changed();
  }
}
