import { api, ask } from '../api/client';
import type {
  Candidate,
  DecidedPlan,
  HomeEdit,
  HomeLine,
  PlanDecision,
  PlanSummary,
  RebuildRequest,
  RebuildResult,
  Remedy,
  SavedClient,
  SavedPlace,
  SavedPlan,
  StandingLine,
} from '../api/types';
import { toasts } from '../toasts.svelte';
import { conflictOf } from '../ui/saving';
import { count } from '../words';
import { byDay, stoodIn } from './days';
import { decidedIn, type Decided } from './decided';
import { editInWords } from './edits';
import { GymText } from './gymText.svelte';
import { History } from '../ui/history.svelte';
import { OpenClient, type Wishes } from './openClient.svelte';
import { decided, moved, planAdded, plansOf, planWith, rebuilt, versionAdded } from './plans';

/** How the week was left at a place. */
interface AtPlace {
  decided: Decided;
  plan: SavedPlan | null;
  unsaved: boolean;
}

/** All that one step of undo brings back. */
interface Step extends AtPlace {
  placeId: number | null;
  wishes: Wishes;
}

/** The state of the workbench: a gym week, a place, what the engine proposes and what the coach decides. */
export class Workbench {
  places = $state<SavedPlace[]>([]);
  plans = $state<PlanSummary[]>([]);
  plan = $state<SavedPlan | null>(null);
  placeId = $state<number | null>(null);
  result = $state<RebuildResult | null>(null);
  /** What the coach decided, here and now. */
  decided = $state<Decided>(decidedIn());
  /** Lines marked for the next repeat of an edit. */
  marked = $state<number[]>([]);
  lastEdit = $state<HomeEdit | null>(null);
  /** Line whose dose is to be typed, until its cell opens. */
  typingIn = $state<number | null>(null);
  selected = $state(0);
  editing = $state(false);
  busy = $state(false);
  unsaved = $state(false);
  conflict = $state<SavedPlan | null>(null);
  failed = $state(false);

  readonly gym = new GymText();
  readonly history = new History<Step>();
  readonly #client = new OpenClient();
  readonly place = $derived(this.places.find((p) => p.id === this.placeId));
  readonly lines = $derived<HomeLine[]>(this.result?.plan.lines ?? []);
  readonly days = $derived(this.result ? byDay(this.result.plan) : []);
  readonly line = $derived<HomeLine | undefined>(this.lines[this.selected]);
  readonly canUndo = $derived(this.history.canUndo || (!this.unsaved && (this.plan?.value.canUndo ?? false)));
  readonly canRedo = $derived(this.history.canRedo || (!this.unsaved && (this.plan?.value.canRedo ?? false)));

