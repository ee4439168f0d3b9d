import { describe, expect, it } from 'vitest';
import type { Exercise } from '../../shared/api/types';
import { filtered, noFilter, thingsOf } from './filter';

const exercise = (id: string, more: object = {}): Exercise =>
  ({
    id,
    name: id,
    synonyms: [],
    venues: ['home'],
    pattern: 'squat',
    family: 'squat',
    rung: 1,
    skill: 1,
    muscles: { quads: 1 },
    joints: {},
    setups: [{ id: 'free', text: '', needs: null, load: {} }],
    ...more,
  }) as unknown as Exercise;

const ids = (all: Exercise[], filter: object): string[] =>
  filtered(all, { ...noFilter, ...filter }, { beginner: 2, novice: 3 }).map((e) => e.id);

describe('the catalogue filter', () => {
  const all = [
    exercise('b', { rung: 2, skill: 4, joints: { knee: 3 } }),
    exercise('a', { synonyms: ['air squat'] }),
    exercise('row', {
      pattern: 'horizontal-pull',
      muscles: { lats: 1 },
      setups: [
        { id: 't', text: '', needs: { all: [{ thing: 'towel', all: [], any: [] }], any: [] }, load: {} },
      ],
    }),
    exercise('gym', { venues: ['gym'] }),
  ];

  it('orders by pattern, family and rung, home first', () => {
    expect(ids(all, {})).toEqual(['row', 'a', 'b']);
    expect(ids(all, { venue: 'gym' })).toEqual(['gym']);
  });

  it('finds by any word of name and synonyms', () => {
    expect(ids(all, { text: 'squat air' })).toEqual(['a']);
  });

  it('narrows by muscle, kit, level and a joint to spare', () => {
    expect(ids(all, { muscle: 'lats' })).toEqual(['row']);
    expect(ids(all, { kit: 'towel' })).toEqual(['row']);
    expect(ids(all, { kit: 'nothing' })).toEqual(['a', 'b']);
    expect(ids(all, { level: 'beginner' })).toEqual(['row', 'a']);
    expect(ids(all, { spare: 'knee' })).toEqual(['row', 'a']);
  });

  it('knows what a load comes from', () => {
    const from = (id: string, source: string): Exercise =>
      exercise(id, {
        setups: [{ id: 's', text: '', needs: null, load: { external: { from: [source], required: true } } }],
      });
    const loaded = [from('pulldown', 'stack'), from('lift', 'trap-bar'), from('curl', 'pair')];

    expect(ids(loaded, { kit: 'stack' })).toEqual(['pulldown']);
    expect(ids(loaded, { kit: 'trap-bar' })).toEqual(['lift']);
    expect(ids(loaded, { kit: 'hand-weight' })).toEqual(['curl']);
  });

  it('reads requirements however deep', () => {
    expect(
      thingsOf({ all: [{ any: [{ thing: 'x', all: [], any: [] }], all: [] }], any: [] } as never),
    ).toEqual(['x']);
  });
});
