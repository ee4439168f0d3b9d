import type { FamilyLadder } from '../../shared/api/types';

/** A step of the stairs as a rectangle. */
export interface Stair {
  index: number;
  x: number;
  y: number;
  width: number;
  height: number;
  high: boolean;
}

/**
 * Stairs of a ladder in a box: a step a rung, its height by the logarithm of the difficulty, so that equal shares look equally
 * high.
 */
export function stairs(ladder: Pick<FamilyLadder, 'rungs'>, width: number, height: number): Stair[] {
  const { rungs } = ladder;
  if (rungs.length === 0) return [];
  const heights = rungs.map((r) => Math.log(r.difficulty));
  const [low, high] = [Math.min(...heights), Math.max(...heights)];
  const least = 14;
  const each = width / rungs.length;
  return rungs.map((rung, index) => {
    const up =
      high > low ? least + ((height - least) * (Math.log(rung.difficulty) - low)) / (high - low) : height / 2;
    return {
      index,
      x: Math.round(index * each * 10) / 10,
      y: Math.round((height - up) * 10) / 10,
      width: Math.round(each * 10) / 10,
      height: Math.round(up * 10) / 10,
      high: rung.tooHigh,
    };
  });
}
