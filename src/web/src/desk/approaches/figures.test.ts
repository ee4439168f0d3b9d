import { expect, test } from 'vitest';
import type { Approach } from '../../shared/api/types';
import { asksFor, rangeText } from './figures';

const bare: Approach = {
  id: 'ours',
  name: 'Ours',
  idea: 'i',
  against: 'a',
  halvedPerSide: false,
  keepsHeavy: true,
  setsFor: [],
  prefers: [],
  avoids: [],
  order: 'gym',
  pairing: 'none',
  fitsByPairing: true,
  phases: [],
  standards: [],
  conditioning: false,
};

test('a range reads as two figures, one, or what stands without it', () => {
  expect(rangeText({ min: 8, max: 12 }, '–')).toBe('8–12');
  expect(rangeText({ min: 45, max: 45 }, '–', ' s')).toBe('45 s');
  expect(rangeText(null, 'as in the gym plan')).toBe('as in the gym plan');
});

test('an approach says what it asks for, and leaves the rest to the gym plan', () => {
  const asked = Object.fromEntries(
    asksFor({ ...bare, reps: { min: 20, max: 20 }, halvedPerSide: true, rir: 0 }),
  );
  expect(asked.Reps).toBe('20, half a side');
  expect(asked.Effort).toBe('RIR 0');
  expect(asked.Sets).toBe('as in the gym plan');
  expect(asked.Standards).toBeUndefined();
  expect(Object.fromEntries(asksFor({ ...bare, standards: [50, 40] })).Standards).toBe('50 · 40');
});
