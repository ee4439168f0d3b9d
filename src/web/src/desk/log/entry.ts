import type { HomeLine, LoggedExercise, LoggedSet, PlannedEntry } from '../../shared/api/types';

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

/** One entry for each exercise of a plan, with what doing it as planned would read. */
export function entriesOf(lines: HomeLine[], planned: PlannedEntry[] = []): Entry[] {
  return lines.flatMap((line) =>
    (line.chosen?.exercises ?? []).map((home) => ({
      line: line.gym.key,
      day: line.gym.day ?? 0,
      plannedId: home.exerciseId,
      exerciseId: home.exerciseId,
      name: home.name,
      setup: home.setup,
      figures: home.dose.figures,
      asPlanned: planned.find((p) => p.line === line.gym.key && p.exerciseId === home.exerciseId)?.text ?? '',
      text: '',
      sets: [],
      wrong: '',
    })),
  );
}

/** What was typed and could be read; exercises without sets stay out, so partial logs are fine. */
export function filled(entries: Entry[]): LoggedExercise[] {
  return entries
    .filter((e) => e.sets.length > 0 && !e.wrong)
    .map(({ line, exerciseId, sets }) => ({ line, exerciseId, sets }));
}
