import type { HomeEdit, PlanDocument, Proposal, RebuildRequest } from '../api/types';

export const keyOf = (of: { line: number; exerciseId: string }): string => `${of.line}/${of.exerciseId}`;

/** Proposals that leave everything as it is, or that a coach must settle at the workbench. */
const nothingToWrite = ['wait', 'repeat', 'swap', 'change', 'check-form', 'new-phase'];

/** Techniques that are part of what is decided; null to leave them as they are. */
const techniquesIn = ({ decision, dose }: Proposal): string[] | null =>
  decision === 'technique-off' ? [] : decision === 'as-planned' ? dose.techniques : null;

/** It would change the plan when it is accepted. */
export const changes = (proposal: Proposal): boolean => !nothingToWrite.includes(proposal.decision);

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

/** The edit that a proposal stands for. */
export function editOf(proposal: Proposal): HomeEdit {
  const { dose } = proposal;
  return {
    line: proposal.line,
    exerciseId: proposal.exerciseId,
    sets: dose.sets,
    target: dose.target,
    zone: dose.zone ?? null,
    setsBefore: dose.setsBefore ?? null,
    decidedAfter: dose.decidedAfter ?? null,
    blockWeek: dose.blockWeek ?? null,
    tempo: dose.tempo,
    techniques: techniquesIn(proposal),
    restSeconds: dose.restSeconds,
    rir: dose.rir,
    externalKg: proposal.externalKg,
  };
}

/** The dose of a proposal as it is typed into a cell. */
export const textOf = ({ dose, externalKg }: Proposal): string =>
  `${dose.figures}${externalKg > 0 ? ` @ ${externalKg} kg` : ''} ${dose.tempo} ${dose.restSeconds} s RIR ${dose.rir}`;

/**
 * What a plan is rebuilt from when proposals are accepted: their figures, or what the coach typed in their place. What was
 * trained stays, whatever a rebuild would choose today; a step to another exercise takes that, and what was calibrated is
 * prescribed anew.
 */
export function accepting(
  document: PlanDocument,
  proposals: Proposal[],
  changed: Record<string, HomeEdit>,
): RebuildRequest {
  const taken = proposals.filter((p) => changes(p) || changed[keyOf(p)]);
  const steps = taken.filter((p) => p.toExerciseId && !changed[keyOf(p)]);
  const calibrated = taken.filter((p) => p.decision === 'calibrated' && !changed[keyOf(p)]);
  const edits = taken
    .filter((p) => !steps.includes(p) && !calibrated.includes(p))
    .map((p) => ({
      ...techniquesOf(document, p),
      ...noEmpty(editOf(p)),
      ...noEmpty(changed[keyOf(p)]),
      line: p.line,
      exerciseId: p.exerciseId,
    }));
  const touched = taken.map(keyOf);
  return {
    ...document.request,
    edits: [...(document.request.edits ?? []).filter((e) => !touched.includes(keyOf(e))), ...edits],
    choices: document.plan.lines
      .filter((l) => l.chosen)
      .map((l) => ({
        line: l.gym.line,
        candidateId: candidate(l.chosen?.id ?? '', steps, l.gym.line),
        role: l.role,
      })),
  };
}

/** Techniques that were set before stay so: a proposal without any of its own must not bring back what was taken off. */
const techniquesOf = (document: PlanDocument, of: Proposal): Partial<HomeEdit> => ({
  techniques: document.request.edits?.find((e) => keyOf(e) === keyOf(of))?.techniques ?? null,
});

/** The candidate of a line, with the exercise that is stepped from replaced. */
function candidate(id: string, steps: Proposal[], line: number): string {
  const step = steps.find((s) => s.line === line);
  return step?.toExerciseId ? id.replace(step.exerciseId, step.toExerciseId) : id;
}

/** Only what was set: an empty figure must not wipe the proposed one. */
const noEmpty = (edit: HomeEdit | undefined): Partial<HomeEdit> =>
  Object.fromEntries(Object.entries(edit ?? {}).filter(([, value]) => value !== null && value !== undefined));
