import { api, ask } from '../api/client';
import type {
  CoachChoice,
  HomeEdit,
  HomeLine,
  RebuildRequest,
  RebuildResult,
  SavedClient,
  SavedDay,
  SavedPlace,
  SavedPlan,
  ShorthandError,
} from '../api/types';
import { toasts } from '../toasts.svelte';
import { conflictOf } from '../ui/saving';
import { History } from './history.svelte';

interface Decisions {
  choices: CoachChoice[];
  edits: HomeEdit[];
  placeId: number | null;
}

const draftKey = (dayId: number): string => `ingegno-day-${dayId}`;

/** The state of the workbench: a gym day, a place, what the engine proposes and what the coach decides. */
export class Workbench {
  client = $state<SavedClient | null>(null);
  places = $state<SavedPlace[]>([]);
  days = $state<SavedDay[]>([]);
  plan = $state<SavedPlan | null>(null);
  placeId = $state<number | null>(null);
  dayId = $state<number | null>(null);
  text = $state('');
  errors = $state<ShorthandError[]>([]);
  result = $state<RebuildResult | null>(null);
  choices = $state<CoachChoice[]>([]);
  edits = $state<HomeEdit[]>([]);
  selected = $state(0);
  editing = $state(false);
  busy = $state(false);
  unsaved = $state(false);
  conflict = $state<SavedPlan | null>(null);
  dayConflict = $state<SavedDay | null>(null);
  failed = $state(false);

  readonly history = new History<Decisions>();
  #readTimer: ReturnType<typeof setTimeout> | undefined;

  readonly place = $derived(this.places.find((p) => p.id === this.placeId));
  readonly day = $derived(this.days.find((d) => d.id === this.dayId));
  readonly lines = $derived<HomeLine[]>(this.result?.plan.lines ?? []);
  readonly line = $derived<HomeLine | undefined>(this.lines[this.selected]);
  readonly canUndo = $derived(this.history.canUndo || (!this.unsaved && (this.plan?.value.canUndo ?? false)));
  readonly canRedo = $derived(this.history.canRedo || (!this.unsaved && (this.plan?.value.canRedo ?? false)));

  #opening: Promise<void> = Promise.resolve();

  open(clientId: number, at: { plan?: number; day?: number; place?: number }): Promise<void> {
    return (this.#opening = this.#open(clientId, at));
  }

  async #open(clientId: number, at: { plan?: number; day?: number; place?: number }): Promise<void> {
    try {
      const params = { params: { path: { clientId } } };
      const [client, places, days] = await Promise.all([
        ask(() => api.GET('/api/v1/clients/{id}', { params: { path: { id: clientId } } })),
        ask(() => api.GET('/api/v1/clients/{clientId}/places', params)),
        ask(() => api.GET('/api/v1/clients/{clientId}/gym-days', params)),
      ]);
      [this.client, this.places, this.days] = [client, places, days];
      if (at.plan) await this.#openPlan(at.plan);
      else this.#openDay(at.day ?? days[0]?.id ?? null);
      this.placeId = at.place ?? this.plan?.value.placeId ?? places[0]?.id ?? null;
      if (!this.result) this.editing = true;
    } catch (error) {
      this.failed = true;
      toasts.problem(error);
    }
  }

  /** Another gym day: a fresh start with what was typed for it. */
  async switchDay(id: number): Promise<void> {
    this.plan = null;
    this.result = null;
    this.choices = [];
    this.edits = [];
    this.history.clear();
    this.#openDay(id);
    this.editing = true;
    await this.read();
  }

  /** Another place for the same gym day: the coach's choices go along as far as they can be done there. */
  async switchPlace(id: number): Promise<void> {
    this.#remember();
    this.placeId = id;
    if (this.result) await this.rebuild();
  }

