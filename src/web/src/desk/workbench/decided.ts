import type { RebuildRequest } from '../../shared/api/types';

/** What the coach decided for a gym week at a place: all that a home plan is built from beside client, kit and week. */
export type Decided = Required<Omit<RebuildRequest, 'client' | 'kit' | 'gymLines'>>;

/** What a request says; without one nothing is decided yet. */
export const decidedIn = (request: Partial<RebuildRequest> = {}): Decided => ({
  keyed: request.keyed ?? [],
  approach: request.approach ?? null,
  dayApproaches: request.dayApproaches ?? [],
  choices: request.choices ?? [],
  edits: request.edits ?? [],
  stands: request.stands ?? null,
  before: request.before ?? [],
  accepted: request.accepted ?? [],
  fitToMinutes: request.fitToMinutes ?? true,
  phase: request.phase ?? null,
  calibrate: request.calibrate ?? false,
  resting: request.resting ?? [],
});
