import { describe, expect, it } from 'vitest';
import { editInWords, merged, repeated } from './edits';

const first = { line: 1, exerciseId: 'push-up', sets: 4, tempo: '3-0-1-0' };

describe('figures that a coach sets', () => {
  it('keeps what an edit leaves open', () => {
    expect(merged([first], [{ line: 1, exerciseId: 'push-up', rir: 1, sets: null }])).toEqual([
      { ...first, rir: 1 },
    ]);
  });

  it('keeps other lines and other exercises of a line', () => {
    expect(merged([first], [{ line: 1, exerciseId: 'table-row', sets: 2 }])).toHaveLength(2);
  });

  it('lets techniques take the place of a tempo typed before', () => {
    expect(merged([first], [{ line: 1, exerciseId: 'push-up', techniques: ['pause-2'] }])[0]).toMatchObject({
      tempo: null,
      techniques: ['pause-2'],
    });
  });

  it('repeats all but the load', () => {
    expect(repeated({ ...first, externalKg: 12 }, 3, 'dip')).toEqual({
      ...first,
      line: 3,
      exerciseId: 'dip',
      externalKg: null,
    });
  });

  it('says what it sets', () => {
    expect(editInWords({ ...first, target: { min: 8, max: 12 }, restSeconds: 90, rir: 1 })).toBe(
      '4 sets, 8–12 reps, 3-0-1-0, 90 s rest, RIR 1',
    );
  });
});
