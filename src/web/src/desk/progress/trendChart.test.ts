import { expect, test } from 'vitest';
import type { LiftTrend } from '../../shared/api/types';
import { niceStep, trendChart } from './trendChart';

const trend: LiftTrend = {
  exerciseId: 'push-up',
  name: 'Push-up',
  change: 0.1,
  restsOn: '2 logged days',
  points: [
    { day: '2026-11-01', seenKg: 60, estimateKg: 62, lowKg: 58, highKg: 66, bestSet: '10 r2' },
    { day: '2026-11-15', seenKg: 66, estimateKg: 65, lowKg: 62, highKg: 68, bestSet: '12 r2' },
  ],
};

test('time runs to the right, more strength is higher up, and all lies in the box', () => {
  const chart = trendChart(trend, 300, 120);
  const [before, after] = [chart.dots[0], chart.dots[1]];
  expect(before?.x).toBeLessThan(after?.x ?? 0);
  expect(before?.y).toBeGreaterThan(after?.y ?? Number.POSITIVE_INFINITY);
  for (const dot of chart.dots) {
    expect(dot.x).toBeGreaterThanOrEqual(34);
    expect(dot.x).toBeLessThanOrEqual(300);
    expect(dot.y).toBeGreaterThan(0);
    expect(dot.y).toBeLessThan(102);
  }
  expect(chart.band.split(' ')).toHaveLength(4);
  expect(chart.ticks.length).toBeGreaterThan(1);
});

test('a single day is a dot, not a division by zero', () => {
  const chart = trendChart({ ...trend, points: trend.points.slice(0, 1) }, 300, 120);
  expect(chart.line).not.toContain('NaN');
  expect(chart.days).toHaveLength(1);
});

test('steps of the scale are round', () => {
  expect([0.3, 3, 7, 12].map(niceStep)).toEqual([0.5, 5, 10, 20]);
});
