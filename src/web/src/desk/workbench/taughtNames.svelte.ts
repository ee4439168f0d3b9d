import { api, ask } from '../api/client';
import type { SavedTaughtName } from '../../shared/api/types';
import { toasts } from '../toasts.svelte';

/** Names that the practice taught: what its coaches call an exercise. */
export class TaughtNames {
  list = $state.raw<SavedTaughtName[]>([]);

  async load(): Promise<void> {
    this.list = await ask(() => api.GET('/api/v1/taught-names'));
  }

  /** Says what a name means from now on; a name that was taught before gets its new meaning. */
  async teach(name: string, exerciseId: string): Promise<boolean> {
    const known = this.list.find((n) => n.value.name.toLowerCase() === name.toLowerCase());
    const value = { name, exerciseId };
    try {
      if (known) {
        await ask(() =>
          api.PUT('/api/v1/taught-names/{id}', {
            params: { path: { id: known.id } },
            body: { revision: known.revision, value },
          }),
        );
      } else {
        await ask(() => api.POST('/api/v1/taught-names', { body: value }));
      }

      await this.load();
      return true;
    } catch (error) {
      toasts.problem(error);
      return false;
    }
  }

  async forget(id: number): Promise<void> {
    try {
      await ask(() => api.DELETE('/api/v1/taught-names/{id}', { params: { path: { id } } }));
      await this.load();
    } catch (error) {
      toasts.problem(error);
    }
  }
}
