import { describe, expect, it } from 'vitest';
import type { HomePlan } from '../../shared/api/types';
import { byDay, meanMatch, stoodIn } from './days';

const line = (
  number: number,
  day: number,
  gymExercise: string,
  chosen: string | null,
  match = 0.9,
): object => ({
  gym: { key: number, day, exerciseId: gymExercise },
  chosen: chosen ? { id: chosen, match, exercises: [] } : null,
});

const plan = {
  days: [
    { name: 'Upper', minutes: { total: 50, limit: 45 } },
    { name: 'Rest', minutes: { total: 0 } },
    { name: 'Lower', minutes: { total: 40 } },
  ],
  lines: [
    line(2, 0, 'bench-press', 'push-up', 0.8),
    line(3, 0, 'barbell-row', null),
    line(6, 2, 'back-squat', 'single-leg-box-squat', 1),
  ],
} as unknown as HomePlan;

describe('a plan day by day', () => {
  it('puts each line under its day and keeps its place in the whole list', () => {
    const days = byDay(plan);

    expect(days.map((d) => d.name)).toEqual(['Upper', 'Lower']);
    expect(days[1]?.lines.map((l) => l.index)).toEqual([2]);
    expect(days[0]).toMatchObject({ minutes: 50, limit: 45 });
  });

  it('shows a plan without days as one day', () => {
    const days = byDay({ ...plan, days: [], lines: plan.lines.slice(0, 2) });

    expect(days).toHaveLength(1);
    expect(days[0]?.lines).toHaveLength(2);
  });

  it('remembers what stood, with its day', () => {
    const standing = [
      { line: 1, day: 'Upper', gymExerciseId: 'bench-press', candidateId: 'push-up' },
      { line: 2, day: '', gymExerciseId: 'row', candidateId: 'table-row' },
      { line: 3, day: '', gymExerciseId: 'curl', candidateId: '', leftOut: true },
    ].map((line) => ({ role: 'main' as const, figures: [], inTurn: [], leftOut: false, ...line }));
    expect(stoodIn({ ...plan, standing })).toEqual([
      { gymExerciseId: 'bench-press', candidateId: 'push-up', day: 'Upper' },
      { gymExerciseId: 'row', candidateId: 'table-row', day: null },
    ]);
  });

  it('counts a line without substitute as nothing in the mean match', () => {
    expect(meanMatch(plan)).toBeCloseTo(0.6);
    expect(meanMatch({ ...plan, lines: [] })).toBe(0);
  });
});
