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
