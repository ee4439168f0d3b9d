import type {
  AcceptedFinding,
  CoachChoice,
  DayApproach,
  HomeEdit,
  HomeLine,
  RebuildRequest,
  Remedy,
  StoodBefore,
} from '../api/types';
import { merged } from './edits';

/** What the coach decided for a gym week at a place: all that a home plan is built from beside client, kit and week. */
export interface Decided {
  /** Approach of the week; null for the client's. */
  approach: string | null;
  dayApproaches: DayApproach[];
  choices: CoachChoice[];
  edits: HomeEdit[];
  /** What stood before: it gets a head start. */
  before: StoodBefore[];
  accepted: AcceptedFinding[];
  fitToMinutes: boolean;
  /** Phase of the week's approach that a block has brought the plan to. */
  phase: string | null;
  calibrate: boolean;
}

/** What a request says; without one nothing is decided yet. */
export const decidedIn = (request: Partial<RebuildRequest> = {}): Decided => ({
  approach: request.approach ?? null,
  dayApproaches: request.dayApproaches ?? [],
  choices: request.choices ?? [],
  edits: request.edits ?? [],
  before: request.before ?? [],
  accepted: request.accepted ?? [],
  fitToMinutes: request.fitToMinutes ?? true,
  phase: request.phase ?? null,
  calibrate: request.calibrate ?? false,
});

const choiceOf = (decided: Decided, line: number): CoachChoice | undefined =>
  decided.choices.find((c) => c.line === line);

const withoutChoice = (decided: Decided, ...lines: number[]): CoachChoice[] =>
  decided.choices.filter((c) => !lines.includes(c.line));

/** A candidate taken for a line; what the coach said of its role stays. */
export const withCandidate = (decided: Decided, line: number, candidateId: string): Decided => ({
  ...decided,
  choices: [
    ...withoutChoice(decided, line),
    { line, candidateId, role: choiceOf(decided, line)?.role ?? null },
  ],
});

/** A line left to the engine again; what the coach said of its role stays. */
export function unlocked(decided: Decided, line: number): Decided {
  const role = choiceOf(decided, line)?.role;
  const others = withoutChoice(decided, line);
  return { ...decided, choices: role ? [...others, { line, role }] : others };
}

/** What a line is for; null leaves it to be inferred, and a candidate that was taken stays. */
export function withRole(decided: Decided, line: number, role: HomeLine['role'] | null): Decided {
  const candidateId = choiceOf(decided, line)?.candidateId ?? null;
  const others = withoutChoice(decided, line);
  return { ...decided, choices: role || candidateId ? [...others, { line, candidateId, role }] : others };
}

/** Without the choices that have an exercise, alone or in a pair. */
export const withoutExercise = (decided: Decided, exerciseId: string): Decided => ({
  ...decided,
  choices: decided.choices.filter((c) => !c.candidateId?.split('+').includes(exerciseId)),
});

export const withEdits = (decided: Decided, edits: HomeEdit[]): Decided => ({
  ...decided,
  edits: merged(decided.edits, edits),
});

/** What a finding proposes. */
export const withRemedy = (decided: Decided, remedy: Remedy): Decided => ({
  ...withEdits(decided, remedy.edits),
  choices: [...withoutChoice(decided, ...remedy.choices.map((c) => c.line)), ...remedy.choices],
});

/** A finding that may stand, with the reason; an empty one takes that back. */
export function withAccepted(decided: Decided, key: string, note: string): Decided {
  const others = decided.accepted.filter((a) => a.key !== key);
  return { ...decided, accepted: note ? [...others, { key, note }] : others };
}

/**
 * The week, or a day of it, under another approach. A day that follows the week's needs none of its own; another approach of the
 * week ends the phase that a block had brought it to.
 */
export function withApproach(
  decided: Decided,
  approach: string,
  day: string | undefined,
  ofClient: string,
): Decided {
  if (day === undefined) return { ...decided, approach, phase: null };
  const others = decided.dayApproaches.filter((a) => a.day !== day);
  const asWeek = approach === (decided.approach ?? ofClient);
  return { ...decided, dayApproaches: asWeek ? others : [...others, { day, approach }] };
}
