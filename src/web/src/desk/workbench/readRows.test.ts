import { describe, expect, it } from 'vitest';
import type { ReadRow } from '../../shared/api/types';
import { written } from './readRows';

const row = (line: number, text: string): ReadRow => ({
  line,
  kind: 'line',
  text,
  readAs: text,
  said: [],
  certainty: 'sure',
  doubts: [],
  fields: [],
  joinedLines: [],
});

describe('readings taken of a text', () => {
  const [day, bench, squat] = [row(1, '= Mon'), row(1, 'Bench 3x5 @ 50 kg'), row(2, 'Squat 5x5')];

  it('keep what else stands in the same line', () => {
    expect(written([day, bench, squat], new Map([[bench, 'Bench 3x5 @ 50%']]))).toEqual(
      new Map([[1, '= Mon\nBench 3x5 @ 50%']]),
    );
  });

  it('may be several of one line', () => {
    const row2 = row(1, 'Row 3x8');
    expect(
      written(
        [day, bench, row2, squat],
        new Map([
          [bench, 'a'],
          [row2, 'b'],
        ]),
      ),
    ).toEqual(new Map([[1, '= Mon\na\nb']]));
  });
});

describe('a row that was joined from several', () => {
  it('takes their place', () => {
    const joined = { ...row(1, 'Lat pulldown 3x12'), joinedLines: [2] };
    expect(written([joined], new Map([[joined, 'Lat pulldown 3x12']]))).toEqual(
      new Map<number, string | null>([
        [2, null],
        [1, 'Lat pulldown 3x12'],
      ]),
    );
  });
});
