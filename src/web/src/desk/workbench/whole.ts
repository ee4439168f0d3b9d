import type { LineInBrief, RebuiltWeek } from '../../shared/api/types';

/**
 * An answer with all its lines: those that did not change come from what was there.
 * @param answer What the server said; `same` are lines that it did not repeat.
 * @param before What was there.
 */
export function whole(answer: RebuiltWeek, before: RebuiltWeek | null): RebuiltWeek {
  const same = new Set(answer.same);
  const stayed = (before?.plan.lines ?? []).filter((line) => same.has(line.gym.key));
  const byPlace = (a: LineInBrief, b: LineInBrief): number => a.gym.line - b.gym.line;
  return {
    ...answer,
    same: [],
    plan: { ...answer.plan, lines: [...stayed, ...answer.plan.lines].toSorted(byPlace) },
  };
}
