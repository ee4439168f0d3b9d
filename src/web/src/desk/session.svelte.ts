import { Problem } from './api/problem';
import type { SessionState } from '../shared/api/types';

/** Who is signed in. Plain fetch, because the typed client itself rests on this. */
class Session {
  coach = $state<SessionState['coach']>(null);
  needsFirstCoach = $state(false);
  /** Which Ingegno this is; empty until somebody has signed in. */
  version = $state('');
  ready = $state(false);
  /** True while somebody has to sign in again without leaving the screen. */
  expired = $state(false);
  token = '';
  /** Whose page this is, for its whole life; null until somebody has signed in. Its calls say so. */
  owner: string | null = null;

  #waiting: (() => void)[] = [];

  async refresh(): Promise<void> {
    const response = await this.#send('GET', '/api/v1/session');
    const state = (await response.json()) as SessionState;
    // Somebody else has signed in, in another tab: the screens and drafts here are not theirs.
    if (this.owner !== null && state.coach && state.coach.key !== this.owner) return this.throwAway();
    this.owner ??= state.coach?.key ?? null;
    this.coach = state.coach ?? null;
    this.needsFirstCoach = state.needsFirstCoach;
    this.version = state.version ?? '';
    this.token = state.token;
    this.ready = true;
  }

  async signIn(email: string, password: string, code?: string): Promise<void> {
    await this.#enter('/api/v1/session', { email, password, ...(code ? { code } : {}) });
  }

  async createFirstCoach(name: string, email: string, password: string, setupCode: string): Promise<void> {
    await this.#enter('/api/v1/first-coach', { name, email, password, setupCode });
  }

  /** Ends the session, here and in every tab of this browser; the page is thrown away. */
  async signOut(last: () => Promise<void> = () => Promise.resolve()): Promise<void> {
    await this.#send('DELETE', '/api/v1/session');
    await last();
    tabs?.postMessage({ signedOut: this.owner });
    location.assign('/');
  }

  /** The page goes, for it belongs to somebody else than who is signed in. What was typed is kept under its own coach. */
  throwAway(): Promise<never> {
    location.assign('/');
    return new Promise(() => undefined);
  }

  /** The coach has signed out in another tab: nothing of this page stays to be read. */
  signedOutElsewhere(owner: string | null): void {
    if (owner !== null && owner === this.owner) location.assign('/');
  }

  /** Resolves once the coach has signed in again in the dialog that this opens. */
  signInAgain(): Promise<void> {
    this.expired = true;
    return new Promise((resolve) => this.#waiting.push(resolve));
  }

  async #enter(path: string, body: object): Promise<void> {
    // The token belongs to whoever asked for it, so it is fetched anew before and after.
    await this.refresh();
    await this.#send('POST', path, body);
    await this.refresh();
    this.expired = false;
    for (const resolve of this.#waiting.splice(0)) resolve();
  }

  async #send(method: string, path: string, body?: object): Promise<Response> {
    let response: Response;
    try {
      response = await fetch(path, {
        method,
        headers: { 'Content-Type': 'application/json', 'X-Ingegno-Token': this.token },
        cache: 'no-store',
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

/** All tabs of this browser. */
const tabs = globalThis.BroadcastChannel ? new BroadcastChannel('ingegno-session') : null;
tabs?.addEventListener('message', (event: MessageEvent<{ signedOut?: string | null }>) =>
  session.signedOutElsewhere(event.data.signedOut ?? null),
);
// A page that comes back as it was left may be somebody else's by now.
globalThis.addEventListener?.('pageshow', (event) => {
  if ((event as PageTransitionEvent).persisted) location.reload();
});
