import { devices, type Browser, type BrowserContext, type Page } from '@playwright/test';
import { addClient, expect } from './fixtures.ts';
import type { Server } from './server.ts';

/** Calls the API as the coach of the page. */
export const coach = <T>(page: Page, method: string, path: string, body?: object): Promise<T> =>
  page.evaluate(
    async ({ method, path, body }) => {
      const { token } = (await (await fetch('/api/v1/session')).json()) as { token: string };
      const answer = await fetch(`/api/v1${path}`, {
        method,
        headers: { 'Content-Type': 'application/json', 'X-Ingegno-Token': token },
        body: body ? JSON.stringify(body) : undefined,
      });
      if (!answer.ok) throw new Error(await answer.text());
      return (await answer.json()) as never;
    },
    { method, path, body },
  );

/** A plan of a client of its own: two short days; the address of its link. */
export async function sentPlan(
  page: Page,
  name: string,
  text = '= Day 1\nDumbbell curl 2x8 RIR 2 90 s',
): Promise<Sent> {
  const client = await addClient(page, name, {
    profile: { minutesPerSession: 60 },
    items: [{ id: 'db', kind: 'dumbbell', massKg: 12, count: 2 }],
    text,
  });
  const who = await coach<{ value: { profile: object } }>(page, 'GET', `/clients/${client}`);
  const [place] = await coach<{ id: number; value: object }[]>(page, 'GET', `/clients/${client}/places`);
  const [week] = await coach<{ id: number; value: { text: string } }[]>(
    page,
    'GET',
    `/clients/${client}/gym-weeks`,
  );
  const plan = await coach<{ id: number }>(page, 'POST', `/clients/${client}/plans`, {
    title: `Home of ${name}`,
    placeId: place?.id,
    gymWeekId: week?.id,
    request: { client: who.value.profile, kit: place?.value, gymLines: week?.value.text.split('\n') },
  });
  const sent = await coach<{ link: { address: string } }>(page, 'POST', `/plans/${plan.id}/releases`, {
    version: 1,
  });
  return { client, plan: plan.id, address: sent.link.address };
}

export interface Sent {
  client: number;
  plan: number;
  address: string;
}

export interface Logged {
  value: { minutes?: number; exercises: { sets: { reps: number }[] }[] };
}

export const logOf = (page: Page, plan: number): Promise<Logged[]> =>
  coach<Logged[]>(page, 'GET', `/plans/${plan}/sessions`);

export const phone = (browser: Browser): Promise<BrowserContext> =>
  browser.newContext({ ...devices['Pixel 5'], viewport: { width: 390, height: 844 } });

export async function opened(context: BrowserContext, server: Server, address: string): Promise<Page> {
  const page = await context.newPage();
  await page.goto(server.url + address);
  await expect(page.getByRole('button', { name: 'Warm up' })).toBeVisible();
  await page.waitForFunction(async () => (await navigator.serviceWorker.ready).active?.state === 'activated');
  return page;
}
