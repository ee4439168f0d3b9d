import { devices, type Browser, type BrowserContext, type Page } from '@playwright/test';
import type { Server } from '../support/server.ts';
import { addClient, expect, expectAccessible, signIn, test } from '../support/fixtures.ts';

/** A plan of a client of its own; the address of its link. */
async function sentPlan(
  page: Page,
  name: string,
): Promise<{ client: number; plan: number; address: string }> {
  const client = await addClient(page, name, {
    profile: { minutesPerSession: 60 },
    items: [
      { id: 'db', kind: 'dumbbell', massKg: 12, count: 2 },
      { id: 'chair', kind: 'chair', count: 2, heightCm: 45 },
    ],
    text: '= Day 1\nGoblet squat 2x8 RIR 2 90 s\nOne-arm dumbbell row 2x10/side 60 s\nPlank 2x20 s\n\n= Day 2\nDumbbell curl 2x12 60 s',
  });
  return page.evaluate(async (client) => {
    const token = ((await (await fetch('/api/v1/session')).json()) as { token: string }).token;
    const post = async (path: string, body: object): Promise<Record<string, never>> => {
      const headers = { 'Content-Type': 'application/json', 'X-Ingegno-Token': token };
      const answer = await fetch(`/api/v1${path}`, { method: 'POST', headers, body: JSON.stringify(body) });
      if (!answer.ok) throw new Error(await answer.text());
      return (await answer.json()) as Record<string, never>;
    };
    const read = async <T>(path: string): Promise<T> => (await (await fetch(`/api/v1${path}`)).json()) as T;
    const who = await read<{ value: { profile: object } }>(`/clients/${client}`);
    const [place] = await read<{ id: number; value: object }[]>(`/clients/${client}/places`);
    const [week] = await read<{ id: number; value: { text: string } }[]>(`/clients/${client}/gym-weeks`);
    const request = { client: who.value.profile, kit: place?.value, gymLines: week?.value.text.split('\n') };
    const body = { title: 'At home', request, placeId: place?.id, gymWeekId: week?.id };
    const plan = (await post(`/clients/${client}/plans`, body)) as unknown as { id: number };
    const sent = (await post(`/plans/${plan.id}/releases`, {
      version: 1,
      word: 'Slowly down.',
    })) as unknown as {
      link: { address: string };
    };
    return { client, plan: plan.id, address: sent.link.address };
  }, client);
}

/** A phone with nothing on it but the page. */
async function phone(browser: Browser, more: object = {}): Promise<BrowserContext> {
  return browser.newContext({ ...devices['Pixel 5'], viewport: { width: 390, height: 844 }, ...more });
}

/** Opens a link and waits until the page works without a net. */
async function opened(context: BrowserContext, server: Server, address: string): Promise<Page> {
  const page = await context.newPage();
  await page.goto(server.url + address);
  await expect(page.getByRole('button', { name: 'Warm up' })).toBeVisible();
  await page.waitForFunction(async () => (await navigator.serviceWorker.ready).active?.state === 'activated');
  return page;
}

const sessions = (
  page: Page,
  plan: number,
): Promise<{ value: { source: string; exercises: { sets: object[] }[] } }[]> =>
  page.evaluate(async (plan) => (await fetch(`/api/v1/plans/${plan}/sessions`)).json(), plan);

/** The set that is on, as done, and on to the next. */
async function doSet(page: Page): Promise<void> {
  const side = page.getByRole('button', { name: 'Left side done' });
  if (await side.isVisible()) {
    await side.click();
    await page.getByRole('button', { name: 'Start now' }).click();
  }
  await page.getByRole('button', { name: 'Set done' }).click();
}

