import type {
  ClientAppExercise,
  LoggedSet,
  ReleaseDay,
  ReleaseExercise,
  SetPart,
  SwapReason,
  Turn,
} from '../types';

/** What was decided on the floor of one exercise of the day. */
export interface DecidedInSession {
  /** Exercise that is done in its place. */
  swappedFor?: string;
  why?: SwapReason;
  /** Stopped because it hurt. */
  stopped?: boolean;
  /** Left out by choice. */
  skipped?: boolean;
  /** Done lighter or shorter than planned, because it hurt. */
  lighter?: boolean;
}

/** A day being walked through: the turns of a course, and what was decided of its exercises by their key. */
export interface Walk {
  day: ReleaseDay;
  course: number;
  decided: Record<string, DecidedInSession>;
  /** Reps by which targets are lower today: slept badly, sore. */
  repsLess?: number;
}

/** The turns of the way that was taken. */
export const turnsOf = (walk: Walk): Turn[] => walk.day.courses[walk.course]?.turns ?? [];

/** The exercise of the plan with a key. */
export const plannedOf = (day: ReleaseDay, key: string): ReleaseExercise => {
  const found = day.exercises.find((e) => e.key === key);
  if (!found) throw new Error(`The day has no exercise ${key}.`);
  return found;
};

/** What is done in a turn: the exercise of the plan, or the one that took its place. */
export function exerciseOf(walk: Walk, key: string): ReleaseExercise {
  const planned = plannedOf(walk.day, key);
  const other = walk.decided[key]?.swappedFor;
  return (
    planned.alternatives.find((a) => a.exercise.exerciseId === other)?.exercise ??
    (walk.decided[key]?.lighter ? planned.lighter?.exercise : null) ??
    planned
  );
}

/** Exercises that load a joint which hurts before the session begins: they begin lighter. */
export const easedFor = (
  day: ReleaseDay | undefined,
  hurts: string | null,
): Record<string, DecidedInSession> =>
  Object.fromEntries(
    (day?.exercises ?? [])
      .filter((e) => e.lighter && e.loads?.some((j) => j === hurts))
      .map((e) => [e.key, { lighter: true }]),
  );

const secondsPerRep = 5;

/** A target as it is today. */
function today(part: SetPart, timed: boolean, less: number): SetPart {
  const { min, max } = part.target;
  if (less === 0 || max === 0 || part.kind === 'more') return part;
  const by = timed ? less * secondsPerRep : less;
  const lower = (n: number) => Math.max(Math.min(n, timed ? secondsPerRep : 1), n - by);
  return {
    ...part,
    target: { ...part.target, min: lower(min), max: lower(max) },
    asPlanned: lower(part.asPlanned),
  };
}

/** Whether a turn is still to be done at all. */
export const isOpen = (walk: Walk, turn: Turn): boolean =>
  !walk.decided[turn.exercise]?.stopped &&
  !walk.decided[turn.exercise]?.skipped &&
  !(walk.decided[turn.exercise]?.lighter && turn.set > exerciseOf(walk, turn.exercise).sets.length);

/**
 * The next turn from a place on that is to be done; after the last one those that were passed over before, for instance because somebody
 * jumped ahead. Null when none is left.
 */
export function nextTurn(walk: Walk, from: number, closed: readonly number[] = []): number | null {
  const turns = turnsOf(walk).map((turn, at) => ({ turn, at }));
  const inOrder = [...turns.filter((t) => t.at >= from), ...turns.filter((t) => t.at < from)];
  return inOrder.find((t) => !closed.includes(t.at) && isOpen(walk, t.turn))?.at ?? null;
}

/** The parts of the set of a turn. */
export function partsOf(walk: Walk, turn: Turn): SetPart[] {
  const { sets, timed } = exerciseOf(walk, turn.exercise);
  const parts = sets[Math.min(turn.set, sets.length) - 1]?.parts ?? [];
  return parts.map((p) => today(p, timed, walk.repsLess ?? 0));
}

/** Places of exercises of the course, each once, in their order. */
export const exercisesOf = (walk: Walk): string[] => [...new Set(turnsOf(walk).map((t) => t.exercise))];

/** A set that was done, with its turn. */
export interface Done {
  turn: number;
  exercise: string;
  exerciseId: string;
  set: LoggedSet;
  meant?: boolean;
}

/** The log of a walk: exercises in the order in which they were begun; what was skipped or stopped stands without sets. */
export function logged(walk: Walk, done: Done[]): ClientAppExercise[] {
  const list: ClientAppExercise[] = [];
  const find = (key: string, exerciseId: string): ClientAppExercise => {
    const planned = plannedOf(walk.day, key);
    let found = list.find((e) => e.line === planned.line && e.exerciseId === exerciseId);
    if (!found) {
      found = { line: planned.line, exerciseId, sets: [], meant: [] };
      if (exerciseId !== planned.exerciseId) {
        found.inPlaceOf = planned.exerciseId;
        found.why = walk.decided[key]?.why ?? 'dull';
      }
      list.push(found);
    }

    return found;
  };
  for (const one of [...done].sort((a, b) => a.turn - b.turn)) {
    const exercise = find(one.exercise, one.exerciseId);
    exercise.sets.push(one.set);
    if (one.meant) exercise.meant?.push(exercise.sets.length);
  }

  for (const key of exercisesOf(walk)) {
    const decided = walk.decided[key];
    if (!decided?.stopped && !decided?.skipped) continue;
    const exercise = find(key, exerciseOf(walk, key).exerciseId);
    exercise.stopped = decided.stopped ?? false;
    exercise.skipped = decided.skipped ?? false;
  }

  return list;
}

/** What may be taken in place of an exercise for a reason; for pain what spares the joint. */
export const offered = (
  planned: ReleaseExercise,
  why: SwapReason,
  joint?: string | null,
): ReleaseExercise['alternatives'] =>
  planned.alternatives.filter(
    (a) => a.helps.includes(why) && (why !== 'hurts' || !joint || a.spares.some((s) => s === joint)),
  );

/** What a whole set aims at, in words: all the pieces of one that is done with breaths in between. */
export const setInWords = (parts: SetPart[]): string =>
  parts
    .filter((p, i) => i === 0 || (p.kind === 'more' && p.side === parts[0]?.side))
    .map(targetInWords)
    .join(' + ');

/** What a part of a set aims at, in words. */
export const targetInWords = (part: SetPart): string => {
  const { min, max } = part.target;
  if (max === 0) return 'as many as you can';
  return min === max ? `${max}` : `${min}–${max}`;
};
