import { describe, expect, it } from 'vitest';
import type { RepPhase } from '../types';
import { beats, counted, leadIn, repsCounted } from './count';

const slow: RepPhase[] = [
  { word: 'down', seconds: 3, way: 'return', fast: false },
  { word: 'hold', seconds: 2, way: 'hold-long', fast: false },
  { word: 'up', seconds: 1, way: 'work', fast: true },
];

describe('counting a tempo', () => {
  it('leads in, then runs through the phases rep by rep', () => {
    expect(counted(slow, 0)).toMatchObject({ rep: 0, phase: -1, second: 3 });
    expect(counted(slow, leadIn)).toMatchObject({ rep: 1, phase: 0, second: 1, through: 0 });
    expect(counted(slow, leadIn + 2.5)).toMatchObject({ rep: 1, phase: 0, second: 3 });
    expect(counted(slow, leadIn + 3)).toMatchObject({ rep: 1, phase: 1, second: 1 });
    expect(counted(slow, leadIn + 5.5)).toMatchObject({ rep: 1, phase: 2, through: 0.5 });
    expect(counted(slow, leadIn + 6)).toMatchObject({ rep: 2, phase: 0 });
  });

  it('does not drift: the thirtieth rep begins when thirty reps are over, to the millisecond', () => {
    const at = leadIn + 29 * 6;
    expect(counted(slow, at - 0.001).rep).toBe(29);
    expect(counted(slow, at + 0.001).rep).toBe(30);
  });

  it('is heard at whole seconds, each once, however the time is cut into pieces', () => {
    const whole = beats(slow, 0, 21);
    const pieces = Array.from({ length: 210 }, (_, i) => beats(slow, i / 10, (i + 1) / 10)).flat();
    expect(pieces.map((b) => b.word)).toEqual(whole.map((b) => b.word));
    expect(whole.every((b) => Number.isInteger(b.at))).toBe(true);
    expect(whole.slice(0, 9).map((b) => b.word)).toEqual([
      '3',
      '2',
      '1',
      '1. down',
      '2',
      '3',
      'hold',
      '2',
      'up',
    ]);
  });

  it('counts reps that were done to their end', () => {
    expect(repsCounted(slow, leadIn + 5)).toBe(0);
    expect(repsCounted(slow, leadIn + 6)).toBe(1);
    expect(repsCounted(slow, leadIn + 47.9)).toBe(8);
    expect(repsCounted([], 100)).toBe(0);
  });
});
