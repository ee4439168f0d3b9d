import { addClient, expect, expectAccessible, signIn, expectSaved, test } from '../support/fixtures.ts';

test.beforeEach(async ({ page, server }) => signIn(page, server.url));

const home = [
  { id: 'bag', kind: 'rucksack', massKg: 0.9, volumeL: 25, maxLoadKg: 18 },
  { id: 'bottle', kind: 'bottle', count: 4, massKg: 1.53, volumeL: 1.6 },
  { id: 'loop', kind: 'band-loop', restLengthCm: 104, widthMm: 13, thicknessMm: 4.5 },
  { id: 'table', kind: 'dining-table', heightCm: 74, massKg: 38, overhangCm: 8, legToCentreCm: 36 },
];

test('things are typed in any unit, shown by what they can do, and kept over a reload', async ({
  page,
  server,
}) => {
  const id = await addClient(page, 'Typed kit');
  await page.goto(`${server.url}/clients/${id}/kit`);
  await expect(page.getByText('Nothing here yet', { exact: false })).toBeVisible();
  const input = page.getByLabel(/Add things/);
  for (const text of ['pair of 20 lb dumbbells', 'rucksack 25 L', 'plyo box 18 in', 'band 104 cm 13 mm']) {
    await input.fill(text);
    await expect(page.getByLabel('Words of this thing')).toHaveValue(text);
    await input.press('Enter');
  }

  await expect(page.getByRole('region', { name: 'Lift' })).toContainText('20 lb');
  await expect(page.getByRole('region', { name: 'Stand or lie on' })).toContainText('45.7 cm');
  await expect(page.getByRole('region', { name: 'Pull against' })).toContainText('104 cm × 13 mm');
  await expect(page.getByText(/exercises possible here/)).toBeVisible();
  await expect(page.getByRole('region', { name: 'Lift' })).toContainText(/opens \d+ exercises/);
  await expectAccessible(page);

  await expectSaved(page);
  await page.reload();
  await expect(page.getByRole('region', { name: 'Lift' })).toContainText('20 lb');

  await input.fill('sofa 44 kg');
  await expect(page.getByText(/44 kg says nothing about a sofa/)).toBeVisible();
  await input.fill('dumbell 8 kg');
  await expect(page.getByText('Read as Dumbbell.')).toBeVisible();
  await input.fill('rower');
  await page.getByRole('button', { name: 'Cable column', exact: true }).click();
  await expect(page.getByLabel('Words of this thing')).toHaveValue(/Cable column/);

  // A whole sentence: each thing by itself, shown before it is taken.
  await input.fill('loop band, chair 45 cm, stairs and some 5s and 10s');
  await expect(page.getByLabel('Words of this thing')).toHaveCount(5);
  await page.getByRole('button', { name: 'Leave out stairs' }).click();
  await page.getByRole('button', { name: 'Add 4 things' }).click();
  await expect(page.getByText('4 things added.')).toBeVisible();
  await page.getByRole('button', { name: 'An ordinary home' }).click();
  await expect(page.getByRole('region', { name: 'Stand or lie on' })).toContainText('Dining table');
});

test('a thing is weighed, ruled out, tested, removed and brought back by the keyboard', async ({
  page,
  server,
}) => {
  const id = await addClient(page, 'Things', { items: home });
  await page.goto(`${server.url}/clients/${id}/kit`);
  await page.getByRole('button', { name: /bottle of water/i }).click();
  await page.getByText('Weigh it').click();
  await page.getByLabel('You with it').fill('83.1');
  await page.getByLabel('You alone').fill('80');
  await page.getByLabel('Pieces weighed').fill('2');
  await expect(page.getByText('One weighs 1.55 kg.')).toBeVisible();
  await page.getByRole('button', { name: 'Take it' }).click();
  await expect(page.getByLabel('Mass of one')).toHaveValue('1.55');

  await page.getByRole('button', { name: /dining table/i }).click();
  await page.getByLabel('stands on wheels').check();
  await expect(page.getByText('never to be used')).toBeVisible();
  await page.getByLabel('stands on wheels').uncheck();
  await page.getByLabel(/Push and pull it by hand/).check();

  await page.locator('body').press('Delete');
  await expect(page.getByRole('button', { name: /^dining table/i })).toBeHidden();
  await page.locator('body').press('u');
  await expect(page.getByRole('button', { name: /^dining table/i })).toBeVisible();
});

test('the load builder answers at once with a recipe, and says where it ends', async ({ page, server }) => {
  const id = await addClient(page, 'Loads', { items: home });
  await page.goto(`${server.url}/clients/${id}/kit?tool=loads`);
  const wanted = page.getByLabel('Wanted in one hand');
  await wanted.fill('3.96');
  await expect(page.getByText(/with 2 × bottle of water 1.53 kg: 3.96 kg/)).toBeVisible();
  await expect(page.getByText('exact', { exact: true })).toBeVisible();
  await wanted.fill('8 lb');
  await expect(page.getByText('nearest below')).toBeVisible();
  await wanted.fill('30');
  await expect(page.getByText(/Add things to pack/)).toBeVisible();
  await page.getByLabel('How many: Bottle of water').fill('1');
  await expect(page.getByText(/with bottle of water 1.53 kg: 2.43 kg/)).toBeVisible();
  await page.getByRole('button', { name: 'The same in both hands' }).click();
  await expect(page.getByText(/Two equal containers are needed/)).toBeVisible();
  await expectAccessible(page);
});

