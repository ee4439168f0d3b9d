import type { DoseEffect } from '../../shared/api/types';
import { number } from '../../shared/words';

const left = (reserve: number): string =>
  reserve < 0 ? `${-reserve} too many` : reserve === 0 ? 'nothing left' : `${reserve} left`;

/** What a dose comes to, in short: "2 left in the first set, nothing left in the last". */
export function reserveInWords(effect: DoseEffect): string {
  const { reserveFirst: first, reserveLast: last } = effect;
  if (first == null || last == null) return '';
  return first === last
    ? `${left(first)} in every set`
    : `${left(first)} in the first set, ${left(last)} in the last`;
}

/** All consequences of a dose, in order of interest. */
export const consequences = (effect: DoseEffect): string[] =>
  [
    reserveInWords(effect),
    effect.repsBySet.length > 1 ? `to failure ${effect.repsBySet.join(', ')}` : '',
    `${effect.secondsUnderTension} s a set`,
    `${number(effect.minutes)} min`,
    `${effect.hardSets} hard ${effect.hardSets === 1 ? 'set' : 'sets'}`,
  ].filter(Boolean);
