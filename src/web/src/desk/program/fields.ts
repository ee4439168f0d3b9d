import type { ProgramField, ProgramRow } from '../../shared/api/types';

/** Columns that a line of a gym program has in the grid, in order. */
export const gridColumns = [
  { field: 'day', label: 'Day', width: '7.5rem' },
  { field: 'label', label: 'Label', width: '3.2rem' },
  { field: 'exercise', label: 'Exercise', width: '12.5rem' },
  { field: 'sets', label: 'Sets', width: '3.2rem' },
  { field: 'reps', label: 'Reps', width: '6rem' },
  { field: 'load', label: 'Load', width: '5.2rem' },
  { field: 'percent', label: '%', width: '3.4rem' },
  { field: 'rpe', label: 'RPE', width: '3.2rem' },
  { field: 'rir', label: 'RIR', width: '3.2rem' },
  { field: 'tempo', label: 'Tempo', width: '5.6rem' },
  { field: 'rest', label: 'Rest', width: '4.4rem' },
  { field: 'note', label: 'Note', width: '8rem' },
] as const satisfies { field: ProgramField; label: string; width: string }[];

export type GridField = (typeof gridColumns)[number]['field'];

/** What a column of a table can be taken for. */
export const importFields: [ProgramField, string][] = [
  ['week', 'week'],
  ['day', 'day'],
  ['label', 'superset label'],
  ['exercise', 'exercise'],
  ['dose', 'sets × reps in one'],
  ['sets', 'sets'],
  ['reps', 'reps or time'],
  ['load', 'load'],
  ['percent', 'percent of maximum'],
  ['rpe', 'RPE'],
  ['rir', 'RIR'],
  ['tempo', 'tempo'],
  ['rest', 'rest'],
  ['note', 'note'],
];

/** Cells of a paste from a spreadsheet: rows by line, columns by tab. */
export const cellsOf = (paste: string): string[][] =>
  paste
    .replace(/\r?\n$/, '')
    .split(/\r?\n/)
    .map((row) => row.split('\t'));

/** The rows with a block of cells laid over them from one cell on; rows that are missing are added. */
export function pasted(rows: ProgramRow[], at: number, field: GridField, block: string[][]): ProgramRow[] {
  const first = gridColumns.findIndex((c) => c.field === field);
  const laid = rows.map((row) => ({ ...row }));
  block.forEach((cells, down) => {
    const row = (laid[at + down] ??= { day: laid[at + down - 1]?.day ?? '' });
    cells.forEach((cell, right) => {
      const column = gridColumns[first + right];
      if (column) row[column.field] = cell.trim();
    });
  });
  return laid;
}
