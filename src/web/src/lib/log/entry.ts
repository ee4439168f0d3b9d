import type { HomeLine, LoggedExercise, LoggedSet } from '../api/types';

/** An exercise of the plan as it is logged: its sets are typed in one field. */
export interface Entry {
  line: number;
  day: number;
  /** What was planned. */
  plannedId: string;
  /** What was done: the same, or what the client took instead. */
  exerciseId: string;
  name: string;
  setup: string;
  figures: string;
  /** What doing it as planned would read. */
  asPlanned: string;
  text: string;
  sets: LoggedSet[];
  wrong: string;
}

/** One entry for each exercise of a plan. */
export function entriesOf(lines: HomeLine[]): Entry[] {
  return lines.flatMap((line) =>
    (line.chosen?.exercises ?? []).map((home) => ({
      line: line.gym.line,
      day: line.gym.day ?? 0,
      plannedId: home.exerciseId,
      exerciseId: home.exerciseId,
      name: home.name,
      setup: home.setup,
      figures: home.dose.figures,
      asPlanned: planned(home.dose.sets, home.dose.target.min, home.dose.rir, home.externalKg),
      text: '',
      sets: [],
      wrong: '',
    })),
  );
}

/** Sets as planned, in the shorthand of the log. */
function planned(sets: number, reps: number, rir: number, kg: number): string {
  return `${Array.from({ length: sets }, () => reps || 10).join(',')}${kg > 0 ? ` @${kg}kg` : ''} r${rir}`;
}

/** What was typed and could be read; exercises without sets stay out, so partial logs are fine. */
export function filled(entries: Entry[]): LoggedExercise[] {
  return entries
    .filter((e) => e.sets.length > 0 && !e.wrong)
    .map(({ line, exerciseId, sets }) => ({ line, exerciseId, sets }));
}

/** Sets in the shorthand of the log, for a coach to read and change. */
export function setsText(sets: LoggedSet[]): string {
  if (sets.length === 0) return '';
  const loads = [...new Set(sets.map((s) => s.loadKg ?? null))];
  const rirs = sets.map((s) => s.rir ?? null);
  const reps = sets
    .map((s) => (loads.length > 1 && s.loadKg ? `${s.reps}@${s.loadKg}` : `${s.reps}`))
    .join(',');
  const load = loads.length === 1 && loads[0] ? ` @${loads[0]}kg` : '';
  const rir = rirs.includes(null) ? '' : ` r${[...new Set(rirs)].length === 1 ? rirs[0] : rirs.join(',')}`;
  const worst = [...sets].sort((a, b) => (b.pain ?? 0) - (a.pain ?? 0))[0];
  const pain = worst?.pain
    ? ` p${worst.pain}${worst.painJoint ? ` ${worst.painJoint}` : ''}${worst.sharp ? ' sharp' : ''}`
    : '';
  return reps + load + rir + pain;
}
