import { expect, expectAccessible, signIn, test } from '../support/fixtures.ts';

test('the catalogue is searched, narrowed, read and linked to', async ({ page, server }) => {
  await signIn(page, server.url);
  await page.getByRole('link', { name: 'Catalogue' }).click();
  const list = page.getByRole('region', { name: 'Exercises' });
  await expect(list.getByRole('status')).toContainText(/3\d\d exercises/);
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
