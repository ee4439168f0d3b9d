import type { Page } from '@playwright/test';
import { join, resolve } from 'node:path';
import { signIn, test } from '../support/fixtures.ts';

const folder = process.env.SCREENSHOTS ?? resolve(import.meta.dirname, '../../../docs/screenshots');

/** Renews the pictures of the main views from fresh demo data. */
test('views', async ({ page, browser, server }) => {
  async function shoot(name: string, target: Page = page): Promise<void> {
    await target.waitForLoadState('networkidle');
    await target.evaluate(() => document.fonts.ready.then(() => undefined));
    await target.screenshot({ path: join(folder, `${name}.png`) });
  }

  await page.goto(server.url);
  await page.getByLabel('Password').waitFor();
  await signIn(page, server.url);
  await shoot('roster');
  await page.getByRole('link', { name: 'Tamsin Okoro' }).click();
  await page.getByRole('heading', { name: 'Kit' }).waitFor();
  await shoot('client');
  await page.getByRole('link', { name: 'Flat, third floor', exact: true }).click();
  await page.getByText(/exercises possible here/).waitFor();
  await page.getByRole('button', { name: /dining table/i }).click();
  await shoot('kit');
  await page.keyboard.press('l');
  await page.getByText('exact').or(page.getByText('nearest below')).first().waitFor();
  await shoot('kit-load-builder');
  await page.keyboard.press('b');
  await page.getByText(/fitted to/i).waitFor();
  await page.getByLabel('Wanted where hardest').fill('9');
  await page.getByText(/For 9 kg/).waitFor();
  await page.getByRole('heading', { name: 'Band bench' }).scrollIntoViewIfNeeded();
  await shoot('kit-band-bench');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Exercise X' }).click();
  await page.getByText(/The largest step is/).waitFor();
  await page.getByRole('button', { name: 'Buy N' }).click();
  await page
    .getByText(/points of match/)
    .first()
    .click();
  await page.goto(`${server.url}/catalogue?kit=cloth&exercise=overhead-towel-pull`);
  await page.getByRole('heading', { name: 'Towel pull overhead' }).waitFor();
  await shoot('catalogue');
  await page.goto(`${server.url}/clients/1`);
  await page.getByRole('link', { name: /Week 1, Flat/ }).click();
  await page.getByRole('heading', { name: 'Candidates' }).waitFor();
  await page.keyboard.press('ArrowDown');
  await shoot('workbench');
  await page.keyboard.press('g');
  await page.getByText('here', { exact: true }).waitFor();
  await shoot('ladder');
  await page.keyboard.press('Escape');
  await page.keyboard.press('Shift+P');
  await page
    .getByText(/on average/)
    .nth(1)
    .waitFor();
  await page.keyboard.press('Escape');
  const plan = new URL(page.url()).searchParams.get('plan');
  await page.getByRole('button', { name: 'Gym week' }).click();
  const area = page.getByLabel('Gym week, one line per exercise');
  await area.fill(
    (await area.inputValue()).replace('Rear-delt fly 3x18', 'Reer delt flye 3x999') + '\nBench press @ 80%',
  );
  await page.getByRole('heading', { name: 'To mend' }).waitFor();
  await shoot('gym-week');
  await page.goto(`${server.url}/clients/1/program`);
  await page.getByLabel('Exercise, line 1', { exact: true }).waitFor();
  await shoot('program');
  await page.keyboard.press('i');
  const table =
    'Training block;;;;;\nDay;Exercise;Sets;Reps;Weight (lb);Rest\n1;Bench press;4;8-12;135;90\n;Barbell row;4;12-Aug;95;1:30\n2;Back squat;5;5;185;3 min\n;Zercher hold march;3;30 s;;60\n';
  await page
    .getByLabel(/^A file/)
    .setInputFiles({ name: 'block.csv', mimeType: 'text/csv', buffer: Buffer.from(table) });
  await page.getByRole('button', { name: /^Bring in 1/ }).waitFor();
  await page.goto(`${server.url}/approaches?approach=tension`);
  await page.getByRole('heading', { name: 'Phases of a block' }).waitFor();
  await shoot('approaches');
  await page.goto(`${server.url}/check`);
  await page.getByLabel(/^For/).selectOption({ label: 'Bruno Halvorsen' });
  await page
    .getByLabel('The plan')
    .fill(
      '= Monday\nSquat jump 3x10 20 s\nReverse lunge 3x10 20 s\nPush-up 3x50 15 s\n\n= Tuesday\nPush-up 4x8-12 60 s\nPike push-up 3x8',
    );
  await page.getByText(/Not like this/).waitFor();
  await shoot('plan-check');
  await page.goto(`${server.url}/plans/${plan}/handout`);
  await page.getByRole('button', { name: 'Print' }).waitFor();
  await shoot('handout');
  await page.goto(`${server.url}/plans/${plan}/log`);
  await page.getByRole('heading', { name: /^Review/ }).waitFor();
  await shoot('log');
  const kofi = await page.evaluate(async () =>
    ((await (await fetch('/api/v1/clients')).json()) as { client: { name: string }; planId: number }[]).find(
      (row) => row.client.name.startsWith('Kofi'),
    ),
  );
  await page.goto(`${server.url}/plans/${kofi?.planId}/block`);
  await page.getByRole('region', { name: 'The cell' }).waitFor();
  await shoot('block');
  await page.goto(`${server.url}/clients/1/trends`);
  await page.getByRole('article').nth(3).scrollIntoViewIfNeeded();
  await shoot('trends');
  await page.goto(`${server.url}/inbox`);
  await page.getByText('Stopped the first one').waitFor();
  await shoot('inbox');

  // The client's phone, light and dark.
  const link = await page.evaluate(
    async () => ((await (await fetch('/api/v1/clients/1/link')).json()) as { address: string }).address,
  );
  for (const colorScheme of ['light', 'dark'] as const) {
    const context = await browser.newContext({ viewport: { width: 390, height: 844 }, colorScheme });
    const phone = await context.newPage();
    await phone.goto(server.url + link);
    await phone.getByRole('button', { name: 'Warm up' }).waitFor();
    if (colorScheme === 'light') await shoot('phone-today', phone);
    await phone.getByRole('button', { name: 'Warm up' }).click();
    await phone.getByRole('button', { name: 'To the first exercise' }).click();
    if (colorScheme === 'dark') {
      await phone.getByRole('button', { name: 'Count for me' }).click();
      await phone
        .getByText(/^of \d+/)
        .first()
        .waitFor();
      await phone.waitForTimeout(1_200);
      await shoot('phone-set-dark', phone);
    }
    await context.close();
  }
});
