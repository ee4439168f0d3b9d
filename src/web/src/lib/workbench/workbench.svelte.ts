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
  failed = $state(false);

  readonly gym = new GymText();
  readonly versions = new Versions();
  readonly marks = new Marks();
  readonly decide = new Decisions(this);
  readonly history = new History<Step>();
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

  open(clientId: number, at: { plan?: number; week?: number; place?: number }): Promise<void> {
    return (this.#opening = this.#open(clientId, at));
  }

  async #open(clientId: number, at: { plan?: number; week?: number; place?: number }): Promise<void> {
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
      if (at.plan) await this.#openPlan(at.plan);
      else this.gym.open(at.week ?? weeks[0]?.id ?? null);
      this.placeId = at.place ?? this.versions.plan?.value.placeId ?? places[0]?.id ?? null;
      if (!this.result) this.editing = true;
    } catch (error) {
      this.failed = true;
      toasts.problem(error);
    }
  }

  /** Another gym week: its own plan if there is one, else a fresh start that keeps what stood where it can. */
  async switchWeek(id: number): Promise<void> {
    const stood = this.result ? stoodIn(this.result.plan) : [];
    if (this.result) this.#leave();
    this.history.clear();
    this.versions.plan = null;
    const { approach, fitToMinutes, phase, calibrate } = this.decided;
    this.decided = decidedIn({ approach, fitToMinutes, phase, calibrate, before: stood });
    this.gym.open(id);
    const left = this.#left.at(this.gym.weekId, this.placeId);
    if (left?.unsaved) {
      this.#put(left);
      return this.rebuild();
    }

    const kept = this.versions.of(this.gym.weekId, this.placeId);
    if (kept) return this.#openPlan(kept.id);
    this.result = null;
    this.editing = true;
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

    this.#remember();
    const at = await this.decidedAt(id);
    this.#leave();
    this.placeId = id;
    this.#put(at);
    await this.rebuild(at.unsaved || at.plan === null);
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

  /** Proposes a home plan for what is typed. */
  async rebuild(unsaved = true): Promise<void> {
    if (!this.busy) this.#working = this.#rebuild(unsaved);
    await this.#working;
  }

  /** True when there is a new plan; what is refused is said and changes nothing. */
  async #rebuild(unsaved: boolean, decisions: PlanDecision[] = []): Promise<boolean> {
    await this.#opening; // A key may be pressed before everything is there.
    if (!this.client || this.busy) return false;
    this.busy = true;
    try {
      await this.gym.keep(this.client.id);
      const { request, result } = await this.#built(decisions);
      this.decided = decidedIn(request);
      this.result = result;
      this.gym.readAs(result.plan.lines.length, result.errors, result.rows);
      this.selected = Math.min(this.selected, Math.max(0, result.plan.lines.length - 1));
      this.editing = result.plan.lines.length === 0;
      this.unsaved = unsaved;
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
    this.#headStart();
    await this.rebuild();
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
    await this.rebuild();
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

  /** Saves a new plan for this week and place, or a new version of the open one. */
  async save(revision = this.versions.plan?.revision): Promise<boolean> {
    await this.#working; // What was pressed just before belongs to what is saved.
    if (!this.client || !this.result || this.busy) return false;
    this.busy = true;
    try {
      const title = `${this.gym.week?.value.name ?? 'Gym week'}, ${this.place?.value.name ?? 'no place'}`;
      const { id: clientId } = this.client;
      const plan = {
        clientId,
        title,
        placeId: this.placeId,
        gymWeekId: this.gym.weekId,
        request: this.request(),
      };
      const saved = await this.versions.save(plan, revision ?? this.versions.plan?.revision);
      if (saved) {
        this.unsaved = false;
        this.history.clear();
      }

      return saved;
    } finally {
      this.busy = false;
    }
  }

  async takeTheirs(): Promise<void> {
    const theirs = this.versions.conflict;
    this.versions.conflict = null;
    if (theirs) await this.#show(theirs);
  }

  async #openPlan(id: number): Promise<void> {
    const plan = await planWith(id);
    this.gym.weekId = plan.value.gymWeekId ?? null;
    this.placeId = plan.value.placeId ?? null;
    await this.#show(plan);
  }

  /** Shows a stored version; its candidates are found again from the same request. */
  async #show(plan: SavedPlan): Promise<void> {
    const { request } = plan.value.document;
    this.versions.plan = plan;
    this.gym.text = request.gymLines.join('\n');
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
    toasts.done(`Version ${shown.value.version} of ${shown.value.versions}.`);
  }

  #leave(): void {
    this.#left.keep(this.gym.weekId, this.placeId, this.#here());
  }

  #here(): AtPlace {
    return { decided: $state.snapshot(this.decided), plan: this.versions.plan, unsaved: this.unsaved };
  }

  #put(at: AtPlace): void {
    [this.decided, this.versions.plan] = [at.decided, at.plan];
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
    const taken = this.#working.then(() => {
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
    this.placeId = step.placeId;
    this.#put(step);
    await this.rebuild(step.unsaved);
  }
}
