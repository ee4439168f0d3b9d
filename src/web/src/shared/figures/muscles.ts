import { direction, disc, hull, moved, towards, type Shape } from './shapes';
import type { SeenBody } from './person';

type Side = 'near' | 'far';

/** Where a working muscle shows on the drawn person: along which part, on which side of it. */
const places: Record<string, (b: SeenBody, side: Side) => string> = {
  quads: (b, s) => along(b[`${s}Hip`], b[`${s}Knee`], front(b, s), 0.016, 0.02, [0.18, 0.82]),
  hamstrings: (b, s) => along(b[`${s}Hip`], b[`${s}Knee`], front(b, s), -0.018, 0.018, [0.2, 0.85]),
  glutes: (b, s) => hull(disc(moved(b[`${s}Hip`], back(b), 0.03), 0.03)),
  'glute-med': (b, s) => hull(disc(towards(b[`${s}Hip`], b.middle, 0.22), 0.024)),
  adductors: (b, s) => along(b[`${s}Hip`], b[`${s}Knee`], front(b, s), 0, 0.014, [0.15, 0.55]),
  calves: (b, s) => along(b[`${s}Knee`], b[`${s}Ankle`], toes(b, s), -0.014, 0.016, [0.14, 0.5]),
  tibialis: (b, s) => along(b[`${s}Knee`], b[`${s}Ankle`], toes(b, s), 0.012, 0.01, [0.2, 0.7]),
  biceps: (b, s) => along(b[`${s}Shoulder`], b[`${s}Elbow`], inside(b, s), 0.01, 0.014, [0.3, 0.8]),
  triceps: (b, s) => along(b[`${s}Shoulder`], b[`${s}Elbow`], inside(b, s), -0.011, 0.014, [0.2, 0.75]),
  forearms: (b, s) => along(b[`${s}Elbow`], b[`${s}Wrist`], inside(b, s), 0, 0.012, [0.15, 0.6]),
  'front-delt': (b, s) => hull(disc(moved(b[`${s}Shoulder`], ahead(b), 0.01), 0.023)),
  'side-delt': (b, s) => hull(disc(b[`${s}Shoulder`], 0.024)),
  'rear-delt': (b, s) => hull(disc(moved(b[`${s}Shoulder`], back(b), 0.012), 0.022)),
  'mid-chest': (b) => trunkPart(b, 0.72, 0.036, 0.026),
  lats: (b) => along(b.middle, b.neck, ahead(b), -0.03, 0.02, [0.05, 0.75]),
  'upper-back': (b) => along(b.middle, b.neck, ahead(b), -0.036, 0.02, [0.5, 0.95]),
  erectors: (b) => along(b.hips, b.neck, ahead(b), -0.034, 0.014, [0.1, 0.6]),
  abs: (b) => along(b.hips, b.neck, ahead(b), 0.032, 0.017, [0.12, 0.55]),
  obliques: (b) => along(b.hips, b.neck, ahead(b), 0.006, 0.017, [0.15, 0.5]),
  'upper-traps': (b) => hull(disc(moved(b.neck, back(b), 0.02), 0.02)),
  'hip-flexors': (b, s) => along(b[`${s}Hip`], b.middle, ahead(b), 0.03, 0.014, [-0.15, 0.35]),
};

const same: Record<string, string> = {
  'upper-chest': 'mid-chest',
  'lower-chest': 'mid-chest',
  'triceps-long': 'triceps',
  'rectus-femoris': 'quads',
  serratus: 'mid-chest',
};

const ofLeg = new Set(['quads', 'hamstrings', 'glutes', 'glute-med', 'adductors', 'calves', 'tibialis']);
const ofArm = new Set(['biceps', 'triceps', 'forearms', 'front-delt', 'side-delt', 'rear-delt']);

/** As near to the viewer as the part that it lies on, and a little nearer. */
function depthOf(name: string, b: SeenBody, side: Side): number {
  const parts = ofLeg.has(name)
    ? [b[`${side}Hip`], b[`${side}Knee`], b[`${side}Ankle`]]
    : ofArm.has(name)
      ? [b[`${side}Shoulder`], b[`${side}Elbow`], b[`${side}Wrist`]]
      : [b.hips, b.middle, b.neck];
  return parts.reduce((sum, p) => sum + p.near, 0) / parts.length + 0.0002;
}

/** The muscles that work, drawn on the side of the body that is nearer. */
export function working(b: SeenBody, muscles: readonly string[]): Shape[] {
  const near = b.nearHip.near + b.nearShoulder.near >= b.farHip.near + b.farShoulder.near ? 'near' : 'far';
  return [...new Set(muscles.map((m) => same[m] ?? m))].flatMap((name) => {
    const place = places[name];
    return place ? [{ ink: 'work', d: place(b, near), near: depthOf(name, b, near) }] : [];
  });
}

type Spot = { x: number; y: number };

function along(a: Spot, b: Spot, side: Spot, off: number, r: number, [from, to]: [number, number]): string {
  const way = direction(a, b);
  const dot = side.x * -way.y + side.y * way.x;
  const across = { x: -way.y * Math.sign(dot || 1), y: way.x * Math.sign(dot || 1) };
  return hull(
    disc(moved(towards(a, b, from), across, off), r * 0.75),
    disc(moved(towards(a, b, (from + to) / 2), across, off), r),
    disc(moved(towards(a, b, to), across, off), r * 0.6),
  );
}

const trunkPart = (b: SeenBody, share: number, off: number, r: number): string =>
  hull(
    disc(moved(towards(b.hips, b.neck, share), ahead(b), off), r),
    disc(moved(towards(b.hips, b.neck, share + 0.16), ahead(b), off * 0.7), r * 0.8),
  );

const ahead = (b: SeenBody): Spot => across(direction(b.hips, b.neck), direction(b.head, b.face));
const back = (b: SeenBody): Spot => ({ x: -ahead(b).x, y: -ahead(b).y });
const toes = (b: SeenBody, s: Side): Spot => direction(b[`${s}Ankle`], b[`${s}Toe`]);

/** The part of a direction at right angles to a way. */
function across(way: Spot, to: Spot): Spot {
  const dot = way.x * to.x + way.y * to.y;
  return direction({ x: 0, y: 0 }, { x: to.x - dot * way.x, y: to.y - dot * way.y });
}

/** To where the knee points. */
function front(b: SeenBody, s: Side): Spot {
  const middle = towards(b[`${s}Hip`], b[`${s}Ankle`], 0.5);
  const out = { x: b[`${s}Knee`].x - middle.x, y: b[`${s}Knee`].y - middle.y };
  const toe = toes(b, s);
  return { x: out.x * 4 + toe.x * 0.25, y: out.y * 4 + toe.y * 0.25 };
}

/** To the inside of the bent elbow. */
function inside(b: SeenBody, s: Side): Spot {
  const middle = towards(b[`${s}Shoulder`], b[`${s}Wrist`], 0.5);
  const to = { x: middle.x - b[`${s}Elbow`].x, y: middle.y - b[`${s}Elbow`].y };
  const fore = ahead(b);
  return { x: to.x * 4 + fore.x * 0.1, y: to.y * 4 + fore.y * 0.1 };
}
