import { describe, expect, it } from 'vitest';
import type { HomeLine } from '../../shared/api/types';
import { entriesOf, filled } from './entry';

const line = {
  gym: { key: 3, day: 1 },
  chosen: {
    exercises: [
      {
        exerciseId: 'dumbbell-curl',
        name: 'Dumbbell curl',
        setup: '2 × 8 kg',
        externalKg: 16,
        dose: { sets: 3, figures: '3x8-12', target: { min: 8, max: 12 }, rir: 2 },
      },
    ],
  },
} as unknown as HomeLine;

describe('the log as it is typed', () => {
  it('has an entry for each exercise, with what doing it as planned would read', () => {
    expect(
      entriesOf([line], [{ line: 3, exerciseId: 'dumbbell-curl', text: '8,8,8 @16kg r2' }]),
    ).toMatchObject([
      { line: 3, day: 1, exerciseId: 'dumbbell-curl', asPlanned: '8,8,8 @16kg r2', sets: [] },
    ]);
  });

  it('sends only what was typed and read, so that partial logs are fine', () => {
    const empty = entriesOf([line]);
    const typed = empty.map((e) => ({ ...e, sets: [{ reps: 8 }] }));
    expect(filled(empty)).toEqual([]);
    expect(filled(typed)).toEqual([{ line: 3, exerciseId: 'dumbbell-curl', sets: [{ reps: 8 }] }]);
    expect(filled(typed.map((e) => ({ ...e, wrong: 'no' })))).toEqual([]);
  });
});
