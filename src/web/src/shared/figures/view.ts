import type { Point } from './skeleton';

/** A point on the picture, x to the right, y down, and how near it is to the viewer; in shares of stature. */
export interface Seen {
  x: number;
  y: number;
  near: number;
}

export interface View {
  /** Degrees about the upright axis: 0 from the near side, 90 from the front. */
  turn: number;
  /** Degrees from above. */
  over: number;
}

export type Look = (point: Point) => Seen;

/** The parallel projection of a view. */
export function lookFrom(view: View): Look {
  const [turn, over] = [(view.turn * Math.PI) / 180, (view.over * Math.PI) / 180];
  const [sinT, cosT, sinO, cosO] = [Math.sin(turn), Math.cos(turn), Math.sin(over), Math.cos(over)];
  return ([ahead, up, side]) => {
    const depth = side * cosT + ahead * sinT;
    return {
      x: ahead * cosT - side * sinT,
      y: -(up * cosO - depth * sinO),
      near: depth * cosO + up * sinO,
    };
  };
}