test('a session is trained with the net cut after opening, survives a reload in a set, and arrives once', async ({
  page,
  browser,
  server,
}) => {
  await signIn(page, server.url);
  const { plan, address } = await sentPlan(page, 'Offline rower');
  const context = await phone(browser);
  const floor = await opened(context, server, address);
  await expect(floor.getByText('Slowly down.')).toBeVisible();

  await context.setOffline(true);
  await floor.reload();
  await expect(floor.getByRole('heading', { name: 'Day 1' })).toBeVisible();
  await floor.getByRole('button', { name: 'slept badly' }).click();
  await expect(floor.getByText('leave one rep more in reserve')).toBeVisible();
  await floor.getByRole('button', { name: 'Warm up' }).click();
  await floor.getByRole('button', { name: 'To the first exercise' }).click();
  await expect(floor.getByRole('heading', { name: /squat/i })).toBeVisible();
  await doSet(floor);
  await floor.getByRole('radio', { name: 'two more' }).click();
  await floor.getByRole('button', { name: 'One rep more' }).click();

  // The battery: the page goes and comes back where it was.
  await floor.reload();
  await expect(floor.getByRole('radio', { name: 'two more' })).toBeChecked();
  await expect(floor.getByRole('timer')).toBeVisible();
  await floor.getByRole('button', { name: /Skip the rest|Next set/ }).click();
  await floor.getByRole('button', { name: 'Count for me' }).click();
  await floor.reload();
  await expect(floor.getByRole('button', { name: 'Stop the count' })).toBeVisible();

  for (let left = 0; left < 20; left++) {
    const done = floor.getByRole('button', { name: /Set done|Left side done/ });
    await expect(done.or(floor.getByRole('button', { name: 'To the end' }))).toBeVisible();
    if (await done.isVisible()) await doSet(floor);
    const on = floor.getByRole('button', { name: /Skip the rest|Next set/ });
    if (await on.isVisible()) await on.click();
    else break;
  }
  await floor.getByRole('button', { name: 'To the end' }).click();
  await floor.getByRole('radio', { name: '8', exact: true }).click();
  await floor.getByLabel('A word to your coach').fill('The row felt light.');
  await floor.getByRole('button', { name: 'Send to your coach' }).click();
  await expect(floor.getByRole('heading', { name: 'Kept on this phone' })).toBeVisible();
  expect(await sessions(page, plan)).toHaveLength(0);

  await context.setOffline(false);
  await expect(floor.getByRole('heading', { name: 'Sent to your coach' })).toBeVisible({ timeout: 20_000 });
  await floor.reload();
  await expect(floor.getByRole('heading', { name: 'Sent to your coach' })).toBeVisible();
  const logged = await sessions(page, plan);
  expect(logged).toHaveLength(1);
  expect(logged[0]?.value.source).toBe('client');
  expect(logged[0]?.value.exercises.flatMap((e) => e.sets)).toHaveLength(6);

  await page.goto(`${server.url}/inbox`);
  const own = page
    .getByRole('listitem')
    .filter({ has: page.getByRole('heading', { name: 'Offline rower' }) });
  await expect(own.getByText('The row felt light.')).toBeVisible();
  await expect(own.getByText('Felt slept badly.')).toBeVisible();
  await own.getByRole('button', { name: 'Offline rower' }).click();
  await page.keyboard.press('r');
  await page.keyboard.type('Then take the heavier bag.');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Then take the heavier bag.')).toBeVisible();
  await page.keyboard.press('n');
  await expect(own.getByText('seen', { exact: true })).toBeVisible();

  await floor.evaluate(() => dispatchEvent(new Event('online')));
  await expect(floor.getByText('has seen it')).toBeVisible();
  await expect(floor.getByText('Then take the heavier bag.')).toBeVisible();
  await context.close();
});

