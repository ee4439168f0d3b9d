import { api, ask } from '../api/client';
import type { ClientStrength, RebuildRequest, SavedClient } from '../../shared/api/types';
import { toasts } from '../toasts.svelte';
import { conflictOf } from '../ui/saving';

/** What a client leaves out, and what is offered although it is off by default. */
export interface Wishes {
  refuses: string[];
  allows: string[];
}

/** The client at the workbench, with what the logs teach. */
export class OpenClient {
  saved = $state<SavedClient | null>(null);
  taught = $state.raw<ClientStrength>({ lifts: [], costs: [] });

  /** Key of the approach that the client follows. */
  get approach(): string {
    return this.saved?.value.profile.approach ?? 'mirror';
  }

  get wishes(): Wishes {
    const { refuses = [], allows = [] } = $state.snapshot(this.saved?.value.profile) ?? {};
    return { refuses, allows };
  }

  /** The client with what the logs teach of strength and costs. */
  now(): RebuildRequest['client'] {
    if (!this.saved) throw new Error('No client is open.');
    const profile = $state.snapshot(this.saved.value.profile) as RebuildRequest['client'];
    return { ...profile, learned: this.taught.lifts, costs: this.taught.costs };
  }

  /** Stores what the client refuses or is allowed; false when it could not be. */
  async wish(change: Partial<Wishes>): Promise<boolean> {
    const client = this.saved;
    if (!client) return false;
    try {
      const value = $state.snapshot(client.value) as SavedClient['value'];
      Object.assign(value.profile, change);
      this.saved = await ask(() =>
        api.PUT('/api/v1/clients/{id}', {
          params: { path: { id: client.id } },
          body: { revision: client.revision, value },
        }),
      );
      return true;
    } catch (error) {
      const theirs = conflictOf<SavedClient>(error);
      if (theirs) this.saved = theirs;
      toasts.problem(
        theirs ? 'The client was changed elsewhere; its newest state is here now. Try again.' : error,
      );
      return false;
    }
  }
}
