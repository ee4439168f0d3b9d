import { alerts } from '../alerts.svelte';
import { api, ask } from '../api/client';
import type {
  ChangedLine,
  HomeEdit,
  LogDoubt,
  LoggedExercise,
  NextProposals,
  Proposal,
  MessageReadIn,
  SavedPlan,
  SavedSession,
  SessionRecord,
} from '../../shared/api/types';
import { keeping } from '../autosave/autosave.svelte';
import { toasts } from '../toasts.svelte';
import { conflictOf } from '../ui/saving';
import { entriesOf, filled, type Entry } from './entry';
import { decided } from '../workbench/plans';
import { acceptance } from './review';

/** What is typed of a session and not logged yet, as the browser keeps it. */
interface Typed {
  entries: { line: number; plannedId: string; exerciseId: string; text: string }[];
  performedOn: string;
  effort: number | null;
  minutes: number | null;
  note: string;
  dayIndex: number;
}

/** The log of a plan: entry, sessions, and what they propose. */
export class LogBook {
  plan = $state<SavedPlan | null>(null);
  sessions = $state<SavedSession[]>([]);
  next = $state<NextProposals | null>(null);
  entries = $state<Entry[]>([]);
  doubts = $state<LogDoubt[]>([]);
  busy = $state(false);
  performedOn = $state('');
  effort = $state<number | null>(null);
  minutes = $state<number | null>(null);
  note = $state('');
  dayIndex = $state(0);

  readonly days = $derived(
    (this.plan?.value.document.plan.days ?? [])
      .map((d, index) => ({ name: d.name, index }))
      .filter((d) => this.entries.some((entry) => entry.day === d.index)),
  );
  readonly shown = $derived(this.entries.filter((e) => this.days.length < 2 || e.day === this.dayIndex));
  readonly wrong = $derived(this.shown.filter((e) => e.wrong));
  readonly ready = $derived(filled(this.shown).length > 0 && this.wrong.length === 0);

  readonly keeper = keeping.keep<Typed>({
    now: () => this.#typed(),
    restore: (typed) => this.#bringBack(typed),
  });

  constructor(
    readonly id: number,
    readonly today: string,
  ) {
    this.performedOn = today;
  }

  async load(): Promise<SavedPlan> {
    const plan = await ask(() => api.GET('/api/v1/plans/{id}', { params: { path: { id: this.id } } }));
    await this.review();
    this.plan = plan;
    this.#renew();
    this.#openNextDay();
    await this.keeper.on(`log-${this.id}`, null);
    return plan;
  }

  /** Keeps what is typed; where nothing is left of it, nothing is kept. */
  keep(): void {
    const { entries, effort, minutes, note } = this.#typed();
    if (entries.length > 0 || effort !== null || minutes !== null || note) this.keeper.changed();
    else if (this.keeper.open) this.keeper.settled();
  }

  /** Drops what was typed. */
  drop(): void {
    [this.entries, this.effort, this.minutes, this.note] = [[], null, null, ''];
    this.performedOn = this.today;
    this.#renew();
  }

