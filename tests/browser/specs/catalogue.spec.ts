import { addClient, expect, expectAccessible, signIn, test } from '../support/fixtures.ts';

test('the catalogue is searched, narrowed, read and linked to', async ({ page, server }) => {
  await signIn(page, server.url);
  await page.getByRole('link', { name: 'Catalogue' }).click();
  const list = page.getByRole('region', { name: 'Exercises' });
  await expect(list.getByRole('status')).toContainText(/4\d\d exercises/);
  await expectAccessible(page);

  await page.keyboard.press('/');
  await page.keyboard.type('face pull');
  await expect(list.getByRole('button', { name: /^Band face pull/ })).toBeVisible();
  await page.getByLabel('With').selectOption('a band');
  await expect(list.getByRole('button', { name: /Strap face pull/ })).toBeHidden();
  await list.getByRole('button', { name: /^Band face pull/ }).click();
  await expect(page.getByRole('heading', { name: 'Band face pull' })).toBeVisible();

  await page.reload();
  await expect(page.getByRole('heading', { name: 'Band face pull' })).toBeVisible();
  await expect(page.getByLabel(/^Search/)).toHaveValue('face pull');
  await page.getByRole('button', { name: 'Clear the filter' }).first().click();
  await page.getByLabel('Sparing the').selectOption('wrist');
  await page.getByLabel('Pattern').selectOption('horizontal push');
  await expect(list.getByRole('button', { name: /^Push-up mid chest/ })).toBeHidden();
});

test('a practice adds, changes and removes an exercise of its own', async ({
  page,
  server,
  consoleErrors,
}) => {
  await signIn(page, server.url);
  await page.goto(`${server.url}/catalogue?exercise=table-row`);
  await expect(page.getByRole('heading', { name: 'Table row' })).toBeVisible();
  await page.locator('body').press('n');
  const dialog = page.getByRole('dialog', { name: 'A new exercise' });
  await dialog.getByRole('button', { name: 'Keep the exercise' }).click();
  await expect(dialog.getByRole('alert')).toContainText('needs a name');
  await dialog.getByLabel('Name', { exact: true }).fill('Slipway row');
  await dialog.getByLabel('Cues, three at most, one a line').fill('Chest to the edge\nBody in one line');
  await dialog.getByLabel('lats is').selectOption('synergist');
  await dialog.getByLabel('Add to stress on joints').selectOption('knee');
  await dialog.getByText('What they need and load').click();
  await dialog.getByLabel('Set-ups as JSON').fill('[{');
  await dialog.getByLabel('Set-ups as JSON').blur();
  await expect(dialog.getByText(/The JSON cannot be read/)).toBeVisible();
  await expectAccessible(page);
  await dialog.getByRole('button', { name: 'Keep the exercise' }).click();
  await expect(page.getByRole('heading', { name: 'Slipway row' })).toBeVisible();
  await expect(page).toHaveURL(/exercise=slipway-row/);

  const id = await addClient(page, 'Row owner', {
    items: [{ id: 't', kind: 'dining-table', heightCm: 74 }],
    text: 'Seated cable row 3x10\nSlipway row 3x8',
  });
  await page.goto(`${server.url}/clients/${id}/workbench`);
  await expect(page.getByRole('button', { name: /^Rebuild/ })).toBeEnabled();
  await page.locator('body').press('r');
  await expect(page.getByRole('complementary', { name: 'Inspector' })).toContainText('Slipway row');

  await page.goto(`${server.url}/catalogue?exercise=slipway-row`);
  await page.getByRole('button', { name: 'Remove mine' }).click();
  await expect(page.getByText(/is as it ships again, or gone/)).toBeVisible();
  await expect(page.getByRole('button', { name: /^Slipway row/ })).toBeHidden();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: /^Slipway row/ })).toBeVisible();
  expect(consoleErrors.splice(0).filter((e) => !e.includes('400'))).toEqual([]);
});
