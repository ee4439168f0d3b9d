import type {
  ClientAppSession,
  NewClientAppMessage,
  ClientAppContent,
  ReleaseFigure,
  SessionToTakeOver,
  StopSignTapped,
  TrainingDays,
} from '../types';

/** How a call to the server ended. */
export type Answer<T> =
  | { kind: 'done'; value: T; tag?: string }
  /** Nothing has changed since the answer with that tag. */
  | { kind: 'same' }
  /** No net, or a server that cannot answer now: worth another try. */
  | { kind: 'later' }
  /** The link has ended, in the server's own words: its plans are erased; what was not delivered stays. */
  | { kind: 'ended' }
  /** The link opens nothing here. */
  | { kind: 'unknown' }
  /** The server will never take it; why, in its words. */
  | { kind: 'refused'; why: string };

/** Answers after which the same may be taken another time. */
const passing = new Set([401, 403, 408, 409, 410, 425, 429]);

const isContent = (value: unknown): value is ClientAppContent => {
  const content = value as Partial<ClientAppContent> | null;
  return (
    typeof content?.coach === 'string' &&
    Array.isArray(content.releases) &&
    content.releases.every((r) => Array.isArray(r?.release?.days)) &&
    Array.isArray(content.sessions) &&
    Array.isArray(content.notes)
  );
};

/** The content as this version knows it: one that an earlier version kept has no stop signs. */
export const whole = (content: ClientAppContent): ClientAppContent => ({
  ...{ stopSigns: [], answers: [] },
  ...content,
});

/** Talks to the server with the secret of a link. */
export class Server {
  constructor(
    private readonly secret: string,
    private readonly ask: typeof fetch = (input, init) => fetch(input, init),
    /** A coach looks on: it counts as nothing. */
    private readonly preview = false,
  ) {}

  async content(tag?: string | null): Promise<Answer<ClientAppContent>> {
    const answer = await this.call<ClientAppContent>('GET', '', undefined, tag);
    // A page that some box between puts in place of the answer must not become the plan.
    if (answer.kind !== 'done') return answer;
    return isContent(answer.value) ? { ...answer, value: whole(answer.value) } : { kind: 'later' };
  }

  /** A session that runs on another phone. */
  session(key: string): Promise<Answer<SessionToTakeOver>> {
    return this.call('GET', `/sessions/${key}`);
  }

  keep(session: ClientAppSession): Promise<Answer<{ revision: number }>> {
    return this.call('PUT', `/sessions/${session.key}`, { ...session, sentAt: localIso(Date.now()) });
  }

  say(note: NewClientAppMessage): Promise<Answer<unknown>> {
    return this.call('POST', '/notes', note);
  }

  tap(tapped: StopSignTapped): Promise<Answer<unknown>> {
    return this.call('POST', '/stop-signs', tapped);
  }

  async figures(tag?: string | null): Promise<Answer<ReleaseFigure[]>> {
    const answer = await this.call<ReleaseFigure[]>('GET', '/figures', undefined, tag);
    return answer.kind === 'done' && !Array.isArray(answer.value) ? { kind: 'later' } : answer;
  }

  days(): Promise<Answer<TrainingDays>> {
    return this.call('GET', '/days');
  }

  choose(times: TrainingDays['times']): Promise<Answer<TrainingDays>> {
    return this.call('PUT', '/days', { times });
  }

  private async call<T>(
    method: string,
    path: string,
    body?: unknown,
    tag?: string | null,
  ): Promise<Answer<T>> {
    let answer: Response;
    try {
      answer = await this.ask(`/api/v1/training${path}`, {
        method,
        headers: {
          'X-Ingegno-Link': this.secret,
          ...(body === undefined ? {} : { 'Content-Type': 'application/json' }),
          ...(tag ? { 'If-None-Match': tag } : {}),
          ...(this.preview ? { 'X-Ingegno-Preview': '1' } : {}),
        },
        body: body === undefined ? undefined : JSON.stringify(body),
        credentials: 'omit',
        referrerPolicy: 'no-referrer',
        cache: 'no-store',
      });
      if (answer.status === 304) return { kind: 'same' };
      if (answer.status === 204) return { kind: 'done', value: null as T };
      if (answer.ok) {
        const value = (await answer.json()) as T;
        const told = answer.headers.get('ETag');
        return told ? { kind: 'done', value, tag: told } : { kind: 'done', value };
      }
    } catch {
      return { kind: 'later' };
    }

    // Only the server's own word ends a link, or says that there is none: a box between says 410 and 401 for reasons of its own.
    const problem = (await answer.json().catch(() => null)) as { detail?: string; code?: string } | null;
    if (problem?.code === 'link-ended') return { kind: 'ended' };
    if (problem?.code === 'no-such-link') return { kind: 'unknown' };
    if (!problem?.code || passing.has(answer.status) || answer.status >= 500) return { kind: 'later' };
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
