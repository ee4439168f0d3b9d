import { readFile } from 'node:fs/promises';
import { addClient, expect, expectAccessible, signIn, expectSaved, test } from '../support/fixtures.ts';

test.beforeEach(async ({ page, server }) => signIn(page, server.url));

const week = '= Upper\nBench press 4x8 RIR 2\nBarbell row 3x8 90 s\n\n= Lower\nBack squat 5x5 @ 80% 180 s';
const table = [
  'Spring block;;;;;',
  'Day;Exercise;Sets;Reps;Weight (lb);Rest',
  '1;Bench press;4;8-12;135;90',
  ';Barbell row;4;12-Aug;95;1:30',
  '2;Bulgarian curtsy flight;5;5;185;3 min',
].join('\r\n');

test('a table is looked at, mended by its columns, and brought in all or not at all', async ({
  page,
  server,
}) => {
  const id = await addClient(page, 'Importer');
  await page.goto(`${server.url}/clients/${id}/program`);
  await expect(page.getByRole('heading', { name: 'No gym program yet' })).toBeVisible();
  await page.locator('body').press('i');
  const dialog = page.getByRole('dialog', { name: 'Bring in a gym program' });
  await dialog
    .getByLabel(/^A file/)
    .setInputFiles({ name: 'block.csv', mimeType: 'text/csv', buffer: Buffer.from(table) });
  await expect(dialog.getByRole('status')).toContainText('2 lines in 1 week can be read, 2 cells to mend');
  await expect(dialog.getByRole('listitem').filter({ hasText: 'D4' })).toContainText('Perhaps 8-12');
  await expect(dialog.getByText('= Day 1')).toContainText('Bench press 4x8-12 @ 135 lb 90 s');
  await expectAccessible(page);

  await dialog.getByLabel('Column E is').selectOption('left out');
  await expect(dialog.getByText('= Day 1')).toContainText('Bench press 4x8-12 90 s');
  await dialog.getByRole('button', { name: 'Cancel' }).click();
  await expect(page.getByRole('heading', { name: 'No gym program yet' })).toBeVisible();

  await page.locator('body').press('i');
  await dialog.getByRole('button', { name: 'Bring in 1 week' }).click();
  await expect(page.getByText('1 week brought in.')).toBeVisible();
  // The date that a spreadsheet made of a range is read as the range.
  await expect(page.getByLabel('Reps, line 2')).toHaveValue('8-12');
  await page.getByLabel('Reps, line 2').fill('8-10');
  await page.keyboard.press('Tab');
  await expectSaved(page);
  await page.reload();
  await expect(page.getByLabel('Reps, line 2')).toHaveValue('8-10');
  await expect(page.getByText(/"Bulgarian curtsy flight" is read as/)).toBeVisible();
});

test('what is no program is refused in words', async ({ page, server, consoleErrors }) => {
  const id = await addClient(page, 'Refused');
  await page.goto(`${server.url}/clients/${id}/program`);
  await page.locator('body').press('i');
  const dialog = page.getByRole('dialog', { name: 'Bring in a gym program' });
  const input = dialog.getByLabel(/^A file/);
  await input.setInputFiles({
    name: 'photo.png',
    mimeType: 'image/png',
    buffer: Buffer.from([137, 80, 0, 0]),
  });
  await expect(dialog.getByRole('alert')).toContainText('photo.png cannot be read.');
  await input.setInputFiles({ name: 'huge.csv', mimeType: 'text/csv', buffer: Buffer.alloc(5_000_000, 'x') });
  await expect(dialog.getByRole('alert')).toContainText('at most 4096 KB');
  const long = 'Exercise,Sets,Reps\n' + 'Bench press,3,8\n'.repeat(50_000);
  await input.setInputFiles({ name: 'long.csv', mimeType: 'text/csv', buffer: Buffer.from(long) });
  await expect(dialog.getByRole('alert')).toContainText('more than 5,000 rows');
  expect(consoleErrors.splice(0).every((e) => e.includes('400'))).toBe(true);
});

test('a week is edited as a grid: by keys, by paste from a spreadsheet, with undo', async ({
  page,
  server,
}) => {
  const id = await addClient(page, 'Gridder', { text: week });
  await page.goto(`${server.url}/clients/${id}/program`);
  const reps = page.getByLabel('Reps, line 1', { exact: true });
  await expect(reps).toHaveValue('8');
  await reps.fill('6-8');
  await reps.press('ArrowDown');
  await expect(page.getByLabel('Reps, line 2')).toBeFocused();
  await page.getByLabel('Sets, line 2').evaluate((cell) => {
    const clipboardData = new DataTransfer();
    clipboardData.setData('text/plain', '5\t5\n4\tmany\n');
    cell.dispatchEvent(new ClipboardEvent('paste', { clipboardData, bubbles: true, cancelable: true }));
  });
  await expect(page.getByLabel('Sets, line 3')).toHaveValue('4');
  await expect(page.getByText('"many" are no reps')).toBeVisible();
  await expect(page.getByLabel('Reps, line 3')).toHaveAttribute('aria-invalid', 'true');
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByLabel('Reps, line 3')).toHaveValue('5');
  await expect(page.getByText('"many" are no reps')).toBeHidden();
  await page.getByRole('button', { name: 'A line after line 3' }).click();
  await page.getByLabel('Exercise, line 4').fill('Plank');
  await page.getByLabel('Sets, line 4').fill('3');
  await page.getByLabel('Reps, line 4').fill('30 s');
  await page.getByLabel('Reps, line 4').blur();
  await expectSaved(page);
  await page.getByRole('link', { name: 'To the workbench' }).click();
  await expect(page.getByLabel('Gym week, one line per exercise')).toHaveValue(/6-8[\s\S]*Plank 3x30 s/);
});

test('what is taken out comes in again the same', async ({ page, server }) => {
  const id = await addClient(page, 'Round trip', { text: week });
  await page.goto(`${server.url}/clients/${id}/program`);
  for (const form of ['CSV', 'XLSX', 'JSON', 'Shorthand']) {
    const waiting = page.waitForEvent('download');
    await page.getByRole('link', { name: form, exact: true }).click();
    const download = await waiting;
    const buffer = await readFile(await download.path());
    await page.getByRole('button', { name: /^Bring in/ }).click();
    const dialog = page.getByRole('dialog', { name: 'Bring in a gym program' });
    await dialog
      .getByLabel(/^A file/)
      .setInputFiles({ name: download.suggestedFilename(), mimeType: 'application/octet-stream', buffer });
    await expect(dialog.getByRole('status')).toContainText('3 lines in 1 week can be read');
    await expect(dialog.getByText('Every line can be read.')).toBeVisible();
    await dialog.getByRole('button', { name: 'Another file' }).click();
    await dialog.getByRole('button', { name: 'Cancel' }).click();
  }
});
