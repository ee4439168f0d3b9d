import { describe, expect, it } from 'vitest';
import type { Lever, PackedBag, RiggedBand } from '../api/types';
import { bagSketch } from './bagSketch';
import { bandSketch } from './bandSketch';
import { leverSketch } from './leverSketch';
import type { Measure, Sketch } from './sketch';

const band = (more: Partial<RiggedBand>): RiggedBand => ({
  name: 'band',
  rig: 'anchored',
  doubled: false,
  shortenedCm: 0,
  feetApartCm: 0,
  heightCm: 100,
  startCm: 80,
  endCm: 160,
  startKg: 5,
  endKg: 12,
  stretch: 1.6,
  ...more,
});

const long = ({ from, to }: Measure): number => Math.hypot(to[0] - from[0], to[1] - from[1]);
const measure = (sketch: Sketch, starts: string): Measure => {
  const found = sketch.measures.find((m) => m.text.startsWith(starts));
  if (!found) throw new Error(`no measure ${starts}`);
  return found;
};

/** All figures of a path, in pairs, that stay within the picture. */
function inside(sketch: Sketch): boolean {
  const spots = sketch.marks
    .filter((m) => !m.d.includes('a'))
    .flatMap((m) => [...m.d.matchAll(/[ML](-?[\d.]+) (-?[\d.]+)/g)].map((g) => [Number(g[1]), Number(g[2])]));
  return spots.every(([x = 0, y = 0]) => x >= 0 && x <= sketch.width && y >= 0 && y <= sketch.height);
}

describe('a rigged band', () => {
  it('keeps its measures to scale', () => {
    for (const endCm of [90, 160, 400]) {
      const sketch = bandSketch(band({ endCm }));
      expect(long(measure(sketch, 'end')) / long(measure(sketch, 'start'))).toBeCloseTo(endCm / 80, 2);
      expect(long(measure(sketch, '100 cm')) / long(measure(sketch, 'start'))).toBeCloseTo(100 / 80, 1);
    }
  });

  it('is told apart by its rig', () => {
    const feet = bandSketch(
      band({ rig: 'stood-on', feetApartCm: 60, heightCm: null, startCm: 50, endCm: 90 }),
    );
    expect(long(measure(feet, '60 cm')) / long(measure(feet, 'start'))).toBeCloseTo(60 / 50, 1);
    expect(bandSketch(band({ rig: 'stood-on', feetApartCm: 0 })).words.map((w) => w.text)).toContain(
      'one foot',
    );
    expect(bandSketch(band({ rig: 'between', heightCm: null })).measures).toHaveLength(2);
    expect(bandSketch(band({ rig: 'assist', heightCm: null })).measures).toHaveLength(2);
  });

  it('shows two strands when it is doubled, and what is wound in', () => {
    const strands = (b: RiggedBand): number => bandSketch(b).marks.filter((m) => m.ink === 'band').length;
    expect(strands(band({ doubled: true }))).toBe(2 * strands(band({})));
    const wound = bandSketch(band({ shortenedCm: 15 }));
    expect(wound.words[0]?.text).toBe('15 cm wound in');
    expect(wound.marks.some((m) => m.ink === 'wound')).toBe(true);
  });

  it('stays in its picture', () => {
    for (const rig of ['anchored', 'stood-on', 'between', 'assist'] as const) {
      for (const [startCm, endCm] of [
        [5, 20],
        [60, 140],
        [200, 330],
        [160, 40],
      ] as const) {
        for (const heightCm of [3, 100, 205]) {
          expect(inside(bandSketch(band({ rig, startCm, endCm, heightCm, feetApartCm: 64 })))).toBe(true);
        }
      }
    }
  });
});

const bag = (worn: boolean): PackedBag => ({
  name: 'rucksack',
  worn,
  hands: 1,
  massKg: 11,
  contentKg: 10,
  mostKg: 20,
  filledL: 8,
  volumeL: 25,
  contents: [
    { name: 'sand', count: 1, massKg: 6, volumeL: 4 },
    { name: 'bottle', count: 2, massKg: 1.5, volumeL: 1.5 },
    { name: 'towel', count: 1, massKg: 1, volumeL: 1 },
  ],
});

describe('a packed bag', () => {
  const pieces = (sketch: Sketch): number[][] =>
    sketch.marks
      .filter((m) => m.ink === 'piece')
      .map((m) => [...m.d.matchAll(/-?[\d.]+/g)].map((g) => Number(g[0])));

  it('has the heaviest against the back and high when it is worn, lowest when it is held', () => {
    const worn = pieces(bagSketch(bag(true)));
    expect(worn.map((p) => p[0])).toEqual(worn.map((p) => p[0]).toSorted((a = 0, b = 0) => a - b));
    expect(worn[0]?.[1]).toBeLessThan(worn[1]?.[1] ?? 0);
    const held = pieces(bagSketch(bag(false)));
    expect(held[0]?.[1]).toBeGreaterThan(held[1]?.[1] ?? 0);
  });

  it('stays within the bag, whatever is in it', () => {
    const full = {
      ...bag(true),
      volumeL: 2,
      contents: bag(true).contents.map((c) => ({ ...c, volumeL: 0 })),
    };
    expect(inside(bagSketch(full))).toBe(true);
    expect(inside(bagSketch({ ...full, worn: false }))).toBe(true);
  });
});

describe('a sum of levers', () => {
  const lever: Lever = {
    loadKg: 45,
    overhangCm: 10,
    massKg: 30,
    armCm: 35,
    heightCm: 74,
    factor: 2.3,
    counterweightKg: 0,
  };

  it('has both arms to scale and says what to put where', () => {
    const sketch = leverSketch(lever, false);
    expect(long(measure(sketch, '35 cm')) / long(measure(sketch, '10 cm'))).toBeCloseTo(3.5, 1);
    expect(inside(sketch)).toBe(true);
    const chair = leverSketch({ ...lever, counterweightKg: 6 }, true);
    expect(chair.words.map((w) => w.text)).toContain('put 6 kg here');
    expect(inside(chair)).toBe(true);
  });
});