test('the band bench calibrates with the simulated scale and answers both ways round', async ({
  page,
  server,
}) => {
  const id = await addClient(page, 'Bands', { items: home });
  await page.goto(`${server.url}/clients/${id}/kit?tool=bands`);
  await expect(page.getByText(/estimated from width and thickness/i)).toBeVisible();

  await page.getByRole('button', { name: 'Use the hanging scale' }).click();
  for (const length of ['150', '200', '250']) {
    await page.getByLabel('Pull to').fill(length);
    await page.getByRole('button', { name: 'Pull', exact: true }).click();
    await expect(page.getByText('steady')).toBeVisible();
    await page.getByRole('button', { name: 'Take this reading' }).click();
    await page.getByRole('button', { name: 'Let go' }).click();
  }

  await expect(page.getByText(/fitted to 3 measured points, off by 0\.\d\d kg/i)).toBeVisible();
  await page.getByLabel('Wanted where hardest').fill('7');
  await expect(page.getByText(/For 7 kg: start \d+/).or(page.getByText(/For 7 kg: grip/))).toBeVisible();
  await page.getByRole('button', { name: 'Set it so' }).click();
  await expect(page.getByText('7 kg', { exact: true })).toBeVisible();
  await expectAccessible(page);

  await page.getByLabel('Force of point 3').fill('2');
  await expect(page.getByRole('alert')).toContainText('The force falls from');
  await page.getByLabel('Force of point 3').fill('12');
  await expect(page.getByText(/fitted to 3 measured points/i)).toBeVisible();
});

test('an exercise shows what can be reached here, the largest step, and what is missing', async ({
  page,
  server,
}) => {
  const id = await addClient(page, 'Ladder', { items: home });
  await page.goto(`${server.url}/clients/${id}/kit?tool=exercises`);
  await expect(page.getByText(/The largest step is/)).toBeVisible();
  await page.getByRole('combobox', { name: 'Exercise' }).selectOption({ label: 'Table row' });
  await expect(page.getByText(/statics with segment masses/)).toBeHidden();
  await page
    .getByRole('complementary', { name: 'Tools' })
    .getByRole('button', { name: /dining table/i })
    .click();
  await expect(page.getByText(/Body share estimated: statics/)).toBeVisible();
  await page.getByRole('combobox', { name: 'Exercise' }).selectOption({ label: 'Pull-up' });
  await expect(page.getByText('It cannot be done here.')).toBeVisible();
  await expectAccessible(page);
});

test('a place starts from a usual kit or another client’s', async ({ page, server }) => {
  await addClient(page, 'Lender', { items: home });
  const id = await addClient(page, 'Borrower');
  await page.goto(`${server.url}/clients/${id}/kit`);
  await page.getByRole('button', { name: 'Add a place' }).click();
  await page.getByLabel('Start from').selectOption({ label: 'Hotel room (6 things)' });
  await page.getByRole('button', { name: 'Add the place' }).click();
  await expect(page.getByRole('button', { name: 'Hotel room', exact: true })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await expect(page.getByRole('region', { name: 'Fill' })).toContainText('Suitcase');
});

test('what to buy next is tried in the gym weeks, by the coach\u2019s prices and budget, and can be added', async ({
  page,
  server,
}) => {
  const id = await addClient(page, 'Buyer', { items: home, text: 'Pull-up 4x8\nLeg curl 3x12' });
  await page.goto(`${server.url}/clients/${id}/kit`);
  await page.getByText(/exercises possible here/).waitFor();
  await page.locator('body').press('n');
  await expect(page.getByText(/Each offer is tried in 1 gym week/)).toBeVisible();
  const offers = page.getByRole('complementary', { name: 'Tools' }).getByRole('listitem');
  await expect(offers.filter({ hasText: 'Pull-up bar' })).toBeVisible();
  await expectAccessible(page);

  await page.getByLabel('Price of Pull-up bar').fill('0.5');
  await page.getByLabel('Price of Pull-up bar').blur();
  await expect(offers.first()).toContainText('Pull-up bar');
  await page.reload();
  await expect(page.getByLabel('Price of Pull-up bar')).toHaveValue('0.5');
  await page.getByLabel('Price of Pull-up bar').fill('-1');
  await page.getByLabel('Price of Pull-up bar').blur();
  await expect(page.getByText(/A price lies above 0/)).toBeVisible();
  await page.getByLabel('Most to spend on one thing').fill('0');
  await expect(page.getByText(/The budget lies above 0/)).toBeVisible();
  await page.getByLabel('Most to spend on one thing').fill('12');
  await expect(offers.filter({ hasText: 'Straps' })).toHaveCount(0);
  await expect(offers.first()).toContainText('Pull-up bar');

  await page.getByRole('button', { name: /^Pull-up bar/ }).click();
  await expect(offers.first()).toContainText('Pull-up:');
  await page.getByRole('button', { name: 'It is here now: add it to the kit' }).click();
  await expect(page.getByText('Pull-up bar stands here now.')).toBeVisible();
  await page.locator('body').press('n');
  await expect(offers.filter({ hasText: 'Pull-up bar' })).toHaveCount(0);

  await page.getByLabel(/for all my clients/).check();
  await expect(page.getByText(/Each offer is tried in \d+ clients’ weeks/)).toBeVisible();
  await page
    .getByRole('button', { name: /points of match/ })
    .first()
    .click({ timeout: 60_000 });
  await expect(page.getByRole('complementary', { name: 'Tools' })).toContainText(/spent\s*[^,:]+, [^:]+:/);
  await page.getByRole('button', { name: 'Back to usual prices' }).click();
  await expect(page.getByRole('button', { name: 'Back to usual prices' })).toBeHidden();
});

test('without a gym week what to buy next says what to do first', async ({ page, server }) => {
  const id = await addClient(page, 'No days', { items: home });
  await page.goto(`${server.url}/clients/${id}/kit?tool=next`);
  await expect(page.getByText(/No gym week is kept for this client yet/)).toBeVisible();
});
