import { entry, convex, disc, hull, line, polygon, type Shape } from './shapes';
import type { Point } from './skeleton';
import type { Look } from './view';

/** A thing as the server places it; lengths in thousandths of stature. */
export interface DrawnThing {
  kind: string;
  role?: string | null;
  at: readonly number[];
  depth: number;
  width: number;
  heightCm: number;
}

interface Room {
  look: Look;
  /** Middle of the top. */
  at: Point;
  depth: number;
  width: number;
  /** 1 when it stands ahead of the body, -1 behind: its back is on the far side. */
  behind: number;
}

const half = (v: number): number => v / 2;

/** A box from one height to another. */
function box({ look, at, depth, width }: Room, low: number, high: number, ink = 'thing'): Shape[] {
  const [x, , z] = at;
  const corner = (dx: number, y: number, dz: number) => look([x + dx * half(depth), y, z + dz * half(width)]);
  const signs = [
    [-1, -1],
    [1, -1],
    [1, 1],
    [-1, 1],
  ] as const;
  const top = signs.map(([dx, dz]) => corner(dx, high, dz));
  const all = [...top, ...signs.map(([dx, dz]) => corner(dx, low, dz))];
  const near = look([x, (low + high) / 2, z]).near - 0.02;
  return [
    { ink, near, d: polygon(convex(all)) },
    { ink: `${ink} top`, near: near + 0.0001, d: polygon(top) },
  ];
}

const part = (room: Room, dx: number, dz: number, depth: number, width: number): Room => ({
  ...room,
  at: [room.at[0] + dx, room.at[1], room.at[2] + dz],
  depth,
  width,
});

function legs(room: Room, under: number): Shape[] {
  const [dx, dz] = [half(room.depth) - 0.025, half(room.width) - 0.025];
  return (
    [
      [-1, -1],
      [1, -1],
      [-1, 1],
      [1, 1],
    ] as const
  ).flatMap(([sx, sz]) => box(part(room, sx * dx, sz * dz, 0.028, 0.028), 0, under, 'frame'));
}

const slab = 0.03;

const chair = (r: Room): Shape[] => [
  ...legs(r, r.at[1] - slab),
  ...box(r, r.at[1] - slab, r.at[1]),
  ...box(part(r, r.behind * (half(r.depth) - 0.015), 0, 0.025, r.width), r.at[1], r.at[1] + 0.25, 'frame'),
];

const plainBox = (r: Room): Shape[] => box(r, 0, r.at[1]);

/** The height of a step of stairs, in shares of stature. */
const usualStep = 0.11;

/** Stairs up to the step that is used, and one more behind it. */
function stairs(r: Room): Shape[] {
  const steps = Math.max(1, Math.round(r.at[1] / usualStep));
  return Array.from({ length: steps + 1 }, (_, i) =>
    box(part(r, (i + 1 - steps) * r.depth, 0, r.depth, r.width), 0, ((i + 1) / steps) * r.at[1]),
  ).flat();
}

/** How each kind of thing is drawn. */
const kinds: Record<string, (room: Room) => Shape[]> = {
  box: (r) => box(r, 0, r.at[1]),
  step: (r) => box(r, 0, r.at[1]),
  stairs,
  block: (r) => box(r, 0, Math.max(r.at[1], 0.02)),
  cushion: (r) => box(r, 0, Math.max(r.at[1], 0.025), 'soft'),
  mat: (r) => box(r, 0, 0.008, 'soft'),
  slider: (r) => box(r, 0, 0.012, 'slider'),
  bench: (r) => [...legs(r, r.at[1] - slab), ...box(r, r.at[1] - slab * 1.4, r.at[1], 'soft')],
  sofa: (r) => [
    ...box(part(r, r.behind * (half(r.depth) + 0.04), 0, 0.09, r.width), 0, r.at[1] + 0.2, 'soft'),
    ...box(r, 0.03, r.at[1], 'soft'),
  ],
  chair,
  table: (r) => [...legs(r, r.at[1] - slab), ...box(r, r.at[1] - slab, r.at[1])],
  wall: (r) => box(part(r, 0, 0, 0.03, r.width), 0, 1.12, 'wall'),
  ceiling: () => [],
  post: (r) => [...box(part(r, 0, 0, 0.035, 0.035), 0, Math.max(r.at[1] + 0.06, 0.5), 'frame'), ring(r)],
  low: (r) => [...box(part(r, 0, 0, 0.05, 0.3), 0, 0.14, 'frame'), ring(r)],
  anchor: (r) => [...box(part(r, 0.03, 0, 0.04, 0.34), 0, Math.max(1.02, r.at[1] + 0.05), 'wall'), ring(r)],
  above: (r) => [ring(r)],
  railing: (r) => [
    ...box(part(r, 0, -0.2, 0.03, 0.03), 0, r.at[1], 'frame'),
    ...box(part(r, 0, 0.2, 0.03, 0.03), 0, r.at[1], 'frame'),
    ...rod(r, 0.03, 'frame'),
  ],
  bar: (r) => [...rod(r, 0.022, 'steel'), ...[-1, 1].flatMap((s) => hanger(r, s))],
  rack: (r) => [-1, 1].flatMap((s) => box(part(r, 0, s * half(r.width), 0.04, 0.04), 0, r.at[1], 'frame')),
  supports: (r) => [-1, 1].flatMap((s) => chair(part(r, 0, s * half(r.width), 0.26, 0.22))),
  blocks: (r) =>
    [-1, 1].flatMap((s) => box(part(r, 0, s * half(r.width), 0.14, 0.1), 0, Math.max(r.at[1], 0.02))),
  frame: (r) => [-1, 1].flatMap((s) => box(part(r, 0, s * half(r.width), 0.08, 0.03), 0, 1.16, 'wall')),
};

function ring(r: Room): Shape {
  const at = r.look(r.at);
  return { ink: 'anchor', near: at.near + 0.01, d: hull(disc(at, 0.02)) };
}

function rod(r: Room, thick: number, ink: string): Shape[] {
  const end = (s: number) => r.look([r.at[0], r.at[1], r.at[2] + s * half(r.width)]);
  return [{ ink, near: r.look(r.at).near, d: hull(disc(end(-1), thick / 2), disc(end(1), thick / 2)) }];
}

function hanger(r: Room, side: number): Shape[] {
  const low = r.look([r.at[0], r.at[1], r.at[2] + side * half(r.width)]);
  const high = r.look([r.at[0], r.at[1] + 0.16, r.at[2] + side * half(r.width)]);
  return [{ ink: 'steel', near: low.near - 0.05, d: hull(disc(low, 0.008), disc(high, 0.008)) }];
}

export function thing(drawn: DrawnThing, look: Look, hips: Point): Shape[] {
  const at: Point = [entry(drawn.at, 0) / 1000, entry(drawn.at, 1) / 1000, entry(drawn.at, 2) / 1000];
  const room = {
    look,
    at,
    depth: drawn.depth / 1000,
    width: drawn.width / 1000,
    behind: at[0] > hips[0] ? 1 : -1,
  };
  return (kinds[drawn.kind] ?? plainBox)(room);
}

/** The floor under a figure: a line with a soft edge. */
export const floor = (from: number, to: number): Shape => ({
  ink: 'floor',
  near: -9,
  width: 0.006,
  d: line([
    { x: from, y: 0 },
    { x: to, y: 0 },
  ]),
});
