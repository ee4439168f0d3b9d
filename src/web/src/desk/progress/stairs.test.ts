import { expect, test } from 'vitest';
import type { LadderRung } from '../../shared/api/types';
import { stairs } from './stairs';

const rung = (difficulty: number, step: number | null, tooHigh = false): LadderRung =>
  ({ difficulty, step, tooHigh }) as LadderRung;

test('each step is higher than the one before, and one that is too high is marked', () => {
  const drawn = stairs({ rungs: [rung(0.4, null), rung(0.43, 0.075), rung(0.6, 0.395, true)] }, 300, 100);
  const heights = drawn.map((s) => s.height);
  expect(drawn.map((s) => s.high)).toEqual([false, false, true]);
  expect(heights[0]).toBe(14);
  expect(heights[2]).toBe(100);
  expect(heights[1]).toBeGreaterThan(14);
  expect(drawn.every((s) => s.y >= 0 && s.x + s.width <= 300.1)).toBe(true);
});

test('equal shares look equally high', () => {
  const [a = 0, b = 0, c = 0] = stairs(
    { rungs: [rung(0.4, null), rung(0.44, 0.1), rung(0.484, 0.1)] },
    300,
    100,
  ).map((s) => s.height);
  expect(b - a).toBeCloseTo(c - b, 0);
});

test('one rung alone and none at all are no stairs to fall down', () => {
  expect(stairs({ rungs: [] }, 300, 100)).toEqual([]);
  expect(stairs({ rungs: [rung(0.5, null)] }, 300, 100).map((s) => s.height)).toEqual([50]);
});
