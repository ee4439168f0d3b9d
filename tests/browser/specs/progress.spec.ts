import { addClient, expect, expectAccessible, signIn, test } from '../support/fixtures.ts';

test.beforeEach(async ({ page, server }) => signIn(page, server.url));

/** A client with a saved plan of push-ups and curls; its plan id. */
async function planned(page: import('@playwright/test').Page, url: string, name: string): Promise<string> {
  const id = await addClient(page, name, {
    items: [
      { id: 'db8', kind: 'dumbbell', massKg: 8, count: 2 },
      { id: 'db10', kind: 'dumbbell', massKg: 10, count: 2 },
    ],
    text: 'Dumbbell curl 3x8-12 RIR 2 90 s\nPush-up 3x8-12 RIR 2 90 s',
  });
  await page.goto(`${url}/clients/${id}/workbench`);
  await expect(page.getByRole('button', { name: /^Rebuild/ })).toBeEnabled();
  await page.locator('body').press('r');
  await expect(page.getByRole('complementary', { name: 'Inspector' })).toContainText('for Dumbbell curl');
  await page.keyboard.press('s');
  await expect(page.getByText(/Saved as version \d+\./).last()).toBeVisible();
  await page.getByRole('link', { name: 'Log', exact: true }).click();
  await page.getByRole('form', { name: 'Log a session' }).waitFor();
  return new URL(page.url()).pathname.split('/')[2] ?? '';
}

test('sets are typed in shorthand, a slip is asked about, and the review is accepted by key', async ({
  page,
  server,
}) => {
  await planned(page, server.url, 'Typed');
  const form = page.getByRole('form', { name: 'Log a session' });
  await page.locator('body').press('n');
  await page.keyboard.type('12,twelve');
  await expect(form.getByRole('alert')).toContainText('"twelve" is no set');
  await page.keyboard.press('ControlOrMeta+A');
  await page.keyboard.type('12,12,12 @80kg r2');
  await expect(form.getByText('12 at 80 kg', { exact: false })).toBeVisible();
  await page.keyboard.press('Enter');
  await page.keyboard.type('12,12,120 r2');
  await page.keyboard.press('Control+Enter');
  await expect(form.getByText('Is that meant? Nothing is stored yet.')).toBeVisible();
  await expect(form).toContainText('80 kg? The heaviest here is');
  await expect(form).toContainText('120 reps?');
  await expectAccessible(page);
  const fields = form.locator('input[data-entry]');
  await fields.nth(0).fill('12,12,12 r2');
  await fields.nth(1).fill('12,12,12 r2');
  await fields.nth(1).press('Control+Enter');
  await expect(page.getByText('Session logged.', { exact: false })).toBeVisible();
  const review = page.getByRole('region', { name: 'Review: the next session' });
  await expect(review.getByRole('button', { name: /^Accept \d+ change/ })).toBeEnabled();
  await page.locator('h1').click();
  await page.keyboard.press('a');
  await expect(page.getByText(/Accepted: version 2/)).toBeVisible();
  await expect(page.getByText('version 2', { exact: true })).toBeVisible();
  await expectAccessible(page);
});

