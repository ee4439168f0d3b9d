import type { BrowserContext, Page } from '@playwright/test';
import { expect, signIn, test } from '../support/fixtures.ts';
import { coach, logOf, opened, phone, sentPlan } from '../support/phone.ts';

/** Trains one set and ends the session without a net. */
async function trainedOffline(context: BrowserContext, floor: Page, word: string): Promise<void> {
  await context.setOffline(true);
  await floor.getByRole('button', { name: 'Warm up' }).click();
  await floor.getByRole('button', { name: 'To the first exercise' }).click();
  await floor.getByRole('button', { name: 'Set done' }).click();
  await floor.getByRole('button', { name: 'End', exact: true }).click();
  await floor.getByLabel('A word to your coach').fill(word);
  await floor.getByRole('button', { name: 'Send to your coach' }).click();
  await expect(floor.getByRole('heading', { name: 'Kept on this phone' })).toBeVisible();
}

test('what was done under a link that has a successor is delivered, from the old store, when the new link is opened', async ({
  page,
  browser,
  server,
}) => {
  await signIn(page, server.url);
  const { client, plan, address } = await sentPlan(page, 'Renewed rower');
  const context = await phone(browser);
  const floor = await opened(context, server, address);
  await trainedOffline(context, floor, 'Under the old link.');
  const renewed = await coach<{ address: string }>(page, 'POST', `/clients/${client}/link`, {});

  await context.setOffline(false);
  const next = await context.newPage();
  await next.goto(server.url + renewed.address);
  await expect(next.getByRole('button', { name: 'Warm up' })).toBeVisible();
  await expect.poll(async () => (await logOf(page, plan)).length, { timeout: 20_000 }).toBe(1);
  await context.close();
});

test('a couple on one phone: each session and note goes to its own coach thread, whatever link is open', async ({
  page,
  browser,
  server,
}) => {
  await signIn(page, server.url);
  const [one, two] = [await sentPlan(page, 'Her'), await sentPlan(page, 'Him')];
  const context = await phone(browser);
  const hers = await opened(context, server, one.address);
  const his = await opened(context, server, two.address);
  await trainedOffline(context, hers, 'PRIVATE OF HER');
  await hers.getByLabel('A note to your coach').fill('A NOTE OF HER');
  await hers.getByRole('button', { name: 'Send', exact: true }).click();
  await expect(hers.getByText('A NOTE OF HER')).toBeVisible();

  // Her link ends while nothing of hers has been delivered; then his page alone is opened again.
  await hers.close();
  await coach(page, 'DELETE', `/clients/${one.client}/link`).catch(() => undefined);
  await context.setOffline(false);
  await his.reload();
  await expect(his.getByText('Home of Him')).toBeVisible();
  await expect.poll(async () => (await logOf(page, one.plan)).length, { timeout: 20_000 }).toBe(1);
  expect(await logOf(page, two.plan)).toHaveLength(0);
  const cameIn = (): Promise<{ client: string; session: { note: string }; notes: { text: string }[] }[]> =>
    coach(page, 'GET', '/came-in');
  await expect // The note follows its session.
    .poll(async () => (await cameIn()).find((c) => c.client === 'Her')?.notes.length, { timeout: 20_000 })
    .toBe(1);
  const came = await cameIn();
  expect(came.filter((c) => c.client === 'Him')).toEqual([]);
  const her = came.find((c) => c.client === 'Her');
  expect(her?.session.note).toBe('PRIVATE OF HER');
  expect(her?.notes.map((n) => n.text)).toEqual(['A NOTE OF HER']);
  await context.close();
});

test('any 43 signs behind the # erase nothing, and the plan opens again without them', async ({
  page,
  browser,
  server,
}) => {
  await signIn(page, server.url);
  const { plan, address } = await sentPlan(page, 'Phished rower');
  const context = await phone(browser);
  const floor = await opened(context, server, address);
  await trainedOffline(context, floor, 'Still mine.');
  await context.route('**/api/v1/training/sessions/**', (route) =>
    route.fulfill({ status: 410, body: '<html>gone' }),
  );
  await context.setOffline(false); // Last: the page delivers by itself as soon as it is online.
  await floor.goto('about:blank');
  await floor.goto(`${server.url}/s/#${'x'.repeat(43)}`);
  await expect(floor.getByRole('heading', { name: 'Open the link of your coach' })).toBeVisible();
  await expect(floor.getByText('1 session or note not delivered')).toBeVisible();

  await context.unroute('**/api/v1/training/sessions/**');
  await floor.goto('about:blank');
  await floor.goto(`${server.url}/s/`);
  await expect.poll(async () => (await logOf(page, plan)).length, { timeout: 20_000 }).toBe(1);
  await context.close();
});

