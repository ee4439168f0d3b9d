import type { HomeLine, HomePlan, LineInBrief, RoundGroup, WeekInBrief } from '../../shared/api/types';
import type { StandingLine, StoodBefore } from '../../shared/api/types';

/** A line of a saved plan, or of one that is worked on. */
type AnyLine = HomeLine | LineInBrief;

/** A day of a home plan with its lines and where they stand in the whole list. */
export interface DayOfPlan<Line extends AnyLine = AnyLine> {
  name: string;
  minutes: number;
  limit: number | null;
  warmUp: string[];
  coolDown: string[];
  /** Work of the gym week that is kept as it was written. */
  kept: string[];
  /** What was done to fit the client's minutes. */
  cut: string[];
  blocks: RoundGroup[];
  /** Label of each line in the session: "B2" is the second of the second block. */
  labels: Record<number, string>;
  lines: { line: Line; index: number }[];
}

/** "A" for a line on its own, "B1" and "B2" for lines in turn. */
export const labelsOf = (blocks: RoundGroup[]): Record<number, string> =>
  Object.fromEntries(
    blocks.flatMap((b) =>
      b.lines.map((line, i) => [line, b.lines.length > 1 ? `${b.label}${i + 1}` : b.label] as const),
    ),
  );

/** The lines of a day in the order in which they are done. */
export function inOrder<Line extends AnyLine>(day: DayOfPlan<Line>): DayOfPlan<Line>['lines'] {
  const order = day.blocks.flatMap((b) => b.lines);
  return day.lines.toSorted((a, b) => order.indexOf(a.line.gym.key) - order.indexOf(b.line.gym.key));
}

/** The lines of a plan day by day; how to warm up is known of a saved one. */
export function byDay(plan: HomePlan): DayOfPlan<HomeLine>[];
export function byDay(plan: WeekInBrief): DayOfPlan<LineInBrief>[];
export function byDay(plan: HomePlan | WeekInBrief): DayOfPlan[] {
  const all: (WeekInBrief['days'][number] & Partial<HomePlan['days'][number]>)[] = plan.days ?? [];
  const days = all.map((day, index) => ({
    name: day.name,
    minutes: day.minutes.total,
    limit: day.minutes.limit ?? null,
    warmUp: day.warmUp ?? [],
    coolDown: day.coolDown ?? [],
    kept: (plan.kept ?? []).filter((k) => k.day === index).map((k) => k.text),
    cut: day.cut ?? [],
    blocks: day.blocks ?? [],
    labels: labelsOf(day.blocks ?? []),
    lines: [] as DayOfPlan['lines'],
  }));
  if (days.length === 0)
    days.push({
      name: '',
      minutes: 0,
      limit: null,
      warmUp: [],
      coolDown: [],
      kept: (plan.kept ?? []).map((k) => k.text),
      cut: [],
      blocks: [],
      labels: {},
      lines: [],
    });
  plan.lines.forEach((line, index) => days[line.gym.day ?? 0]?.lines.push({ line, index }));
  return days.filter((day) => day.lines.length > 0 || day.kept.length > 0);
}

/** What stands in a plan, as what stood before the next one. */
export const stoodIn = (plan: { standing: StandingLine[] }): StoodBefore[] =>
  plan.standing
    .filter((line) => !line.leftOut)
    .map(({ gymExerciseId, candidateId, day }) => ({
      gymExerciseId,
      candidateId,
      day: day || null,
    }));

/** Match of a whole plan: the mean over its lines, a line without substitute counting nothing. */
export const meanMatch = (plan: { lines: AnyLine[] }): number =>
  plan.lines.reduce((sum, line) => sum + (line.chosen?.match ?? 0), 0) / Math.max(1, plan.lines.length);

/** Name of a candidate as it is read. */
export const nameOf = (candidate: { exercises: { name: string }[] }): string =>
  candidate.exercises.map((e) => e.name).join(' + ');
