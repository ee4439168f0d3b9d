import { describe, expect, it } from 'vitest';
import { costInWords, costOf, costRange } from './costs';

const cost = (of: string, factor: number) => ({ of, factor, spread: 0.2, seen: 10, restsOn: '' });

describe('learnt costs in words', () => {
  it('says how much more or less than usual', () => {
    expect(costInWords(cost('rests', 1.4))).toBe('40 % more than usual');
    expect(costInWords(cost('rests', 0.7))).toBe('30 % less than usual');
    expect(costInWords(cost('rests', 1.03))).toBe('as usual');
    expect(costRange(cost('rests', 1.4))).toBe('1.2 to 1.6 times');
  });

  it('names what it is of', () => {
    expect(costOf(cost('rests', 1))).toBe('Rests between sets');
    expect(costOf(cost('slow-eccentric', 1))).toBe('Slow eccentric');
  });
});
