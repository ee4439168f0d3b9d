import { describe, expect, it } from 'vitest';
import type { HomeLine } from '../api/types';
import { emptyLog, filled } from './draft';

const line = {
  gym: { line: 3 },
  chosen: {
    exercises: [
      {
        exerciseId: 'push-up',
        name: 'Push-up',
        setup: 'On the floor',
        externalKg: 0,
        dose: { sets: 3, figures: '3x8', timed: false },
      },
    ],
  },
} as unknown as HomeLine;

describe('the log as it is typed', () => {
  it('starts with one empty row per prescribed set', () => {
    const [draft] = emptyLog([line]);

    expect(draft).toMatchObject({ line: 3, exerciseId: 'push-up', loaded: false });
    expect(draft?.sets).toHaveLength(3);
  });

  it('sends only what was filled in, so that partial logs are fine', () => {
    const drafts = emptyLog([line]);
    expect(filled(drafts)).toEqual([]);

    const first = drafts[0]?.sets[0];
    if (first) first.reps = 0;
    expect(filled(drafts)).toMatchObject([{ line: 3, exerciseId: 'push-up', sets: [{ reps: 0 }] }]);
  });
});
