import { api, ask } from '../api/client';
import { Problem } from '../api/problem';
import type { Exercise, SavedExercise } from '../api/types';
import { conflictOf } from '../ui/saving';
import { keyOf } from './keyOf';

/** The exercises of a practice's own, and the one that is being written. */
export class OwnExercises {
  list = $state.raw<SavedExercise[]>([]);
  draft = $state<Exercise | null>(null);
  faults = $state<string[]>([]);
  busy = $state(false);
  conflict = $state<SavedExercise | null>(null);
  /** What is being changed; null when it is new. */
  present = $state.raw<SavedExercise | null>(null);
  /** The draft is a new exercise, whose key follows its name. */
  fresh = $state(false);

  async load(): Promise<void> {
    this.list = await ask(() => api.GET('/api/v1/own-exercises'));
  }

  find(id: string): SavedExercise | undefined {
    return this.list.find((e) => e.value.id === id);
  }

  /** A new exercise, with another as its pattern. */
  startFrom(exercise: Exercise): void {
    this.#start(
      { ...structuredClone(exercise), name: '', synonyms: [], easier: null, harder: null },
      null,
      true,
    );
  }

  /** Changes an exercise for this practice: its own, or one that ships. */
  change(exercise: Exercise): void {
    const own = this.find(exercise.id);
    this.#start(structuredClone(own?.value ?? exercise), own ?? null, false);
  }

  close(): void {
    [this.draft, this.present, this.conflict, this.faults] = [null, null, null, []];
  }

  /** Saves the draft; its id when that went well. */
  async save(revision = this.present?.revision): Promise<string | null> {
    const { draft, present } = this;
    if (!draft || this.busy) return null;
    this.busy = true;
    this.faults = [];
    try {
      const value = $state.snapshot(draft) as Exercise;
      if (this.fresh) value.id = keyOf(value.name);
      await ask(() =>
        present
          ? api.PUT('/api/v1/own-exercises/{id}', {
              params: { path: { id: present.id } },
              body: { revision: revision ?? present.revision, value },
            })
          : api.POST('/api/v1/own-exercises', { body: value }),
      );
      await this.load();
      this.close();
      return value.id;
    } catch (error) {
      this.conflict = conflictOf<SavedExercise>(error) ?? null;
      if (!this.conflict)
        this.faults =
          error instanceof Problem && Object.keys(error.fields).length > 0
            ? Object.values(error.fields).flat()
            : [error instanceof Error ? error.message : String(error)];
      return null;
    } finally {
      this.busy = false;
    }
  }

  async remove(own: SavedExercise): Promise<void> {
    await ask(() => api.DELETE('/api/v1/own-exercises/{id}', { params: { path: { id: own.id } } }));
    await this.load();
  }

  /** Brings back what was removed. */
  async restore(own: SavedExercise): Promise<void> {
    await ask(() => api.POST('/api/v1/own-exercises', { body: own.value }));
    await this.load();
  }

  #start(draft: Exercise, present: SavedExercise | null, fresh: boolean): void {
    this.close();
    [this.draft, this.present, this.fresh] = [draft, present, fresh];
  }
}
