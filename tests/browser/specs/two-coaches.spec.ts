import type { Page } from '@playwright/test';
import { addClient, expect, signIn, test } from '../support/fixtures.ts';
import { demoCoach } from '../support/server.ts';

/** All that the roster says, as text. */
const clients = (page: Page): Promise<string> =>
  page.evaluate(async () => (await fetch('/api/v1/clients')).text());

test('a stale tab of one coach writes nothing into the practice of another', async ({
  page,
  server,
  consoleErrors,
}) => {
  await signIn(page, server.url);
  // What the server says of somebody else who signed in meanwhile: the page is not theirs.
  await page.route('**/api/v1/session', async (route) => {
    const answer = await route.fetch();
    const state = (await answer.json()) as { coach?: { key: string } };
    if (state.coach) state.coach.key = 'another';
    await route.fulfill({ response: answer, json: state });
  });
  const writes: string[] = [];
  page.on('request', (request) => {
    if (request.method() === 'POST' && request.url().endsWith('/api/v1/clients'))
      writes.push(request.headers()['x-ingegno-coach'] ?? 'nobody');
  });
  await page.route('**/api/v1/clients', (route) =>
    route.request().method() === 'POST'
      ? route.fulfill({
          status: 400,
          contentType: 'application/problem+json',
          body: JSON.stringify({ code: 'antiforgery', title: 'x', detail: 'y' }),
        })
      : route.continue(),
  );
  await page.getByRole('button', { name: 'Add a client' }).first().click();
  await page.getByLabel('Name').first().fill('Half typed');
  const left = page.waitForEvent('framenavigated');
  await page.getByRole('button', { name: /^Add/ }).last().click();
  await left;
  expect(writes).toEqual(['1']);
  expect(consoleErrors.splice(0).filter((e) => !e.includes('400'))).toEqual([]);
});

test('signing out reaches every tab, and what comes back by Back is not readable', async ({
  page,
  server,
  consoleErrors,
}) => {
  await signIn(page, server.url);
  const client = await addClient(page, 'Seen in two tabs');
  const other = await page.context().newPage();
  await other.goto(`${server.url}/clients/${client}`);
  await expect(other.getByRole('heading', { name: 'Seen in two tabs' }).first()).toBeVisible();
  await page.getByRole('button', { name: 'Sign out' }).click();
  await expect(page.getByLabel('Password')).toBeVisible();
  await expect(other.getByLabel('Password')).toBeVisible();
  await expect(other.getByText('Seen in two tabs')).toHaveCount(0);
  await page.goBack({ timeout: 5_000, waitUntil: 'commit' }).catch(() => undefined);
  await expect(page.getByText('Seen in two tabs')).toHaveCount(0);
  await other.close();
  expect(consoleErrors.splice(0).filter((e) => !e.includes('401'))).toEqual([]);
});

test('behind "Sign in again" nothing can be read, and the same coach goes on', async ({
  page,
  server,
  consoleErrors,
}) => {
  await signIn(page, server.url);
  const client = await addClient(page, 'Not for others');
  await page.goto(`${server.url}/clients/${client}`);
  await expect(page.getByRole('heading', { name: 'Not for others' }).first()).toBeVisible();
  await page.context().clearCookies();
  await page.getByRole('link', { name: /Ingegno, to the roster/ }).click();
  await expect(page.getByRole('heading', { name: 'Sign in again' })).toBeVisible();
  await expect(page.getByText('Not for others').first()).not.toBeVisible();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('E-mail address').fill(demoCoach.email);
  await dialog.getByLabel('Password').fill(demoCoach.password);
  await dialog.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByRole('heading', { name: 'Roster' })).toBeVisible();
  expect(await clients(page)).toContain('Not for others');
  expect(consoleErrors.splice(0).filter((e) => !e.includes('401'))).toEqual([]);
});

test('a client who is called Roster has a page', async ({ page, server, consoleErrors }) => {
  await signIn(page, server.url);
  const client = await addClient(page, 'Roster');
  await page.goto(`${server.url}/clients/${client}`);
  await expect(page.getByRole('heading', { name: 'Roster' }).first()).toBeVisible();
  await expect(page.getByRole('tab').or(page.getByRole('button')).first()).toBeVisible();
  expect(consoleErrors).toEqual([]);
});
