import { describe, expect, it } from 'vitest';
import type { RebuiltWeek } from '../../shared/api/types';
import { whole } from './whole';

const week = (lines: [key: number, place: number, mark: string][], same: number[] = []): RebuiltWeek =>
  ({
    plan: { lines: lines.map(([key, line, mark]) => ({ gym: { key, line }, mark })) },
    same,
  }) as unknown as RebuiltWeek;
const marks = ({ plan }: RebuiltWeek): string[] => plan.lines.map((line) => line.mark);

describe('an answer that leaves out what did not change', () => {
  const before = week([
    [1, 2, 'a'],
    [7, 3, 'b'],
    [3, 5, 'c'],
  ]);

  it('is whole again in the order of the text', () => {
    expect(marks(whole(week([[7, 3, 'B']], [1, 3]), before))).toEqual(['a', 'B', 'c']);
  });

  it('keeps no line that is gone, and takes one that came', () => {
    expect(marks(whole(week([[9, 4, 'new']], [1]), before))).toEqual(['a', 'new']);
  });

  it('stays as it is when nothing was left out', () => {
    expect(marks(whole(before, null))).toEqual(['a', 'b', 'c']);
  });
});
