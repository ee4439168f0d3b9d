import { entry } from './shapes';
/** A point of the body or the room: ahead, up, to the near side; in shares of stature. */
export type Point = readonly [number, number, number];

/** Joints in the order in which the server sends them. */
export const jointNames = [
  'hips',
  'middle',
  'neck',
  'head',
  'face',
  'nearShoulder',
  'nearElbow',
  'nearWrist',
  'nearGrip',
  'nearFingers',
  'farShoulder',
  'farElbow',
  'farWrist',
  'farGrip',
  'farFingers',
  'nearHip',
  'nearKnee',
  'nearAnkle',
  'nearHeel',
  'nearToe',
  'farHip',
  'farKnee',
  'farAnkle',
  'farHeel',
  'farToe',
] as const;

export type JointName = (typeof jointNames)[number];

/** All joints of a body at one moment. */
export type Body = Readonly<Record<JointName, Point>>;

/** A body from the figures of one frame, thousandths of stature. */
export function bodyOf(frame: readonly number[]): Body {
  const body: Partial<Record<JointName, Point>> = {};
  jointNames.forEach((name, i) => {
    body[name] = [entry(frame, 3 * i) / 1000, entry(frame, 3 * i + 1) / 1000, entry(frame, 3 * i + 2) / 1000];
  });
  return body as Body;
}

export const mix = (a: Point, b: Point, t: number): Point => [
  a[0] + (b[0] - a[0]) * t,
  a[1] + (b[1] - a[1]) * t,
  a[2] + (b[2] - a[2]) * t,
];

/** A body between two neighbouring frames: they lie so close that a straight way keeps the limbs' length to the eye. */
export function between(a: Body, b: Body, t: number): Body {
  const body: Partial<Record<JointName, Point>> = {};
  for (const name of jointNames) body[name] = mix(a[name], b[name], t);
  return body as Body;
}

/** The body at a share of the way along the rep, 0 start to 1 last pose. */
export function bodyAt(frames: readonly (readonly number[])[], share: number): Body {
  const last = frames.length - 1;
  const at = Math.min(Math.max(share, 0), 1) * last;
  const from = Math.min(Math.floor(at), Math.max(last - 1, 0));
  const a = bodyOf(entry(frames, from));
  return last === 0 ? a : between(a, bodyOf(entry(frames, from + 1)), at - from);
}

/** A part of the body by the name that figures use for it; undefined where it names none. */
export function pointOf(body: Body, part: string): Point | undefined {
  switch (part) {
    case 'hands':
      return mix(body.nearGrip, body.farGrip, 0.5);
    case 'nearHand':
      return body.nearGrip;
    case 'farHand':
      return body.farGrip;
    case 'elbows':
      return mix(body.nearElbow, body.farElbow, 0.5);
    case 'feet':
      return mix(sole(body, 'near'), sole(body, 'far'), 0.5);
    case 'nearFoot':
      return sole(body, 'near');
    case 'farFoot':
      return sole(body, 'far');
    case 'heels':
      return mix(body.nearHeel, body.farHeel, 0.5);
    case 'knees':
      return mix(body.nearKnee, body.farKnee, 0.5);
    default:
      return (body as Record<string, Point>)[part];
  }
}

const sole = (body: Body, side: 'near' | 'far'): Point => mix(body[`${side}Heel`], body[`${side}Toe`], 0.5);
