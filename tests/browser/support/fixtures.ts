import { AxeBuilder } from '@axe-core/playwright';
import { test as base, expect, type Page } from '@playwright/test';
import { demoCoach, Server } from './server.ts';

/** Signs in through the form. */
export async function signIn(page: Page, url: string): Promise<void> {
  await page.goto(url);
  await page.getByLabel('E-mail address').fill(demoCoach.email);
  await page.getByLabel('Password').fill(demoCoach.password);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByRole('heading', { name: 'Roster' })).toBeVisible();
}

/** Waits until what fades or slides in stands still: half-faded text has no contrast worth measuring. */
async function standStill(page: Page): Promise<void> {
  await page.waitForFunction(() =>
    document
      .getAnimations()
      .filter((motion) => Number.isFinite(motion.effect?.getComputedTiming().endTime))
      .every((motion) => motion.playState === 'finished'),
  );
}

/** Waits until what is typed has saved itself. */
export async function expectSaved(page: Page): Promise<void> {
  await expect(page.locator('[data-keeping]').first()).toHaveAttribute('data-keeping', 'saved');
}

/** No accessibility fault that WCAG 2.2 A and AA name. */
export async function expectAccessible(page: Page): Promise<void> {
  await standStill(page);
  const { violations } = await new AxeBuilder({ page })
    .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'])
    .analyze();
  const told = violations.map((v) => `${v.id}: ${v.nodes.map((n) => n.html).join(' | ')}`);
  expect(told).toEqual([]);
}

/** Adds a client with one place and one gym week through the API, so that every test has its own. */
export async function addClient(
  page: Page,
  name: string,
  options: { profile?: object; items?: object[]; text?: string } = {},
): Promise<number> {
  return page.evaluate(
    async ({ name, options }) => {
      const token = ((await (await fetch('/api/v1/session')).json()) as { token: string }).token;
      const send = async (path: string, body: object): Promise<{ id: number }> => {
        const answer = await fetch(path, {
          method: 'POST',
          headers: { 'Content-Type': 'application/json', 'X-Ingegno-Token': token },
          body: JSON.stringify(body),
        });
        if (!answer.ok) throw new Error(`${path}: ${await answer.text()}`);
        return (await answer.json()) as { id: number };
      };
      const profile = {
        level: 'intermediate',
        goal: 'muscle',
        sex: 'male',
        bodyMassKg: 80,
        statureCm: 180,
        ...options.profile,
      };
      const client = await send('/api/v1/clients', { name, profile });
      await send(`/api/v1/clients/${client.id}/places`, { name: 'Home', items: options.items ?? [] });
      if (options.text)
        await send(`/api/v1/clients/${client.id}/gym-weeks`, { name: 'Day 1', text: options.text });
      return client.id;
    },
    { name, options },
  );
}

/** Adds another place. */
export async function addPlace(page: Page, clientId: number, name: string, items: object[]): Promise<void> {
  await page.evaluate(
    async ({ clientId, name, items }) => {
      const token = ((await (await fetch('/api/v1/session')).json()) as { token: string }).token;
      const answer = await fetch(`/api/v1/clients/${clientId}/places`, {
        method: 'POST',
        headers: { 'Content-Type': 'application/json', 'X-Ingegno-Token': token },
        body: JSON.stringify({ name, items }),
      });
      if (!answer.ok) throw new Error(await answer.text());
    },
    { clientId, name, items },
  );
}

interface Fixtures {
  /** Anything a browser wrote to its console as an error; must stay empty unless a test takes the expected ones out. */
  consoleErrors: string[];
}

/** Tests get a signed-in page on a demo server of their worker, and fail on any console error. */
export const test = base.extend<Fixtures, { server: Server }>({
  server: [
    // eslint-disable-next-line no-empty-pattern
    async ({}, use) => {
      const server = new Server(true);
      await server.start();
      await use(server);
      await server.dispose();
    },
    { scope: 'worker' },
  ],
  consoleErrors: [
    async ({ page }, use) => {
      const errors: string[] = [];
      page.on('console', (message) => {
        if (message.type() === 'error') errors.push(message.text());
      });
      page.on('pageerror', (error) => errors.push(String(error)));
      await use(errors);
      expect(errors).toEqual([]);
    },
    { auto: true },
  ],
});

export { expect };
