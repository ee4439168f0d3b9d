import type { HomeEdit } from '../api/types';

const same = (a: HomeEdit, b: HomeEdit): boolean => a.line === b.line && a.exerciseId === b.exerciseId;

/** Puts new figures over those set before; what the new edit leaves open stays as it was. */
export function merged(edits: HomeEdit[], added: HomeEdit[]): HomeEdit[] {
  const result = [...edits];
  for (const edit of added) {
    const at = result.findIndex((e) => same(e, edit));
    const given = Object.fromEntries(Object.entries(edit).filter(([, value]) => value != null)) as HomeEdit;
    // Techniques bring a tempo of their own, so that one typed before gives way.
    const before = at >= 0 && edit.techniques ? { ...result[at], tempo: null } : result[at];
    if (at >= 0) result[at] = { ...before, ...given };
    else result.push(given);
  }

  return result;
}

/** The same figures for another exercise; a load belongs to its exercise and does not go along. */
export const repeated = (edit: HomeEdit, line: number, exerciseId: string): HomeEdit => ({
  ...edit,
  line,
  exerciseId,
  externalKg: null,
});

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