  /** What was left at other weeks and places, by both. */
  #left: Record<string, AtPlace> = {};
  #opening: Promise<void> = Promise.resolve();
  #working: Promise<void> = Promise.resolve();

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
      [this.places, this.plans, this.gym.weeks] = [places, plans, weeks];
      [this.#client.saved, this.#client.taught] = [client, strength];
      if (at.plan) await this.#openPlan(at.plan);
      else this.gym.open(at.week ?? weeks[0]?.id ?? null);
      this.placeId = at.place ?? this.plan?.value.placeId ?? places[0]?.id ?? null;
      if (!this.result) this.editing = true;
    } catch (error) {
      this.failed = true;
      toasts.problem(error);
    }
  }

  /** Another gym week: its own plan if there is one, else a fresh start that keeps what stood where it can. */
  async switchWeek(id: number): Promise<void> {
    const stood = this.result ? stoodIn(this.result.plan) : [];
    if (this.result) this.#left[this.#key()] = this.#here();
    this.history.clear();
    this.plan = null;
    const { approach, fitToMinutes, phase, calibrate } = this.decided;
    this.decided = decidedIn({ approach, fitToMinutes, phase, calibrate, before: stood });
    this.gym.open(id);
    const left = this.#left[this.#key()];
    if (left?.unsaved) {
      this.#put(left);
      return this.rebuild();
    }

    const kept = this.#planFor(this.placeId);
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
    this.#left[this.#key()] = this.#here();
    this.placeId = id;
    this.#put(at);
    await this.rebuild(at.unsaved || at.plan === null);
  }

  /** What is decided for the week at a place: as it was left, as it was saved, or as it is here. */
  async decidedAt(placeId: number): Promise<AtPlace> {
    const left = this.#left[this.#key(placeId)];
    if (left) return left;
    const saved = this.#planFor(placeId);
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
  rebuild(unsaved = true): Promise<void> {
    if (!this.busy) this.#working = this.#rebuild(unsaved);
    return this.#working;
  }

  async #rebuild(unsaved: boolean, decisions: PlanDecision[] = []): Promise<void> {
    await this.#opening; // A key may be pressed before everything is there.
    if (!this.client || this.busy) return;
    this.busy = true;
    try {
      await this.gym.keep(this.client.id);
      const { request, result } = await this.#built(decisions);
      this.decided = decidedIn(request);
      this.result = result;
      this.gym.errors = result.errors;
      this.selected = Math.min(this.selected, Math.max(0, result.plan.lines.length - 1));
      this.editing = result.plan.lines.length === 0;
      this.unsaved = unsaved;
    } catch (error) {
      toasts.problem(error);
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

  /** What the week would be under an approach, for looking before taking; nothing here changes. */
  async underApproach(approach: string, day?: string): Promise<RebuildResult> {
    const decision: PlanDecision = { kind: 'follow-approach', approach, day };
    return (await decided(this.request(), this.#standing(), [decision])).result;
  }

  async follow(approach: string, day?: string): Promise<void> {
    await this.#decide({ kind: 'follow-approach', approach, day });
  }

  /** Takes a candidate for the selected line and keeps it. */
  async choose(candidateId: string, line = this.line): Promise<void> {
    if (line) await this.#decide({ kind: 'choose-candidate', line: line.gym.key, candidateId });
  }

  /** Keeps the present choice of the selected line, or leaves it to the engine again. */
  async toggleLock(): Promise<void> {
    const line = this.line;
    if (!line?.chosen) return;
    if (!line.locked) return this.choose(line.chosen.id, line);
    await this.#decide({ kind: 'leave-to-engine', line: line.gym.key });
  }

  /** Corrects what a line is for; null leaves it to be inferred. */
  async setRole(role: HomeLine['role'] | null): Promise<void> {
    const line = this.line?.gym.key;
    if (line !== undefined) await this.#decide({ kind: 'set-role', line, role });
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

  /** Sets figures of a home exercise. */
  async edit(edit: HomeEdit): Promise<void> {
    this.lastEdit = edit;
    await this.#decide({ kind: 'set-figures', edits: [edit] });
  }

  /** Does the last edit again: on the marked lines, or on the selected one. */
  async repeatEdit(): Promise<void> {
    const last = this.lastEdit;
    if (!last) return;
    const lines = this.marked.length > 0 ? this.marked : this.line ? [this.line.gym.key] : [];
    if (lines.length === 0) return;
    await this.#decide({ kind: 'repeat-figures', figures: last, lines: [...lines] });
    toasts.done(
      `${editInWords({ ...last, externalKg: null })}: ${count(lines.length, 'line')}.`,
      () => void this.undo(),
    );
  }

  /** Marks the selected line for the next repeat, or takes the mark off. */
  toggleMark(): void {
    const line = this.line?.gym.key;
    if (line === undefined) return;
    this.marked = this.marked.includes(line) ? this.marked.filter((l) => l !== line) : [...this.marked, line];
  }

  /** Cuts the days to the client's minutes, or lets them take what they take. */
  async fit(fitToMinutes: boolean): Promise<void> {
    await this.#decide({ kind: 'fit-to-minutes', on: fitToMinutes });
  }

  /** Opens the last set of what was never logged, so that the log can set the dose, or closes it again. */
  async toggleCalibration(): Promise<void> {
    await this.#decide({ kind: 'calibrate', on: !this.decided.calibrate });
  }

  /** Does in one press what a finding proposes. */
  async remedy(remedy: Remedy): Promise<void> {
    await this.#decide({ kind: 'take-remedy', remedy });
  }

  /** Lets a finding stand, with the reason; an empty one takes that back. */
  async accept(key: string, note: string): Promise<void> {
    await this.#decide({ kind: 'accept-finding', key, note });
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
  async save(revision = this.plan?.revision): Promise<boolean> {
    await this.#working; // What was pressed just before belongs to what is saved.
    revision ??= this.plan?.revision;
    if (!this.client || !this.result || this.busy) return false;
    this.busy = true;
    try {
      const request = this.request();
      const title =
        this.plan?.value.document.title ??
        `${this.gym.week?.value.name ?? 'Gym week'}, ${this.place?.value.name ?? 'no place'}`;
      const clientId = this.client.id;
      this.plan = this.plan
        ? await versionAdded(this.plan, revision ?? this.plan.revision, title, request)
        : await planAdded(clientId, { title, placeId: this.placeId, gymWeekId: this.gym.weekId, request });
      this.unsaved = false;
      this.conflict = null;
      this.history.clear();
      this.plans = await plansOf(clientId);
      toasts.done(`Saved as version ${this.plan.value.version}.`);
      return true;
    } catch (error) {
      this.conflict = conflictOf<SavedPlan>(error) ?? null;
      if (!this.conflict) toasts.problem(error);
      return false;
    } finally {
      this.busy = false;
    }
  }

  async takeTheirs(): Promise<void> {
    const theirs = this.conflict;
    this.conflict = null;
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
    this.plan = plan;
    this.gym.text = request.gymLines.join('\n');
    this.decided = decidedIn(request);
    this.history.clear();
    this.result = await rebuilt(request);
    this.gym.errors = this.result.errors;
    this.editing = false;
    this.unsaved = false;
  }

  async #moveVersion(way: 'undo' | 'redo'): Promise<void> {
    const plan = this.plan;
    if (!plan) return;
    try {
      const shown = await moved(plan, way);
      await this.#show(shown);
      toasts.done(`Version ${shown.value.version} of ${shown.value.versions}.`);
    } catch (error) {
      this.conflict = conflictOf<SavedPlan>(error) ?? null;
      if (!this.conflict) toasts.problem(error);
    }
  }

  #key(placeId = this.placeId): string {
    return `${this.gym.weekId ?? 'new'}/${placeId ?? 'none'}`;
  }

  #planFor(placeId: number | null): PlanSummary | undefined {
    return this.plans.find((p) => p.gymWeekId === this.gym.weekId && p.placeId === placeId);
  }

  #here(): AtPlace {
    return { decided: $state.snapshot(this.decided), plan: this.plan, unsaved: this.unsaved };
  }

  #put(at: AtPlace): void {
    [this.decided, this.plan] = [at.decided, at.plan];
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

  /** A step of the coach that undo takes back. */
  async #decide(decision: PlanDecision): Promise<void> {
    this.#remember();
    await this.#take(decision);
  }

  /** Takes a decision once what is under way is done. */
  #take(decision: PlanDecision): Promise<void> {
    const plain = $state.snapshot(decision) as PlanDecision;
    return (this.#working = this.#working.then(() => this.#rebuild(true, [plain])));
  }

  async #restore(step: Step): Promise<void> {
    if (JSON.stringify(this.#client.wishes) !== JSON.stringify(step.wishes))
      await this.#client.wish(step.wishes);
    if (this.placeId !== null && this.placeId !== step.placeId) this.#left[this.#key()] = this.#here();
    this.placeId = step.placeId;
    this.#put(step);
    await this.rebuild(step.unsaved);
  }
}

/** Name of a candidate as it is read. */
export const nameOf = (candidate: Candidate): string => candidate.exercises.map((e) => e.name).join(' + ');
