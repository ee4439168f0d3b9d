import type { BlockCell, BlockEdit, BlockSetup, BlockWeek } from '../../shared/api/types';

/** A row of the table: an exercise, with its cell of each week. */
export interface BlockRow {
  key: string;
  line: number;
  exerciseId: string;
  name: string;
  cells: (BlockCell | undefined)[];
}

export const keyOf = (of: { line: number; exerciseId: string }): string => `${of.line}/${of.exerciseId}`;

/** Rows in the order of the plan; a week that had another exercise on the line shows that one's cell. */
export function rowsOf(weeks: BlockWeek[]): BlockRow[] {
  const last = weeks.at(-1)?.cells ?? [];
  return last.map(({ line, exerciseId, name }) => ({
    key: keyOf({ line, exerciseId }),
    line,
    exerciseId,
    name,
    cells: weeks.map(
      (w) =>
        w.cells.find((c) => c.line === line && c.exerciseId === exerciseId) ??
        w.cells.find((c) => c.line === line),
    ),
  }));
}

/** The figures of a cell: "3x8-12 16.8 kg". */
export const figuresOf = (cell: BlockCell): string =>
  cell.dose.figures + (cell.externalKg > 0 ? ` ${Math.round(cell.externalKg * 10) / 10} kg` : '');

/** Everything about a cell that a coach can see, to tell whether it changed. */
const seen = (cell: BlockCell | undefined): string => cell?.doseAsTyped ?? '';

/** Cells that read otherwise than before, by "week/line/exercise", with what they were. */
export function changesOf(before: BlockWeek[], after: BlockWeek[]): Record<string, string> {
  const was: Record<string, string> = {};
  for (const week of after) {
    const old = before.find((w) => w.number === week.number);
    for (const cell of week.cells) {
      const then = old?.cells.find((c) => keyOf(c) === keyOf(cell));
      if (then && seen(then) !== seen(cell)) was[`${week.number}/${keyOf(cell)}`] = figuresOf(then);
    }
  }

  return was;
}

/** What changed, in a sentence: "Week 3 is set; weeks 4 and 5 follow." */
export function changeInWords(set: number, was: Record<string, string>): string {
  const later = [...new Set(Object.keys(was).map((k) => Number(k.split('/')[0])))].filter((w) => w > set);
  const weeks = later.length > 1 ? `${later.slice(0, -1).join(', ')} and ${later.at(-1)}` : `${later[0]}`;
  return later.length === 0
    ? `Week ${set} is set; no other week changes.`
    : `Week ${set} is set; ${later.length === 1 ? 'week' : 'weeks'} ${weeks} follow${later.length === 1 ? 's' : ''}.`;
}

/** The set-up with a cell set; figures set there before stay where the new ones are silent. */
export function withEdit(setup: BlockSetup, edit: BlockEdit): BlockSetup {
  const same = (e: BlockEdit): boolean => e.week === edit.week && keyOf(e.figures) === keyOf(edit.figures);
  const before = setup.edits?.find(same);
  const given = Object.fromEntries(Object.entries(edit.figures).filter(([, value]) => value != null));
  const figures = { ...before?.figures, ...given } as BlockEdit['figures'];
  return { ...setup, edits: [...(setup.edits ?? []).filter((e) => !same(e)), { ...edit, figures }] };
}

/** The set-up with a cell as it would be by itself. */
export const withoutEdit = (setup: BlockSetup, week: number, cell: BlockCell): BlockSetup => ({
  ...setup,
  edits: (setup.edits ?? []).filter((e) => e.week !== week || keyOf(e.figures) !== keyOf(cell)),
});

/** The set-up with a week lighter, or full again. */
export const withLighter = (setup: BlockSetup, week: number): BlockSetup => ({
  ...setup,
  lighterWeeks: setup.lighterWeeks?.includes(week)
    ? setup.lighterWeeks.filter((w) => w !== week)
    : [...(setup.lighterWeeks ?? []), week].sort((a, b) => a - b),
});

const steps: Record<string, string> = {
  'more-load': 'next load',
  'more-reps': 'more reps',
  'more-sets': 'a set more',
  'fewer-sets': 'a set less',
  'technique-on': 'slower',
  'technique-off': 'plain again',
  'fewer-reps': 'fewer reps',
  'next-rung': 'next rung is due',
  change: 'change is due',
  'longer-rest': 'longer rest',
  'shorter-rest': 'shorter rest',
  deload: 'lighter',
  resume: 'full again',
  repeat: 'the same',
};

/** How a cell comes from the week before, in two words; empty for the first of a phase. */
export const stepOf = (cell: BlockCell): string => (cell.step ? (steps[cell.step] ?? '') : '');

/** Strength that a cell asks for beyond today's, in percent; 0 when today's is enough. */
export const asksMore = (cell: BlockCell): number => Math.max(0, Math.round(((cell.asks ?? 1) - 1) * 100));

/** From here on a cell is a hope: a twentieth more than today's strength. */
export const hopefulFrom = 5;
