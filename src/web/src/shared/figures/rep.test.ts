import { describe, expect, it } from 'vitest';
import { lasts, shareAt, stretches } from './rep';

describe('a rep at a tempo', () => {
  it('lowers first in a squat: three seconds down, one held, one up', () => {
    const rep = stretches('3-1-1-0', true);
    expect(lasts(rep)).toBeCloseTo(5.25);
    expect(shareAt(rep, 0)).toBe(0);
    expect(shareAt(rep, 1.5)).toBeCloseTo(0.5);
    expect(shareAt(rep, 3.5)).toBe(1);
    expect(shareAt(rep, 4.5)).toBeCloseTo(0.5);
  });

  it('lifts first in a row: the pause after the lifting is the one with the muscle short', () => {
    const rep = stretches('4-0-1-2', false);
    expect(shareAt(rep, 0.5)).toBeCloseTo(0.5);
    expect(shareAt(rep, 2)).toBe(1);
    expect(shareAt(rep, 5)).toBeCloseTo(0.5);
  });

  it('moves an X fast, and starts again at the end', () => {
    const rep = stretches('3-0-X-0', true);
    expect(rep[2]?.seconds).toBeLessThan(0.6);
    expect(shareAt(rep, lasts(rep) + 1.5)).toBeCloseTo(shareAt(rep, 1.5));
  });

  it('has a tempo of its own where none can be read', () => {
    expect(lasts(stretches('', true))).toBeGreaterThan(3);
  });
});
