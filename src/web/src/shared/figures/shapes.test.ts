import { describe, expect, it } from 'vitest';
import { convex, direction, disc, hull, moved, towards } from './shapes';

/** Points of an outline: ends of its lines and arcs. */
const pointsOf = (d: string): [number, number][] =>
  [...d.matchAll(/(?:[ML]|A[\d.]+ [\d.]+ 0 [01] 1 )(-?[\d.]+) (-?[\d.]+)/g)].map(([, x, y]) => [
    Number(x),
    Number(y),
  ]);

/** Twice the area with its sign: which way an outline goes round. */
const turns = (points: [number, number][]): number =>
  points.reduce((sum, [x, y], i) => {
    const [nx, ny] = points[(i + 1) % points.length] as [number, number];
    return sum + x * ny - nx * y;
  }, 0);

describe('an outline round discs', () => {
  it('touches two equal discs at the ends of their upright diameters', () => {
    const points = pointsOf(hull(disc({ x: 0, y: 0 }, 0.1), disc({ x: 1, y: 0 }, 0.1)));
    expect(points.map(([, y]) => Math.abs(y))).toEqual([0.1, 0.1, 0.1, 0.1]);
    expect(points.map(([x]) => x).toSorted()).toEqual([0, 0, 1, 1]);
  });

  it('leans its tangents to the smaller disc: sine is the difference of the radii over the distance', () => {
    const [a] = pointsOf(hull(disc({ x: 0, y: 0 }, 0.3), disc({ x: 1, y: 0 }, 0.1)));
    expect(a?.[0]).toBeCloseTo(0.3 * 0.2, 3);
    expect(Math.abs(a?.[1] ?? 0)).toBeCloseTo(0.3 * Math.sqrt(1 - 0.04), 3);
  });

  it('goes round in the same direction whether of two discs or of three, so that pieces do not cut holes', () => {
    const two = turns(pointsOf(hull(disc({ x: 0, y: 0 }, 0.1), disc({ x: 0.3, y: 1 }, 0.2))));
    const three = turns(
      pointsOf(hull(disc({ x: 0, y: 0 }, 0.1), disc({ x: 0.3, y: 1 }, 0.2), disc({ x: 1, y: 0 }, 0.1))),
    );
    expect(Math.sign(two)).toBe(Math.sign(three));
  });

  it('is a circle where one disc holds the other', () => {
    expect(hull(disc({ x: 0, y: 0 }, 0.5), disc({ x: 0.1, y: 0 }, 0.1))).toBe(
      hull(disc({ x: 0, y: 0 }, 0.5)),
    );
  });
});

it('the convex outline of a square leaves out what lies within', () => {
  const square = [
    [0, 0],
    [1, 0],
    [1, 1],
    [0, 1],
    [0.5, 0.5],
    [0.2, 0.7],
  ].map(([x, y]) => ({ x: x as number, y: y as number }));
  expect(convex(square)).toHaveLength(4);
});

it('ways and shares of them', () => {
  expect(direction({ x: 1, y: 1 }, { x: 4, y: 5 })).toEqual({ x: 0.6, y: 0.8 });
  expect(towards({ x: 0, y: 0 }, { x: 2, y: 4 }, 0.25)).toEqual({ x: 0.5, y: 1 });
  expect(moved({ x: 1, y: 1 }, { x: 0, y: -1 }, 2)).toEqual({ x: 1, y: -1 });
});