  #typed(): Typed {
    return {
      entries: this.entries
        .filter((e) => e.text.trim() || e.exerciseId !== e.plannedId)
        .map(({ line, plannedId, exerciseId, text }) => ({ line, plannedId, exerciseId, text })),
      performedOn: this.performedOn,
      effort: this.effort,
      minutes: this.minutes,
      note: this.note,
      dayIndex: this.dayIndex,
    };
  }

  async #bringBack(typed: Typed): Promise<void> {
    ({
      performedOn: this.performedOn,
      effort: this.effort,
      minutes: this.minutes,
      note: this.note,
      dayIndex: this.dayIndex,
    } = typed);
    for (const kept of typed.entries) {
      const entry = this.entries.find((e) => e.line === kept.line && e.plannedId === kept.plannedId);
      // A line that the plan does not have any more: what was typed for it goes into the note, not away.
      if (!entry) this.note = [this.note, kept.text].filter(Boolean).join('; ');
      else {
        [entry.text, entry.exerciseId] = [kept.text, kept.exerciseId];
        await this.read(entry);
      }
    }
  }

  async review(): Promise<void> {
    const params = { params: { path: { planId: this.id } } };
    [this.sessions, this.next] = await Promise.all([
      ask(() => api.GET('/api/v1/plans/{planId}/sessions', params)),
      ask(() => api.GET('/api/v1/plans/{planId}/next', params)),
    ]);
  }

  /** Reads what stands in an entry. */
  async read(entry: Entry): Promise<void> {
    const { text } = entry;
    if (!text.trim()) {
      [entry.sets, entry.wrong] = [[], ''];
      return;
    }

    try {
      const read = await ask(() => api.POST('/api/v1/shorthand/sets', { body: { text } }));
      if (entry.text === text) [entry.sets, entry.wrong] = [read.sets, read.error ?? ''];
    } catch (error) {
      toasts.problem(error);
    }
  }

  /** Reads what the client wrote and fills it in, exercise by exercise; nothing is logged yet. */
  async readMessage(text: string): Promise<MessageReadIn | null> {
    try {
      const read = await ask(() =>
        api.POST('/api/v1/plans/{planId}/log-message', {
          params: { path: { planId: this.id } },
          body: { text },
        }),
      );
      if (read.alert) void alerts.look();
      const first = read.parts.find((part) => part.line != null);
      const day = this.entries.find((entry) => entry.line === first?.line)?.day;
      if (day !== undefined) this.dayIndex = day;
      for (const part of read.parts) {
        const entry = this.entries.find((e) => e.line === part.line && e.plannedId === part.plannedId);
        if (!entry || (part.skipped && !part.text)) continue;
        [entry.text, entry.exerciseId] = [part.text, part.exerciseId ?? entry.plannedId];
        await this.read(entry);
      }

      this.effort = read.effort ?? this.effort;
      if (read.note) this.note = [this.note, read.note].filter(Boolean).join('; ');
      return read;
    } catch (error) {
      toasts.problem(error);
      return null;
    }
  }

  /** Last logged sets of an exercise, as they are written. */
  last(entry: Entry): string {
    for (const session of this.sessions)
      for (const done of session.value.exercises)
        if (done.exerciseId === entry.exerciseId && done.line === entry.line) return done.written ?? '';
    return '';
  }

  /** Logs what was typed; what looks like a slip of the pen is asked first. */
  async log(sure = false): Promise<void> {
    const { plan } = this;
    if (!plan || this.busy || !this.ready) return;
    this.busy = true;
    try {
      const session: SessionRecord = {
        planVersion: plan.value.version,
        performedOn: this.performedOn,
        effort: this.effort,
        minutes: this.minutes,
        note: this.note || null,
        exercises: filled($state.snapshot(this.shown) as Entry[]),
        source: 'typed',
      };
      const answer = await this.#post(session, sure);
      this.doubts = answer.doubts;
      if (answer.id === null || answer.id === undefined) return;
      const logged = this.shown;
      this.entries = this.entries.filter((e) => !logged.includes(e));
      this.#renew();
      [this.effort, this.minutes, this.note] = [null, null, ''];
      await this.review();
      toasts.done('Session logged. The proposal for the next one stands beside it.');
    } catch (error) {
      toasts.problem(error);
    } finally {
      this.busy = false;
    }
  }

  async remove(session: SavedSession): Promise<void> {
    await this.#quietly(async () => {
      await ask(() =>
        api.DELETE('/api/v1/plans/{planId}/sessions/{sessionId}', {
          params: { path: { planId: this.id, sessionId: session.id } },
        }),
      );
      const value = $state.snapshot(session.value) as SessionRecord;
      toasts.done('Session removed.', () => void this.#quietly(() => this.#post(value, true)));
    });
  }

  /** Changes what a logged session holds; one press takes it back. */
  async change(session: SavedSession, exercises: LoggedExercise[]): Promise<void> {
    const before = $state.snapshot(session.value) as SessionRecord;
    const put = (revision: number, value: SessionRecord): Promise<SavedSession> =>
      ask(() =>
        api.PUT('/api/v1/plans/{planId}/sessions/{sessionId}', {
          params: { path: { planId: this.id, sessionId: session.id } },
          body: { revision, value },
        }),
      );
    await this.#quietly(async () => {
      const saved = await put(session.revision, { ...before, exercises });
      toasts.done('The session is changed.', () => void this.#quietly(() => put(saved.revision, before)));
    });
  }

  /** Lines that accepting proposals would change though nobody decides on them: they are told before. */
  async beside(proposals: Proposal[], changed: Record<string, HomeEdit>): Promise<ChangedLine[]> {
    const { plan } = this;
    if (!plan) return [];
    const document = $state.snapshot(plan.value.document) as SavedPlan['value']['document'];
    const decision = acceptance($state.snapshot(proposals) as Proposal[], changed);
    return (await decided(document.request, document.plan.standing, [decision])).beside;
  }

  /** Accepts proposals, as they are or as the coach changed them: a new version of the plan. */
  async accept(proposals: Proposal[], changed: Record<string, HomeEdit>, send = false): Promise<void> {
    const { plan } = this;
    if (!plan || this.busy) return;
    this.busy = true;
    try {
      const document = $state.snapshot(plan.value.document) as SavedPlan['value']['document'];
      const decision = acceptance($state.snapshot(proposals) as Proposal[], changed);
      const { request } = await decided(document.request, document.plan.standing, [decision]);
      this.plan = await ask(() =>
        api.POST('/api/v1/plans/{id}/versions', {
          params: { path: { id: this.id } },
          body: { revision: plan.revision, title: document.title, note: 'next session accepted', request },
        }),
      );
      if (send) await this.#send(this.plan.value.version);
      await this.review();
      this.#renew();
      toasts.done(
        `Accepted: version ${this.plan.value.version} is what to do next${send ? ', and on its way to the phone' : ''}.`,
        () => void this.#undo(),
      );
    } catch (error) {
      const theirs = conflictOf<SavedPlan>(error);
      if (theirs) this.plan = theirs;
      toasts.problem(
        theirs
          ? 'The plan was changed elsewhere meanwhile; its newest version is shown now. Look at it and accept again.'
          : error,
      );
    } finally {
      this.busy = false;
    }
  }

  /** Whether the client has this plan on the phone: then the next week can go there at once. */
  async onPhone(): Promise<boolean> {
    const { plan } = this;
    if (!plan) return false;
    const link = await ask(() =>
      api.GET('/api/v1/clients/{id}/link', { params: { path: { id: plan.value.clientId } } }),
    );
    return Boolean(link.madeAt && !link.endedAt && link.releases.some((r) => r.planId === this.id));
  }

  async #send(version: number): Promise<void> {
    await ask(() =>
      api.POST('/api/v1/plans/{id}/releases', {
        params: { path: { id: this.id } },
        body: { version, word: '', sure: false },
      }),
    );
  }

  async #undo(): Promise<void> {
    await this.#quietly(async () => {
      const { plan } = this;
      if (!plan) return;
      this.plan = await ask(() =>
        api.POST('/api/v1/plans/{id}/undo', {
          params: { path: { id: this.id } },
          body: { revision: plan.revision },
        }),
      );
      await this.review();
      this.#renew();
    });
  }

  /** Entries of the plan as it is now; what is typed in them stays. */
  #renew(): void {
    const typed = this.entries;
    this.entries = entriesOf(this.plan?.value.document.plan.lines ?? [], this.next?.asPlanned).map(
      (entry) => {
        const kept = typed.find((t) => t.line === entry.line && t.plannedId === entry.plannedId);
        return kept
          ? { ...entry, text: kept.text, exerciseId: kept.exerciseId, sets: kept.sets, wrong: kept.wrong }
          : entry;
      },
    );
  }

  /** The day that comes after the one logged last. */
  #openNextDay(): void {
    const last = this.sessions[0]?.value.exercises[0]?.line;
    const day = this.entries.find((e) => e.line === last)?.day;
    const at = this.days.findIndex((d) => d.index === day);
    this.dayIndex = this.days[(at + 1) % Math.max(1, this.days.length)]?.index ?? 0;
  }

  #post(session: SessionRecord, sure: boolean): Promise<{ id?: number | null; doubts: LogDoubt[] }> {
    return ask(() =>
      api.POST('/api/v1/plans/{planId}/sessions', {
        params: { path: { planId: this.id } },
        body: { session, sure },
      }),
    );
  }

  async #quietly(what: () => Promise<unknown>): Promise<void> {
    try {
      await what();
    } catch (error) {
      toasts.problem(error);
    }

    await this.review().catch((error: unknown) => toasts.problem(error));
  }
}
