import type { Approach } from '../../shared/api/types';
import { inWords } from '../../shared/words';

type Range = { min: number; max: number } | null | undefined;

/** A range of figures in words: "8–12", "3", or what stands when there is none. */
export const rangeText = (range: Range, otherwise: string, unit = ''): string =>
  !range ? otherwise : (range.min === range.max ? `${range.min}` : `${range.min}–${range.max}`) + unit;

export const orders: [Approach['order'], string][] = [
  ['gym', 'as the gym plan has it'],
  ['trade', 'power and main lifts first, isolation and trunk last'],
  ['range-by-muscle', 'by muscle: stretched, shortened, then middle'],
];

export const pairings: [Approach['pairing'], string][] = [
  ['none', 'straight sets'],
  ['opposite', 'opposite muscles in turn'],
  ['circuit', 'all lines in turn, round by round'],
];

const named = <T extends string>(list: [T, string][], key: T): string =>
  list.find(([k]) => k === key)?.[1] ?? inWords(key);

/** What an approach asks for, as pairs of a word and its figure. */
export function asksFor(approach: Approach): [string, string][] {
  const sides = approach.halvedPerSide ? ', half a side' : '';
  return [
    ['Reps', rangeText(approach.reps, 'as in the gym plan') + sides],
    ['Sets', rangeText(approach.sets, 'as in the gym plan')],
    ['Rest', rangeText(approach.rest, 'as in the gym plan', ' s')],
    [
      'Effort',
      approach.rir === null || approach.rir === undefined ? 'as in the gym plan' : `RIR ${approach.rir}`,
    ],
    ['Heavy main lifts', approach.keepsHeavy ? 'keep their reps' : 'take these reps too'],
    ['Order', named(orders, approach.order)],
    ['In turn', named(pairings, approach.pairing)],
    ['Short of time', approach.fitsByPairing ? 'pair lines first' : 'drop sets, never pair'],
    ...(approach.standards.length > 0
      ? [['Standards', approach.standards.join(' · ')] as [string, string]]
      : []),
  ];
}