test('a session that was left for a day asks, ends as of the last set, and counts its own minutes', async ({
  page,
  browser,
  server,
}) => {
  await signIn(page, server.url);
  const { plan, address } = await sentPlan(page, 'Forgetful rower');
  const context = await phone(browser);
  const floor = await opened(context, server, address);
  await floor.clock.install();
  await floor.reload();
  await floor.getByRole('button', { name: 'Warm up' }).click();
  await floor.getByRole('button', { name: 'To the first exercise' }).click();
  await floor.clock.fastForward('20:00');
  await floor.getByRole('button', { name: 'Set done' }).click();
  await floor.clock.fastForward('59:00');

  // Far over, and still within reach: nothing is pushed off the screen.
  const wide = (): Promise<number> => floor.evaluate(() => document.documentElement.scrollWidth - innerWidth);
  expect(await wide()).toBeLessThanOrEqual(0);
  for (const name of ['Next set', 'End'])
    await expect(floor.getByRole('button', { name, exact: true })).toBeInViewport();

  await floor.clock.fastForward('26:00:00');
  await expect(floor.getByRole('heading', { name: 'Still training?' })).toBeVisible();
  await floor.getByRole('button', { name: 'End it as of then' }).click();
  await expect(floor.getByText(/1 set in 2\d minutes/)).toBeVisible();
  await floor.getByRole('button', { name: 'Send to your coach' }).click();
  await expect.poll(async () => (await logOf(page, plan)).length, { timeout: 20_000 }).toBe(1);
  expect((await logOf(page, plan))[0]?.value.minutes).toBeLessThan(30);
  await context.close();
});

test('a second phone takes a session over, and the first is told', async ({ page, browser, server }) => {
  await signIn(page, server.url);
  const { plan, address } = await sentPlan(page, 'Two phones');
  const [first, second] = [await phone(browser), await phone(browser)];
  const here = await opened(first, server, address);
  await here.getByRole('button', { name: 'Warm up' }).click();
  await here.getByRole('button', { name: 'To the first exercise' }).click();
  await here.getByRole('button', { name: 'Set done' }).click();
  await expect
    .poll(async () => (await coach<object[]>(page, 'GET', `/plans/${plan}/came-in`)).length)
    .toBe(1);

  const there = await opened(second, server, address);
  await there.getByRole('button', { name: 'Go on with it here' }).click();
  await there.getByRole('button', { name: 'Set done' }).click();
  await there.getByRole('button', { name: 'To the end' }).click();
  await here.getByRole('button', { name: 'One rep more' }).click();
  await expect(here.getByRole('heading', { name: 'It goes on on another phone' })).toBeVisible();
  await there.getByRole('button', { name: 'Send to your coach' }).click();
  await expect(there.getByRole('heading', { name: 'Sent to your coach' })).toBeVisible();
  const [session] = await logOf(page, plan);
  expect(session?.value.exercises.flatMap((e) => e.sets)).toHaveLength(2);
  await first.close();
  await second.close();
});

test('two equal cues and two equal things to lay out stop no screen', async ({ page, browser, server }) => {
  await signIn(page, server.url);
  const { address } = await sentPlan(page, 'Braced rower');
  const context = await phone(browser);
  await context.route('**/api/v1/training', async (route) => {
    const answer = await route.fetch();
    const content = (await answer.json()) as {
      releases: {
        release: { days: { layOut: string[]; exercises: { cues: string[]; steps: string[] }[] }[] };
      }[];
    };
    for (const day of content.releases[0]?.release.days ?? []) {
      day.layOut = ['chair', 'chair'];
      for (const exercise of day.exercises)
        [exercise.cues, exercise.steps] = [
          ['Breathe', 'Brace', 'Brace'],
          ['Stand', 'Stand'],
        ];
    }
    await route.fulfill({ response: answer, json: content });
  });
  const floor = await opened(context, server, address);
  await floor.getByRole('button', { name: 'Warm up' }).click();
  await floor.getByRole('button', { name: 'To the first exercise' }).click();
  await expect(floor.getByRole('button', { name: 'Set done' })).toBeVisible();
  await context.close();
});

test('a coach who opens a link sees what the client sees, and leaves no trace', async ({ page, server }) => {
  await signIn(page, server.url);
  const { client, address } = await sentPlan(page, 'Looked at');
  const look = await page.context().newPage();
  await look.goto(server.url + address);
  await expect(look.getByText('A look at what your client sees.')).toBeVisible();
  await look.getByRole('button', { name: 'Warm up' }).click();
  const link = await coach<{ openedAt?: string }>(page, 'GET', `/clients/${client}/link`);
  expect(link.openedAt).toBeUndefined();
  expect(await look.evaluate(async () => (await navigator.serviceWorker.getRegistrations()).length)).toBe(0);
});

test('a phone that is forgotten keeps nothing', async ({ page, browser, server }) => {
  await signIn(page, server.url);
  const { address } = await sentPlan(page, 'Forgotten');
  const context = await phone(browser);
  const floor = await opened(context, server, address);
  await floor.getByRole('button', { name: 'Forget this phone' }).click();
  await floor.getByRole('button', { name: 'Forget it' }).click();
  await expect(floor.getByRole('heading', { name: 'Open the link of your coach' })).toBeVisible();
  const left = await floor.evaluate(async () => (await indexedDB.databases()).map((d) => d.name));
  expect(left.filter((name) => name?.startsWith('ingegno-session'))).toEqual([]);
  await context.close();
});
