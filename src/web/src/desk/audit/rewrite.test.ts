import { expect, test } from 'vitest';
import { rewritten } from './rewrite';

const plan = '= Monday\r\n  Push-up 3x40\r\nTable row 3x8';

test('a remedy changes its lines alone, indent and line ends kept', () => {
  expect(rewritten(plan, { lines: [{ line: 2, text: 'Push-up 3x12' }] })).toBe(
    '= Monday\r\n  Push-up 3x12\r\nTable row 3x8',
  );
});

test('a line that is there no more is left out', () => {
  expect(rewritten(plan, { lines: [{ line: 9, text: 'Squat 3x8' }] })).toBe(plan);
});

test('rows that were read together go when their line is written anew', () => {
  expect(rewritten('Squat\n3x8\nRow 3x8', { lines: [{ line: 1, text: 'Squat 3x10' }] }, () => [2])).toBe(
    'Squat 3x10\nRow 3x8',
  );
});
