import { describe, expect, it } from 'vitest';
import type { ReleaseDay, SentRelease, SessionToTakeOver } from '../types';
import {
  begun,
  endOf,
  isIdle,
  minutesOf,
  restAfter,
  sessionOf,
  setBegins,
  takenOver,
  type Running,
} from './running';

const at = Date.parse('2026-11-26T18:00:00Z');
const hour = 3_600_000;

const exercise = (key: string, line: number, exerciseId: string): ReleaseDay['exercises'][number] =>
  ({ key, line, exerciseId, sets: [{ parts: [] }, { parts: [] }], alternatives: [] }) as never;
const day = {
  name: 'Day 1',
  exercises: [exercise('1-squat', 1, 'squat'), exercise('2-row', 2, 'row')],
  courses: [
    {
      turns: [
        { exercise: '1-squat', set: 1 },
        { exercise: '2-row', set: 1 },
        { exercise: '1-squat', set: 2 },
        { exercise: '2-row', set: 2 },
      ],
    },
  ],
} as never as ReleaseDay;
const sent = { id: 7, planId: 1, release: { days: [day] } } as never as SentRelease;
const running = (more: Partial<Running> = {}): Running => ({
  ...begun({ sent, day: 0, course: 0, form: null, hurts: null }, at),
  stage: 'rest',
  ...more,
});

describe('a session that was left', () => {
  it('asks after two idle hours and not before', () => {
    expect(isIdle(running({ touchedAt: at }), at + 2 * hour)).toBe(false);
    expect(isIdle(running({ touchedAt: at }), at + 2 * hour + 1)).toBe(true);
    expect(isIdle(running({ touchedAt: at, stage: 'done' }), at + 9 * hour)).toBe(false);
  });

  it('ends as of the last touch, so that its minutes are those of the training', () => {
    const left = running({ touchedAt: at + 40 * 60_000 });
    const ended = { ...left, endedAt: endOf(left, at + 26 * hour) };
    expect(minutesOf(ended, at + 26 * hour)).toBe(40);
  });

  it('ends now where somebody is at it', () => {
    expect(endOf(running({ touchedAt: at }), at + hour)).toBe(at + hour);
  });
});

describe('sets by the clock', () => {
  it('rest for what is left until the next one starts', () => {
    expect(restAfter(running({ setSince: at }), 48, 60, at + 20_000)).toBe(40);
    expect(restAfter(running({ setSince: at }), 48, 60, at + 75_000)).toBe(0);
    expect(restAfter(running({ setSince: at }), 90, null, at + 20_000)).toBe(90);
  });

  it('rest as planned after somebody was called away, and in a session of an earlier version', () => {
    expect(restAfter(running({ setSince: at }), 48, 60, at + 121_000)).toBe(48);
    expect(restAfter(running(), 48, 60, at)).toBe(48);
  });

  it('begin when the clock called them, though the tap came late', () => {
    expect(setBegins(at, at + 9_000)).toBe(at);
    expect(setBegins(at, at + 16_000)).toBe(at + 16_000);
    expect(setBegins(at, at - 5_000)).toBe(at - 5_000);
    expect(setBegins(null, at)).toBe(at);
  });
});

describe('a session taken over from another phone', () => {
  const session: SessionToTakeOver = {
    sent,
    session: {
      key: 'session-1',
      revision: 12,
      release: 7,
      day: 0,
      course: 0,
      startedAt: '2026-11-26T18:00:00Z',
      sentAt: '2026-11-26T18:20:00Z',
      finished: false,
      note: '',
      setsDone: 3,
      exercises: [
        { line: 1, exerciseId: 'squat', sets: [{ reps: 8 }], meant: [], stopped: false, skipped: false },
        { line: 2, exerciseId: 'row', sets: [{ reps: 10 }], meant: [], stopped: false, skipped: false },
        {
          line: 1,
          exerciseId: 'box-squat',
          inPlaceOf: 'squat',
          why: 'too-hard',
          sets: [{ reps: 12 }],
          meant: [1],
          stopped: false,
          skipped: false,
        },
      ],
    } as never,
  };

  it('goes on where it stood, with everything that was done', () => {
    const here = takenOver(session, at + hour);
    expect(here.turn).toBe(3);
    expect(here.stage).toBe('set');
    expect(here.done.map((d) => [d.turn, d.exerciseId, d.set.reps])).toEqual([
      [0, 'squat', 8],
      [1, 'row', 10],
      [2, 'box-squat', 12],
    ]);
    expect(here.decided['1-squat']).toEqual({ swappedFor: 'box-squat', why: 'too-hard' });
  });

  it('goes on with less where it hurt on the other phone', () => {
    const light = { exerciseId: 'squat' };
    const eases = {
      ...sent.release,
      pain: { easeFrom: 3 },
      days: [{ ...day, exercises: day.exercises.map((e) => ({ ...e, lighter: { exercise: light } })) }],
    };
    const hurt = (pain: object) =>
      takenOver(
        {
          sent: { ...sent, release: eases },
          session: {
            ...session.session,
            exercises: [
              { line: 1, exerciseId: 'squat', sets: [{ reps: 8, ...pain }], stopped: false, skipped: false },
            ],
          },
        } as never,
        at + hour,
      ).decided;
    expect(hurt({ pain: 3 })).toEqual({ '1-squat': { lighter: true } });
    expect(hurt({ hurts: true })).toEqual({ '1-squat': { lighter: true } });
    expect(hurt({ pain: 2 })).toEqual({});
  });

  it('sends what the other phone had sent, and counts as later', () => {
    const here = takenOver(session, at + hour);
    const again = sessionOf(here, at + hour);
    expect(again.revision).toBeGreaterThan(session.session.revision);
    expect(again.startedAt).toBe(session.session.startedAt);
    expect(again.exercises.flatMap((e) => e.sets.map((s) => s.reps))).toEqual([8, 10, 12]);
  });
});
