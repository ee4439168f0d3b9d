import { api, ask } from '../api/client';
import type { Approach } from '../../shared/api/types';
import { OwnDrafts } from '../ui/ownDrafts.svelte';

/** The approaches of a practice's own, and the one that is being written. */
export class OwnApproaches extends OwnDrafts<Approach> {
  constructor() {
    super('own-approach', {
      list: () => ask(() => api.GET('/api/v1/own-approaches')),
      add: (body) => ask(() => api.POST('/api/v1/own-approaches', { body })),
      update: (id, revision, value) =>
        ask(() =>
          api.PUT('/api/v1/own-approaches/{id}', { params: { path: { id } }, body: { revision, value } }),
        ),
      remove: (id) => ask(() => api.DELETE('/api/v1/own-approaches/{id}', { params: { path: { id } } })),
    });
  }

  /** A copy of an approach, to be named and changed. */
  copy(approach: Approach): void {
    this.begin({ ...structuredClone(approach), name: `${approach.name}, ours` }, null, true);
  }
}
