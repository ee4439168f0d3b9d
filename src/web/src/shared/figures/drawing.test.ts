import { describe, expect, it } from 'vitest';
import { arrow, boxOf, ghost, labels, lookOf, picture, type FigureDrawing } from './drawing';
import { hatch, patches } from './bodyMap';
import { bodyAt, jointNames, pointOf, type JointName } from './skeleton';
import { lookFrom } from './view';

/** A body that stands, thousandths of stature, with some joints elsewhere. */
function standing(change: Partial<Record<JointName, [number, number, number]>> = {}): number[] {
  const upright: Record<string, [number, number, number]> = {
    hips: [0, 530, 0],
    middle: [0, 674, 0],
    neck: [0, 818, 0],
    head: [0, 923, 0],
    face: [60, 923, 0],
  };
  for (const [side, z] of [
    ['near', 1],
    ['far', -1],
  ] as const) {
    Object.assign(upright, {
      [`${side}Shoulder`]: [0, 818, 109 * z],
      [`${side}Elbow`]: [0, 632, 120 * z],
      [`${side}Wrist`]: [0, 486, 125 * z],
      [`${side}Grip`]: [0, 432, 125 * z],
      [`${side}Fingers`]: [0, 400, 125 * z],
      [`${side}Hip`]: [0, 530, 53 * z],
      [`${side}Knee`]: [0, 285, 60 * z],
      [`${side}Ankle`]: [0, 39, 60 * z],
      [`${side}Heel`]: [-37, 0, 60 * z],
      [`${side}Toe`]: [115, 0, 60 * z],
    });
  }
  return jointNames.flatMap((name) => change[name] ?? (upright[name] as [number, number, number]));
}

const figure = (more: Partial<FigureDrawing> = {}): FigureDrawing => ({
  figure: 'test',
  turn: 0,
  over: 0,
  frames: [standing()],
  lowersFirst: true,
  things: [],
  loads: [],
  bands: [],
  working: [],
  muscles: {},
  inWords: '',
  ...more,
});

describe('from where it is seen', () => {
  it('shows ahead to the right from the side, and the near side to the left from the front', () => {
    expect(lookFrom({ turn: 0, over: 0 })([1, 2, 3])).toMatchObject({ x: 1, y: -2, near: 3 });
    const front = lookFrom({ turn: 90, over: 0 })([1, 2, 3]);
    expect([front.x, front.y, front.near].map((v) => Math.round(v * 1000) / 1000)).toEqual([-3, -2, 1]);
  });

  it('shows what is nearer lower from above', () => {
    const above = lookFrom({ turn: 0, over: 90 });
    expect(above([0, 0, 1]).y).toBeGreaterThan(above([0, 0, 0]).y);
  });

  it('keeps a limb as long as it is where it lies in the picture, and never draws it longer', () => {
    const look = lookFrom({ turn: 35, over: 10 });
    const [a, b] = [look([0, 0.53, 0.05]), look([0.1, 0.3, 0.2])];
    expect(Math.hypot(a.x - b.x, a.y - b.y)).toBeLessThanOrEqual(Math.hypot(0.1, 0.23, 0.15) + 1e-9);
  });
});

describe('a body along the rep', () => {
  const frames = [standing(), standing({ hips: [0, 330, 0] })];
  it('is that of the first frame at the start, of the last at the end, and between between', () => {
    expect([0, 0.5, 1].map((share) => Math.round(bodyAt(frames, share).hips[1] * 1000) / 1000)).toEqual([
      0.53, 0.43, 0.33,
    ]);
  });

  it('has parts between two joints', () => {
    expect(pointOf(bodyAt(frames, 0), 'hands')).toEqual([0, 0.432, 0]);
    expect(pointOf(bodyAt(frames, 0), 'nearFoot')?.[0]).toBeCloseTo(0.039);
    expect(pointOf(bodyAt(frames, 0), 'tail')).toBeUndefined();
  });
});

describe('a picture', () => {
  it('is painted from far to near: the far leg, the trunk, the near leg', () => {
    const inks = picture(figure(), 0, lookOf(figure())).map((s) => s.ink);
    expect(inks.indexOf('far')).toBeLessThan(inks.indexOf('trunk'));
    expect(inks.lastIndexOf('near')).toBeGreaterThan(inks.indexOf('trunk'));
  });

  it('holds the whole rep, and what stands about, within its frame', () => {
    const drawn = figure({
      frames: [standing(), standing({ nearGrip: [900, 432, 125] })],
      things: [{ kind: 'box', role: 'step', at: [-700, 250, 0], depth: 300, width: 300, heightCm: 44 }],
    });
    const box = boxOf(drawn, lookOf(drawn));
    expect(box.x).toBeLessThan(-0.85);
    expect(box.x + box.width).toBeGreaterThan(0.9);
    expect(box.y).toBeLessThan(-0.923);
    expect(box.y + box.height).toBeGreaterThan(0);
  });

  it('marks working muscles on the body, and no others', () => {
    const works = (muscles: string[]): number =>
      picture(figure(), 0, lookOf(figure()), muscles).filter((s) => s.ink === 'work').length;
    expect([
      works([]),
      works(['quads']),
      works(['quads', 'rectus-femoris', 'glutes']),
      works(['nothing']),
    ]).toEqual([0, 1, 2, 0]);
  });

  it('draws a band thinner the more it is stretched', () => {
    const band = figure({
      frames: [standing(), standing({ nearGrip: [0, 900, 125], farGrip: [0, 900, -125] })],
      bands: [{ kind: 'band', from: 'feet', to: 'hands' }],
    });
    const width = (share: number): number =>
      picture(band, share, lookOf(band)).find((s) => s.ink === 'band')?.width ?? 0;
    expect(width(1)).toBeLessThan(width(0));
    expect(picture(band, 0, lookOf(band)).filter((s) => s.ink === 'band')).toHaveLength(2);
  });

  it('has an arrow only where something moves, and a ghost in one piece', () => {
    const still = figure({ path: 'hips' });
    const moves = figure({ path: 'hips', frames: [standing(), standing({ hips: [0, 330, 0] })] });
    expect(arrow(still, lookOf(still))).toEqual([]);
    expect(arrow(moves, lookOf(moves)).map((s) => s.ink)).toEqual(['path', 'tip']);
    expect(ghost(moves, lookOf(moves))).toHaveLength(1);
  });

  it('writes the heights of things that play a role', () => {
    const drawn = figure({
      things: [
        { kind: 'sofa', role: 'bench', at: [0, 250, 0], depth: 300, width: 300, heightCm: 44 },
        { kind: 'wall', at: [0, 0, 0], depth: 10, width: 300, heightCm: 0 },
      ],
    });
    expect(labels(drawn, lookOf(drawn)).map((l) => l.text)).toEqual(['44 cm']);
  });
});

describe('the map of the muscles', () => {
  it('hatches prime movers fully, helpers densely, the rest thinly, and leaves out what hardly works', () => {
    expect([1, 0.8, 0.5, 0.2, 0.05].map(hatch)).toEqual(['full', 'full', 'dense', 'thin', null]);
  });

  it('has a place for every muscle of the catalogue', () => {
    const known = new Set(patches.map((p) => p.muscle));
    for (const muscle of [
      'quads',
      'glutes',
      'lats',
      'triceps-long',
      'serratus',
      'neck',
      'tibialis',
      'rotator-cuff',
      'hip-flexors',
    ])
      expect(known.has(muscle), muscle).toBe(true);
    expect(known.size).toBe(28);
  });
});
