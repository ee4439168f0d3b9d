import { loads, type FigureLoad } from './loads';
import { person, seen } from './person';
import { working } from './muscles';
import { entry, hull, disc, line, direction, moved, type Shape } from './shapes';
import { bodyAt, pointOf, type Body, type Point } from './skeleton';
import { floor, thing, type DrawnThing } from './things';
import { lookFrom, type Look, type Seen } from './view';

/** What the server says of a figure. */
export interface FigureDrawing {
  figure: string;
  turn: number;
  over: number;
  frames: readonly (readonly number[])[];
  lowersFirst: boolean;
  things: readonly DrawnThing[];
  loads: readonly FigureLoad[];
  bands: readonly { kind: string; from: string; to: string }[];
  path?: string | null;
  /** Prime movers of the exercise. */
  working: readonly string[];
  /** Involvement of each muscle, 0–1. */
  muscles: Readonly<Record<string, number>>;
  /** What it shows, in words. */
  inWords: string;
}

export interface Box {
  x: number;
  y: number;
  width: number;
  height: number;
}

/** The look of a figure, turned by hand or as it is given. */
export const lookOf = (figure: FigureDrawing, turn?: number): Look =>
  lookFrom({ turn: turn ?? figure.turn, over: figure.over });

const byDepth = (shapes: Shape[]): Shape[] => shapes.sort((a, b) => a.near - b.near);

/** The whole picture at a share of the way along the rep, from far to near. */
export function picture(
  figure: FigureDrawing,
  share: number,
  look: Look,
  muscles: readonly string[] = [],
): Shape[] {
  const body = bodyAt(figure.frames, share);
  const b = seen(body, look);
  return byDepth([
    ...figure.things.flatMap((t) => thing(t, look, bodyAt(figure.frames, 0).hips)),
    ...person(b, gripping(figure)),
    ...working(b, muscles),
    ...loads(body, figure.loads, look),
    ...figure.bands.flatMap((band) => stretched(figure, band, body, look)),
  ]);
}

/** Hands that hold something are fists. */
const gripping = (figure: FigureDrawing): boolean =>
  figure.loads.some((l) => /hand|both|chest|shoulders|racked/i.test(l.where)) ||
  figure.bands.some((b) => /hand/i.test(b.to + b.from)) ||
  figure.things.some((t) => t.kind === 'bar' || t.kind === 'supports');

/** The pale body of the start, behind the one that moves. */
export function ghost(figure: FigureDrawing, look: Look, share = 0): Shape[] {
  const shapes = person(seen(bodyAt(figure.frames, share), look), gripping(figure));
  return [{ ink: 'ghost', near: -8, d: shapes.map((s) => s.d).join('') }];
}

/** Where a band is held: one end, or one on each side of the body. */
function ends(figure: FigureDrawing, name: string, body: Body): Point[] {
  const pairs: Record<string, [keyof Body, keyof Body]> = {
    hands: ['nearGrip', 'farGrip'],
    ankles: ['nearAnkle', 'farAnkle'],
    shoulders: ['nearShoulder', 'farShoulder'],
    bothKnees: ['nearKnee', 'farKnee'],
    bothFeet: ['nearToe', 'farToe'],
    bothHips: ['nearHip', 'farHip'],
    elbows: ['nearElbow', 'farElbow'],
  };
  const pair = pairs[name];
  if (pair) return pair.map((j) => body[j]);
  const part = pointOf(body, name);
  if (part) return [part];
  const at = figure.things.find((t) => (t.role ?? t.kind) === name)?.at;
  return at ? [[entry(at, 0) / 1000, entry(at, 1) / 1000, entry(at, 2) / 1000]] : [];
}