test('a logged set is changed, taken out, and brought back; two entries of a day stay visible', async ({
  page,
  server,
}) => {
  await planned(page, server.url, 'Twice');
  const fields = page.locator('input[data-entry]');
  for (const sets of ['10,10,9 r2', '10,10,10 r2']) {
    await fields.nth(1).fill(sets);
    await fields.nth(1).press('Control+Enter');
    await expect(fields.nth(1)).toHaveValue('');
  }

  const sessions = page.getByRole('region', { name: 'Logged sessions' });
  await expect(sessions.getByText('Logged twice on this day.', { exact: false })).toHaveCount(2);
  await sessions.getByRole('button', { name: 'Remove' }).first().click();
  await expect(sessions.getByText('Logged twice on this day.', { exact: false })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expect(sessions.getByText('Logged twice on this day.', { exact: false })).toHaveCount(2);
  await sessions.getByRole('button', { name: /: 10,10,9/ }).click();
  await page.keyboard.press('ControlOrMeta+A');
  await page.keyboard.type('10,10 r2');
  await page.keyboard.press('Enter');
  await expect(sessions.getByRole('button', { name: /: 10,10 r2/ })).toBeVisible();
});

test('a log file is looked at before it comes in, and the trends show it', async ({ page, server }) => {
  const plan = await planned(page, server.url, 'Filed');
  await page.locator('body').press('i');
  const dialog = page.getByRole('dialog', { name: 'Bring in a log' });
  const rows = [1, 5, 8, 12].map(
    (d, i) => `2026-11-${String(d).padStart(2, '0')},Push-up,"${10 + i},${9 + i},8 r2"`,
  );
  await dialog.getByLabel(/^A file/).setInputFiles({
    name: 'log.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(`date,exercise,sets\n${rows.join('\n')}\n2026-11-13,Pushing upp,8\n`),
  });
  await expect(dialog.getByRole('status')).toContainText('4 sessions');
  await expect(dialog).toContainText('row 6');
  await expect(dialog).toContainText('no exercise called');
  await dialog.getByRole('button', { name: 'Bring in 4 sessions' }).click();
  await expect(page.getByText('4 sessions brought in from log.csv.')).toBeVisible();

  await page.getByRole('link', { name: 'Trends' }).click();
  await expect(page.getByRole('heading', { name: 'Push-up' })).toBeVisible();
  await expectAccessible(page);
  const before = await page.getByRole('article').first().textContent();
  await page.getByLabel('One-rep maximum by').selectOption('Lombardi 1989');
  await expect(page.getByText('w r^0.10')).toBeVisible();
  await expect(page.getByRole('article').first()).not.toHaveText(before ?? '');
  await expect(page).toHaveURL(/formula=lombardi/);

  await page.goto(`${server.url}/`);
  const row = page.getByRole('listitem').filter({ hasText: 'Filed' }).first();
  await expect(row).toContainText('last trained');
  await row.getByRole('link', { name: 'Log' }).click();
  await expect(page).toHaveURL(new RegExp(`/plans/${plan}/log`));
});

test('the ladder shows where a line is and sets it to another rung', async ({ page, server }) => {
  const id = await addClient(page, 'Climber', {
    items: [
      { id: 'db8', kind: 'dumbbell', massKg: 8, count: 2 },
      { id: 'db20', kind: 'dumbbell', massKg: 20, count: 2 },
    ],
    text: 'Bench press 3x8 RIR 2\nPlank 3x30 s',
  });
  await page.goto(`${server.url}/clients/${id}/workbench`);
  await expect(page.getByRole('button', { name: /^Rebuild/ })).toBeEnabled();
  await page.locator('body').press('r');
  const inspector = page.getByRole('complementary', { name: 'Inspector' });
  await expect(inspector).toContainText('for Bench press');
  await page.keyboard.press('g');
  const dialog = page.getByRole('dialog', { name: /^Ladder of/ });
  await expect(dialog.getByText('here', { exact: true })).toBeVisible();
  await expect(dialog.getByRole('form', { name: 'Reps that earn a jump in load' })).toContainText('earn');
  await expectAccessible(page);
  await page.keyboard.press('ArrowLeft');
  await dialog.getByText('All rungs as a table').click();
  await expect(dialog.getByRole('row').nth(3)).toBeVisible();
  await page.keyboard.press('Escape');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('g');
  await expect(dialog).toContainText('There is no ladder for this exercise');
});

test('the way back to the gym becomes weeks of the program', async ({ page, server }) => {
  const id = await addClient(page, 'Returner', { text: 'Bench press 4x8 @ 80 kg RIR 2\nPlank 3x40 s' });
  await page.goto(`${server.url}/clients/${id}/program`);
  await page.getByLabel('Exercise, line 1', { exact: true }).waitFor();
  await page.locator('h1').click();
  await page.keyboard.press('b');
  const dialog = page.getByRole('dialog', { name: 'Back to the gym' });
  await expect(dialog.getByRole('row', { name: /Bench press/ })).toContainText('55 kg');
  await dialog.getByLabel('Weeks away').fill('1');
  await expect(dialog.getByRole('button', { name: 'Add 2 weeks to the program' })).toBeEnabled();
  await expectAccessible(page);
  await dialog.getByRole('button', { name: 'Add 2 weeks to the program' }).click();
  await expect(page.getByRole('button', { name: 'Back, week 1 of 2' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Back, week 2 of 2' })).toBeVisible();
});

test('a calibration session opens last sets by key, and the log sets the doses', async ({ page, server }) => {
  const id = await addClient(page, 'Calibrated', {
    items: [
      { id: 'db8', kind: 'dumbbell', massKg: 8, count: 2 },
      { id: 'db14', kind: 'dumbbell', massKg: 14, count: 2 },
    ],
    text: 'Dumbbell curl 3x8-12 RIR 2 90 s\nPlank 3x30 s',
  });
  await page.goto(`${server.url}/clients/${id}/workbench`);
  await expect(page.getByRole('button', { name: /^Rebuild/ })).toBeEnabled();
  await page.locator('body').press('r');
  await expect(page.getByRole('complementary', { name: 'Inspector' })).toContainText('for Dumbbell curl');
  await page.keyboard.press('k');
  await expect(page.getByRole('button', { name: /^Calibrate/ })).toHaveAttribute('aria-pressed', 'true');
  await expect(page.getByText(/Calibration: the last set of 1 exercise is open/)).toBeVisible();
  await expect(page.getByRole('button', { name: /^Set the dose of .*AMRAP/ })).toHaveCount(1);
  await page.keyboard.press('s');
  await expect(page.getByText(/Saved as version \d+\./).last()).toBeVisible();
  await page.getByRole('link', { name: 'Log', exact: true }).click();
  const field = page.locator('input[data-entry]').first();
  await field.fill('12,12,16 r3,2,1');
  await field.press('Control+Enter');
  await expect(page.getByText('Session logged.', { exact: false })).toBeVisible();
  const review = page.getByRole('region', { name: 'Review: the next session' });
  await expect(review.getByText('Calibrated', { exact: true })).toBeVisible();
  await expect(review).toContainText('were expected before');
  await page.locator('h1').click();
  await page.keyboard.press('a');
  await expect(page.getByText(/Accepted: version 2/)).toBeVisible();
  await expect(page.getByRole('form', { name: 'Log a session' })).not.toContainText('AMRAP');
});
