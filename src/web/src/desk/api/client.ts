import createClient from 'openapi-fetch';
import { session } from '../session.svelte';
import { SentPosts } from './idempotencyKey';
import { Problem } from './problem';
import type { paths } from '../../shared/api/schema';

const sent = new SentPosts();

/**
 * The body that was written last. The middleware below runs in the same breath, so it is that of its request; reading the request itself
 * would turn its body into a stream.
 */
let written = '';

export const api = createClient<paths>({
  baseUrl: '',
  bodySerializer: (body: unknown) => (written = JSON.stringify(body)),
});

api.use({
  onRequest({ request }) {
    const body = written;
    written = '';
    if (session.owner !== null) request.headers.set('X-Ingegno-Coach', session.owner);
    if (request.method !== 'GET') request.headers.set('X-Ingegno-Token', session.token);
    if (request.method === 'POST') request.headers.set('Idempotency-Key', sent.keyOf(request.url, body));
    return request;
  },
  onResponse({ request, response }) {
    if (request.method === 'POST' && response.status < 500)
      sent.answered(request.headers.get('Idempotency-Key'));
  },
});

interface Answer<T> {
  data?: T;
  error?: unknown;
  response: Response;
}

/**
 * Runs a call and returns its data, or throws a {@link Problem}. A session that ended is asked for again in place, and
 * a page token that grew old is renewed; in both cases the call is then repeated, so nothing typed is lost.
 */
export async function ask<T>(call: () => Promise<Answer<T>>): Promise<T> {
  for (let attempt = 0; ; attempt++) {
    let answer: Answer<T>;
    try {
      answer = await call();
    } catch {
      throw Problem.unreachable();
    }

    if (answer.response.ok) return answer.data as T;
    const problem = Problem.from(answer.response.status, answer.error);
    if (attempt < 2 && problem.code === 'signed-out') await session.signInAgain();
    else if (problem.code === 'other-coach') return session.throwAway();
    else if (attempt < 1 && problem.code === 'antiforgery') {
      await session.refresh();
      // Signed out in another tab: whoever signs in here must be the same.
      if (session.owner !== null && session.coach === null) await session.signInAgain();
    } else throw problem;
  }
}
