import type { FloorSession, NewPhoneNote, PhoneContent, ReleaseFigure, TrainingDays } from '../types';

/** How a call to the server ended. */
export type Answer<T> =
  | { kind: 'done'; value: T }
  /** No net, or a server that cannot answer now: worth another try. */
  | { kind: 'later' }
  /** The link has ended: what the phone keeps is erased. */
  | { kind: 'ended' }
  /** The link opens nothing here. */
  | { kind: 'unknown' }
  /** The server will never take it; why, in its words. */
  | { kind: 'refused'; why: string };

/** Talks to the server with the secret of a link. */
export class Server {
  constructor(
    private readonly secret: string,
    private readonly ask: typeof fetch = (input, init) => fetch(input, init),
  ) {}

  content(): Promise<Answer<PhoneContent>> {
    return this.call('GET', '');
  }

  keep(session: FloorSession): Promise<Answer<unknown>> {
    return this.call('PUT', `/sessions/${session.key}`, { ...session, sentAt: localIso(Date.now()) });
  }

  say(note: NewPhoneNote): Promise<Answer<unknown>> {
    return this.call('POST', '/notes', note);
  }

  figures(): Promise<Answer<ReleaseFigure[]>> {
    return this.call('GET', '/figures');
  }

  days(): Promise<Answer<TrainingDays>> {
    return this.call('GET', '/days');
  }

  choose(times: TrainingDays['times']): Promise<Answer<TrainingDays>> {
    return this.call('PUT', '/days', { times });
  }

  private async call<T>(method: string, path: string, body?: unknown): Promise<Answer<T>> {
    let answer: Response;
    try {
      answer = await this.ask(`/api/v1/training${path}`, {
        method,
        headers: {
          'X-Ingegno-Link': this.secret,
          ...(body === undefined ? {} : { 'Content-Type': 'application/json' }),
        },
        body: body === undefined ? undefined : JSON.stringify(body),
        credentials: 'omit',
        referrerPolicy: 'no-referrer',
        cache: 'no-store',
      });
      if (answer.ok) return { kind: 'done', value: (await answer.json()) as T };
    } catch {
      return { kind: 'later' };
    }

    if (answer.status === 410) return { kind: 'ended' };
    if (answer.status === 401) return { kind: 'unknown' };
    if (answer.status === 429 || answer.status >= 500) return { kind: 'later' };
    const problem = (await answer.json().catch(() => null)) as { detail?: string } | null;
    return { kind: 'refused', why: problem?.detail ?? `The server answered ${answer.status}.` };
  }
}

/** A moment with the offset of the phone: 2026-11-26T18:04:00+01:00. */
export function localIso(at: number): string {
  const offset = -new Date(at).getTimezoneOffset();
  const two = (n: number): string => String(Math.floor(Math.abs(n))).padStart(2, '0');
  const local = new Date(at + offset * 60_000).toISOString().slice(0, 19);
  return `${local}${offset < 0 ? '-' : '+'}${two(offset / 60)}:${two(offset % 60)}`;
}
