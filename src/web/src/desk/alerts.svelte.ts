import { api, ask } from './api/client';
import type { AlertToAnswer } from '../shared/api/types';

/** How often it is asked for new ones while a screen is open, ms. */
const every = 60_000;

/** Signs of danger that clients told of and nobody has answered: they stand above every screen. */
class Alerts {
  open = $state<AlertToAnswer[]>([]);
  /** They could not be asked for: nobody may think that there are none. */
  unknown = $state(false);
  #timer: ReturnType<typeof setInterval> | undefined;

  /** Looks now, and again and again until it is told to end. */
  watch(): () => void {
    void this.look();
    const back = (): void => void (document.visibilityState === 'visible' && this.look());
    this.#timer = setInterval(() => void this.look(), every);
    document.addEventListener('visibilitychange', back);
    return () => {
      clearInterval(this.#timer);
      document.removeEventListener('visibilitychange', back);
      this.open = [];
    };
  }

  async look(): Promise<void> {
    try {
      this.open = await ask(() => api.GET('/api/v1/alerts'));
      this.unknown = false;
    } catch {
      this.unknown = true;
    }
  }

  async answer(id: number, text: string): Promise<void> {
    await ask(() => api.POST('/api/v1/alerts/{id}/answer', { params: { path: { id } }, body: { text } }));
    this.open = this.open.filter((a) => a.id !== id);
    await this.look();
  }
}

export const alerts = new Alerts();
