import type { LearnedCost } from '../../shared/api/types';
import { inWords, sentence } from '../../shared/words';

/** What the cost is of: "Rests between sets", "Slow eccentric". */
export const costOf = (cost: LearnedCost): string =>
  cost.of === 'rests' ? 'Rests between sets' : sentence(inWords(cost.of));

const percent = (share: number): string => `${Math.round(Math.abs(share) * 100)} %`;

/** The factor in words: "about a usual cost", "40 % more than usual". */
export function costInWords({ factor }: LearnedCost): string {
  if (Math.abs(factor - 1) < 0.05) return 'as usual';
  return `${percent(factor - 1)} ${factor > 1 ? 'more' : 'less'} than usual`;
}

/** Where the factor lies in two of three cases: "1.2 to 1.6 times". */
export const costRange = ({ factor, spread }: LearnedCost): string =>
  `${Math.max(0.1, factor - spread).toFixed(1)} to ${(factor + spread).toFixed(1)} times`;
