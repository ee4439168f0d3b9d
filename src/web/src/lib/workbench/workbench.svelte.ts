import { api, ask } from '../api/client';
import type {
  ClientStrength,
  AcceptedFinding,
  Candidate,
  CoachChoice,
  DayApproach,
  HomeEdit,
  HomeLine,
  PlanSummary,
  RebuildRequest,
  Remedy,
  RebuildResult,
  SavedClient,
  SavedPlace,
  SavedPlan,
  StoodBefore,
} from '../api/types';
import { toasts } from '../toasts.svelte';
import { conflictOf } from '../ui/saving';
import { count } from '../words';
import { byDay, stoodIn } from './days';
import { editInWords, merged, repeated } from './edits';
import { GymText } from './gymText.svelte';
import { History } from './history.svelte';

/** What the coach decided at one place. */
interface AtPlace {
  approach: string | null;
  dayApproaches: DayApproach[];
  choices: CoachChoice[];
  edits: HomeEdit[];
  before: StoodBefore[];
  accepted: AcceptedFinding[];
  fitToMinutes: boolean;
  phase: string | null;
  calibrate: boolean;
  plan: SavedPlan | null;
  unsaved: boolean;
}

/** All that one step of undo brings back. */
interface Decisions extends AtPlace {
  placeId: number | null;
  refuses: string[];
  allows: string[];
}

/** The state of the workbench: a gym week, a place, what the engine proposes and what the coach decides. */
export class Workbench {
  client = $state<SavedClient | null>(null);
  /** What the client's logs teach of strength. */
  taught = $state.raw<ClientStrength>({ lifts: [], costs: [] });
  places = $state<SavedPlace[]>([]);
  plans = $state<PlanSummary[]>([]);
  plan = $state<SavedPlan | null>(null);
  placeId = $state<number | null>(null);
  result = $state<RebuildResult | null>(null);
  /** Approach of the week; null for the client's. */
  approach = $state<string | null>(null);
  dayApproaches = $state<DayApproach[]>([]);
  choices = $state<CoachChoice[]>([]);
  edits = $state<HomeEdit[]>([]);
  accepted = $state<AcceptedFinding[]>([]);
  fitToMinutes = $state(true);
  /** Phase of the week's approach that a block has brought the plan to. */
  phase = $state<string | null>(null);
  calibrate = $state(false);
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
  readonly history = new History<Decisions>();
  readonly place = $derived(this.places.find((p) => p.id === this.placeId));
  readonly lines = $derived<HomeLine[]>(this.result?.plan.lines ?? []);
  readonly days = $derived(this.result ? byDay(this.result.plan) : []);
  readonly line = $derived<HomeLine | undefined>(this.lines[this.selected]);
  readonly canUndo = $derived(this.history.canUndo || (!this.unsaved && (this.plan?.value.canUndo ?? false)));
  readonly canRedo = $derived(this.history.canRedo || (!this.unsaved && (this.plan?.value.canRedo ?? false)));

