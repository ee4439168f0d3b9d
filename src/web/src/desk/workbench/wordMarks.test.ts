import { describe, expect, it } from 'vitest';
import type { ReadRow } from '../../shared/api/types';
import { fieldAt, stretches } from './wordMarks';

const bench: ReadRow = {
  line: 1,
  kind: 'line',
  text: 'Bench 3x8',
  readAs: 'Bench press',
  said: [],
  certainty: 'sure',
  doubts: [],
  joinedLines: [2],
  fields: [
    { field: 'name', text: 'Bench press', words: [{ line: 1, column: 1, length: 5 }] },
    { field: 'sets', text: '3x8', words: [{ line: 2, column: 1, length: 3 }] },
    { field: 'not-placed', text: '', words: [{ line: 2, column: 5, length: 2 }] },
  ],
};

describe('words of a field in the text', () => {
  it('are lit where they stand, also in another line', () => {
    expect(stretches(['Bench', '3x8 77'], [bench], { row: bench, field: 'sets' })).toEqual([
      [{ text: 'Bench', lit: false, unplaced: false }],
      [
        { text: '3x8', lit: true, unplaced: false },
        { text: ' ', lit: false, unplaced: false },
        { text: '77', lit: false, unplaced: true },
      ],
    ]);
  });

  it('never fall outside a text that has become shorter', () => {
    expect(stretches(['Bench'], [bench], { row: bench, field: 'sets' })).toHaveLength(1);
    expect(stretches([], [bench], null)).toEqual([]);
  });

  it('stand behind an emoji where the server counts them', () => {
    const name = { field: 'name' as const, text: 'Bench', words: [{ line: 1, column: 4, length: 5 }] };
    const after = { ...bench, fields: [name] };
    expect(stretches(['🦵 Bench'], [after], { row: after, field: 'name' })[0]?.at(-1)).toEqual({
      text: 'Bench',
      lit: true,
      unplaced: false,
    });
  });

  it('are found from the caret', () => {
    expect(fieldAt([bench], 2, 2)?.field).toBe('sets');
    expect(fieldAt([bench], 1, 6)?.field).toBe('name');
    expect(fieldAt([bench], 3, 1)).toBeNull();
  });
});
