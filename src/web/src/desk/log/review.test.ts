import { describe, expect, it } from 'vitest';
import type { Proposal } from '../../shared/api/types';
import { acceptance, sharedReasons, shown } from './review';

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

describe('accepting proposals', () => {
  it('hands on what accepting each does, with what the coach typed', () => {
    const accepted = {
      line: 2,
      exerciseId: 'push-up',
      figures: null,
      toExerciseId: 'archer-push-up',
      others: [],
    };
    const typed = { line: 2, exerciseId: 'push-up', sets: 5 };
    const [own, plain] = [proposal('next-rung', { accepted }), proposal('repeat', { line: 5 })];
    expect(acceptance([own, plain], { '2/push-up': typed })).toMatchObject({
      kind: 'accept-proposals',
      proposals: [{ ...accepted, typed }, { typed: null }],
    });
  });
});

describe('what is done next time', () => {
  it('is the dose of what comes, with its own load, where another exercise comes', () => {
    const other = { dose: { figures: '3x8/side' }, externalKg: 8 };
    const replacement = { exercises: [other] } as unknown as Proposal['replacement'];
    expect(shown(proposal('swap', { replacement, load: 'Dumbbell 26 kg', externalKg: 26 }))).toEqual({
      dose: other.dose,
      kg: 8,
    });
  });

  it('has the load of the harder variation, and none where the engine chooses it', () => {
    const rung = { toExerciseId: 'archer-push-up', load: 'Rucksack 12 kg', externalKg: 12 };
    expect(shown(proposal('next-rung', rung)).kg).toBe(0);
    expect(shown(proposal('next-rung', { ...rung, toKg: 6 })).kg).toBe(6);
  });

  it('stays with its load where the exercise stays', () => {
    expect(shown(proposal('more-load', { load: 'Rucksack 12 kg', externalKg: 12 })).kg).toBe(12);
    expect(shown(proposal('repeat', { externalKg: 12 })).kg).toBe(0);
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
