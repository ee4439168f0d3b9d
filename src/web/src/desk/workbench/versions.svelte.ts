import type { PlanDrifted, PlanSummary, RebuildRequest, SavedPlan } from '../../shared/api/types';
import { toasts } from '../toasts.svelte';
import { conflictOf } from '../ui/saving';
import { driftOf, moved, planAdded, plansOf, versionAdded } from './plans';

/** What a plan is saved with. */
export interface ToSave {
  clientId: number;
  title: string;
  placeId: number | null;
  gymWeekId: number | null;
  request: RebuildRequest;
}

/** The saved plans of a client and the one that is open, in its versions. */
export class Versions {
  all = $state<PlanSummary[]>([]);
  plan = $state<SavedPlan | null>(null);
  /** What somebody else saved meanwhile. */
  conflict = $state<SavedPlan | null>(null);

  /** Plans by their key, as they were seen last. */
  #seen: Record<number, SavedPlan> = {};

  /** What has changed since the open plan was made. */
  drift = $state.raw<PlanDrifted | null>(null);

  readonly canUndo = $derived(this.plan?.value.canUndo ?? false);
  readonly canRedo = $derived(this.plan?.value.canRedo ?? false);

  /** The plan that is kept for a week at a place. */
  of(gymWeekId: number | null, placeId: number | null): PlanSummary | undefined {
    return this.all.find((p) => p.gymWeekId === gymWeekId && p.placeId === placeId);
  }

  /** The newest state of a plan that was seen here. */
  newest(plan: SavedPlan | null): SavedPlan | null {
    return plan && (this.#seen[plan.id] ?? plan);
  }

  /** The plan of a week at a place as it was seen here last; null when none was. */
  seenAt(gymWeekId: number | null, placeId: number | null): SavedPlan | null {
    return this.#seen[this.of(gymWeekId, placeId)?.id ?? 0] ?? null;
  }

  /** Opens a plan, or none. */
  show(plan: SavedPlan | null): void {
    this.plan = plan;
    this.drift = null;
    if (!plan) return;
    this.#seen[plan.id] = plan;
    driftOf(plan.id).then(
      (drift) => this.plan?.id === plan.id && this.plan.revision === plan.revision && (this.drift = drift),
      () => undefined, // It is a hint; whatever is wrong shows where it matters.
    );
  }

  /** Saves a new plan, or a new version of the open one over the revision that was seen. */
  async save({ clientId, ...plan }: ToSave, revision: number | null): Promise<SavedPlan> {
    const saved = this.plan
      ? await versionAdded(
          this.plan,
          revision ?? this.plan.revision,
          this.plan.value.document.title,
          plan.request,
        )
      : await planAdded(clientId, plan);
    this.show(saved);
    this.conflict = null;
    this.all = await plansOf(clientId);
    return saved;
  }

  /** The version before or after; null when it could not be had. */
  async move(way: 'undo' | 'redo'): Promise<SavedPlan | null> {
    if (!this.plan) return null;
    try {
      return await moved(this.plan, way);
    } catch (error) {
      this.#refused(error);
      return null;
    }
  }

  #refused(error: unknown): void {
    this.conflict = conflictOf<SavedPlan>(error) ?? null;
    if (!this.conflict) toasts.problem(error);
  }
}
