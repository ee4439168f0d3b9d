import { entry, direction, disc, hull, line, moved, type Shape } from './shapes';
import { mix, pointOf, type Body, type Point } from './skeleton';
import type { Look } from './view';

export interface FigureLoad {
  at?: string;
  where: string;
  kind: string;
}

const plus = (p: Point, by: Point, times = 1): Point => [
  p[0] + by[0] * times,
  p[1] + by[1] * times,
  p[2] + by[2] * times,
];
const minus = (a: Point, b: Point): Point => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
const long = (v: Point): number => Math.hypot(...v);
const unit = (v: Point): Point =>
  long(v) < 1e-6 ? [0, 1, 0] : (v.map((x) => x / long(v)) as unknown as Point);
const cross = (a: Point, b: Point): Point => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];

const down: Point = [0, -1, 0];

/** What lies in a hand: at its grip, along an axis. */
interface Held {
  body: Body;
  look: Look;
  at: Point;
  /** Axis of what is gripped. */
  axis: Point;
}

function dumbbell({ look, at, axis }: Held): Shape[] {
  const [a, b] = [look(plus(at, axis, 0.062)), look(plus(at, axis, -0.062))];
  const [c, d] = [look(plus(at, axis, 0.04)), look(plus(at, axis, -0.04))];
  const near = look(at).near + 0.02;
  return [
    { ink: 'load', near, d: hull(disc(a, 0.011), disc(b, 0.011)) },
    { ink: 'load', near: Math.max(near, a.near), d: hull(disc(a, 0.033), disc(c, 0.033)) },
    { ink: 'load', near: Math.min(near, b.near + 0.02), d: hull(disc(b, 0.033), disc(d, 0.033)) },
  ];
}

const pieces: Record<string, (h: Held) => Shape[]> = {
  dumbbell,
  kettlebell: ({ look, at }) => hanging(look, at, 0.07, 0.05, 0.03),
  jug: ({ look, at }) => hanging(look, at, 0.075, 0.05, 0.024),
  bag: ({ look, at }) => {
    const [top, bottom] = [look(plus(at, down, 0.05)), look(plus(at, down, 0.17))];
    return [
      { ink: 'load', near: top.near + 0.03, d: hull(disc(look(at), 0.01), disc(top, 0.02)) },
      {
        ink: 'load',
        near: top.near + 0.03,
        d: hull(
          disc({ x: top.x - 0.03, y: top.y }, 0.03),
          disc({ x: top.x + 0.03, y: top.y }, 0.03),
          disc({ x: bottom.x - 0.04, y: bottom.y }, 0.03),
          disc({ x: bottom.x + 0.04, y: bottom.y }, 0.03),
        ),
      },
    ];
  },
  bottle: ({ look, at, axis }) => {
    const [a, b] = [look(plus(at, axis, 0.06)), look(plus(at, axis, -0.07))];
    return [
      {
        ink: 'load',
        near: look(at).near + 0.02,
        d: hull(disc(a, 0.012), disc(look(plus(at, axis, 0.03)), 0.024), disc(b, 0.026)),
      },
    ];
  },
  plate: ({ look, at }) => [{ ink: 'load', near: look(at).near + 0.02, d: hull(disc(look(at), 0.075)) }],
};

function hanging(look: Look, at: Point, far: number, r: number, handle: number): Shape[] {
  const [grip, ball] = [look(at), look(plus(at, down, far))];
  const side = { x: handle, y: 0 };
  return [
    {
      ink: 'load rim',
      near: grip.near + 0.02,
      width: 0.014,
      d: line([moved(ball, side, 1), moved(grip, side, 0.9), moved(grip, side, -0.9), moved(ball, side, -1)]),
    },
    { ink: 'load', near: grip.near + 0.021, d: hull(disc(ball, r)) },
  ];
}

/** The axis of something gripped: across the forearm, level where it can be. */
function gripAxis(body: Body, side: 'near' | 'far'): Point {
  const forearm = unit(minus(body[`${side}Wrist`], body[`${side}Elbow`]));
  const beside = Math.abs(body[`${side}Grip`][2]) > 0.12 && forearm[1] < -0.75;
  return unit(cross(forearm, beside ? [0, 0, 1] : [1, 0, 0]));
}

function bar(body: Body, look: Look, at: Point, plates: boolean): Shape[] {
  const ends = [0.44, -0.44].map((z) => look([at[0], at[1], at[2] + z]));
  const near = look(at).near;
  return [
    { ink: 'steel', near: near + 0.03, d: hull(disc(entry(ends, 0), 0.009), disc(entry(ends, 1), 0.009)) },
    ...(plates
      ? [0.38, -0.38].map((z) => {
          const p = look([at[0], at[1], at[2] + z]);
          return { ink: 'load', near: p.near, d: hull(disc(p, 0.085)) };
        })
      : []),
  ];
}