test('what hurts is stopped, an exercise is swapped, a figure is asked about', async ({
  page,
  browser,
  server,
}) => {
  await signIn(page, server.url);
  const { plan, address } = await sentPlan(page, 'Hurting rower');
  const context = await phone(browser);
  const floor = await opened(context, server, address);
  await floor.getByRole('button', { name: 'Warm up' }).click();
  await floor.getByRole('button', { name: 'To the first exercise' }).click();

  await floor.getByRole('button', { name: 'Swap' }).click();
  await floor.getByRole('button', { name: 'something else' }).click();
  const other = floor
    .getByRole('list', { name: 'What your coach allows instead' })
    .getByRole('button')
    .first();
  const name = ((await other.locator('b').textContent()) ?? '').split(/\d/)[0]?.trim() ?? '';
  await other.click();
  await expect(floor.getByRole('heading', { level: 1 })).toHaveText(name);
  await doSet(floor);

  await floor.getByRole('button', { name: 'One rep more' }).click({ clickCount: 70 });
  await expect(floor.getByText('far from your plan. Is it right?')).toBeVisible();
  await floor.getByRole('button', { name: 'Mend it' }).click();
  await expect(floor.getByText('far from your plan')).toBeHidden();

  await floor.getByRole('button', { name: 'yes', exact: true }).click();
  await expect(floor.getByRole('radio', { name: /^[0-9]+$/, checked: true })).toHaveCount(0); // No figure stands by itself.
  await floor.getByRole('radio', { name: '3', exact: true }).click();
  await expect(floor.getByText('Go on with less')).toBeVisible();
  await floor.getByRole('button', { name: 'It is sharp' }).click();
  await floor.getByRole('button', { name: 'knee', exact: true }).click();
  await expect(floor.getByText('Stop this exercise for today.')).toBeVisible();
  await floor.getByRole('button', { name: 'What now?' }).click();
  await floor.getByRole('button', { name: 'Leave it out for today' }).click();
  await expect(floor.getByRole('heading', { level: 1 })).not.toHaveText(name);

  await floor.getByRole('button', { name: 'Stop signs' }).click();
  await expect(floor.getByText('pressure or pain in chest')).toBeVisible();
  await floor.getByRole('button', { name: 'Close' }).click();
  await floor.getByRole('button', { name: 'End', exact: true }).click();
  await floor.getByRole('button', { name: 'Send to your coach' }).click();
  await expect(floor.getByRole('heading', { name: 'Sent to your coach' })).toBeVisible();

  await page.goto(`${server.url}/inbox`);
  const own = page
    .getByRole('listitem')
    .filter({ has: page.getByRole('heading', { name: 'Hurting rower' }) });
  await expect(own.getByText(`${name} stopped: pain 3 of 10, sharp, knee.`)).toBeVisible();
  await expect(own.getByText('in place of')).toBeVisible();
  await page.goto(server.url);
  await expect(page.getByText(`Stopped on the floor because it hurt: ${name}.`)).toBeVisible();
  expect(await sessions(page, plan)).toHaveLength(1);

  // The morning after it is asked how it is, once; the answer is there for the coach, and what loads it begins with less.
  await floor.getByRole('button', { name: 'Done', exact: true }).click();
  await floor.clock.install({ time: new Date(Date.now() + 24 * 3_600_000) });
  await floor.reload();
  const morning = floor.getByRole('region', { name: 'The morning after' });
  await expect(morning.getByText('Your knee hurt on')).toBeVisible();
  await morning.getByRole('button', { name: 'still a little' }).click();
  await expect(
    floor.getByText('Your coach will read it. What loads it begins with less today.'),
  ).toBeVisible();
  await expect(floor.getByRole('button', { name: 'knee', exact: true })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await floor.reload();
  await expect(floor.getByRole('button', { name: 'Warm up' })).toBeVisible();
  await expect(morning).toBeHidden();
  await page.goto(`${server.url}/inbox`);
  await expect(own.getByText('The morning after: the knee still hurts a little.')).toBeVisible();
  await context.close();
});

test('a link that was ended is gone from the phone, and two links cannot see one another', async ({
  page,
  browser,
  server,
  consoleErrors,
}) => {
  await signIn(page, server.url);
  const [one, two] = [await sentPlan(page, 'First of two'), await sentPlan(page, 'Second of two')];
  expect(one.address).not.toBe(two.address);
  const context = await phone(browser);
  const floor = await opened(context, server, one.address);
  await floor.getByRole('button', { name: 'Warm up' }).click();

  await page.goto(`${server.url}/clients/${one.client}`);
  await page.getByRole('button', { name: 'End it' }).click();
  await page.getByRole('button', { name: 'End the link' }).click();
  await expect(page.getByText('The link ended')).toBeVisible();
  await floor.evaluate(() => dispatchEvent(new Event('online')));
  await expect(floor.getByRole('heading', { name: 'This link has ended' })).toBeVisible();
  const kept = await floor.evaluate(async () => {
    const all = (await indexedDB.databases())
      .map((d) => d.name ?? '')
      .filter((n) => n.startsWith('ingegno-session'));
    const names: string[] = [];
    for (const name of all) {
      const db = await new Promise<IDBDatabase>((done, failed) => {
        const open = indexedDB.open(name);
        open.onsuccess = () => done(open.result);
        open.onerror = () => failed(open.error);
      });
      const asked = db.transaction('kept').objectStore('kept').getAllKeys();
      await new Promise((done) => (asked.onsuccess = done));
      names.push(...asked.result.map(String));
      db.close();
    }
    return names;
  });
  expect(kept.filter((name) => /content|figures/.test(name))).toEqual([]);

  // Another client's link on the same phone has a store of its own.
  const other = await context.newPage();
  await other.goto(server.url + two.address);
  await expect(other.getByRole('button', { name: 'Warm up' })).toBeVisible();
  await context.close();
  expect(consoleErrors).toEqual([]);
});

test('the phone screens are accessible, fit their widths, and keep text and targets large', async ({
  page,
  browser,
  server,
}) => {
  test.setTimeout(300_000);
  await signIn(page, server.url);
  const { address } = await sentPlan(page, 'Careful rower');
  for (const [width, height, scheme] of [
    [360, 640, 'light'],
    [390, 844, 'dark'],
    [740, 360, 'dark'],
  ] as const) {
    const context = await phone(browser, {
      viewport: { width, height },
      colorScheme: scheme,
      reducedMotion: 'reduce',
    });
    const floor = await opened(context, server, address);
    const fine = async (): Promise<void> => {
      // Lying on its side the screens are the same: only what fits is looked at.
      if (width < height) await expectAccessible(floor);
      const { wide, small } = await floor.evaluate(() => ({
        wide: document.documentElement.scrollWidth - innerWidth,
        small: [...document.querySelectorAll<HTMLElement>('button, summary, input, textarea')]
          .filter((e) => e.getClientRects().length > 0)
          .filter((e) => e.getBoundingClientRect().height < 47.5)
          .map((e) => e.outerHTML.slice(0, 120)),
      }));
      expect(wide).toBeLessThanOrEqual(0);
      expect(small).toEqual([]);
    };
    await fine();
    await floor.getByRole('button', { name: 'something hurts' }).click();
    await fine();
    await floor.getByRole('button', { name: 'Warm up' }).click();
    await fine();
    await floor.getByRole('button', { name: 'To the first exercise' }).click();
    await fine();
    const figure = await floor.evaluate(() => {
      const sizes = [...document.querySelectorAll('.figures')].map((e) =>
        parseFloat(getComputedStyle(e).fontSize),
      );
      return Math.max(...sizes);
    });
    expect(figure).toBeGreaterThanOrEqual(64);
    await floor.getByRole('button', { name: 'Swap' }).click();
    await floor.getByRole('button', { name: 'too hard' }).click();
    await fine();
    await floor.getByRole('button', { name: 'Close' }).click();
    await doSet(floor);
    await floor.getByRole('button', { name: 'yes', exact: true }).click();
    await fine();
    await floor.getByRole('button', { name: 'End', exact: true }).click();
    await fine();
    await floor.getByRole('button', { name: 'Send to your coach' }).click();
    await expect(floor.getByRole('heading', { name: 'Sent to your coach' })).toBeVisible();
    await fine();
    await context.close();
  }
});

test('the coach sends a plan from the workbench and gets link, code and message', async ({
  page,
  server,
}) => {
  await signIn(page, server.url);
  const { client, plan } = await sentPlan(page, 'Sent from the bench');
  await page.goto(`${server.url}/clients/${client}/workbench?plan=${plan}`);
  await expect(page.getByRole('button', { name: /Hand-out/ })).toBeEnabled();
  await page.keyboard.press('o');
  const dialog = page.getByRole('dialog', { name: 'Send to Sent from the bench' });
  await dialog.getByLabel('A word to the client').fill('Lighter this week.');
  await expectAccessible(page);
  await dialog.getByRole('button', { name: 'Send version 1' }).click();
  await expect(dialog.getByText('Release 2 is out.')).toBeVisible();
  await expect(dialog.getByLabel('The message')).toHaveValue(
    /Lighter this week\.[\s\S]*\/s\/#[A-Za-z0-9_-]{43}/,
  );
  await expect(dialog.getByRole('img', { name: 'The link as a code to scan' })).toBeVisible();
  await expectAccessible(page);
});
