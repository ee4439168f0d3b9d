import { expect, expectAccessible, test } from '../support/fixtures.ts';
import { Server } from '../support/server.ts';

test('the first start without demo data asks for the coach, and the empty roster says what to do', async ({
  page,
}) => {
  const empty = new Server(false);
  await empty.start();
  try {
    await page.goto(empty.url);
    await expect(page.getByRole('heading', { name: 'Create the coach' })).toBeVisible();
    await expectAccessible(page);
    await page.getByLabel('Your name').fill('Lena');
    await page.getByLabel('E-mail address').fill('lena@boathouse.example');
    await page.getByLabel(/^Password/).fill('a password long enough');
    await page.getByLabel(/^Setup code/).fill(empty.setupCode.toLowerCase());
    await page.getByRole('button', { name: 'Create and sign in' }).click();

    await expect(page.getByText('Nobody here yet')).toBeVisible();
    await page.keyboard.press('n');
    await page.getByLabel('Name').fill('First Client');
    await page.getByRole('button', { name: 'Add', exact: true }).click();
    await expect(page.getByRole('heading', { name: 'First Client' })).toBeVisible();
    await page.getByRole('link', { name: 'Open the kit' }).click();
    await page.getByRole('button', { name: 'Add a place' }).first().click();
    await page.getByRole('button', { name: 'Add the place' }).click();
    await expect(page.getByText(/Nothing here yet: plans for this place/)).toBeVisible();
  } finally {
    await page.goto('about:blank');
    await empty.dispose();
  }
});
