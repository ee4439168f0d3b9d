import type { Page } from '@playwright/test';
import { expect, signIn, test } from '../support/fixtures.ts';
import { coach, logOf, opened, phone, sentPlan } from '../support/phone.ts';

interface Alert {
  client: string;
  brief: string;
  exercise?: string;
}

const alertsOf = async (page: Page, client: string): Promise<Alert[]> =>
  (await coach<Alert[]>(page, 'GET', '/alerts')).filter((a) => a.client === client);

/** Taps a stop sign of the body on whatever screen is open. */
async function tap(floor: Page, sign: string): Promise<void> {
  await floor.getByRole('button', { name: 'Stop signs' }).click();
  await floor.getByRole('button', { name: sign }).click();
  await expect(floor.getByRole('heading', { name: 'Stop here' })).toBeVisible();
}

test('a stop sign tapped offline before any set holds the plan, reaches the coach, and the answer lets go', async ({
  page,
  browser,
  server,
}) => {
  await signIn(page, server.url);
  const { address } = await sentPlan(page, 'Rower with a sign');
  const context = await phone(browser);
  const floor = await opened(context, server, address);
  await context.setOffline(true);
  await tap(floor, 'pressure or pain in chest, jaw or arm');
  await expect(floor.getByText('call the emergency number now, even if it passes')).toBeVisible();
  await expect(floor.getByText('Your coach is told as soon as there is a net.')).toBeVisible();
  await expect(floor.getByRole('button', { name: 'Warm up' })).toHaveCount(0);
  await expect(floor.getByText('Well done')).toHaveCount(0);
  await floor.reload().catch(() => undefined); // Offline the page comes from the phone itself.
  await expect(floor.getByRole('heading', { name: 'Stop here' })).toBeVisible();

  await context.setOffline(false);
  await expect
    .poll(async () => (await alertsOf(page, 'Rower with a sign')).length, { timeout: 20_000 })
    .toBe(1);
  await expect(floor.getByText('has been told.')).toBeVisible();

  // It stands above every screen until it is answered, and the client is the first of the roster.
  await page.goto(`${server.url}/catalogue`);
  const bar = page.getByRole('region', { name: 'Signs of danger to answer' });
  await expect(bar.getByText('Rower with a sign')).toBeVisible();
  await page.goto(server.url);
  await expect(page.getByRole('list', { name: /^Why .* needs you$/ }).first()).toContainText('Alert.');
  await bar.getByRole('button', { name: 'Answer' }).first().click();
  await page
    .getByLabel('What was agreed; the client reads it')
    .fill('Seen by your doctor today: go on gently.');
  await page.getByRole('button', { name: 'Answer: training may go on' }).click();
  await expect(bar).toHaveCount(0);

  await floor.reload();
  await expect(floor.getByText('Seen by your doctor today: go on gently.')).toBeVisible();
  await expect(floor.getByRole('button', { name: 'Warm up' })).toBeVisible();
  await context.close();
});

test('each screen of a session has the stop signs; one ends it, and what was done arrives', async ({
  page,
  browser,
  server,
}) => {
  await signIn(page, server.url);
  const { plan, address } = await sentPlan(page, 'Faint rower');
  const context = await phone(browser);
  const floor = await opened(context, server, address);
  const signs = floor.getByRole('button', { name: 'Stop signs' });
  await expect(signs).toBeVisible();
  await floor.getByRole('button', { name: 'Warm up' }).click();
  await expect(signs).toBeVisible();
  await floor.getByRole('button', { name: 'To the first exercise' }).click();
  await expect(signs).toBeVisible();
  await floor.getByRole('button', { name: 'Set done' }).click();
  await expect(signs).toBeVisible();
  await floor.getByRole('button', { name: 'End', exact: true }).click();
  await expect(signs).toBeVisible();
  await floor.getByRole('button', { name: 'Go on training' }).click();

  await tap(floor, 'fainting or collapse');
  await expect.poll(async () => (await alertsOf(page, 'Faint rower')).length, { timeout: 20_000 }).toBe(1);
  const [alert] = await alertsOf(page, 'Faint rower');
  expect(alert?.brief).toContain('tapped among the stop signs');
  expect(alert?.exercise).toBeTruthy();
  await expect.poll(async () => (await logOf(page, plan)).length, { timeout: 20_000 }).toBe(1);
  await context.close();
});

test('a joint that locks asks where, and what loads it is held; red words in a note do the same', async ({
  page,
  browser,
  server,
}) => {
  await signIn(page, server.url);
  const { address } = await sentPlan(
    page,
    'Rower with a knee',
    '= Day 1\nDumbbell curl 2x8\nGoblet squat 2x8',
  );
  const context = await phone(browser);
  const floor = await opened(context, server, address);
  await floor.getByRole('button', { name: 'Stop signs' }).click();
  await floor.getByRole('button', { name: 'a joint that locks' }).click();
  await floor.getByRole('button', { name: 'knee', exact: false }).first().click();
  await floor.getByRole('button', { name: 'Stop here' }).click();
  await expect(floor.getByText('let a doctor or physiotherapist look at it')).toBeVisible();

  // Once the server knows, what does not load the knee may be trained.
  await expect(floor.getByRole('button', { name: 'Warm up' })).toBeVisible({ timeout: 20_000 });
  await expect(floor.getByText('held, left out today')).toHaveCount(1);
  await floor.getByRole('button', { name: 'Warm up' }).click();
  await floor.getByRole('button', { name: 'To the first exercise' }).click();
  await expect(floor.getByText('1 of 2 · set 1 of 2')).toBeVisible();
  await floor.getByRole('button', { name: 'Set done' }).click();
  await floor.getByRole('button', { name: 'End', exact: true }).click();
  await floor.getByLabel('A word to your coach').fill('no chest pain, but I passed out on the stairs');
  await floor.getByRole('button', { name: 'Send to your coach' }).click();
  await expect(floor.getByRole('heading', { name: 'Stop here' })).toBeVisible({ timeout: 20_000 });
  await expect(floor.getByText('fainting or collapse', { exact: false })).toBeVisible();
  expect((await alertsOf(page, 'Rower with a knee')).map((a) => a.brief)).toEqual([
    expect.stringContaining('Fainting or collapse'),
    expect.stringContaining('A joint that locks (knee)'),
  ]);
  await context.close();
});
