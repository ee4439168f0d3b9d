import { api, ask } from '../api/client';
import type {
  Candidate,
  DecidedPlan,
  OpenedLine,
  PlanCommand,
  PlanDrifted,
  PlanSummary,
  RebuildRequest,
  RebuiltWeek,
  SavedPlan,
  SeenLine,
  StandingLine,
} from '../../shared/api/types';

/** Home plans on the server. */
export const plansOf = (clientId: number): Promise<PlanSummary[]> =>
  ask(() => api.GET('/api/v1/clients/{clientId}/plans', { params: { path: { clientId } } }));

export const planWith = (id: number): Promise<SavedPlan> =>
  ask(() => api.GET('/api/v1/plans/{id}', { params: { path: { id } } }));

/**
 * The week that a request gives, in brief.
 * @param open Keys of lines of which everything is wanted.
 */
export const rebuilt = (request: RebuildRequest, open: number[] = []): Promise<RebuiltWeek> =>
  ask(() => api.POST('/api/v1/rebuild/brief', { params: { query: { open } }, body: request }));

/** What is known of lines of the week that a request gives. */
export const openedLines = (request: RebuildRequest, lines: number[]): Promise<OpenedLine[]> =>
  ask(() => api.POST('/api/v1/rebuild/lines', { body: { request, lines } }));

/** The candidates of a line with all that is known of them. */
export const candidatesOf = async (request: RebuildRequest, line: number): Promise<Candidate[]> =>
  (await ask(() => api.POST('/api/v1/rebuild/candidates', { body: { request, lines: [line] } })))[0]
    ?.candidates ?? [];

/**
 * The plan that decisions about it give, with what it is built from then.
 * @param has What the caller has of it: lines that did not change are not sent again; of those that are open everything is.
 */
export const decided = (
  request: RebuildRequest,
  standing: StandingLine[],
  decisions: PlanCommand[],
  has: { seen?: SeenLine[]; open?: number[] } = {},
): Promise<DecidedPlan> =>
  ask(() => api.POST('/api/v1/decisions', { body: { request, standing, decisions, ...has } }));

/** What has changed since a plan was made. */
export const driftOf = (id: number): Promise<PlanDrifted> =>
  ask(() => api.GET('/api/v1/plans/{id}/drift', { params: { path: { id } } }));

/** A new plan of a client for a place and a gym week. */
export const planAdded = (
  clientId: number,
  plan: { title: string; placeId: number | null; gymWeekId: number | null; request: RebuildRequest },
): Promise<SavedPlan> =>
  ask(() => api.POST('/api/v1/clients/{clientId}/plans', { params: { path: { clientId } }, body: plan }));

/** A new version of a plan, written over the revision that was seen. */
export const versionAdded = (
  plan: SavedPlan,
  revision: number,
  title: string,
  request: RebuildRequest,
): Promise<SavedPlan> =>
  ask(() =>
    api.POST('/api/v1/plans/{id}/versions', {
      params: { path: { id: plan.id } },
      body: { revision, title, note: '', request },
    }),
  );

/** The version before, or the one after. */
export function moved(plan: SavedPlan, way: 'undo' | 'redo'): Promise<SavedPlan> {
  const call = { params: { path: { id: plan.id } }, body: { revision: plan.revision } };
  return ask(() =>
    way === 'undo' ? api.POST('/api/v1/plans/{id}/undo', call) : api.POST('/api/v1/plans/{id}/redo', call),
  );
}