  typed(text: string): void {
    this.text = text;
    if (this.dayId) localStorage.setItem(draftKey(this.dayId), text);
    clearTimeout(this.#readTimer);
    this.#readTimer = setTimeout(() => void this.read(), 250);
  }

  /** Reads the shorthand while it is typed, so that faults show at their place. */
  async read(): Promise<void> {
    const text = this.text;
    try {
      const read = await ask(() => api.POST('/api/v1/shorthand', { body: { text } }));
      if (text === this.text) this.errors = read.errors;
    } catch (error) {
      toasts.problem(error);
    }
  }

  /** Proposes a home plan for what is typed. */
  async rebuild(): Promise<void> {
    await this.#opening; // A key may be pressed before everything is there.
    if (!this.client || this.busy) return;
    this.busy = true;
    try {
      await this.#keepDay();
      const result = await ask(() => api.POST('/api/v1/rebuild', { body: this.request() }));
      this.result = result;
      this.errors = result.errors;
      this.selected = Math.min(this.selected, Math.max(0, result.plan.lines.length - 1));
      this.editing = result.plan.lines.length === 0;
      this.unsaved = true;
    } catch (error) {
      toasts.problem(error);
    } finally {
      this.busy = false;
    }
  }

  request(): RebuildRequest {
    if (!this.client) throw new Error('No client is open.');
    return {
      client: $state.snapshot(this.client.value.profile) as RebuildRequest['client'],
      kit: ($state.snapshot(this.place?.value) as RebuildRequest['kit'] | undefined) ?? {
        name: 'No place',
        items: [],
      },
      gymLines: this.text.split(/\r?\n/),
      choices: $state.snapshot(this.choices),
      edits: $state.snapshot(this.edits),
    };
  }

  /** Takes a candidate for the selected line and keeps it. */
  async choose(candidateId: string, line = this.line): Promise<void> {
    if (!line) return;
    this.#remember();
    this.choices = [
      ...this.choices.filter((c) => c.line !== line.gym.line),
      { line: line.gym.line, candidateId },
    ];
    await this.rebuild();
  }

  /** Keeps the present choice of the selected line, or leaves it to the engine again. */
  async toggleLock(): Promise<void> {
    const line = this.line;
    if (!line?.chosen) return;
    if (!line.locked) return this.choose(line.chosen.id, line);
    this.#remember();
    this.choices = this.choices.filter((c) => c.line !== line.gym.line);
    await this.rebuild();
  }

  /** Sets figures of a home exercise. */
  async edit(edit: HomeEdit): Promise<void> {
    this.#remember();
    this.edits = [
      ...this.edits.filter((e) => e.line !== edit.line || e.exerciseId !== edit.exerciseId),
      edit,
    ];
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

  /** Saves a new plan, or a new version of the open one. */
  async save(revision = this.plan?.revision): Promise<boolean> {
    if (!this.client || !this.result || this.busy) return false;
    this.busy = true;
    try {
      const request = this.request();
      const title =
        this.plan?.value.document.title ??
        `${this.day?.value.name ?? 'Gym day'}, ${this.place?.value.name ?? 'no place'}`;
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
              body: { title, placeId: this.placeId, gymDayId: this.dayId, request },
            }),
          );
      this.unsaved = false;
      this.conflict = null;
      this.history.clear();
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

  async takeTheirDay(): Promise<void> {
    const theirs = this.dayConflict;
    this.dayConflict = null;
    if (!theirs) return;
    this.#replaceDay(theirs);
    this.text = theirs.value.text;
    localStorage.removeItem(draftKey(theirs.id));
    await this.read();
  }

  async keepMyDay(): Promise<void> {
    const theirs = this.dayConflict;
    this.dayConflict = null;
    if (!theirs) return;
    this.#replaceDay(theirs);
    await this.rebuild();
  }

  #openDay(id: number | null): void {
    this.dayId = id;
    const stored = this.day?.value.text ?? '';
    const draft = id ? localStorage.getItem(draftKey(id)) : null;
    this.text = draft ?? stored;
    if (draft !== null && draft !== stored) toasts.done('What you had typed for this day is back.');
    void this.read();
  }

  async #openPlan(id: number): Promise<void> {
    const plan = await ask(() => api.GET('/api/v1/plans/{id}', { params: { path: { id } } }));
    this.dayId = plan.value.gymDayId ?? null;
    this.placeId = plan.value.placeId ?? null;
    await this.#show(plan);
  }

  /** Shows a stored version; its candidates are found again from the same request. */
  async #show(plan: SavedPlan): Promise<void> {
    const { request } = plan.value.document;
    this.plan = plan;
    this.text = request.gymLines.join('\n');
    this.choices = request.choices ?? [];
    this.edits = request.edits ?? [];
    this.history.clear();
    this.result = await ask(() => api.POST('/api/v1/rebuild', { body: request }));
    this.errors = this.result.errors;
    this.editing = false;
    this.unsaved = false;
  }

  /** Stores the gym day when its text changed, and creates the first one. */
  async #keepDay(): Promise<void> {
    const clientId = this.client?.id;
    if (!clientId || this.text.trim() === '') return;
    const day = this.day;
    if (!day) {
      const added = await ask(() =>
        api.POST('/api/v1/clients/{clientId}/gym-days', {
          params: { path: { clientId } },
          body: { name: `Day ${this.days.length + 1}`, text: this.text },
        }),
      );
      this.days = [...this.days, added];
      this.dayId = added.id;
    } else if (day.value.text !== this.text) {
      try {
        const saved = await ask(() =>
          api.PUT('/api/v1/gym-days/{id}', {
            params: { path: { id: day.id } },
            body: { revision: day.revision, value: { name: day.value.name, text: this.text } },
          }),
        );
        this.#replaceDay(saved);
      } catch (error) {
        this.dayConflict = conflictOf<SavedDay>(error) ?? null;
        if (!this.dayConflict) throw error;
      }
    }

    if (this.dayId && !this.dayConflict) localStorage.removeItem(draftKey(this.dayId));
  }

  #replaceDay(saved: SavedDay): void {
    this.days = this.days.map((d) => (d.id === saved.id ? saved : d));
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

  #decisions(): Decisions {
    return {
      choices: $state.snapshot(this.choices),
      edits: $state.snapshot(this.edits),
      placeId: this.placeId,
    };
  }

  #remember(): void {
    this.history.remember(this.#decisions());
  }

  async #restore(decisions: Decisions): Promise<void> {
    this.choices = decisions.choices;
    this.edits = decisions.edits;
    this.placeId = decisions.placeId;
    await this.rebuild();
  }
}
