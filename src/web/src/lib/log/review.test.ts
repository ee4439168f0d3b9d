import { describe, expect, it } from 'vitest';
import type { PlanDocument, Proposal } from '../api/types';
import { accepting, changes, editOf, sharedReasons, textOf } from './review';

const proposal = (decision: string, more: Partial<Proposal> = {}): Proposal =>
  ({
    line: 2,
    exerciseId: 'push-up',
    name: 'Push-up',
    decision,
    reason: 'because',
    externalKg: 0,
    load: '',
    flagsCoach: false,
    dose: {
      sets: 3,
      figures: '3x9-12',
      target: { min: 9, max: 12 },
      zone: { min: 8, max: 12 },
      tempo: '2-0-1-0',
      restSeconds: 90,
      rir: 2,
    },
    ...more,
  }) as unknown as Proposal;

const plan = {
  title: 'Week',
  request: {
    edits: [
      { line: 2, exerciseId: 'push-up', sets: 2 },
      { line: 5, exerciseId: 'row', sets: 4 },
    ],
  },
  plan: {
    lines: [
      { gym: { line: 2 }, role: 'main', chosen: { id: 'push-up+band-fly' } },
      { gym: { line: 5 }, role: 'main', chosen: { id: 'row' } },
    ],
  },
} as unknown as PlanDocument;

describe('accepting proposals', () => {
  it('writes their figures over those of before and leaves other lines alone', () => {
    const request = accepting(plan, [proposal('more-reps')], {});
    expect(request.edits).toHaveLength(2);
    expect(request.edits?.[1]).toMatchObject({
      line: 2,
      sets: 3,
      target: { min: 9, max: 12 },
      zone: { min: 8, max: 12 },
    });
    expect(request.choices).toMatchObject([{ candidateId: 'push-up+band-fly' }, { candidateId: 'row' }]);
  });

  it('takes what the coach typed in place of the proposal', () => {
    const request = accepting(plan, [proposal('repeat')], {
      '2/push-up': { line: 2, exerciseId: 'push-up', sets: 5, rir: null },
    });
    expect(request.edits?.[1]).toMatchObject({ sets: 5, rir: 2 });
  });

  it('steps to the next exercise in its place of a pair, its old figures with it', () => {
    const request = accepting(plan, [proposal('next-rung', { toExerciseId: 'archer-push-up' })], {});
    expect(request.choices?.[0]).toMatchObject({ candidateId: 'archer-push-up+band-fly' });
    expect(request.edits).toEqual([{ line: 5, exerciseId: 'row', sets: 4 }]);
  });

  it('leaves off the techniques that were taken off before', () => {
    const plain = structuredClone(plan);
    plain.request.edits = [{ line: 2, exerciseId: 'push-up', techniques: [] }];
    expect(accepting(plain, [proposal('more-reps')], {}).edits).toMatchObject([{ sets: 3, techniques: [] }]);
  });

  it('knows what changes nothing, and what takes techniques off', () => {
    expect(
      ['wait', 'repeat', 'swap', 'change', 'check-form', 'new-phase'].some((d) => changes(proposal(d))),
    ).toBe(false);
    expect(
      ['fewer-reps', 'fewer-sets', 'shorter-rest', 'longer-rest'].every((d) => changes(proposal(d))),
    ).toBe(true);
    expect(editOf(proposal('technique-off')).techniques).toEqual([]);
    expect(textOf(proposal('more-load', { externalKg: 16 }))).toBe('3x9-12 @ 16 kg 2-0-1-0 90 s RIR 2');
  });
});

describe('reasons that lines have in common', () => {
  const rest = proposal('deload', { reason: 'Two hard sessions running.' });

  it('are said once for three lines and more', () => {
    expect(sharedReasons([rest, proposal('more-reps'), rest, rest])).toEqual([
      { decision: 'deload', reason: 'Two hard sessions running.', lines: 3 },
    ]);
    expect(sharedReasons([rest, rest, proposal('repeat', { reason: rest.reason })])).toEqual([]);
  });

  it('leave a new phase its own words', () => {
    expect(sharedReasons(Array.from({ length: 4 }, () => proposal('new-phase')))).toEqual([]);
  });
});
