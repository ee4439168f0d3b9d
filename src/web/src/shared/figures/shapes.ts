import type { Seen } from './view';

/** A filled disc that a limb or a thing ends in. */
export interface Disc {
  x: number;
  y: number;
  r: number;
}

/** One piece of a drawing. `ink` says what it is made of; the style sheet says how that looks. */
export interface Shape {
  d: string;
  ink: string;
  /** How near to the viewer it lies; pieces are painted from far to near. */
  near: number;
  /** Width of the line where it is one. */
  width?: number;
}

type Spot = Pick<Seen, 'x' | 'y'>;

/** An entry that is known to be there; counted from the end when below 0. */
export const entry = <T>(list: readonly T[], i: number): T => list.at(i) as T;

const n = (value: number): string => (Math.round(value * 10000) / 10000).toString();

export const disc = (c: Spot, r: number): Disc => ({ x: c.x, y: c.y, r });

export const line = (points: readonly Spot[]): string =>
  points.map((p, i) => `${i ? 'L' : 'M'}${n(p.x)} ${n(p.y)}`).join('');

export const polygon = (points: readonly Spot[]): string => `${line(points)}Z`;

const ring = Array.from(
  { length: 12 },
  (_, i) => [Math.cos((i / 6) * Math.PI), Math.sin((i / 6) * Math.PI)] as const,
);

/**
 * The outline round discs, like a cloth pulled over them: always in the same direction, so that several make one piece. Two discs, the
 * usual case, take two arcs.
 */
export function hull(...discs: readonly Disc[]): string {
  const [a, b] = discs;
  if (a && discs.length === 1) return circle(a);
  if (a && b && discs.length === 2) return taper(a, b);
  return polygon(
    convex(discs.flatMap((c) => ring.map(([x, y]) => ({ x: c.x + c.r * x, y: c.y + c.r * y })))),
  );
}

const circle = ({ x, y, r }: Disc): string =>
  `M${n(x - r)} ${n(y)}a${n(r)} ${n(r)} 0 1 1 ${n(2 * r)} 0a${n(r)} ${n(r)} 0 1 1 ${n(-2 * r)} 0Z`;

/** Two discs and their outer tangents. */
function taper(a: Disc, b: Disc): string {
  const [dx, dy] = [b.x - a.x, b.y - a.y];
  const d = Math.hypot(dx, dy);
  if (d <= Math.abs(a.r - b.r) + 1e-6) return circle(a.r >= b.r ? a : b);
  const along = Math.atan2(dy, dx);
  const open = Math.acos((a.r - b.r) / d);
  const on = (c: Disc, angle: number): string =>
    `${n(c.x + c.r * Math.cos(angle))} ${n(c.y + c.r * Math.sin(angle))}`;
  return (
    `M${on(a, along + open)}A${n(a.r)} ${n(a.r)} 0 ${open < Math.PI / 2 ? 1 : 0} 1 ${on(a, along - open)}` +
    `L${on(b, along - open)}A${n(b.r)} ${n(b.r)} 0 ${open < Math.PI / 2 ? 0 : 1} 1 ${on(b, along + open)}Z`
  );
}

/** The convex outline of points (monotone chain of Andrew). */
export function convex(points: readonly Spot[]): Spot[] {
  const sorted = [...points].sort((a, b) => a.x - b.x || a.y - b.y);
  const half = (list: readonly Spot[]): Spot[] => {
    const out: Spot[] = [];
    for (const p of list) {
      while (out.length > 1 && turns(entry(out, -2), entry(out, -1), p) <= 0) out.pop();
      out.push(p);
    }
    return out.slice(0, -1);
  };
  return [...half(sorted), ...half(sorted.reverse())];
}

const turns = (o: Spot, a: Spot, b: Spot): number => (a.x - o.x) * (b.y - o.y) - (a.y - o.y) * (b.x - o.x);

export const towards = (a: Spot, b: Spot, share: number): Spot => ({
  x: a.x + (b.x - a.x) * share,
  y: a.y + (b.y - a.y) * share,
});

/** The direction from one spot to another, of length 1; to the right where they fall together. */
export function direction(a: Spot, b: Spot): Spot {
  const d = Math.hypot(b.x - a.x, b.y - a.y);
  return d < 1e-6 ? { x: 1, y: 0 } : { x: (b.x - a.x) / d, y: (b.y - a.y) / d };
}

export const moved = (a: Spot, by: Spot, far: number): Spot => ({ x: a.x + by.x * far, y: a.y + by.y * far });
