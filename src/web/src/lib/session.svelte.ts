import { Problem } from './api/problem';
import type { SessionState } from './api/types';

/** Who is signed in. Plain fetch, because the typed client itself rests on this. */
class Session {
  coach = $state<SessionState['coach']>(null);
  needsFirstCoach = $state(false);
  ready = $state(false);
  /** True while somebody has to sign in again without leaving the screen. */
  expired = $state(false);
  token = '';

  #waiting: (() => void)[] = [];

  async refresh(): Promise<void> {
    const response = await this.#send('GET', '/api/v1/session');
    const state = (await response.json()) as SessionState;
    this.coach = state.coach ?? null;
    this.needsFirstCoach = state.needsFirstCoach;
    this.token = state.token;
    this.ready = true;
  }

  async signIn(email: string, password: string, code?: string): Promise<void> {
    await this.#enter('/api/v1/session', { email, password, ...(code ? { code } : {}) });
  }

  async createFirstCoach(name: string, email: string, password: string, setupCode: string): Promise<void> {
    await this.#enter('/api/v1/first-coach', { name, email, password, setupCode });
  }

  async signOut(): Promise<void> {
    await this.#send('DELETE', '/api/v1/session');
    await this.refresh();
  }

  /** Resolves once the coach has signed in again in the dialog that this opens. */
  signInAgain(): Promise<void> {
    this.expired = true;
    return new Promise((resolve) => this.#waiting.push(resolve));
  }

  async #enter(path: string, body: object): Promise<void> {
    // The token belongs to whoever asked for it, so it is fetched anew before and after.
    const before = this.coach?.email;
    await this.refresh();
    await this.#send('POST', path, body);
    await this.refresh();
    // Somebody else than whose session ended: the screen that is open is not theirs.
    if (this.expired && before && before !== this.coach?.email) return location.assign('/');
    this.expired = false;
    for (const resolve of this.#waiting.splice(0)) resolve();
  }

  async #send(method: string, path: string, body?: object): Promise<Response> {
    let response: Response;
    try {
      response = await fetch(path, {
        method,
        headers: { 'Content-Type': 'application/json', 'X-Ingegno-Token': this.token },
        ...(body ? { body: JSON.stringify(body) } : {}),
      });
    } catch {
      throw Problem.unreachable();
    }

    if (!response.ok) throw Problem.from(response.status, await response.json().catch(() => null));
    return response;
  }
}

export const session = new Session();
