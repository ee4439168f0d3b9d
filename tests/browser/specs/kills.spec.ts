import { request, type APIRequestContext } from '@playwright/test';
import { randomUUID } from 'node:crypto';
import { demoCoach, Server } from '../support/server.ts';
import { expect, test } from '../support/fixtures.ts';

/** How often the server is killed; a long run: INGEGNO_KILLS=30. */
const kills = Number(process.env.INGEGNO_KILLS ?? 4);

/** A post with its key; what it made once an answer came. */
interface Post {
  path: string;
  body: object;
  key: string;
  /** Secret of the link of a phone; what a phone sends is put. */
  link?: string;
  made?: unknown;
}

test('a server that is killed while logs, plans, clients and phones come in loses none and doubles none', async () => {
  test.setTimeout(60_000 + kills * 75_000);
  const server = new Server(true);
  await server.start();
  const api = await request.newContext({ baseURL: server.url });
  try {
    await api.post('/api/v1/session', {
      data: demoCoach,
      headers: { 'X-Ingegno-Token': await token(api) },
    });
    const [row, other] = (await read<{ id: number; planId: number | null }[]>(api, '/api/v1/clients')).filter(
      (client) => client.planId !== null,
    );
    const planned = other?.id ?? 0;
    const planId = row?.planId ?? 0;
    const clientId = row?.id ?? 0;
    const plan = await read<{
      value: { version: number; document: { request: object; plan: { lines: Line[] } } };
    }>(api, `/api/v1/plans/${planId}`);
    const line = plan.value.document.plan.lines.find((l) => l.chosen);
    const file = (await (await api.get(`/api/v1/clients/${clientId}/export.json`)).body()).toString('base64');
    const released = await api.post(`/api/v1/plans/${planId}/releases`, {
      data: { version: plan.value.version },
      headers: { 'X-Ingegno-Token': await token(api) },
    });
    const phone = (await released.json()) as { release: { id: number }; link: { address: string } };
    const link = phone.link.address.split('#')[1] ?? '';
    const before = await standing(api, planId, clientId, planned);

    const posts: Post[] = [];
    const another = (): Post => {
      const [n, key] = [posts.length, randomUUID()];
      const day = new Date(Date.now() - (1 + (n % 200)) * 86_400_000).toISOString().slice(0, 10);
      const session = {
        planVersion: plan.value.version,
        performedOn: day,
        note: `post ${n}`,
        exercises: [
          { line: line?.gym.key, exerciseId: line?.chosen?.exercises[0]?.exerciseId, sets: [{ reps: 8 }] },
        ],
      };
      const done = [
        { line: line?.gym.key, exerciseId: line?.chosen?.exercises[0]?.exerciseId, sets: [{ reps: 8 }] },
      ];
      const floor = {
        ...{ key: `phone-${key}`, revision: 1, release: phone.release.id, day: 0, finished: true },
        ...{ startedAt: new Date().toISOString(), sentAt: new Date().toISOString(), exercises: done },
      };
      const post: Post =
        n % 5 === 0
          ? { path: `/api/v1/training/sessions/phone-${key}`, body: floor, key, link }
          : n % 5 === 1
            ? { path: '/api/v1/clients/import', body: { content: file }, key }
            : n % 5 === 2
              ? {
                  path: `/api/v1/clients/${planned}/plans`,
                  body: { title: `Plan ${n}`, request: plan.value.document.request },
                  key,
                }
              : { path: `/api/v1/plans/${planId}/sessions`, body: { session, sure: true }, key };
      posts.push(post);
      return post;
    };

    for (let kill = 0; kill < kills; kill++) {
      const stop = { at: false };
      const sending = (async () => {
        const page = await token(api);
        while (!stop.at) await send(api, page, another()).catch(() => undefined);
      })();
      await new Promise((resolve) => setTimeout(resolve, 300 + ((kill * 379) % 1_500)));
      await server.kill();
      stop.at = true;
      await sending;
      await server.start();
      const page = await token(api);
      // Whoever got no answer asks again, under the same key.
      for (const post of posts.filter((p) => p.made === undefined)) await send(api, page, post);
    }

    const after = await standing(api, planId, clientId, planned);
    const sent = (part: string): number => posts.filter((post) => post.path.endsWith(part)).length;
    expect(posts.length).toBeGreaterThan(kills);
    expect(posts.every((post) => post.made !== undefined)).toBe(true);
    const phones = posts.filter((post) => post.link).length;
    expect(phones).toBeGreaterThan(0);
    expect(after.sessions).toBe(before.sessions + sent('/sessions') + phones);
    expect(after.plans).toBe(before.plans + sent('/plans'));
    expect(after.clients).toBe(before.clients + sent('/import'));
    expect(after.trained).toBe(after.newestDay);
  } finally {
    await api.dispose();
    await server.dispose();
  }
});

interface Line {
  gym: { key: number };
  chosen: { exercises: { exerciseId: string }[] } | null;
}

async function send(api: APIRequestContext, page: string, post: Post): Promise<void> {
  const options = { data: post.body, timeout: 15_000 };
  const answer = post.link
    ? await api.put(post.path, { ...options, headers: { 'X-Ingegno-Link': post.link } })
    : await api.post(post.path, {
        ...options,
        headers: { 'X-Ingegno-Token': page, 'Idempotency-Key': post.key },
      });
  if (!answer.ok()) throw new Error(`${post.path}: ${answer.status()} ${await answer.text()}`);
  post.made = await answer.json();
}

async function token(api: APIRequestContext): Promise<string> {
  return (await read<{ token: string }>(api, '/api/v1/session')).token;
}

async function read<T>(api: APIRequestContext, path: string): Promise<T> {
  const answer = await api.get(path);
  if (!answer.ok()) throw new Error(`${path}: ${answer.status()} ${await answer.text()}`);
  return (await answer.json()) as T;
}

/** What stands, and what the roster says of the plan that was logged. */
async function standing(api: APIRequestContext, planId: number, clientId: number, planned: number) {
  const sessions = await read<{ value: { performedOn: string } }[]>(api, `/api/v1/plans/${planId}/sessions`);
  const plans = await read<unknown[]>(api, `/api/v1/clients/${planned}/plans`);
  const roster = await read<{ id: number; lastTrained: string | null }[]>(api, '/api/v1/clients');
  return {
    sessions: sessions.length,
    plans: plans.length,
    clients: roster.length,
    trained: roster.find((row) => row.id === clientId)?.lastTrained,
    newestDay: sessions
      .map((session) => session.value.performedOn)
      .toSorted()
      .at(-1),
  };
}
