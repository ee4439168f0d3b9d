import { describe, expect, it } from 'vitest';
import {
  decidedIn,
  unlocked,
  withAccepted,
  withApproach,
  withCandidate,
  withEdits,
  withoutExercise,
  withRemedy,
  withRole,
} from './decided';

const nothing = decidedIn();

describe('what the coach decided', () => {
  it('is read from a request, with what it leaves out', () => {
    expect(decidedIn({ approach: 'density', calibrate: true })).toEqual({
      ...nothing,
      approach: 'density',
      calibrate: true,
    });
    expect(nothing.fitToMinutes).toBe(true);
  });

  it('keeps one choice a line, and the role beside it', () => {
    const main = withRole(nothing, 2, 'main');
    const taken = withCandidate(withCandidate(main, 2, 'push-up'), 2, 'archer-push-up');
    expect(taken.choices).toEqual([{ line: 2, candidateId: 'archer-push-up', role: 'main' }]);
    expect(unlocked(taken, 2).choices).toEqual([{ line: 2, role: 'main' }]);
    expect(withRole(taken, 2, null).choices).toEqual([
      { line: 2, candidateId: 'archer-push-up', role: null },
    ]);
    expect(withRole(main, 2, null).choices).toEqual([]);
    expect(unlocked(withCandidate(nothing, 2, 'push-up'), 2).choices).toEqual([]);
  });

  it('drops an exercise from choices, in a pair as well', () => {
    const pair = withCandidate(
      withCandidate(nothing, 1, 'sliding-leg-curl+back-extension'),
      2,
      'back-extension-hold',
    );
    expect(withoutExercise(pair, 'back-extension').choices.map((c) => c.line)).toEqual([2]);
  });

  it('merges what a remedy changes into what was set', () => {
    const set = withCandidate(
      withEdits(nothing, [{ line: 1, exerciseId: 'push-up', sets: 4 }]),
      1,
      'push-up',
    );
    const cured = withRemedy(set, {
      label: 'Drop a set',
      edits: [{ line: 1, exerciseId: 'push-up', sets: 3 }],
      choices: [{ line: 1, candidateId: 'knee-push-up' }],
    } as Parameters<typeof withRemedy>[1]);
    expect(cured.edits).toHaveLength(1);
    expect(cured.edits[0]?.sets).toBe(3);
    expect(cured.choices).toEqual([{ line: 1, candidateId: 'knee-push-up' }]);
    expect(set.edits[0]?.sets).toBe(4);
  });

  it('accepts a finding with its reason and takes that back with none', () => {
    const accepted = withAccepted(nothing, 'too-long/0', 'she has an hour on Mondays');
    expect(accepted.accepted).toEqual([{ key: 'too-long/0', note: 'she has an hour on Mondays' }]);
    expect(withAccepted(accepted, 'too-long/0', '').accepted).toEqual([]);
  });

  it('gives a day an approach of its own only where it differs from the week’s', () => {
    const day = withApproach(nothing, 'circuit', 'Lower', 'mirror');
    expect(day.dayApproaches).toEqual([{ day: 'Lower', approach: 'circuit' }]);
    expect(withApproach(day, 'mirror', 'Lower', 'mirror').dayApproaches).toEqual([]);
    const week = withApproach({ ...day, phase: 'Strength' }, 'tension', undefined, 'mirror');
    expect([week.approach, week.phase, week.dayApproaches]).toEqual(['tension', null, day.dayApproaches]);
  });
});
