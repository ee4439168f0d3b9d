import { addClient, expect, expectAccessible, signIn, test } from '../support/fixtures.ts';

test.beforeEach(async ({ page, server }) => signIn(page, server.url));

test('an approach is copied, changed and followed', async ({ page, server, consoleErrors }) => {
  await page.getByRole('link', { name: 'Approaches' }).click();
  await page.getByRole('button', { name: /^Tension/ }).click();
  await expect(page.getByRole('heading', { name: 'Phases of a block' })).toBeVisible();
  await expectAccessible(page);
  await page.keyboard.press('n');
  const dialog = page.getByRole('dialog', { name: 'A new approach' });
  await dialog.getByLabel('Name').fill('Flood block');
  await dialog.getByRole('textbox', { name: 'What it is about' }).fill('');
  await dialog.getByRole('button', { name: 'Keep the approach' }).click();
  await expect(dialog.getByRole('alert')).toContainText('The idea takes 1 to 400 characters.');
  consoleErrors.length = 0;
  await dialog.getByRole('textbox', { name: 'What it is about' }).fill('Long rests while the river is high.');
  await dialog.getByLabel('Slow eccentric is taken').selectOption('never');
  await dialog.getByRole('button', { name: 'Keep the approach' }).click();
  await expect(page.getByRole('heading', { name: 'Flood block', level: 2 })).toBeVisible();

  const id = await addClient(page, 'Follower', { text: 'Bench press 4x8\nSeated cable row 3x10' });
  await page.goto(`${server.url}/clients/${id}/workbench`);
  await expect(page.getByRole('button', { name: /^Rebuild/ })).toBeEnabled();
  await page.locator('body').press('r');
  await page.getByRole('combobox', { name: /^Approach/ }).selectOption('Flood block');
  await page.getByRole('button', { name: 'Follow Flood block' }).click();
  await expect(page.getByRole('combobox', { name: /^Approach/ })).toHaveValue('flood-block');

  await page.goto(`${server.url}/approaches?approach=flood-block`);
  await page.getByRole('button', { name: 'Remove it' }).click();
  await expect(page.getByRole('heading', { name: 'Mirror', level: 2 })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: /^Flood block/ })).toBeVisible();
});

test('a dose is typed in its cell, repeated over lines and undone', async ({ page, server }) => {
  const id = await addClient(page, 'Cell', { text: 'Bench press 4x8\nSeated cable row 3x10\nPlank 3x40 s' });
  await page.goto(`${server.url}/clients/${id}/workbench`);
  await expect(page.getByRole('button', { name: /^Rebuild/ })).toBeEnabled();
  await page.locator('body').press('r');
  await expect(page.getByRole('complementary', { name: 'Inspector' })).toContainText('for Bench press');
  const lines = page.getByRole('region', { name: 'Gym plan facing home plan' }).getByRole('listitem');
  await page.keyboard.press('f');
  const cell = page.getByRole('textbox', { name: /^Dose of/ });
  await cell.fill('not a dose');
  await cell.press('Enter');
  await expect(page.getByRole('alert').filter({ hasText: '4x8-12' })).toBeVisible();
  await cell.fill('5x6-9 45 s RIR 0');
  await cell.press('Enter');
  await expect(lines.first()).toContainText('5x6-9');
  await expect(lines.first()).toContainText('RIR 0');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('.');
  await expect(lines.nth(1)).toContainText('5x6-9');
  await page.keyboard.press('u');
  await expect(lines.nth(1)).not.toContainText('5x6-9');
  await expectAccessible(page);
});

test('techniques are put on and off by key', async ({ page, server }) => {
  const id = await addClient(page, 'Techniques', { text: 'Back squat 3x8 RIR 2' });
  await page.goto(`${server.url}/clients/${id}/workbench`);
  await expect(page.getByRole('button', { name: /^Rebuild/ })).toBeEnabled();
  await page.locator('body').press('r');
  await expect(page.getByRole('complementary', { name: 'Inspector' })).toContainText('for Back squat');
  await page.keyboard.press('t');
  const dialog = page.getByRole('dialog', { name: /^Techniques for/ });
  const on = dialog.getByRole('button', { pressed: true });
  const before = await on.count();
  await page.keyboard.press('1');
  await expect(on).not.toHaveCount(before);
  await page.keyboard.press('Escape');
  await page.keyboard.press('u');
  await page.keyboard.press('t');
  await expect(on).toHaveCount(before);
});

test('a pasted plan is mended by its remedies, and a file can be opened', async ({ page, consoleErrors }) => {
  await page.getByRole('link', { name: 'Check a plan' }).click();
  const plan = page.getByLabel('The plan');
  await plan.fill('= Monday\nPush-up 3x50 90 s\nReverse lunge 3x10 90 s');
  const verdict = page.getByRole('region', { name: 'Verdict' });
  await verdict.getByRole('button', { name: 'Count each side' }).click();
  await expect(plan).toHaveValue(/Reverse lunge 3x10\/side/);
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expect(plan).toHaveValue(/Reverse lunge 3x10 90 s/);

  const file = page.getByLabel(/^Open a file/);
  await file.setInputFiles({
    name: 'theirs.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(
      'day,exercise,sets,reps,rest\nMonday,Push-up,3,8-12,90\nMonday,Table row,3,8-12,90\n',
    ),
  });
  await expect(plan).toHaveValue(/Table row 3x8-12/);
  await file.setInputFiles({
    name: 'junk.xlsx',
    mimeType: 'application/zip',
    buffer: Buffer.from('PK\u0003\u0004 junk'),
  });
  await expect(page.getByRole('alert')).toContainText('junk.xlsx');
  consoleErrors.length = 0;
  await expect(plan).toHaveValue(/Table row 3x8-12/);
});
