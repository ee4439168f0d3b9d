import { localIso } from '../keep/server';
import type { ClientAppSession, Joint, SentRelease, SessionToTakeOver } from '../types';
import { easedFor, logged, nextTurn, type Done, type DecidedInSession, type Walk } from './walk';

/** Everything of a session that runs; kept as it is, so that a phone that goes off in the middle of a set knows where it was. */
export interface Running {
  key: string;
  revision: number;
  /** The release as it was when the session began: a new one does not shift under it. */
  sent: SentRelease;
  day: number;
  course: number;
  startedAt: string;
  form: string | null;
  hurts: Joint | null;
  stage: 'warm-up' | 'set' | 'rest' | 'end' | 'done';
  warmedUp: number[];
  decided: Record<string, DecidedInSession>;
  done: Done[];
  /** Turns that were skipped. */
  passed: number[];
  turn: number;
  part: number;
  /** When a count or a hold was started, by the clock; null while none runs. */
  countingSince: number | null;
  /** Until when there is rest, by the clock; null for none. */
  restUntil: number | null;
  restSeconds: number;
  /** When the set that is done now began; missing in what an earlier version kept. */
  setSince?: number;
  effort: number | null;
  note: string;
  endedAt: number | null;
  /** When something was done last, ms since 1970; missing in what an earlier version kept. */
  touchedAt?: number;
}

/** Without a touch for so long nobody trains any more, ms: the longest rest is a quarter of an hour, a telephone call an hour. */
const idleAfter = 2 * 60 * 60_000;

/** Nobody has touched it for hours: it is asked whether it goes on. */
export const isIdle = (r: Running, now: number): boolean =>
  (r.stage === 'set' || r.stage === 'rest' || r.stage === 'warm-up') && now - lastTouch(r) > idleAfter;

/** So late, ms, a tap still means the set that the clock called. */
const lateTap = 15_000;

/** When a set begins: where the rest before it has just run out, as of then, so that taps do not add up. */
export const setBegins = (restUntil: number | null, now: number): number =>
  restUntil !== null && now >= restUntil && now - restUntil <= lateTap ? restUntil : now;

/**
 * Rest after a set, s. Where sets run by the clock it is what is left until the next one starts; after a set that took far longer than its
 * time, for instance because somebody was called away, the planned rest.
 */
export function restAfter(r: Running, planned: number, every: number | null, now: number): number {
  if (every === null || r.setSince === undefined) return planned;
  const taken = (now - r.setSince) / 1000;
  return taken > 2 * every ? planned : Math.max(0, Math.round(every - taken));
}

/** When something was done last. */
export const lastTouch = (r: Running): number => r.touchedAt ?? Date.parse(r.startedAt);

/** What a session begins with. */
export type Begun = Pick<Running, 'sent' | 'day' | 'course' | 'form' | 'hurts'>;

/** A session of which nothing is done yet. */
export const begun = (what: Begun, now: number): Running => ({
  ...what,
  key: crypto.randomUUID(),
  revision: 0,
  startedAt: localIso(now),
  stage: 'warm-up',
  warmedUp: [],
  decided: easedFor(what.sent.release.days[what.day], what.hurts),
  done: [],
  passed: [],
  turn: 0,
  part: 0,
  countingSince: null,
  restUntil: null,
  restSeconds: 0,
  effort: null,
  note: '',
  endedAt: null,
  touchedAt: now,
});

/** A session that another phone began, as this one goes on with it. */
export function takenOver({ session, sent }: SessionToTakeOver, now: number): Running {
  const day = sent.release.days[session.day];
  if (!day) throw new Error(`The release has no day ${session.day + 1}.`);
  const turns = day.courses[session.course ?? 0]?.turns ?? [];
  const decided: Record<string, DecidedInSession> = easedFor(day, session.hurts ?? null);
  const done: Done[] = [];
  for (const e of session.exercises) {
    const planned = day.exercises.find(
      (p) => p.line === e.line && p.exerciseId === (e.inPlaceOf ?? e.exerciseId),
    );
    if (!planned) continue;
    const before = done.filter((d) => d.exercise === planned.key).length;
    const places = turns.flatMap((turn, at) => (turn.exercise === planned.key ? [at] : []));
    e.sets.forEach((set, i) => {
      const turn = places[before + i];
      if (turn !== undefined)
        done.push({
          turn,
          exercise: planned.key,
          exerciseId: e.exerciseId,
          set,
          meant: e.meant?.includes(i + 1) ?? false,
        });
    });
    const on: DecidedInSession = { ...decided[planned.key] };
    // What hurt a little on the other phone goes on with less here.
    if (
      planned.lighter &&
      !e.inPlaceOf &&
      e.sets.some((s) => s.hurts === true || (s.pain ?? 0) >= sent.release.pain.easeFrom)
    )
      on.lighter = true;
    if (e.inPlaceOf) [on.swappedFor, on.why] = [e.exerciseId, e.why ?? 'dull'];
    if (e.stopped) on.stopped = true;
    if (e.skipped) on.skipped = true;
    if (Object.keys(on).length > 0) decided[planned.key] = on;
  }

  const walk: Walk = { day, course: session.course ?? 0, decided };
  const turn = nextTurn(
    walk,
    0,
    done.map((d) => d.turn),
  );
  return {
    ...begun(
      {
        sent,
        day: session.day,
        course: session.course ?? 0,
        form: session.form ?? null,
        hurts: session.hurts ?? null,
      },
      now,
    ),
    key: session.key,
    // Far ahead of the other phone, whose touches are older from now on.
    revision: session.revision + revisionsAhead,
    startedAt: session.startedAt,
    stage: turn === null ? 'end' : 'set',
    decided,
    done,
    turn: turn ?? 0,
    effort: session.effort ?? null,
    note: session.note ?? '',
    endedAt: turn === null ? now : null,
  };
}

const revisionsAhead = 1000;

/** The day, how short it is, and what was decided on the floor. */
export function walkOf(r: Running): Walk {
  const day = r.sent.release.days[r.day];
  if (!day) throw new Error(`The release has no day ${r.day + 1}.`);
  const repsLess = r.sent.release.forms?.find((f) => f.id === r.form)?.repsLess ?? 0;
  return { day, course: r.course, decided: r.decided, repsLess };
}

/** Minutes from the beginning to the end, or until now. */
export const minutesOf = (r: Running, now: number): number =>
  Math.max(1, Math.min(600, Math.round(((r.endedAt ?? now) - Date.parse(r.startedAt)) / 60_000)));

/** When a session that is ended now did end: at the last touch, where that was hours ago. */
export const endOf = (r: Running, now: number): number =>
  now - lastTouch(r) > idleAfter ? lastTouch(r) : now;

/** A session as it is sent. */
export const sessionOf = (r: Running, now: number): ClientAppSession => ({
  key: r.key,
  revision: r.revision,
  release: r.sent.id,
  day: r.day,
  course: r.course,
  startedAt: r.startedAt,
  sentAt: localIso(now),
  finished: r.stage === 'done',
  exercises: logged(walkOf(r), r.done),
  form: r.form,
  hurts: r.hurts,
  effort: r.effort,
  minutes: r.endedAt ? minutesOf(r, now) : null,
  note: r.note,
});
