import type { HomeExercise } from '../../shared/api/types';

/** Reps beyond which the scale ends. */
const MOST = 50;

export interface ZoneDrawing {
  zone: { x: number; width: number };
  range: { x: number; width: number; mid: number };
  ticks: { reps: number; x: number }[];
}

/** Geometry of the expected reps to failure against the reps that are wanted, on a scale from 0. */
export function drawZone(
  expected: { low: number; mid: number; high: number },
  wanted: { min: number; max: number },
  width: number,
): ZoneDrawing {
  const top = Math.min(MOST, Math.max(20, Math.ceil((Math.max(expected.high, wanted.max) * 1.15) / 10) * 10));
  const x = (reps: number): number => (Math.min(Math.max(reps, 0), top) / top) * width;
  const step = top > 30 ? 10 : 5;
  return {
    zone: { x: x(wanted.min), width: Math.max(2, x(wanted.max) - x(wanted.min)) },
    range: {
      x: x(expected.low),
      width: Math.max(3, x(expected.high) - x(expected.low)),
      mid: x(expected.mid),
    },
    ticks: Array.from({ length: top / step + 1 }, (_, i) => ({ reps: i * step, x: x(i * step) })),
  };
}

/** How what is expected lies to what is wanted, as the engine judges it. */
export const fitInWords: Record<NonNullable<HomeExercise['fit']>, string> = {
  'in-zone': 'in the zone',
  easier: 'easier than wanted',
  harder: 'harder than wanted',
};
