import type { Exercise, Requirement } from '../../shared/api/types';

/** What the catalogue is narrowed to; an empty word means no narrowing. */
export interface Filter {
  text: string;
  pattern: string;
  muscle: string;
  kit: string;
  level: string;
  spare: string;
  venue: string;
}

export const noFilter: Filter = {
  text: '',
  pattern: '',
  muscle: '',
  kit: '',
  level: '',
  spare: '',
  venue: 'home',
};

/** Every kind of kit or ability that an exercise can ask for. */
export function thingsOf(need: Requirement | null | undefined): string[] {
  if (!need) return [];
  if (need.thing) return [need.thing];
  return [...need.all, ...need.any].flatMap(thingsOf);
}

/** True when a set-up asks for nothing but floor and wall. */
const needsNothing = (setup: Exercise['setups'][number]): boolean =>
  !setup.needs && !setup.load.external?.required && (!setup.load.band || setup.load.band.required === false);

/** Where its load comes from, as words that the kit filter offers. */
function loadsOf(setup: Exercise['setups'][number]): string[] {
  const from = setup.load.external?.from ?? [];
  return [
    ...(from.some((s) => s === 'pair' || s === 'one' || s === 'mixed') ? ['hand-weight'] : []),
    ...(from.includes('worn') ? ['wear'] : []),
    ...(from.includes('held') ? ['hold'] : []),
    ...(from.includes('bar') ? ['loaded-bar'] : []),
    ...from.filter((s) => s === 'trap-bar' || s === 'stack'),
    ...(setup.load.band ? ['long-band'] : []),
  ];
}

/** True when any way of setting it up uses the kit; "nothing" asks for floor and wall alone. */
function usesKit(exercise: Exercise, kit: string): boolean {
  return exercise.setups.some((s) =>
    kit === 'nothing' ? needsNothing(s) : [...thingsOf(s.needs), ...loadsOf(s)].includes(kit),
  );
}

/**
 * The exercises that a filter lets through, in the order of pattern, family and rung; what skill a level is trusted with is said by the
 * server.
 */
export function filtered(all: Exercise[], f: Filter, skillCeilings: Record<string, number> = {}): Exercise[] {
  const words = f.text.toLowerCase().split(/\s+/).filter(Boolean);
  return all
    .filter((e) => {
      const text = [e.name, ...e.synonyms, e.pattern, e.family].join(' ').toLowerCase();
      return (
        words.every((w) => text.includes(w)) &&
        (!f.venue || e.venues.includes(f.venue as 'home' | 'gym')) &&
        (!f.pattern || e.pattern === f.pattern) &&
        (!f.muscle || (e.muscles[f.muscle] ?? 0) >= 0.8) &&
        (!f.kit || usesKit(e, f.kit)) &&
        (!f.level || e.skill <= (skillCeilings[f.level] ?? Infinity)) &&
        (!f.spare || (e.joints[f.spare] ?? 0) < 2)
      );
    })
    .toSorted(
      (a, b) => a.pattern.localeCompare(b.pattern) || a.family.localeCompare(b.family) || a.rung - b.rung,
    );
}
