import type { HomeLine, LoggedSet } from '../api/types';

/** A set as it is typed: everything may still be empty. */
export interface SetDraft {
  reps: number | null;
  loadKg: number | null;
  rir: number | null;
  pain: number | null;
  painJoint: LoggedSet['painJoint'];
}

export interface ExerciseDraft {
  line: number;
  day: number;
  exerciseId: string;
  name: string;
  setup: string;
  figures: string;
  timed: boolean;
  loaded: boolean;
  prescribedKg: number;
  sets: SetDraft[];
}

const emptySet = (): SetDraft => ({ reps: null, loadKg: null, rir: null, pain: null, painJoint: null });

/** A log to fill in: one row per prescribed set. */
export function emptyLog(lines: HomeLine[]): ExerciseDraft[] {
  return lines.flatMap((line) =>
    (line.chosen?.exercises ?? []).map((home) => ({
      line: line.gym.line,
      day: line.gym.day ?? 0,
      exerciseId: home.exerciseId,
      name: home.name,
      setup: home.setup,
      figures: home.dose.figures,
      timed: home.dose.timed,
      loaded: home.externalKg > 0,
      prescribedKg: home.externalKg,
      sets: Array.from({ length: home.dose.sets }, emptySet),
    })),
  );
}

/** What was filled in: sets with reps, exercises with sets. */
export function filled(drafts: ExerciseDraft[]): { line: number; exerciseId: string; sets: LoggedSet[] }[] {
  return drafts
    .map(({ line, exerciseId, sets }) => ({
      line,
      exerciseId,
      sets: sets.flatMap((s) => (s.reps == null ? [] : [{ ...s, reps: s.reps }])),
    }))
    .filter((e) => e.sets.length > 0);
}

export { emptySet };
