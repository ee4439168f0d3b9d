import { addClient, expect, expectAccessible, signIn, test } from '../support/fixtures.ts';

const home = [{ id: 'db', kind: 'dumbbell', massKg: 8, count: 2 }];

test('a client rests in the archive, is taken out, erased by name, and brought in again', async ({
  page,
  server,
  consoleErrors,
}) => {
  await signIn(page, server.url);
  const id = await addClient(page, 'Wilder Ashgrove', {
    items: home,
    text: 'Bench press 3x8\nBack squat 3x8',
  });
  await page.goto(`${server.url}/clients/${id}`);
  const keeping = page.getByRole('region', { name: 'Take out, rest, erase' });

  await keeping.getByRole('button', { name: 'Archive' }).click();
  await expect(page.getByRole('heading', { name: 'Roster' })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Wilder Ashgrove' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Archived (1)' }).click();
  await expectAccessible(page);
  await page.getByRole('link', { name: 'Wilder Ashgrove' }).click();
  await keeping.getByRole('button', { name: 'Back into the roster' }).click();
  await page.getByRole('link', { name: 'Wilder Ashgrove' }).click();

  const [download] = await Promise.all([
    page.waitForEvent('download'),
    keeping.getByRole('link', { name: 'Take out as a folder' }).click(),
  ]);
  const folder = await download.path();

  await keeping.getByRole('button', { name: 'Erase …' }).click();
  const erase = page.getByRole('dialog', { name: 'Erase Wilder Ashgrove?' });
  await expect(erase).toContainText('1 place, 1 gym week');
  await expect(erase.getByRole('button', { name: 'Erase' })).toBeDisabled();
  await expectAccessible(page);
  await erase.getByLabel(/Type the name/).fill('wilder ashgrove');
  await erase.getByLabel(/Type the name/).press('Enter');
  await expect(page.getByRole('heading', { name: 'Roster' })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Wilder Ashgrove' })).toHaveCount(0);

  await page.getByRole('button', { name: 'Bring in', exact: true }).click();
  const dialog = page.getByRole('dialog', { name: 'Bring clients in' });
  await dialog
    .getByLabel('File')
    .setInputFiles({ name: 'nothing.json', mimeType: 'application/json', buffer: Buffer.from('{}') });
  await expect(dialog.getByRole('alert')).toContainText('Choose a file');
  consoleErrors.splice(0); // The refusal was asked for.
  await dialog.getByLabel('File').setInputFiles(folder);
  await expect(page.getByRole('heading', { level: 1, name: 'Wilder Ashgrove' })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Kit' })).toContainText('Home');
});

test('a list of clients comes in from a table, looked at first', async ({ page, server }) => {
  await signIn(page, server.url);
  await page.getByRole('button', { name: 'Bring in', exact: true }).click();
  const dialog = page.getByRole('dialog', { name: 'Bring clients in' });
  const list =
    'Crew,Age,Weight (kg),Goal,Injuries\nOda Lister,52,68,general fitness,left knee\nNils Farrow,,81,to win the gig race,\n,33,,,\n';
  await dialog
    .getByLabel('File')
    .setInputFiles({ name: 'crew.csv', mimeType: 'text/csv', buffer: Buffer.from(list) });
  await expect(dialog.getByText('Say which column holds the names.')).toBeVisible();
  await dialog.getByLabel('Crew').selectOption({ label: 'name' });
  await expect(dialog.getByText('52 years, 68 kg')).toBeVisible();
  await expect(dialog.getByText('gig race')).toBeVisible();
  await expect(dialog.getByText('No name in this row')).toBeVisible();
  await expectAccessible(page);
  await dialog.getByRole('button', { name: 'Bring in 2 clients' }).click();
  await expect(page.getByRole('link', { name: 'Oda Lister' })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Nils Farrow' })).toBeVisible();
});

test('whoever forgot the password is told how to get on', async ({ page, server }) => {
  await page.goto(server.url);
  await page.getByRole('button', { name: 'Forgot the password?' }).click();
  await page.getByLabel('E-mail address with which you sign in').fill('coach@boathouse.example');
  await page.getByRole('button', { name: 'Ask for a link' }).click();
  await expect(page.getByText('This installation sends no mail.')).toBeVisible();
  await expectAccessible(page);
});
