import {
  addClient,
  addPlace,
  expect,
  expectAccessible,
  signIn,
  expectSaved,
  test,
} from '../support/fixtures.ts';

test.beforeEach(async ({ page, server }) => signIn(page, server.url));

const week = [
  '= Upper',
  'Bench press 4x8 RIR 2',
  'Barbell row 4x8',
  'Dumbbell lateral raise 3x15 60 s',
  '= Lower',
  'Back squat 4x6 RIR 2',
  'Lying leg curl 3x12 60 s',
].join('\n');
const home = [
  { id: 'db', kind: 'dumbbell', count: 2, massKg: 8 },
  { id: 'table', kind: 'dining-table', heightCm: 74, tested: ['push', 'half-weight', 'full-weight', 'tips'] },
];

test('from a pasted week to a hand-out to print in ten actions', async ({ page, server }) => {
  const id = await addClient(page, 'Ten', { items: home });
  await page.goto(server.url);
  let actions = 0;
  const act = async (what: Promise<unknown>): Promise<void> => {
    actions++;
    await what;
  };

  await act(page.getByRole('link', { name: 'Ten', exact: true }).click());
  await act(
    page
      .getByRole('link', { name: /workbench/i })
      .first()
      .click(),
  );
  await act(page.getByLabel('Gym week, one line per exercise').fill(week));
  await act(page.keyboard.press('Control+Enter'));
  await expect(page.getByRole('heading', { name: 'Lower' })).toBeVisible();
  await act(page.locator('body').press('h'));
  await expect(page.getByRole('button', { name: 'Print' })).toBeVisible();
  await page.evaluate(() => {
    window.print = () => document.body.setAttribute('data-printed', 'yes');
  });
  await act(page.keyboard.press('p'));

  await expect(page.locator('body')).toHaveAttribute('data-printed', 'yes');
  await expect(page.getByRole('heading', { name: 'Upper' })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Warm-up' }).first()).toContainText('Mobilise');
  await expect(page.getByRole('heading', { name: 'Lower' })).toBeVisible();
  expect(actions).toBeLessThanOrEqual(10);
  expect(id).toBeGreaterThan(0);
  await expectAccessible(page);
});

test('a day is one key away, and lines are numbered within their day', async ({ page, server }) => {
  const id = await addClient(page, 'Days', { items: home, text: week });
  await page.goto(`${server.url}/clients/${id}/workbench`);
  await expect(page.getByRole('button', { name: /^Rebuild/ })).toBeEnabled();
  await page.locator('body').press('r');
  const inspector = page.getByRole('complementary', { name: 'Inspector' });
  await expect(inspector).toContainText('for Bench press');
  await page.keyboard.press('d');
  await expect(inspector).toContainText('for Back squat');
  await expect(page).toHaveURL(/line=4/);
  await page.keyboard.press('Shift+D');
  await expect(inspector).toContainText('for Bench press');
});

test('what is left out for a client stays out, and undo brings it back', async ({ page, server }) => {
  const id = await addClient(page, 'Refuser', { items: home, text: week });
  await page.goto(`${server.url}/clients/${id}/workbench`);
  await expect(page.getByRole('button', { name: /^Rebuild/ })).toBeEnabled();
  await page.locator('body').press('r');
  const inspector = page.getByRole('complementary', { name: 'Inspector' });
  const title = inspector.getByRole('heading', { level: 2 });
  const first = (await title.textContent())?.trim() ?? '';
  await page.keyboard.press('b');
  await expect(title).not.toHaveText(first);
  await inspector.getByText(/ruled out, with reasons/).click();
  await expect(inspector.getByText('Left out for this client: refused or banned.')).toBeVisible();

  await page.keyboard.press('u');
  await expect(title).toHaveText(first);
  await page.keyboard.press('Shift+U');
  await expect(title).not.toHaveText(first);

  await page.goto(`${server.url}/clients/${id}`);
  const again = page.getByRole('button', { name: `Offer ${first} again` });
  await again.click();
  await expectSaved(page);
  await expect(again).toBeHidden();
});

test('two candidates stand side by side, and either can be taken', async ({ page, server }) => {
  const id = await addClient(page, 'Chooser', { items: home, text: week });
  await page.goto(`${server.url}/clients/${id}/workbench`);
  await expect(page.getByRole('button', { name: /^Rebuild/ })).toBeEnabled();
  await page.locator('body').press('r');
  const inspector = page.getByRole('complementary', { name: 'Inspector' });
  await expect(inspector).toContainText('for Bench press');
  await page.keyboard.press('f');
  await page.keyboard.type('5x9');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: /^Set the dose of .*5x9/ })).toBeVisible();
  await page.keyboard.press('c');
  const dialog = page.getByRole('dialog', { name: /Two ways to do/ });
  await expect(dialog.getByRole('button', { name: 'Taken' })).toBeDisabled();
  await expect(dialog.getByRole('region', { name: /^This/ })).toContainText('5x9');
  await expectAccessible(page);
  await dialog.getByRole('combobox', { name: 'Against this' }).selectOption({ index: 3 });
  const wanted = await dialog
    .getByRole('combobox', { name: 'Against this' })
    .locator('option:checked')
    .textContent();
  await dialog.getByRole('button', { name: 'Take this one' }).click();
  await expect(inspector.getByRole('heading', { level: 2 })).toHaveText(wanted ?? '');
  await expect(inspector.getByRole('button', { name: /^Kept/ })).toBeVisible();
});

