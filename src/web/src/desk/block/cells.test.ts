import { describe, expect, it } from 'vitest';
import type { BlockCell, BlockSetup, BlockWeek } from '../../shared/api/types';
import {
  asksMore,
  changeInWords,
  changesOf,
  figuresOf,
  rowsOf,
  withEdit,
  withLighter,
  withoutEdit,
} from './cells';

const cell = (sets: number, over: Partial<BlockCell> = {}): BlockCell =>
  ({
    line: 1,
    exerciseId: 'push-up',
    name: 'Push-up',
    dose: {
      sets,
      figures: `${sets}x8-12`,
      target: { min: 8, max: 12 },
      tempo: '2-0-1-0',
      restSeconds: 90,
      rir: 2,
    },
    externalKg: 0,
    doseAsTyped: `${sets}x8-12`,
    reason: '',
    setByCoach: false,
    ...over,
  }) as BlockCell;

const week = (number: number, ...cells: BlockCell[]): BlockWeek => ({ number, cells }) as BlockWeek;
const setup: BlockSetup = { starts: '2026-11-23', phases: [], lighterWeeks: [5], edits: [] };

describe('cells of a block', () => {
  it('reads figures', () => {
    expect(figuresOf(cell(3, { externalKg: 16.84 }))).toBe('3x8-12 16.8 kg');
  });

  it('names what changed and what it was', () => {
    const was = changesOf(
      [week(3, cell(3)), week(4, cell(3)), week(5, cell(2))],
      [week(3, cell(4)), week(4, cell(4)), week(5, cell(2))],
    );
    expect(was).toEqual({ '3/1/push-up': '3x8-12', '4/1/push-up': '3x8-12' });
    expect(changeInWords(3, was)).toBe('Week 3 is set; week 4 follows.');
    expect(changeInWords(3, { ...was, '5/1/push-up': '' })).toBe('Week 3 is set; weeks 4 and 5 follow.');
    expect(changeInWords(5, {})).toBe('Week 5 is set; no other week changes.');
  });

  it('keeps figures of a cell that a new edit does not name', () => {
    const figures = { line: 1, exerciseId: 'push-up' };
    const once = withEdit(setup, { week: 2, figures: { ...figures, sets: 4 }, onlyThisWeek: false });
    const twice = withEdit(once, {
      week: 2,
      figures: { ...figures, rir: 1, sets: null },
      onlyThisWeek: true,
    });
    expect(twice.edits).toEqual([{ week: 2, figures: { ...figures, sets: 4, rir: 1 }, onlyThisWeek: true }]);
    expect(withEdit(once, { week: 3, figures, onlyThisWeek: false }).edits).toHaveLength(2);
    expect(withoutEdit(twice, 2, cell(3)).edits).toEqual([]);
    expect(withoutEdit(twice, 3, cell(3)).edits).toHaveLength(1);
  });

  it('makes a week lighter and full again', () => {
    expect(withLighter(setup, 3).lighterWeeks).toEqual([3, 5]);
    expect(withLighter(setup, 5).lighterWeeks).toEqual([]);
  });

  it('shows the cell of another exercise in a week that had one', () => {
    const [row] = rowsOf([week(1, cell(3, { exerciseId: 'dip', name: 'Dip' })), week(2, cell(3))]);
    expect(row?.cells.map((c) => c?.name)).toEqual(['Dip', 'Push-up']);
  });

  it('says what a cell asks beyond today', () => {
    expect(asksMore(cell(3, { asks: 1.064 }))).toBe(6);
    expect(asksMore(cell(3, { asks: 0.9 }))).toBe(0);
    expect(asksMore(cell(3))).toBe(0);
  });
});
