import type { HomeEdit } from '../../shared/api/types';

/** An edit in words: "4 sets, 8–12 reps, 90 s rest". */
export function editInWords(edit: HomeEdit): string {
  const { sets, target, tempo, techniques, restSeconds, rir, externalKg } = edit;
  return [
    sets != null ? `${sets} sets` : '',
    target ? (target.min === target.max ? `${target.min}` : `${target.min}–${target.max}`) + ' reps' : '',
    externalKg != null ? `${externalKg} kg` : '',
    tempo ?? '',
    techniques ? (techniques.length > 0 ? techniques.join(' and ') : 'no technique') : '',
    restSeconds != null ? `${restSeconds} s rest` : '',
    rir != null ? `RIR ${rir}` : '',
  ]
    .filter(Boolean)
    .join(', ');
}