function stretched(
  figure: FigureDrawing,
  band: { kind: string; from: string; to: string },
  body: Body,
  look: Look,
): Shape[] {
  const [from, to] = [ends(figure, band.from, body), ends(figure, band.to, body)];
  if (from.length === 0 || to.length === 0) return [];
  const start = bodyAt(figure.frames, 0);
  return Array.from({ length: Math.max(from.length, to.length) }, (_, i) => {
    const [a, b] = [entry(from, i % from.length), entry(to, i % to.length)];
    const [s, e] = [ends(figure, band.from, start), ends(figure, band.to, start)];
    const rest = apart(entry(s, i % s.length), entry(e, i % e.length));
    const ratio = rest > 0.01 ? apart(a, b) / rest : 1;
    const [p, q] = [look(a), look(b)];
    return {
      ink: band.kind,
      near: Math.max(p.near, q.near) + 0.015,
      width: 0.02 / Math.sqrt(Math.max(ratio, 0.7)),
      d: line([p, q]),
    };
  });
}

const apart = (a: Point, b: Point): number => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2]);

/** The way of the moving part from start to end, as an arrow beside the body; nothing where it hardly moves. */
export function arrow(figure: FigureDrawing, look: Look): Shape[] {
  const { path } = figure;
  if (!path || figure.frames.length < 2) return [];
  const points: Seen[] = figure.frames.flatMap((_, i) => {
    const at = pointOf(bodyAt(figure.frames, i / (figure.frames.length - 1)), path);
    return at ? [look(at)] : [];
  });
  const [first, last] = [points[0], points.at(-1)];
  if (!first || !last || Math.hypot(last.x - first.x, last.y - first.y) < 0.05) return [];
  const before = entry(points, Math.max(0, points.length - 4));
  const way = direction(before, last);
  const side = { x: -way.y, y: way.x };
  return [
    { ink: 'path', near: 10, width: 0.008, d: line(points) },
    {
      ink: 'tip',
      near: 10,
      d: hull(
        disc(moved(last, way, 0.03), 0.003),
        disc(moved(last, side, 0.018), 0.002),
        disc(moved(last, side, -0.018), 0.002),
      ),
    },
  ];
}

/** A word in a drawing. */
export interface Label {
  x: number;
  y: number;
  text: string;
}

/** Heights of the client's own things, written on them. */
export const labels = (figure: FigureDrawing, look: Look): Label[] =>
  figure.things
    .filter((t) => t.role && t.heightCm >= 5)
    .map((t) => {
      const [ahead, up, side] = t.at.map((v) => v / 1000) as [number, number, number];
      const spot = look([ahead, Math.max(up - 0.07, 0.02), side + t.width / 2000]);
      return { x: spot.x, y: spot.y, text: `${t.heightCm} cm` };
    });

/** The frame that holds the whole rep with all that stands about. */
export function boxOf(figure: FigureDrawing, look: Look): Box {
  const points: Seen[] = [];
  const steps = Math.min(figure.frames.length, 6);
  for (let i = 0; i < steps; i++) {
    const body = bodyAt(figure.frames, steps === 1 ? 0 : i / (steps - 1));
    for (const name of Object.keys(body) as (keyof Body)[]) points.push(look(body[name]));
  }
  const things = figure.things.flatMap((t) => thing(t, look, bodyAt(figure.frames, 0).hips)).map((s) => s.d);
  for (const d of things) {
    for (const [, x, y] of d.matchAll(/[ML](-?[\d.]+) (-?[\d.]+)/g))
      points.push({ x: Number(x), y: Number(y), near: 0 });
  }
  const pad = 0.085;
  const [left, right] = [
    Math.min(...points.map((p) => p.x)) - pad,
    Math.max(...points.map((p) => p.x)) + pad,
  ];
  const [top, bottom] = [
    Math.min(...points.map((p) => p.y)) - pad,
    Math.max(...points.map((p) => p.y), 0) + 0.04,
  ];
  return { x: left, y: top, width: right - left, height: bottom - top };
}

export const ground = (box: Box): Shape => floor(box.x + 0.02, box.x + box.width - 0.02);
