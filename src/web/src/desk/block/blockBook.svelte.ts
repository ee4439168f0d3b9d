import { api, ask } from '../api/client';
import type { BlockCell, BlockEdit, BlockSetup, BlockView, SavedPlan } from '../../shared/api/types';
import { toasts } from '../toasts.svelte';
import { conflictOf } from '../ui/saving';
import { History } from '../ui/history.svelte';
import { changeInWords, changesOf, rowsOf, withEdit, withLighter, withoutEdit } from './cells';

/** The block of a plan: its table, what is set in it, and how it goes into the plan. */
export class BlockBook {
  plan = $state.raw<SavedPlan | null>(null);
  view = $state.raw<BlockView | null>(null);
  /** Cells that the last change moved, with what they were. */
  was = $state.raw<Record<string, string>>({});
  busy = $state(false);
  readonly history = new History<BlockSetup>();
  #turn: Promise<boolean> = Promise.resolve(true);

  readonly kept = $derived(this.view?.kept ?? null);
  readonly setup = $derived(this.kept?.value.setup ?? null);
  readonly weeks = $derived(this.kept?.value.block.weeks ?? []);
  readonly rows = $derived(rowsOf(this.weeks));
  readonly thisWeek = $derived(this.view?.thisWeek ?? 1);
  /** An older block is looked at, not changed. */
  readonly newest = $derived(this.kept?.id === this.view?.all[0]?.id);

  constructor(readonly id: number) {}

  async load(block?: number): Promise<SavedPlan> {
    const params = { params: { path: { planId: this.id }, query: block ? { block } : {} } };
    const [plan, view] = await Promise.all([
      ask(() => api.GET('/api/v1/plans/{id}', { params: { path: { id: this.id } } })),
      ask(() => api.GET('/api/v1/plans/{planId}/block', params)),
    ]);
    [this.plan, this.view, this.was] = [plan, view, {}];
    this.history.clear();
    return plan;
  }

  /** A week can be changed while it runs or is to come. */
  open(week: number): boolean {
    return this.newest && week >= this.thisWeek;
  }

  async begin(setup: BlockSetup): Promise<boolean> {
    return this.#busily(async () => {
      this.view = await ask(() =>
        api.POST('/api/v1/plans/{planId}/blocks', {
          params: { path: { planId: this.id } },
          body: { setup },
        }),
      );
      [this.was] = [{}];
      this.history.clear();
      toasts.done('The block stands. Its first week goes into the plan when you take it.');
    });
  }

  async set(edit: BlockEdit): Promise<void> {
    await this.change((setup) => withEdit(setup, edit), edit.week);
  }

  async clear(week: number, cell: BlockCell): Promise<void> {
    if (cell.setByCoach) await this.change((setup) => withoutEdit(setup, week, cell), week);
  }

  async lighter(week: number): Promise<void> {
    if (this.open(week)) await this.change((setup) => withLighter(setup, week), week);
  }

  /** Keeps a changed set-up; later weeks follow. */
  change(to: (now: BlockSetup) => BlockSetup | undefined, week?: number, remember = true): Promise<boolean> {
    return this.#busily(async () => {
      const { kept, weeks: before } = this;
      const value = kept && to(kept.value.setup);
      if (!kept || !value) return;
      this.view = await ask(() =>
        api.PUT('/api/v1/plans/{planId}/blocks/{blockId}', {
          params: { path: { planId: this.id, blockId: kept.id } },
          body: { revision: kept.revision, value },
        }),
      );
      if (remember) this.history.remember(kept.value.setup);
      this.was = changesOf(before, this.weeks);
      if (week) toasts.done(changeInWords(week, this.was), () => void this.undo());
    });
  }

  undo(): Promise<boolean> {
    return this.change((now) => this.history.undo(now), undefined, false);
  }

  redo(): Promise<boolean> {
    return this.change((now) => this.history.redo(now), undefined, false);
  }

  /** Takes a week into the plan: a new version of it. */
  async take(week: number): Promise<void> {
    await this.#busily(async () => {
      const { kept, plan } = this;
      if (!kept || !plan) return;
      const taken = await ask(() =>
        api.POST('/api/v1/plans/{planId}/blocks/{blockId}/take', {
          params: { path: { planId: this.id, blockId: kept.id } },
          body: { week, planRevision: plan.revision },
        }),
      );
      await this.load();
      toasts.done(`Week ${week} is version ${taken.value.version} of the plan.`, () => void this.#takeBack());
    });
  }

  /** Ends the block; it can be brought back. */
  async end(): Promise<void> {
    const { kept } = this;
    if (!kept) return;
    const params = { params: { path: { planId: this.id, blockId: kept.id } } };
    await this.#busily(async () => {
      await ask(() => api.DELETE('/api/v1/plans/{planId}/blocks/{blockId}', params));
      await this.load();
      toasts.done('The block is ended. The plan stays as it is.', () => {
        void this.#busily(async () => {
          await ask(() => api.POST('/api/v1/plans/{planId}/blocks/{blockId}/restore', params));
          await this.load();
        });
      });
    });
  }

  async #takeBack(): Promise<void> {
    await this.#busily(async () => {
      const { plan } = this;
      if (!plan) return;
      await ask(() =>
        api.POST('/api/v1/plans/{id}/undo', {
          params: { path: { id: this.id } },
          body: { revision: plan.revision },
        }),
      );
      await this.load();
    });
  }

  /** One thing after the other, in the order they were asked for. */
  #busily(what: () => Promise<void>): Promise<boolean> {
    this.#turn = this.#turn.then(async () => {
      this.busy = true;
      try {
        await what();
        return true;
      } catch (error) {
        if (conflictOf(error)) {
          await this.load().catch((again: unknown) => toasts.problem(again));
          toasts.problem(
            'It was changed elsewhere meanwhile; what stands now is shown. Look at it and try again.',
          );
        } else toasts.problem(error);
        return false;
      } finally {
        this.busy = false;
      }
    });
    return this.#turn;
  }
}