function pack(body: Body, look: Look, behind: Point): Shape[] {
  const up = unit(minus(body.neck, body.middle));
  const centre = plus(mix(body.middle, body.neck, 0.5), behind, 0.105);
  const across = unit(cross(up, behind));
  const signs = [-1, 1];
  const corners = signs.flatMap((u) =>
    signs.flatMap((a) =>
      signs.map((d) =>
        disc(look(plus(plus(plus(centre, up, 0.085 * u), across, 0.07 * a), behind, 0.035 * d)), 0.028),
      ),
    ),
  );
  return [{ ink: 'load', near: look(centre).near, d: hull(...corners) }];
}

/** The loads of a body, in hands, on the back, on the hips. */
export function loads(body: Body, list: readonly FigureLoad[], look: Look): Shape[] {
  return list.flatMap((load) => one(body, load, look));
}

function one(body: Body, load: FigureLoad, look: Look): Shape[] {
  const front = unit(minus(body.face, body.head));
  const behind: Point = [-front[0], -front[1], -front[2]];
  const between = mix(body.nearGrip, body.farGrip, 0.5);
  const held = (at: Point, axis: Point): Shape[] => (pieces[load.kind] ?? dumbbell)({ body, look, at, axis });
  const side: Point = unit(minus(body.nearHip, body.farHip));
  switch (load.where) {
    case 'hands':
      if (load.kind === 'bar') return bar(body, look, between, true);
      if (load.kind === 'stick') return bar(body, look, between, false);
      return [...held(body.nearGrip, gripAxis(body, 'near')), ...held(body.farGrip, gripAxis(body, 'far'))];
    case 'nearHand':
      return held(body.nearGrip, gripAxis(body, 'near'));
    case 'farHand':
      return held(body.farGrip, gripAxis(body, 'far'));
    case 'both': {
      const held2 =
        load.kind === 'rucksack' || load.kind === 'bag'
          ? soft(look, between, 0.07)
          : held(between, unit(minus(body.nearWrist, body.nearElbow)));
      return held2.map((s) => ({ ...s, near: s.near + 0.12 }));
    }
    case 'chest':
      return load.kind === 'dumbbell' || load.kind === 'kettlebell'
        ? held(between, [0, 1, 0])
        : soft(look, plus(mix(body.middle, body.neck, 0.6), front, 0.1), 0.075);
    case 'back':
      return pack(body, look, behind);
    case 'shoulders':
      return bar(body, look, plus(body.neck, behind, 0.05), true);
    case 'racked':
      return bar(body, look, plus(body.neck, front, 0.07), true);
    case 'hips':
      return load.kind === 'bar'
        ? bar(body, look, plus(body.hips, trunkFront(body), 0.08), true)
        : soft(look, plus(body.hips, trunkFront(body), 0.085), 0.05);
    case 'belly':
      return soft(look, plus(body.middle, trunkFront(body), 0.07), 0.045);
    case 'thighs':
      return soft(look, plus(mix(body.nearKnee, body.farKnee, 0.5), [0, 0.06, 0]), 0.05);
    case 'knees':
      return soft(look, mix(body.nearKnee, body.farKnee, 0.5), 0.045, 'soft');
    case 'hand-to-hand':
      return rolled(look, body.nearGrip, body.farGrip);
    default: {
      const at = pointOf(body, load.where);
      return at ? held(at, side) : [];
    }
  }
}

function trunkFront(body: Body): Point {
  const up = unit(minus(body.middle, body.hips));
  const side = unit(minus(body.nearHip, body.farHip));
  return unit(cross(up, side));
}

function soft(look: Look, at: Point, r: number, ink = 'load'): Shape[] {
  const c = look(at);
  const d = r * 0.55;
  return [
    {
      ink,
      near: c.near + 0.06,
      d: hull(
        disc({ x: c.x - d, y: c.y - d }, r * 0.6),
        disc({ x: c.x + d, y: c.y - d }, r * 0.6),
        disc({ x: c.x - d, y: c.y + d }, r * 0.6),
        disc({ x: c.x + d, y: c.y + d }, r * 0.6),
      ),
    },
  ];
}

function rolled(look: Look, a: Point, b: Point): Shape[] {
  const [p, q] = [look(a), look(b)];
  const way = direction(p, q);
  return [
    {
      ink: 'cloth',
      near: Math.max(p.near, q.near) + 0.02,
      d: hull(disc(moved(p, way, -0.03), 0.014), disc(moved(q, way, 0.03), 0.014)),
    },
  ];
}
