import type { HomeEdit, PlanCommand, Proposal } from '../../shared/api/types';

export const keyOf = (of: { line: number; exerciseId: string }): string => `${of.line}/${of.exerciseId}`;

/** Lines from which on a reason that they have in common is said once, above them. */
const manyLines = 3;

/** What several lines are told alike: the decision, its reason, and how many. A new phase has words of its own. */
export interface SharedReason {
  decision: Proposal['decision'];
  reason: string;
  lines: number;
}

export function sharedReasons(proposals: Proposal[]): SharedReason[] {
  const shared: SharedReason[] = [];
  for (const { decision, reason } of proposals.filter((p) => p.decision !== 'new-phase')) {
    const same = shared.find((s) => s.decision === decision && s.reason === reason);
    if (same) same.lines++;
    else shared.push({ decision, reason, lines: 1 });
  }
  return shared.filter((s) => s.lines >= manyLines);
}

/** What is done next time, and with how many kilograms (0 where none is known): of the exercise that comes, where another one comes. */
export function shown(proposal: Proposal): { dose: Proposal['dose']; kg: number } {
  const other = proposal.replacement?.exercises[0];
  if (other) return { dose: other.dose, kg: other.externalKg };
  const kg = proposal.toExerciseId ? (proposal.toKg ?? 0) : proposal.load ? proposal.externalKg : 0;
  return { dose: proposal.dose, kg };
}

/** Accepting proposals, as they are or with what the coach typed in their place. */
export const acceptance = (proposals: Proposal[], typed: Record<string, HomeEdit>): PlanCommand => ({
  kind: 'accept-proposals',
  proposals: proposals.map((p) => ({ ...p.accepted, typed: typed[keyOf(p)] ?? null })),
});
