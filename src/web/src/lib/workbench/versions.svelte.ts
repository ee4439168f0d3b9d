import type { PlanSummary, RebuildRequest, SavedPlan } from '../api/types';
import { toasts } from '../toasts.svelte';
import { conflictOf } from '../ui/saving';
import { moved, planAdded, plansOf, versionAdded } from './plans';

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

  readonly canUndo = $derived(this.plan?.value.canUndo ?? false);
  readonly canRedo = $derived(this.plan?.value.canRedo ?? false);

  /** The plan that is kept for a week at a place. */
  of(gymWeekId: number | null, placeId: number | null): PlanSummary | undefined {
    return this.all.find((p) => p.gymWeekId === gymWeekId && p.placeId === placeId);
  }

  /** Saves a new plan, or a new version of the open one over the revision that was seen; false when it could not be. */
  async save({ clientId, ...plan }: ToSave, revision = this.plan?.revision): Promise<boolean> {
    try {
      this.plan = this.plan
        ? await versionAdded(
            this.plan,
            revision ?? this.plan.revision,
            this.plan.value.document.title,
            plan.request,
          )
        : await planAdded(clientId, plan);
      this.conflict = null;
      this.all = await plansOf(clientId);
      toasts.done(`Saved as version ${this.plan.value.version}.`);
      return true;
    } catch (error) {
      this.#refused(error);
      return false;
    }
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
