import { localIso } from '../keep/server';
import type { FloorSession, Joint, SentRelease } from '../types';
import { logged, type Done, type OnTheFloor, type Walk } from './walk';

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
  decided: Record<string, OnTheFloor>;
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
  effort: number | null;
  note: string;
  endedAt: number | null;
}

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
  decided: {},
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
});

/** The day, how short it is, and what was decided on the floor. */
export function walkOf(r: Running): Walk {
  const day = r.sent.release.days[r.day];
  if (!day) throw new Error(`The release has no day ${r.day + 1}.`);
  return { day, course: r.course, decided: r.decided };
}

/** Minutes from the beginning to the end, or until now. */
export const minutesOf = (r: Running, now: number): number =>
  Math.max(1, Math.min(600, Math.round(((r.endedAt ?? now) - Date.parse(r.startedAt)) / 60_000)));

/** A session as it is sent. */
export const sessionOf = (r: Running, now: number): FloorSession => ({
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
