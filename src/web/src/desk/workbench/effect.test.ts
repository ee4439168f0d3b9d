import { describe, expect, it } from 'vitest';
import { consequences, reserveInWords } from './effect';

const effect = {
  repsBySet: [12, 10, 8],
  reserveFirst: 2,
  reserveLast: -2,
  secondsUnderTension: 36,
  minutes: 9.4,
  hardSets: 3,
};

describe('what a dose comes to', () => {
  it('says what is left in the first and the last set', () => {
    expect(reserveInWords(effect)).toBe('2 left in the first set, 2 too many in the last');
    expect(reserveInWords({ ...effect, reserveLast: 2 })).toBe('2 left in every set');
    expect(reserveInWords({ ...effect, reserveFirst: null })).toBe('');
  });

  it('goes on with sets, time and hard sets', () => {
    expect(consequences(effect).slice(1)).toEqual([
      'to failure 12, 10, 8',
      '36 s a set',
      '9.4 min',
      '3 hard sets',
    ]);
    expect(consequences({ ...effect, repsBySet: [], reserveFirst: null, hardSets: 1 })).toEqual([
      '36 s a set',
      '9.4 min',
      '1 hard set',
    ]);
  });
});