test('a number that is pressed while a dose is being set takes the candidate of its line', async ({
  page,
  server,
}) => {
  const id = await addClient(page, 'Quick', { items: home, text: week });
  await page.goto(`${server.url}/clients/${id}/workbench`);
  await expect(page.getByRole('button', { name: /^Rebuild/ })).toBeEnabled();
  await page.locator('body').press('r');
  const inspector = page.getByRole('complementary', { name: 'Inspector' });
  await expect(inspector).toContainText('for Bench press');
  // The candidates are slower than the dose: they come when another answer stands already.
  const slower = (path: string, ms: number): Promise<unknown> =>
    page.route(path, async (route) => {
      await new Promise((done) => setTimeout(done, ms));
      await route.continue();
    });
  await slower('**/api/v1/decisions', 1_000);
  await slower('**/api/v1/rebuild/lines', 2_000);
  await page.keyboard.press('f');
  await page.keyboard.type('5x9');
  await page.keyboard.press('Enter');
  for (const key of ['ArrowDown', 'ArrowDown', 'ArrowDown', '2']) await page.keyboard.press(key);
  await expect(inspector.getByRole('button', { name: /^Kept/ })).toBeVisible();
  await expect(inspector).not.toContainText('for Bench press');
  await expect(inspector.locator('ol').first().getByRole('button').nth(1)).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await expect(page.getByRole('button', { name: /^Set the dose of .*5x9/ })).toBeVisible();
});

test('the same week at two places keeps a plan for each', async ({ page, server }) => {
  const id = await addClient(page, 'Traveller', { items: home, text: week });
  await addPlace(page, id, 'Hotel', [{ id: 'bed', kind: 'bed', heightCm: 50 }]);
  await page.goto(`${server.url}/clients/${id}/workbench`);
  await expect(page.getByRole('button', { name: /^Rebuild/ })).toBeEnabled();
  await page.locator('body').press('r');
  const inspector = page.getByRole('complementary', { name: 'Inspector' });
  const title = inspector.getByRole('heading', { level: 2 });
  await expect(inspector).toContainText('for Bench press');
  await page.keyboard.press('3');
  await expect(inspector.getByRole('button', { name: /^Kept/ })).toBeVisible();
  const atHome = (await title.textContent()) ?? '';
  await page.keyboard.press('s');
  await expect(page.getByText(/Saved as version \d+\./).last()).toBeVisible();

  await page.keyboard.press('Shift+P');
  const dialog = page.getByRole('dialog', { name: 'The same week at two places' });
  await expect(dialog.getByText(/on average/)).toHaveCount(2);
  await expectAccessible(page);
  await dialog.getByRole('button', { name: 'Go over to Hotel' }).click();
  await expect(page.getByText('Home plan, Hotel')).toBeVisible();
  await page.keyboard.press('s');
  await expect(
    page
      .getByText(/Saved as version \d+\./)
      .last()
      .last(),
  ).toBeVisible();

  await page.keyboard.press('p');
  await expect(page.getByText('Home plan, Home')).toBeVisible();
  await expect(title).toHaveText(atHome);
  await page.goto(`${server.url}/clients/${id}`);
  await expect(page.getByRole('link', { name: 'Day 1, Home' })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Day 1, Hotel' })).toBeVisible();
});

test('what a line is for can be corrected', async ({ page, server }) => {
  const id = await addClient(page, 'Roles', { items: home, text: week });
  await page.goto(`${server.url}/clients/${id}/workbench`);
  await expect(page.getByRole('button', { name: /^Rebuild/ })).toBeEnabled();
  await page.locator('body').press('r');
  const inspector = page.getByRole('complementary', { name: 'Inspector' });
  await inspector.getByLabel('What the line is for').selectOption('accessory');
  const parts = inspector.getByRole('region', { name: /part by part/ });
  await expect(parts.getByRole('row', { name: /Muscles/ })).toContainText('weight 34');
  await inspector.getByLabel('What the line is for').selectOption('');
  await expect(parts.getByRole('row', { name: /Muscles/ })).toContainText('weight 27');
});

test('another approach shows what it would change before it is taken, for the week or a day', async ({
  page,
  server,
}) => {
  const id = await addClient(page, 'Schools', { items: home, text: week });
  await page.goto(`${server.url}/clients/${id}/workbench`);
  await expect(page.getByRole('button', { name: /^Rebuild/ })).toBeEnabled();
  await page.locator('body').press('r');
  const plan = page.getByRole('region', { name: 'Gym plan facing home plan' });
  await expect(plan).toContainText('1:30');
  await page.keyboard.press('a');
  const dialog = page.getByRole('dialog', { name: /Another approach/ });
  await dialog.getByRole('combobox').selectOption('density');
  await expect(dialog).toContainText('Where schools disagree');
  await expect(dialog.getByRole('row', { name: /Bench press/ })).toContainText('45 s RIR 1');
  await expectAccessible(page);
  await dialog.getByRole('button', { name: 'Leave it as it is' }).click();
  await expect(plan.getByText('RIR 1')).toHaveCount(0);

  await page.getByLabel('Approach of Lower').selectOption('one-by-twenty');
  await dialog.getByRole('button', { name: 'Follow One by twenty' }).click();
  await expect(plan.getByText(/^1x/).first()).toBeVisible();
  await expect(plan.getByText('4x', { exact: false }).first()).toBeVisible();
  await page.keyboard.press('u');
  await expect(plan.getByText(/^1x/)).toHaveCount(0);
  await page.keyboard.press('Shift+U');
  await page.keyboard.press('s'); // at once: the redo still under way is part of what is saved
  await expect(page.getByText(/Saved as version \d+\./).last()).toBeVisible({ timeout: 30_000 });
  await page.reload();
  await expect(page.getByLabel('Approach of Lower')).toHaveValue('one-by-twenty');
});
