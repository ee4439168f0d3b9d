import { describe, expect, it } from 'vitest';
import { editInWords } from './edits';

const first = { line: 1, exerciseId: 'push-up', sets: 4, tempo: '3-0-1-0' };

describe('figures that a coach sets', () => {
  it('says what it sets', () => {
    expect(editInWords({ ...first, target: { min: 8, max: 12 }, restSeconds: 90, rir: 1 })).toBe(
      '4 sets, 8–12 reps, 3-0-1-0, 90 s rest, RIR 1',
    );
  });
});
