import { addClient, expect, expectAccessible, signIn, test } from '../support/fixtures.ts';

test.beforeEach(async ({ page, server }) => signIn(page, server.url));

/** A client with a saved plan, at its block screen. */
async function atBlock(page: import('@playwright/test').Page, url: string, name: string): Promise<void> {
  const id = await addClient(page, name, {
    items: [
      { id: 'db8', kind: 'dumbbell', massKg: 8, count: 2 },
      { id: 'db14', kind: 'dumbbell', massKg: 14, count: 2 },
    ],
    text: 'Bench press 4x8 RIR 2 90 s\nDumbbell curl 3x8-12 RIR 2 90 s',
  });
  await page.goto(`${url}/clients/${id}/workbench`);
  await expect(page.getByRole('button', { name: /^Rebuild/ })).toBeEnabled();
  await page.locator('body').press('r');
  await expect(page.getByRole('complementary', { name: 'Inspector' })).toContainText('for Bench press');
  await page.keyboard.press('s');
  await expect(page.getByText(/Saved as version \d+\./).last()).toBeVisible();
  await page.getByRole('link', { name: 'Block', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'No block yet' })).toBeVisible();
}

test('a block is drawn up, a cell is set by key and later weeks follow, and it is undone', async ({
  page,
  server,
  consoleErrors,
}) => {
  await atBlock(page, server.url, 'Blocked');
  await page.locator('body').press('s');
  const dialog = page.getByRole('dialog', { name: 'A block of four to six weeks' });
  await expect(dialog.getByRole('listitem')).toHaveCount(5);
  await expectAccessible(page);
  await dialog.getByLabel('Weeks', { exact: true }).fill('9');
  await dialog.getByLabel('Weeks of phase 1').fill('9');
  await page.keyboard.press('Tab');
  await expect(dialog.getByRole('alert')).toContainText('A block has 4 to 6 weeks; these phases have 9.');
  await expect(dialog.getByRole('button', { name: 'Begin the block' })).toBeDisabled();
  expect(consoleErrors.splice(0).every((e) => e.includes('400'))).toBe(true);
  await dialog.getByLabel('Weeks of phase 1').fill('5');
  await page.keyboard.press('Tab');
  await dialog.getByRole('button', { name: 'Begin the block' }).click();

  const table = page.getByRole('region', { name: 'Weeks of the block' });
  await expect(table.getByRole('columnheader', { name: /^.*Week \d/ })).toHaveCount(5);
  await expectAccessible(page);
  await page.locator('h1').click();
  await page.keyboard.press('ArrowDown');
  for (const key of ['ArrowDown', 'ArrowRight', 'ArrowRight', 'Enter']) await page.keyboard.press(key);
  const field = page.getByLabel(/, week 3, in shorthand$/);
  await expect(field).toBeFocused();
  await page.keyboard.type('nonsense here');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('Write for instance');
  await page.keyboard.press('ControlOrMeta+A');
  await page.keyboard.type('5 sets');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Week 3 is set; weeks 4 and 5 follow.')).toBeVisible();
  const row = table.getByRole('row').filter({ hasText: 'was 3x' });
  await expect(row.getByRole('button').nth(3)).toContainText(/5x.*was 3x/s);
  await expect(row.getByRole('button').nth(1)).not.toContainText('was');
  await expectAccessible(page);
  await page.keyboard.press('u');
  await expect(row.getByRole('button').nth(3)).toContainText(/3x.*was 5x/s);

  await page.keyboard.press('l');
  await expect(page.getByText(/^Week 3 is set; /).last()).toBeVisible(); // the note before may still stand
  await expect(table.getByRole('columnheader', { name: /Week 3/ })).toContainText('lighter');
  await page.reload();
  await expect(table.getByRole('columnheader', { name: /Week 3/ })).toContainText('lighter');
  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: 'CSV' }).click();
  expect((await download).suggestedFilename()).toMatch(/^block-\d{4}-\d\d-\d\d\.csv$/);
  await page.getByRole('button', { name: /^Shape/ }).focus();
  await page.keyboard.press('Enter');
  const shape = page.getByRole('dialog', { name: 'Shape of the block' });
  await expect(shape.getByLabel('Name of phase 1')).toBeVisible();
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'End it' }).click();
  await expect(page.getByRole('heading', { name: 'No block yet' })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(table.getByRole('columnheader', { name: /Week 3/ })).toContainText('lighter');
});

test('phases of an approach are laid out, the first is taken into the plan, and the log stands beside it', async ({
  page,
  server,
}) => {
  await atBlock(page, server.url, 'Phased');
  await page.locator('body').press('s');
  const dialog = page.getByRole('dialog', { name: 'A block of four to six weeks' });
  await dialog.getByLabel('Laid out by').selectOption('tension');
  await expect(dialog.getByLabel('Name of phase 3')).toHaveValue('Size');
  await dialog.getByRole('button', { name: 'Begin the block' }).click();
  await expect(page.getByText(/Week 1 differs from the plan in 2 exercises/)).toBeVisible();
  await expect(page.getByRole('columnheader', { name: /^Strength/ })).toBeVisible();
  await page.locator('h1').click();
  await page.keyboard.press('t');
  await expect(page.getByText('Week 1 is version 2 of the plan.')).toBeVisible();
  await expect(page.getByText(/differs from the plan/)).toHaveCount(0);

  await page.getByRole('link', { name: 'Log', exact: true }).click();
  const fields = page.locator('input[data-entry]');
  await fields.nth(1).fill('12,12,12 r3');
  await fields.nth(1).press('Control+Enter');
  await expect(page.getByText('Session logged.', { exact: false })).toBeVisible();
  await page.getByRole('link', { name: 'Block', exact: true }).click();
  const done = page
    .getByRole('region', { name: 'Weeks of the block' })
    .getByRole('button', { name: /12,12,12/ });
  await expect(done).toContainText(/plan/);
  await page.setViewportSize({ width: 390, height: 844 });
  await expect(page.getByRole('heading', { name: /^Block/ })).toBeVisible();
  await expectAccessible(page);
});
