import createClient from 'openapi-fetch';
import { session } from '../session.svelte';
import { Problem } from './problem';
import type { paths } from './schema';

export const api = createClient<paths>({ baseUrl: '' });

api.use({
  onRequest({ request }) {
    if (request.method !== 'GET') request.headers.set('X-Ingegno-Token', session.token);
    return request;
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
    else if (attempt < 1 && problem.code === 'antiforgery') await session.refresh();
    else throw problem;
  }
}