  #before: StoodBefore[] = [];
  /** What was left at other weeks and places, by both. */
  #left: Record<string, AtPlace> = {};
  #opening: Promise<void> = Promise.resolve();
  #working: Promise<void> = Promise.resolve();

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
        ask(() => api.GET('/api/v1/clients/{clientId}/plans', params)),
        ask(() => api.GET('/api/v1/clients/{clientId}/strength', params)),
      ]);
      [this.client, this.places, this.plans, this.gym.weeks] = [client, places, plans, weeks];
      this.taught = strength;
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
    [this.choices, this.edits, this.dayApproaches, this.accepted, this.#before] = [[], [], [], [], stood];
    this.gym.open(id);
    const left = this.#left[this.#key()];
    if (left?.unsaved) {
      this.#take(left);
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
    this.#take(at);
    await this.rebuild(at.unsaved || at.plan === null);
  }

  /** What is decided for the week at a place: as it was left, as it was saved, or as it is here. */
  async decidedAt(placeId: number): Promise<AtPlace> {
    const left = this.#left[this.#key(placeId)];
    if (left) return left;
    const saved = this.#planFor(placeId);
    if (saved) {
      const plan = await ask(() => api.GET('/api/v1/plans/{id}', { params: { path: { id: saved.id } } }));
      const { request } = plan.value.document;
      return {
        approach: request.approach ?? null,
        dayApproaches: request.dayApproaches ?? [],
        choices: request.choices ?? [],
        edits: request.edits ?? [],
        before: request.before ?? [],
        accepted: request.accepted ?? [],
        fitToMinutes: request.fitToMinutes ?? true,
        phase: request.phase ?? null,
        calibrate: request.calibrate ?? false,
        plan,
        unsaved: false,
      };
    }

    return {
      approach: this.approach,
      dayApproaches: $state.snapshot(this.dayApproaches),
      choices: $state.snapshot(this.choices),
      edits: $state.snapshot(this.edits),
      before: this.result ? stoodIn(this.result.plan) : [],
      accepted: $state.snapshot(this.accepted),
      fitToMinutes: this.fitToMinutes,
      phase: this.phase,
      calibrate: this.calibrate,
      plan: null,
      unsaved: true,
    };
  }

  /** The plan of the week at another place, for comparing; nothing here changes. */
  async rebuiltAt(placeId: number): Promise<RebuildResult> {
    const at = await this.decidedAt(placeId);
    const kit = this.places.find((p) => p.id === placeId)?.value;
    const body = {
      ...this.request(),
      approach: at.approach,
      dayApproaches: at.dayApproaches,
      choices: at.choices,
      edits: at.edits,
      before: at.before,
      fitToMinutes: at.fitToMinutes,
      phase: at.phase,
      calibrate: at.calibrate,
      ...(kit ? { kit: $state.snapshot(kit) as RebuildRequest['kit'] } : {}),
    };
    return ask(() => api.POST('/api/v1/rebuild', { body }));
  }

  /** Proposes a home plan for what is typed. */
  rebuild(unsaved = true): Promise<void> {
    if (!this.busy) this.#working = this.#rebuild(unsaved);
    return this.#working;
  }

  async #rebuild(unsaved: boolean): Promise<void> {
    await this.#opening; // A key may be pressed before everything is there.
    if (!this.client || this.busy) return;
    this.busy = true;
    try {
      await this.gym.keep(this.client.id);
      const result = await ask(() => api.POST('/api/v1/rebuild', { body: this.request() }));
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

  /** Proposes anew, keeping what stands where nothing clearly better has come up. */
  async rebuildAgain(): Promise<void> {
    if (this.result) this.#before = stoodIn(this.result.plan);
    await this.rebuild();
  }

  /** The client with what the logs teach of strength and costs. */
  clientNow(): RebuildRequest['client'] {
    if (!this.client) throw new Error('No client is open.');
    const profile = $state.snapshot(this.client.value.profile) as RebuildRequest['client'];
    return { ...profile, learned: this.taught.lifts, costs: this.taught.costs };
  }

  request(): RebuildRequest {
    return {
      client: this.clientNow(),
      kit: ($state.snapshot(this.place?.value) as RebuildRequest['kit'] | undefined) ?? {
        name: 'No place',
        items: [],
      },
      gymLines: this.gym.text.split(/\r?\n/),
      choices: $state.snapshot(this.choices),
      edits: $state.snapshot(this.edits),
      before: this.#before,
      approach: this.approach,
      dayApproaches: $state.snapshot(this.dayApproaches),
      accepted: $state.snapshot(this.accepted),
      fitToMinutes: this.fitToMinutes,
      phase: this.phase,
      calibrate: this.calibrate,
    };
  }

  /** Key of the approach that a day follows, or the week without one. */
  approachOn(day?: string): string {
    const own = day === undefined ? undefined : this.dayApproaches.find((a) => a.day === day)?.approach;
    return own ?? this.approach ?? this.client?.value.profile.approach ?? 'mirror';
  }

  /** What the week would be under an approach, for looking before taking; nothing here changes. */
  async underApproach(approach: string, day?: string): Promise<RebuildResult> {
    const body = {
      ...this.request(),
      ...this.#withApproach(approach, day),
      ...(day === undefined ? { phase: null } : {}),
      before: this.result ? stoodIn(this.result.plan) : [],
    };
    return ask(() => api.POST('/api/v1/rebuild', { body }));
  }

  async follow(approach: string, day?: string): Promise<void> {
    this.#change();
    ({ approach: this.approach, dayApproaches: this.dayApproaches } = this.#withApproach(approach, day));
    if (day === undefined) this.phase = null;
    await this.rebuild();
  }

  #withApproach(approach: string, day?: string): { approach: string | null; dayApproaches: DayApproach[] } {
    const others = $state.snapshot(this.dayApproaches).filter((a) => a.day !== day);
    if (day === undefined) return { approach, dayApproaches: $state.snapshot(this.dayApproaches) };
    const asWeek = approach === (this.approach ?? this.client?.value.profile.approach ?? 'mirror');
    return { approach: this.approach, dayApproaches: asWeek ? others : [...others, { day, approach }] };
  }

  /** Takes a candidate for the selected line and keeps it. */
  async choose(candidateId: string, line = this.line): Promise<void> {
    if (!line) return;
    this.#change();
    this.choices = [
      ...this.choices.filter((c) => c.line !== line.gym.line),
      { line: line.gym.line, candidateId, role: this.#roleSet(line) },
    ];
    await this.rebuild();
  }

  /** Keeps the present choice of the selected line, or leaves it to the engine again. */
  async toggleLock(): Promise<void> {
    const line = this.line;
    if (!line?.chosen) return;
    if (!line.locked) return this.choose(line.chosen.id, line);
    this.#change();
    const role = this.#roleSet(line);
    const others = this.choices.filter((c) => c.line !== line.gym.line);
    this.choices = role ? [...others, { line: line.gym.line, role }] : others;
    await this.rebuild();
  }

  /** Corrects what a line is for; null leaves it to be inferred. */
  async setRole(role: HomeLine['role'] | null): Promise<void> {
    const line = this.line;
    if (!line) return;
    this.#change();
    const set = this.choices.find((c) => c.line === line.gym.line);
    this.choices = [
      ...this.choices.filter((c) => c.line !== line.gym.line),
      ...(role || set?.candidateId
        ? [{ line: line.gym.line, candidateId: set?.candidateId ?? null, role }]
        : []),
    ];
    await this.rebuild();
  }

  /** Leaves an exercise out for this client, from now on and everywhere; undo takes it back. */
  async ban(exerciseId: string, name: string): Promise<void> {
    const refuses = this.client?.value.profile.refuses ?? [];
    if (!this.client || refuses.includes(exerciseId)) return;
    this.#change();
    if (!(await this.#profile({ refuses: [...refuses, exerciseId] }))) return;
    this.choices = this.choices.filter((c) => !c.candidateId?.split('+').includes(exerciseId));
    await this.rebuild();
    toasts.done(`${name} is left out for ${this.client.value.name} from now on.`, () => void this.undo());
  }

  /** Offers an exercise that is off by default to this client, its caution with it; undo takes it back. */
  async allow(exerciseId: string, name: string): Promise<void> {
    const client = this.client;
    const allows = client?.value.profile.allows ?? [];
    if (!client || allows.includes(exerciseId)) return;
    this.#change();
    if (!(await this.#profile({ allows: [...allows, exerciseId] }))) return;
    await this.rebuild();
    toasts.done(
      `${name} is offered to ${client.value.name} from now on, with its caution.`,
      () => void this.undo(),
    );
  }

  /** Sets figures of a home exercise. */
  async edit(edit: HomeEdit): Promise<void> {
    this.#change();
    this.edits = merged(this.edits, [edit]);
    this.lastEdit = edit;
    await this.rebuild();
  }

  /** Does the last edit again: on the marked lines, or on the selected one. */
  async repeatEdit(): Promise<void> {
    const last = this.lastEdit;
    if (!last) return;
    const lines =
      this.marked.length > 0 ? this.lines.filter((l) => this.marked.includes(l.gym.line)) : [this.line];
    const edits = lines.flatMap((l) =>
      l ? (l.chosen?.exercises ?? []).map((e) => repeated(last, l.gym.line, e.exerciseId)) : [],
    );
    if (edits.length === 0) return;
    this.#change();
    this.edits = merged(this.edits, edits);
    await this.rebuild();
    toasts.done(
      `${editInWords(repeated(last, 0, ''))}: ${count(lines.length, 'line')}.`,
      () => void this.undo(),
    );
  }

  /** Marks the selected line for the next repeat, or takes the mark off. */
  toggleMark(): void {
    const line = this.line?.gym.line;
    if (line === undefined) return;
    this.marked = this.marked.includes(line) ? this.marked.filter((l) => l !== line) : [...this.marked, line];
  }

  /** Cuts the days to the client's minutes, or lets them take what they take. */
  async fit(on: boolean): Promise<void> {
    this.#change();
    this.fitToMinutes = on;
    await this.rebuild();
  }

  /** Opens the last set of what was never logged, so that the log can set the dose, or closes it again. */
  async toggleCalibration(): Promise<void> {
    this.#change();
    this.calibrate = !this.calibrate;
    await this.rebuild();
  }

  /** Does in one press what a finding proposes. */
  async remedy(remedy: Remedy): Promise<void> {
    this.#change();
    this.edits = merged(this.edits, remedy.edits);
    const taken = remedy.choices.map((c) => c.line);
    this.choices = [...this.choices.filter((c) => !taken.includes(c.line)), ...remedy.choices];
    await this.rebuild();
  }

  /** Lets a finding stand, with the reason; an empty one takes that back. */
  async accept(key: string, note: string): Promise<void> {
    this.#change();
    const others = this.accepted.filter((a) => a.key !== key);
    this.accepted = note ? [...others, { key, note }] : others;
    await this.rebuild();
  }

  async undo(): Promise<void> {
    const before = this.history.undo(this.#decisions());
    if (before) await this.#restore(before);
    else if (this.canUndo) await this.#moveVersion('undo');
  }

  async redo(): Promise<void> {
    const after = this.history.redo(this.#decisions());
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
      const plan = this.plan;
      const clientId = this.client.id;
      this.plan = plan
        ? await ask(() =>
            api.POST('/api/v1/plans/{id}/versions', {
              params: { path: { id: plan.id } },
              body: { revision: revision ?? plan.revision, title, note: '', request },
            }),
          )
        : await ask(() =>
            api.POST('/api/v1/clients/{clientId}/plans', {
              params: { path: { clientId } },
              body: { title, placeId: this.placeId, gymWeekId: this.gym.weekId, request },
            }),
          );
      this.unsaved = false;
      this.conflict = null;
      this.history.clear();
      this.plans = await ask(() =>
        api.GET('/api/v1/clients/{clientId}/plans', { params: { path: { clientId } } }),
      );
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
    const plan = await ask(() => api.GET('/api/v1/plans/{id}', { params: { path: { id } } }));
    this.gym.weekId = plan.value.gymWeekId ?? null;
    this.placeId = plan.value.placeId ?? null;
    await this.#show(plan);
  }

  /** Shows a stored version; its candidates are found again from the same request. */
  async #show(plan: SavedPlan): Promise<void> {
    const { request } = plan.value.document;
    this.plan = plan;
    this.gym.text = request.gymLines.join('\n');
    [this.choices, this.edits] = [request.choices ?? [], request.edits ?? []];
    this.#before = request.before ?? [];
    [this.approach, this.dayApproaches] = [request.approach ?? null, request.dayApproaches ?? []];
    this.accepted = request.accepted ?? [];
    this.fitToMinutes = request.fitToMinutes ?? true;
    [this.phase, this.calibrate] = [request.phase ?? null, request.calibrate ?? false];
    this.history.clear();
    this.result = await ask(() => api.POST('/api/v1/rebuild', { body: request }));
    this.gym.errors = this.result.errors;
    this.editing = false;
    this.unsaved = false;
  }

  async #moveVersion(way: 'undo' | 'redo'): Promise<void> {
    const plan = this.plan;
    if (!plan) return;
    try {
      const call = { params: { path: { id: plan.id } }, body: { revision: plan.revision } };
      const moved = await ask(() =>
        way === 'undo'
          ? api.POST('/api/v1/plans/{id}/undo', call)
          : api.POST('/api/v1/plans/{id}/redo', call),
      );
      await this.#show(moved);
      toasts.done(`Version ${moved.value.version} of ${moved.value.versions}.`);
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

  #roleSet(line: HomeLine): CoachChoice['role'] {
    return this.choices.find((c) => c.line === line.gym.line)?.role ?? null;
  }

  /** Stores what the client refuses or is allowed; false when it could not be. */
  async #profile(change: { refuses?: string[]; allows?: string[] }): Promise<boolean> {
    const client = this.client;
    if (!client) return false;
    try {
      const value = $state.snapshot(client.value) as SavedClient['value'];
      Object.assign(value.profile, change);
      this.client = await ask(() =>
        api.PUT('/api/v1/clients/{id}', {
          params: { path: { id: client.id } },
          body: { revision: client.revision, value },
        }),
      );
      return true;
    } catch (error) {
      const theirs = conflictOf<SavedClient>(error);
      if (theirs) this.client = theirs;
      toasts.problem(
        theirs ? 'The client was changed elsewhere; its newest state is here now. Try again.' : error,
      );
      return false;
    }
  }

  #here(): AtPlace {
    return {
      approach: this.approach,
      dayApproaches: $state.snapshot(this.dayApproaches),
      choices: $state.snapshot(this.choices),
      edits: $state.snapshot(this.edits),
      before: this.#before,
      accepted: $state.snapshot(this.accepted),
      fitToMinutes: this.fitToMinutes,
      phase: this.phase,
      calibrate: this.calibrate,
      plan: this.plan,
      unsaved: this.unsaved,
    };
  }

  #take(at: AtPlace): void {
    [this.choices, this.edits, this.#before, this.plan] = [at.choices, at.edits, at.before, at.plan];
    [this.approach, this.dayApproaches, this.accepted] = [at.approach, at.dayApproaches, at.accepted];
    this.fitToMinutes = at.fitToMinutes;
    [this.phase, this.calibrate] = [at.phase, at.calibrate];
  }

  #decisions(): Decisions {
    return {
      ...this.#here(),
      placeId: this.placeId,
      refuses: $state.snapshot(this.client?.value.profile.refuses ?? []),
      allows: $state.snapshot(this.client?.value.profile.allows ?? []),
    };
  }

  #remember(): void {
    this.history.remember(this.#decisions());
  }

  /** A step of the coach: what stands now gets the head start, so that only what the step touches changes. */
  #change(): void {
    this.#remember();
    if (this.result) this.#before = stoodIn(this.result.plan);
  }

  async #restore(decisions: Decisions): Promise<void> {
    const { refuses = [], allows = [] } = this.client?.value.profile ?? {};
    if (JSON.stringify([refuses, allows]) !== JSON.stringify([decisions.refuses, decisions.allows]))
      await this.#profile({ refuses: decisions.refuses, allows: decisions.allows });
    if (this.placeId !== null && this.placeId !== decisions.placeId) this.#left[this.#key()] = this.#here();
    this.placeId = decisions.placeId;
    this.#take(decisions);
    await this.rebuild(decisions.unsaved);
  }
}

/** Name of a candidate as it is read. */
export const nameOf = (candidate: Candidate): string => candidate.exercises.map((e) => e.name).join(' + ');
