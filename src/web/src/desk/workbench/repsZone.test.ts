import { describe, expect, it } from 'vitest';
import { drawZone } from './repsZone';

describe('expected reps against the zone', () => {
  it('draws both on one scale from nought', () => {
    const drawn = drawZone({ low: 9, mid: 10, high: 12 }, { min: 8, max: 12 }, 200);

    expect(drawn.zone).toEqual({ x: 80, width: 40 });
    expect(drawn.range.mid).toBe(100);
    expect(drawn.ticks.map((t) => t.reps)).toEqual([0, 5, 10, 15, 20]);
  });

  it('stays inside its width however many reps there are', () => {
    const { range } = drawZone({ low: 60, mid: 80, high: 100 }, { min: 8, max: 12 }, 200);
    expect(range.x + range.width).toBeLessThanOrEqual(203);
  });
});
