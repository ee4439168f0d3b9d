import { demoCoach } from '../support/server.ts';
import { addClient, expect, signIn, expectSaved, test } from '../support/fixtures.ts';

test.beforeEach(async ({ page, server }) => signIn(page, server.url));

test('a session that ends while typing loses nothing', async ({ page, server, context, consoleErrors }) => {
  const id = await addClient(page, 'Expired', { text: 'Bench press 3x8' });
  await page.goto(`${server.url}/clients/${id}/workbench`);
  const area = page.getByLabel('Gym week, one line per exercise');
  const read = page.waitForResponse(
    (r) => r.url().endsWith('/shorthand') && (r.request().postData()?.includes('Back squat') ?? false),
  );
  await area.fill('Bench press 3x8\nBack squat 4x6');
  await read; // what was typed is read at once: the session ends after that
  await context.clearCookies();
  await page.getByRole('button', { name: /^Rebuild/ }).click();

  const dialog = page.getByRole('dialog', { name: 'Sign in again' });
  await dialog.getByLabel('Password').fill(demoCoach.password);
  await dialog.getByRole('button', { name: 'Sign in' }).click();

  await expect(
    page.getByRole('region', { name: 'Gym plan facing home plan' }).getByRole('listitem'),
  ).toHaveCount(2);
  expect(consoleErrors.splice(0).every((e) => e.includes('401'))).toBe(true);
});

test('what was typed is still there after a reload', async ({ page, server }) => {
  const id = await addClient(page, 'Reloaded', { text: 'Bench press 3x8' });
  await page.goto(`${server.url}/clients/${id}/workbench`);
  await page.getByLabel('Gym week, one line per exercise').fill('Bench press 3x8\nnot finish');
  await page.reload();

  await expect(page.getByLabel('Gym week, one line per exercise')).toHaveValue(/not finish/);
  await expect(page.getByText('Restored what you had not saved.')).toBeVisible();
  await expectSaved(page);
  await expect(page.getByText('Restored what you had not saved.')).toBeHidden();
});

test('two tabs on one client: both versions are offered', async ({
  page,
  server,
  context,
  consoleErrors,
}) => {
  const id = await addClient(page, 'Twice open');
  await page.goto(`${server.url}/clients/${id}`);
  const other = await context.newPage();
  await other.goto(`${server.url}/clients/${id}`);
  await other.getByLabel('Age').fill('30');
  await expectSaved(other);

  await page.getByLabel('Age').fill('40');
  const dialog = page.getByRole('dialog', { name: 'This client was changed elsewhere' });
  await expect(dialog).toBeVisible();
  await dialog.getByRole('button', { name: 'Take theirs' }).click();

  await expect(page.getByLabel('Age')).toHaveValue('30');
  expect(consoleErrors.splice(0).every((e) => e.includes('409'))).toBe(true);
});

test('a home with nothing in it gets floor and wall, and hears what is missing', async ({ page, server }) => {
  const id = await addClient(page, 'Bare', { text: 'Overhead press 3x6\nBarbell row 3x8' });
  await page.goto(`${server.url}/clients/${id}/workbench`);
  await page.getByRole('button', { name: /^Rebuild/ }).click();

  await expect(page.getByText(/has no kit yet: this plan uses floor and wall only/)).toBeVisible();
  await page.locator('body').press('ArrowDown');
  await expect(page.getByText(/Better:/).first()).toBeVisible();
});

test('markup in a name is text and runs nothing', async ({ page, server }) => {
  const name = '<img src=x onerror="document.title=1">';
  const id = await addClient(page, name);
  await page.goto(`${server.url}/clients/${id}`);

  await expect(page.getByRole('heading', { name })).toBeVisible();
  await expect(page).toHaveTitle(/onerror/);
});

test('impossible doses are named at their place', async ({ page, server }) => {
  const id = await addClient(page, 'Impossible');
  await page.goto(`${server.url}/clients/${id}/workbench`);
  await page
    .getByLabel('Gym week, one line per exercise')
    .fill('Bench press 0x8\nBack squat 3x999\nPlank 3x30 s\nDeadlift 4x5 @ RPE 14');

  await expect(page.getByText('1 good line, 3 to mend')).toBeVisible();
  await expect(page.getByText('RPE runs from 1 to 10')).toBeVisible();
});

test('words light with their field, questions are asked once, weeks are kept one by one', async ({
  page,
  server,
}) => {
  const id = await addClient(page, 'Whole program');
  await page.goto(`${server.url}/clients/${id}/workbench`);
  const area = page.getByLabel('Gym week, one line per exercise');
  const typed =
    'Week 1\nBench 185x5, 5, 5\nDeadlift 3x5 @ 405\nLat pull down\n3 x 12\nWeek 2\nBench 185x6, 6, 6';
  await area.fill(typed);
  const read = page.getByRole('list', { name: 'As it was read' });
  await expect(read.getByText('Lat pulldown')).toBeVisible();

  await read.getByText('3x12').hover();
  await expect(page.locator('.lit-words')).toHaveText('3 x 12');
  await area.press('Control+Home');
  await area.press('ArrowDown');
  await expect(page.locator('.lit-words')).toHaveText('Bench');

  // Pounds or kilograms: one question for three lines.
  await expect(page.getByText('has no unit and is read as pounds')).toHaveCount(1);
  await page.getByRole('button', { name: 'That is right, in all 3' }).click();
  await expect(area).toHaveValue(/Bench 3x5 @ 185 lb\n/);
  await expect(page.getByText('has no unit and is read as pounds')).toHaveCount(0);

  await page.getByRole('button', { name: 'Keep each as a week of its own' }).click();
  await expect(area).toHaveValue(/^Bench 3x5 @ 185 lb\nDeadlift 3x5 @ 405 lb\nLat pull down\n3 x 12$/);
  await expect(page.getByRole('combobox').filter({ hasText: 'Week 2' })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).last().click();
  await expect(area).toHaveValue(/Week 2/);
});

test('an address that leads nowhere says so', async ({ page, server, consoleErrors }) => {
  await page.goto(`${server.url}/no/such/place`);
  await expect(page.getByRole('heading', { name: 'There is nothing at this address' })).toBeVisible();

  await page.goto(`${server.url}/clients/999999`);
  await expect(page.getByText('This client cannot be opened')).toBeVisible();
  expect(consoleErrors.splice(0).every((e) => e.includes('404'))).toBe(true);
});
