import { describe, expect, it } from 'vitest';
import type { ReleaseDay, ReleaseExercise, Turn } from '../types';
import { easedFor, exerciseOf, logged, nextTurn, offered, partsOf, turnsOf, type Walk } from './walk';

const exercise = (
  line: number,
  exerciseId: string,
  more: Partial<ReleaseExercise> = {},
): ReleaseExercise => ({
  key: `${line}-${exerciseId}`,
  line,
  exerciseId,
  name: exerciseId,
  setup: '',
  setupId: '',
  bands: [],
  loads: [],
  steps: [],
  cues: [],
  why: '',
  cautions: [],
  instructions: [],
  figures: '2x8',
  dose: '2 × 8',
  timed: false,
  perSide: false,
  phases: [],
  tempo: '',
  rir: 2,
  externalKg: 0,
  sets: [8, 8].map((reps) => ({
    parts: [{ kind: 'work', target: { min: reps, max: reps }, restBeforeSeconds: 0, asPlanned: reps }],
  })),
  doubt: { mostReps: 60, mostKg: 2, reps: '', kg: '' },
  alternatives: [],
  ...more,
});

const easier = exercise(1, 'box-squat');
const day: ReleaseDay = {
  name: 'Day 1',
  layOut: [],
  warmUp: [],
  coolDown: [],
  kept: [],
  exercises: [
    exercise(1, 'squat', {
      alternatives: [
        { exercise: easier, helps: ['too-hard', 'hurts', 'dull'], spares: ['knee'] },
        { exercise: exercise(1, 'lunge'), helps: ['too-easy', 'dull'], spares: [] },
      ],
    }),
    exercise(2, 'row'),
  ],
  courses: [
    {
      minutes: 40,
      givesWay: [],
      turns: [1, 2].flatMap((round) =>
        ['1-squat', '2-row'].map((key) => ({
          exercise: key,
          set: round,
          of: 2,
          restSeconds: 60,
          group: 'A',
          round,
          rounds: 2,
        })),
      ),
    },
  ],
};

const turns = day.courses.flatMap((c) => c.turns);
const walk = (decided: Walk['decided'] = {}): Walk => ({ day, course: 0, decided });

describe('walking through a day', () => {
  it('passes over what was stopped or left out', () => {
    expect(nextTurn(walk(), 0)).toBe(0);
    expect(nextTurn(walk({ '1-squat': { stopped: true } }), 0)).toBe(1);
    expect(nextTurn(walk({ '1-squat': { stopped: true }, '2-row': { skipped: true } }), 0)).toBeNull();
  });

  it('comes back to what was jumped over, and ends when all is done', () => {
    expect(nextTurn(walk(), 4, [1, 2, 3])).toBe(0);
    expect(nextTurn(walk(), 2, [0, 1, 2, 3])).toBeNull();
  });

  it('does what took the place of an exercise', () => {
    const swapped = walk({ '1-squat': { swappedFor: 'box-squat', why: 'too-hard' } });
    expect(exerciseOf(swapped, '1-squat').exerciseId).toBe('box-squat');
    expect(partsOf(swapped, turns[2] as Turn)).toHaveLength(1);
  });

  it('logs both halves of an exercise that was swapped midway, and says why', () => {
    const swapped = walk({ '1-squat': { swappedFor: 'box-squat', why: 'too-hard' } });
    const log = logged(swapped, [
      { turn: 2, exercise: '1-squat', exerciseId: 'box-squat', set: { reps: 9 } },
      { turn: 0, exercise: '1-squat', exerciseId: 'squat', set: { reps: 5 } },
      { turn: 1, exercise: '2-row', exerciseId: 'row', set: { reps: 70 }, meant: true },
    ]);
    expect(log.map((e) => e.exerciseId)).toEqual(['squat', 'row', 'box-squat']);
    expect(log[2]).toMatchObject({ inPlaceOf: 'squat', why: 'too-hard', line: 1 });
    expect(log[1]?.meant).toEqual([1]);
  });

  it('tells of what was left out without a set', () => {
    const log = logged(walk({ '2-row': { skipped: true } }), []);
    expect(log).toHaveLength(1);
    expect(log[0]).toMatchObject({ exerciseId: 'row', sets: [], skipped: true });
  });

  it('does the same lighter where it hurts, with fewer sets', () => {
    const light = exercise(1, 'squat', { externalKg: 5, sets: exercise(1, 'squat').sets.slice(0, 1) });
    const sore: ReleaseDay = {
      ...day,
      exercises: [
        exercise(1, 'squat', { loads: ['knee'], lighter: { exercise: light, helps: ['hurts'], spares: [] } }),
        exercise(2, 'row'),
      ],
    };
    const eased: Walk = { day: sore, course: 0, decided: easedFor(sore, 'knee') };
    expect(exerciseOf(eased, '1-squat').externalKg).toBe(5);
    expect(exerciseOf(eased, '2-row').exerciseId).toBe('row');
    expect([0, 1, 2, 3].map((from) => nextTurn(eased, from, []))).toEqual([0, 1, 3, 3]);
    expect(easedFor(sore, null)).toEqual({});
  });

  it('aims lower on a bad day', () => {
    const walk: Walk = { day, course: 0, decided: {}, repsLess: 2 };
    const [first] = turnsOf(walk);
    const [part] = first ? partsOf(walk, first) : [];
    expect(part?.target).toEqual({ min: 6, max: 6 });
    expect(part?.asPlanned).toBe(6);
  });

  it('offers for pain only what spares the joint', () => {
    const squat = day.exercises[0] as ReleaseExercise;
    expect(offered(squat, 'hurts', 'knee').map((a) => a.exercise.exerciseId)).toEqual(['box-squat']);
    expect(offered(squat, 'hurts', 'shoulder')).toEqual([]);
    expect(offered(squat, 'too-easy').map((a) => a.exercise.exerciseId)).toEqual(['lunge']);
  });
});
