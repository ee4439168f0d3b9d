import { addClient, expect, expectAccessible, signIn, test } from '../support/fixtures.ts';

test.beforeEach(async ({ page, server }) => signIn(page, server.url));

const day = 'Back squat 4x6\nBench press 4x8\nSeated cable row 3x10';

test('the keyboard alone does a coach’s work', async ({ page, server }) => {
  const id = await addClient(page, 'Keys', { text: day });
  await page.goto(`${server.url}/clients/${id}/workbench`);
  await expect(page.getByRole('button', { name: /^Rebuild/ })).toBeEnabled();
  await page.locator('body').press('r');
  const inspector = page.getByRole('complementary', { name: 'Inspector' });
  await expect(inspector).toContainText('for Back squat');

  await page.keyboard.press('ArrowDown');
  await expect(inspector).toContainText('for Bench press');
  await expect(page).toHaveURL(/line=2/);
  await page.keyboard.press('3');
  await expect(inspector.getByRole('button', { name: /^Kept/ })).toBeVisible();
  await page.keyboard.press('l'); // keeps, and keeps what is kept
  await expect(inspector.getByRole('button', { name: /^Kept/ })).toHaveAttribute('aria-pressed', 'true');
  await page.keyboard.press('x');
  await expect(inspector.getByRole('button', { name: /^Keep/ })).toHaveAttribute('aria-pressed', 'false');
  await page.keyboard.press('s');
  await expect(page.getByText(/Saved as version \d+\./).last()).toBeVisible();

  await page.keyboard.press('?');
  const sheet = page.getByRole('dialog', { name: 'All keys' });
  await expect(sheet).toContainText('take a candidate');
  await page.keyboard.press('Escape');
  await expect(sheet).toBeHidden();
});

test('undo goes back through saved versions too', async ({ page, server }) => {
  const id = await addClient(page, 'Versions', { text: day });
  await page.goto(`${server.url}/clients/${id}/workbench`);
  await expect(page.getByRole('button', { name: /^Rebuild/ })).toBeEnabled();
  await page.locator('body').press('r');
  const inspector = page.getByRole('complementary', { name: 'Inspector' });
  const first = (await inspector.getByRole('heading', { level: 2 }).textContent()) ?? '';
  await page.keyboard.press('s');
  await expect(page.getByText(/Saved as version \d+\./).last()).toBeVisible();
  await page.keyboard.press('3');
  await expect(inspector.getByRole('heading', { level: 2 })).not.toHaveText(first);
  await page.keyboard.press('s');
  await expect(page.getByText(/Saved as version \d+\./).last()).toBeVisible();

  await page.keyboard.press('u');
  await expect(inspector.getByRole('heading', { level: 2 })).toHaveText(first);
  await page.keyboard.press('Shift+U');
  await expect(inspector.getByRole('heading', { level: 2 })).not.toHaveText(first);
});

test('undo in a tab that is behind says why and shows what is saved', async ({
  page,
  context,
  server,
  consoleErrors,
}) => {
  const id = await addClient(page, 'Behind', { text: day });
  await page.goto(`${server.url}/clients/${id}/workbench`);
  await expect(page.getByRole('button', { name: /^Rebuild/ })).toBeEnabled();
  await page.locator('body').press('r');
  await page.getByRole('complementary', { name: 'Inspector' }).waitFor();
  for (const choice of ['2', '3']) {
    await page.keyboard.press(choice);
    await page.keyboard.press('s');
    await expect(page.getByText(/Saved as version \d+\./).last()).toBeVisible();
  }

  const address = page.url();
  await page.reload(); // What is undone now is what is saved.
  await expect(page.getByRole('button', { name: 'Undo' })).toBeEnabled();
  const other = await context.newPage();
  await other.goto(address);
  const theirs = other.getByRole('complementary', { name: 'Inspector' }).getByRole('heading', { level: 2 });
  const before = (await theirs.textContent()) ?? '';
  await other.locator('body').press('1');
  await expect(theirs).not.toHaveText(before);
  await other.keyboard.press('s');
  await expect(other.getByText(/Saved as version \d+\./).last()).toBeVisible();

  await page.locator('body').press('u');
  await expect(page.getByText(/Nothing was undone: the plan was saved in another tab/)).toBeVisible();
  await expect(
    page.getByRole('complementary', { name: 'Inspector' }).getByRole('heading', { level: 2 }),
  ).toHaveText((await theirs.textContent()) ?? '');
  consoleErrors.splice(0); // The refusal was asked for.
});

test('figures of a line are set in place', async ({ page, server }) => {
  const id = await addClient(page, 'Figures', { text: day });
  await page.goto(`${server.url}/clients/${id}/workbench`);
  await expect(page.getByRole('button', { name: /^Rebuild/ })).toBeEnabled();
  await page.locator('body').press('r');
  const form = page.getByRole('form', { name: /^Dose of/ });
  await form.getByLabel('Sets').fill('6');
  await form.getByLabel('Tempo').fill('4-2-1-0');
  await form.getByRole('button', { name: 'Set' }).click();

  const line = page.getByRole('region', { name: 'Gym plan facing home plan' }).getByRole('listitem').first();
  await expect(line).toContainText('6x');
  await expect(line).toContainText('4-2-1-0');
});

test('a narrow window and the dark theme lose nothing', async ({ page, server }) => {
  const id = await addClient(page, 'Narrow', { text: day });
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(`${server.url}/clients/${id}/workbench`);
  await page.getByRole('button', { name: /^Rebuild/ }).click();
  await expect(page.getByRole('region', { name: 'Gym plan facing home plan' })).toBeVisible();
  await page.getByRole('button', { name: /dark theme/ }).click();

  await expectAccessible(page);
  const wider = await page.evaluate(() => document.documentElement.scrollWidth - innerWidth);
  expect(wider).toBeLessThanOrEqual(0);
});
