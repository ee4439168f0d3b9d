import type { Keep } from '../keep/store';
import type { Sync } from '../keep/sync.svelte';
import type {
  Joint,
  LoggedSet,
  ReleaseExercise,
  SentRelease,
  SessionToTakeOver,
  SetPart,
  SwapReason,
  Turn,
} from '../types';
import { repsCounted } from './count';
import {
  begun,
  endOf,
  isIdle,
  lastTouch,
  minutesOf,
  restAfter,
  sessionOf,
  setBegins,
  takenOver,
  walkOf,
  type Running,
} from './running';
import type { Sound } from './sound';
import {
  exerciseOf,
  nextTurn,
  partsOf,
  plannedOf,
  turnsOf,
  type Done,
  type DecidedInSession,
  type Walk,
} from './walk';

const now = (): number => Date.now();

/** Leads through a session: where it stands, and what each touch does. Every change is kept at once and sent as soon as there is a net. */
export class Training {
  running = $state<Running | null>(null);

  constructor(
    private readonly store: Keep,
    private readonly sync: Sync,
    private readonly sound: Sound,
  ) {}

  async restore(): Promise<void> {
    this.running = await this.store.get<Running>('running');
  }

  get walk(): Walk {
    return walkOf(this.#must());
  }

  get turn(): Turn {
    return turnsOf(this.walk)[this.#must().turn]!;
  }

  get exercise(): ReleaseExercise {
    return exerciseOf(this.walk, this.turn.exercise);
  }

  get planned(): ReleaseExercise {
    return plannedOf(this.walk.day, this.turn.exercise);
  }

  get parts(): SetPart[] {
    return partsOf(this.walk, this.turn);
  }

  get part(): SetPart {
    return this.parts[Math.min(this.#must().part, this.parts.length - 1)]!;
  }

  /** The turn after this one; null after the last. */
  get next(): Turn | null {
    const at = this.#nextFrom(this.#must().turn + 1, this.#must().turn);
    return at === null ? null : turnsOf(this.walk)[at]!;
  }

  /** The set that was done in this turn; null before. */
  get doneNow(): Done | null {
    const r = this.#must();
    return r.done.find((d) => d.turn === r.turn) ?? null;
  }

  get setsDone(): number {
    return this.running?.done.length ?? 0;
  }

  get setsInAll(): number {
    return turnsOf(this.walk).length;
  }

  begin(sent: SentRelease, day: number, course: number, form: string | null, hurts: Joint | null): void {
    const plain = $state.snapshot(sent) as SentRelease;
    this.running = begun({ sent: plain, day, course, form, hurts }, now());
    this.#keep();
  }

  /** Signs of danger hold exercises: they are left out, and nothing of them is offered in place of another. */
  hold(exercises: readonly string[]): void {
    const r = this.running;
    if (!r) return;
    const held = r.sent.release.days[r.day]!.exercises.filter(
      (e) => exercises.includes(exerciseOf(this.walk, e.key).exerciseId) && !r.decided[e.key]?.skipped,
    );
    for (const e of r.sent.release.days[r.day]!.exercises)
      e.alternatives = e.alternatives.filter((a) => !exercises.includes(a.exercise.exerciseId));
    if (held.length === 0) return;
    r.decided = {
      ...r.decided,
      ...Object.fromEntries(held.map((e) => [e.key, { ...r.decided[e.key], skipped: true }])),
    };
    if (r.stage === 'set' && held.some((e) => e.key === this.turn.exercise)) this.#to(this.#nextFrom(r.turn));
    else this.#keep();
  }

  /** A stop sign: the session is over. What was done goes to the coach, without questions. */
  stop(): void {
    if (!this.running) return;
    this.end();
    if (this.setsDone > 0) this.finish(null, this.running.note);
    this.close();
  }

  /** Goes on with a session that runs on another phone. */
  takeOver(from: SessionToTakeOver): void {
    this.sound.wake();
    this.running = takenOver($state.snapshot(from) as SessionToTakeOver, now());
    this.#keep();
  }

  /** Nobody has touched it for hours. */
  idleAt(at: number): boolean {
    return this.running !== null && isIdle(this.running, at);
  }

  /** When something was done last, ms since 1970. */
  get lastTouch(): number {
    return lastTouch(this.#must());
  }

  /** Goes on after hours: the rest is over, and the count has stopped. */
  goOn(): void {
    const r = this.#must();
    [r.restUntil, r.countingSince] = [null, null];
    if (r.stage === 'rest') this.onward();
    else this.#keep();
  }

  /** Ticks a step of the warm-up off, or on again. */
  warm(step: number): void {
    const r = this.#must();
    r.warmedUp = r.warmedUp.includes(step) ? r.warmedUp.filter((s) => s !== step) : [...r.warmedUp, step];
    this.#keep();
  }

  toWork(): void {
    this.sound.stop();
    this.#to(this.#nextFrom(0));
  }

  /** Starts the count of a set or the clock of a hold. */
  count(): void {
    const r = this.#must();
    r.countingSince = now();
    this.#keep();
    if (!this.exercise.timed) this.sound.lead(this.exercise.phases, r.countingSince);
    else if (this.part.target.max > 0) this.sound.ends(3 + this.part.target.max);
    else this.sound.wake();
  }

  stopCount(): void {
    this.#must().countingSince = null;
    this.sound.stop();
    this.#keep();
  }

  /** The part of the set is done: the other side, a small set, or the set as a whole. */
  partDone(): void {
    const r = this.#must();
    const counted = this.#counted();
    this.sound.stop();
    r.countingSince = null;
    if (r.part === 0) this.#note(counted);
    else if (this.part.kind === 'more') this.#noteMore(counted);
    else if (this.part.kind === 'work') this.#noteOtherSide(counted);
    if (r.part < this.parts.length - 1) {
      r.part++;
      r.restSeconds = this.part.restBeforeSeconds;
      r.restUntil = r.restSeconds > 0 ? now() + r.restSeconds * 1000 : null;
      if (r.restUntil !== null) {
        this.sound.wake();
        this.sound.ends(r.restSeconds);
      }

      this.#keep();
      return;
    }

    this.#afterSet();
  }

  /** The other side or the small set begins, whatever is left of the rest before it. */
  startPart(): void {
    const r = this.#must();
    this.sound.stop();
    r.restUntil = null;
    this.#keep();
  }

  /** Mends the set that was done in a turn. */
  mend(change: Partial<LoggedSet>, meant?: boolean, turn = this.#must().turn): void {
    const r = this.#must();
    r.done = r.done.map((d) =>
      d.turn === turn ? { ...d, set: { ...d.set, ...change }, meant: meant ?? d.meant } : d,
    );
    this.#keep();
  }

  /** The set is done once more: what was noted of it gives way. */
  again(): void {
    const r = this.#must();
    r.done = r.done.filter((d) => d.turn !== r.turn);
    r.passed = r.passed.filter((t) => t !== r.turn);
    this.#to(r.turn);
  }

  longer(seconds: number): void {
    const r = this.#must();
    r.restUntil = Math.max(now(), r.restUntil ?? now()) + seconds * 1000;
    r.restSeconds += seconds;
    this.sound.ends((r.restUntil - now()) / 1000);
    this.#keep();
  }

  /** On to the next set, whatever is left of the rest. */
  onward(): void {
    this.#to(this.#nextFrom(this.#must().turn + 1));
  }

  skipSet(): void {
    const r = this.#must();
    r.passed = [...r.passed, r.turn];
    this.onward();
  }

  /** Leaves the exercise out for today. */
  leaveOut(): void {
    this.#decide({ skipped: true });
  }

  /** What is done now is the lighter one. */
  get isLighter(): boolean {
    return this.planned.lighter != null && this.exercise === this.planned.lighter.exercise;
  }

  /** Whether more sets follow that could be done lighter. */
  get canLighten(): boolean {
    const r = this.#must();
    const { exercise } = this.turn;
    return (
      this.planned.lighter != null &&
      !this.isLighter &&
      this.exercise === this.planned &&
      turnsOf(this.walk).some((t, at) => at > r.turn && t.exercise === exercise)
    );
  }

  /** It hurts a little: the same, lighter, from this set on. */
  lighten(): void {
    const r = this.#must();
    const key = this.turn.exercise;
    const { exerciseId, externalKg } = this.planned;
    // Sets before this one were done with the load as planned: that is told before another one is shown beside them.
    r.done = r.done.map((d) =>
      d.exercise === key && d.exerciseId === exerciseId && d.set.loadKg == null && externalKg > 0
        ? { ...d, set: { ...d.set, loadKg: externalKg } }
        : d,
    );
    r.decided = { ...r.decided, [key]: { ...r.decided[key], swappedFor: undefined, lighter: true } };
    this.sound.stop();
    if (r.stage === 'rest') this.#keep();
    else this.#to(this.#nextFrom(r.turn));
  }

  /** It hurts: no more of it today. */
  stopExercise(): void {
    this.#decide({ stopped: true });
  }

  /** Another exercise from this set on. */
  swap(exerciseId: string, why: SwapReason): void {
    const r = this.#must();
    const key = this.turn.exercise;
    r.decided = {
      ...r.decided,
      [key]: { swappedFor: exerciseId === this.planned.exerciseId ? undefined : exerciseId, why },
    };
    this.sound.stop();
    if (r.stage === 'rest') this.#keep();
    else this.#to(r.turn);
  }

  /** Goes to a turn, for instance because the bench is taken. */
  goTo(turn: number): void {
    this.#to(turn);
  }

  end(): void {
    const r = this.#must();
    this.sound.stop();
    r.stage = 'end';
    r.restUntil = null;
    r.countingSince = null;
    r.endedAt ??= endOf(r, now());
    this.#keep();
  }

  /** Back from the end to where it was left. */
  resume(): void {
    const r = this.#must();
    r.endedAt = null;
    this.#to(this.#nextFrom(r.turn));
  }

  finish(effort: number | null, note: string): void {
    const r = this.#must();
    r.effort = effort;
    r.note = note.trim();
    r.stage = 'done';
    this.#keep();
  }

  /** Minutes from the beginning to the end. */
  get minutes(): number {
    return minutesOf(this.#must(), now());
  }

  /** Back to the first screen: what is done stays with the coach and in the list. */
  close(): void {
    this.running = null;
    void this.store.drop('running');
  }

  /** Throws a session away that was begun by mistake: nothing of it was done. */
  discard(): void {
    this.sound.stop();
    this.close();
  }

  #must(): Running {
    if (!this.running) throw new Error('No session runs.');
    return this.running;
  }

  #counted(): number {
    const { countingSince } = this.#must();
    if (countingSince === null) return 0;
    const elapsed = (now() - countingSince) / 1000;
    return this.exercise.timed
      ? Math.max(0, Math.round(elapsed - 3))
      : repsCounted(this.exercise.phases, elapsed);
  }

  #note(counted: number): void {
    const r = this.#must();
    const before = r.done.findLast((d) => d.exerciseId === this.exercise.exerciseId && d.turn < r.turn)?.set;
    const reps =
      counted > 0
        ? counted
        : this.part.target.max > 0
          ? this.part.asPlanned
          : (before?.reps ?? this.part.asPlanned);
    r.done = [
      ...r.done.filter((d) => d.turn !== r.turn),
      {
        turn: r.turn,
        exercise: this.turn.exercise,
        exerciseId: this.exercise.exerciseId,
        // A load that was typed for the set before is still in the hands; a lighter one is told, for the plan says another.
        set: {
          reps: Math.min(500, reps),
          loadKg: this.isLighter ? this.exercise.externalKg : (before?.loadKg ?? null),
        },
      },
    ];
  }

  /** More reps of the same set after a breath are counted with those before; those of the other side are not. */
  #noteMore(counted: number): void {
    const done = this.doneNow;
    if (done && this.part.side === this.parts[0]?.side)
      this.mend({ reps: done.set.reps + (counted > 0 ? counted : this.part.asPlanned) });
  }

  /** Of two sides the weaker one counts, where a side is done in one go. */
  #noteOtherSide(counted: number): void {
    const done = this.doneNow;
    if (this.parts.some((p) => p.kind === 'more')) return;
    if (done && counted > 0 && counted < done.set.reps) this.mend({ reps: counted });
  }

  #afterSet(): void {
    const r = this.#must();
    // The clock holds from set to set of one exercise; on the way to another there is the planned rest.
    const every = this.next?.exercise === this.turn.exercise ? this.exercise.everySeconds : null;
    const restSeconds = restAfter(r, this.turn.restSeconds, every ?? null, now());
    if (!this.next) {
      r.stage = 'rest';
      r.restSeconds = 0;
      r.restUntil = null;
    } else {
      r.stage = 'rest';
      r.restSeconds = restSeconds;
      r.restUntil = now() + restSeconds * 1000;
      this.sound.wake();
      this.sound.ends(restSeconds);
    }

    this.sound.buzz(80);
    this.#keep();
  }

  #decide(what: DecidedInSession): void {
    const r = this.#must();
    const key = this.turn.exercise;
    r.decided = { ...r.decided, [key]: { ...r.decided[key], ...what } };
    this.sound.stop();
    this.#to(this.#nextFrom(r.turn + 1));
  }

  /** The next turn that is neither done nor skipped. */
  #nextFrom(from: number, besides?: number): number | null {
    const r = this.#must();
    const closed = [...r.done.map((d) => d.turn), ...r.passed, ...(besides === undefined ? [] : [besides])];
    return nextTurn(this.walk, from, closed);
  }

  #to(turn: number | null): void {
    const r = this.#must();
    this.sound.stop();
    r.countingSince = null;
    r.setSince = setBegins(r.restUntil, now());
    r.restUntil = null;
    r.part = 0;
    if (turn === null) {
      this.end();
      return;
    }

    r.turn = turn;
    r.stage = 'set';
    this.#keep();
  }

  #keep(): void {
    const r = this.#must();
    r.revision++;
    r.touchedAt = now();
    const plain = $state.snapshot(r) as Running;
    void this.store.put('running', plain);
    if (plain.done.length > 0 || plain.stage === 'done') void this.sync.keep(sessionOf(plain, now()));
  }
}
