import { disc, hull, moved, towards, direction, type Shape } from './shapes';
import type { Body, JointName } from './skeleton';
import type { Look, Seen } from './view';

export type SeenBody = Readonly<Record<JointName, Seen>>;

export function seen(body: Body, look: Look): SeenBody {
  const out: Partial<Record<JointName, Seen>> = {};
  for (const name of Object.keys(body) as JointName[]) out[name] = look(body[name]);
  return out as SeenBody;
}

/** Half the thickness of the body at its joints, in shares of stature. */
const thick = {
  shoulder: 0.037,
  elbow: 0.026,
  wrist: 0.019,
  fist: 0.025,
  finger: 0.012,
  hip: 0.06,
  knee: 0.036,
  calf: 0.036,
  ankle: 0.021,
  heel: 0.02,
  ball: 0.017,
  toe: 0.012,
  chest: 0.064,
  waist: 0.055,
  neck: 0.03,
  head: 0.057,
  jaw: 0.036,
  nose: 0.012,
};

const mean = (...parts: Seen[]): number => parts.reduce((sum, p) => sum + p.near, 0) / parts.length;

/** The drawn person: limbs, trunk and head, the far side lighter. */
export function person(b: SeenBody, fists = false): Shape[] {
  return [
    ...leg(b, 'far'),
    ...arm(b, 'far', fists),
    ...trunk(b),
    ...head(b),
    ...leg(b, 'near'),
    ...arm(b, 'near', fists),
  ];
}

function leg(b: SeenBody, side: 'near' | 'far'): Shape[] {
  const [hip, knee, ankle, heel, toe] = [
    b[`${side}Hip`],
    b[`${side}Knee`],
    b[`${side}Ankle`],
    b[`${side}Heel`],
    b[`${side}Toe`],
  ];
  const back = direction(towards(ankle, toe, 0.5), ankle);
  const calf = moved(towards(knee, ankle, 0.3), back, 0.01);
  const ball = towards(heel, toe, 0.72);
  const hem = towards(hip, knee, 0.52);
  const at = mean(hip, knee, ankle);
  return [
    {
      ink: side,
      near: at,
      d:
        hull(disc(hip, thick.hip * 0.92), disc(knee, thick.knee)) +
        hull(disc(knee, thick.knee * 0.94), disc(calf, thick.calf)) +
        hull(disc(calf, thick.calf), disc(ankle, thick.ankle)) +
        hull(disc(ankle, thick.ankle), disc(heel, thick.heel), disc(ball, thick.ball), disc(toe, thick.toe)),
    },
    { ink: `${side} cloth`, near: at + 0.0001, d: hull(disc(hip, thick.hip), disc(hem, thick.hip * 0.86)) },
  ];
}

function arm(b: SeenBody, side: 'near' | 'far', fist: boolean): Shape[] {
  const [shoulder, elbow, wrist, grip, fingers] = [
    b[`${side}Shoulder`],
    b[`${side}Elbow`],
    b[`${side}Wrist`],
    b[`${side}Grip`],
    b[`${side}Fingers`],
  ];
  const at = mean(shoulder, elbow, wrist);
  return [
    {
      ink: side,
      near: at,
      d:
        hull(
          disc(shoulder, thick.shoulder),
          disc(towards(shoulder, elbow, 0.45), 0.033),
          disc(elbow, thick.elbow),
        ) +
        hull(disc(elbow, thick.elbow), disc(towards(elbow, wrist, 0.3), 0.027), disc(wrist, thick.wrist)) +
        hull(
          disc(wrist, thick.wrist),
          disc(grip, thick.fist * 0.9),
          ...(fist ? [] : [disc(fingers, thick.finger)]),
        ),
    },
    {
      ink: `${side} cloth`,
      near: at + 0.0001,
      d: hull(disc(shoulder, thick.shoulder + 0.004), disc(towards(shoulder, elbow, 0.38), 0.036)),
    },
  ];
}

function trunk(b: SeenBody): Shape[] {
  const chest = towards(b.middle, b.neck, 0.55);
  return [
    {
      ink: 'trunk',
      near: mean(b.hips, b.middle, b.neck),
      d:
        hull(
          disc(b.nearShoulder, 0.036),
          disc(b.farShoulder, 0.036),
          disc(chest, thick.chest),
          disc(b.middle, thick.waist),
        ) +
        hull(
          disc(b.middle, thick.waist),
          disc(b.hips, thick.hip),
          disc(b.nearHip, thick.hip),
          disc(b.farHip, thick.hip),
        ),
    },
  ];
}

function head(b: SeenBody): Shape[] {
  const to = direction(b.head, b.face);
  const flat = Math.hypot(b.face.x - b.head.x, b.face.y - b.head.y);
  const down = direction(b.head, b.neck);
  const jaw = moved(moved(b.head, down, 0.034), to, flat * 0.42);
  const nose = moved(moved(b.head, to, flat * 1.03), down, 0.012);
  const at = mean(b.head, b.face) + 0.0002;
  return [
    {
      ink: 'near',
      near: mean(b.neck, b.head),
      d: hull(disc(b.neck, thick.neck + 0.006), disc(b.head, thick.neck)),
    },
    {
      ink: 'near',
      near: at,
      d:
        hull(disc(b.head, thick.head), disc(jaw, thick.jaw)) +
        hull(disc(b.head, 0.03), disc(nose, thick.nose)),
    },
    { ink: 'hair', near: at + 0.0001, d: hair(b) },
  ];
}

/** The back and top of the head. */
function hair(b: SeenBody): string {
  const back = direction(b.face, b.head);
  const flat = Math.hypot(b.face.x - b.head.x, b.face.y - b.head.y);
  const up = direction(b.neck, b.head);
  const crown = moved(moved(b.head, up, 0.014), back, flat * 0.14);
  const nape = moved(moved(b.head, up, -0.008), back, flat * 0.3);
  const brow = moved(moved(b.head, up, 0.03), back, -flat * 0.42);
  return hull(disc(crown, 0.047), disc(nape, 0.036), disc(brow, 0.022));
}
