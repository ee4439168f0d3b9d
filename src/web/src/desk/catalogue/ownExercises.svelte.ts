import { api, ask } from '../api/client';
import type { Exercise } from '../../shared/api/types';
import { OwnDrafts } from '../ui/ownDrafts.svelte';

/** The exercises of a practice's own, and the one that is being written. */
export class OwnExercises extends OwnDrafts<Exercise> {
  constructor() {
    super('own-exercise', {
      list: () => ask(() => api.GET('/api/v1/own-exercises')),
      add: (body) => ask(() => api.POST('/api/v1/own-exercises', { body })),
      update: (id, revision, value) =>
        ask(() =>
          api.PUT('/api/v1/own-exercises/{id}', { params: { path: { id } }, body: { revision, value } }),
        ),
      remove: (id) => ask(() => api.DELETE('/api/v1/own-exercises/{id}', { params: { path: { id } } })),
    });
  }

  /** A new exercise, with another as its pattern. */
  startFrom(exercise: Exercise): void {
    this.begin(
      {
        ...structuredClone(exercise),
        name: '',
        synonyms: [],
        easier: null,
        harder: null,
        // It looks like the one it is made from.
        figure: exercise.figure ?? exercise.id,
      },
      null,
      true,
    );
  }
}
