import { expect, expectAccessible, signIn, expectSaved, test } from '../support/fixtures.ts';

/** The coach's day from sign-in to the next session's proposal, with the server killed in between. */
test('a gym week becomes a home plan, is handed over, logged, and survives a crash', async ({
  page,
  server,
}) => {
  await page.goto(server.url);
  await expectAccessible(page);
  await signIn(page, server.url);

  // 1. The roster of the demo club.
  for (const name of ['Tamsin Okoro', 'Bruno Halvorsen', 'Ines Quarrie', 'Dario Whitlock'])
    await expect(page.getByRole('link', { name, exact: true })).toBeVisible();
  await expectAccessible(page);

  // 2. A member and the kit of a place.
  await page.getByLabel('Filter the roster').fill('ines');
  await page.getByRole('link', { name: 'Ines Quarrie' }).click();
  await expect(page.getByRole('heading', { name: 'Ines Quarrie' })).toBeVisible();
  await page.getByLabel('Body mass').fill('-5');
  await expect(page.getByText('between 25 and 300')).toBeVisible();
  await page.getByLabel('Body mass').fill('74.5');
  await expectSaved(page);
  await page.getByRole('link', { name: 'Open the kit' }).click();
  await page.getByLabel(/Add things/).fill('ottoman 38 cm');
  await expect(
    page.getByRole('listitem').filter({ has: page.getByLabel('Words of this thing') }),
  ).toContainText('Ottoman 38 cm');
  await page.getByLabel(/Add things/).press('Enter');
  await expectSaved(page);
  await expectAccessible(page);

  // 3. A gym week in shorthand: the good lines are kept while the bad one is mended.
  await page.keyboard.press('Escape'); // leaves the field, so that letters are keys again
  await page.keyboard.press('w');
  const area = page.getByLabel('Gym week, one line per exercise');
  await area.fill(
    'Overhead press 3x6 + AMRAP @ 75% 2-0-1-0 180s\nA1 Boathouse special 4x5 @ RPE 8\nA2 Cable face pull 3x15',
  );
  await expect(page.getByRole('button', { name: 'line 2', exact: true })).toBeVisible();
  await expect(page.getByText('2 good lines, 1 to mend')).toBeVisible();
  await expectAccessible(page);
  // What the practice calls an exercise is said once, and known from then on.
  await page.getByRole('button', { name: 'Say what it is …' }).click();
  const teach = page.getByRole('dialog', { name: /^This is …/ });
  await teach.getByLabel('Exercise of the catalogue').fill('deficit deadlift');
  await expect(teach.getByLabel('Deficit deadlift')).toBeVisible();
  await expectAccessible(page);
  await teach.getByRole('button', { name: 'Remember it' }).click();
  await expect(page.getByText('3 good lines')).toBeVisible();

  // 4. Rebuild: every line gets a home line, candidates and reasons; another one can be taken.
  await area.press('Control+Enter');
  const plan = page.getByRole('region', { name: 'Gym plan facing home plan' });
  await expect(plan.getByRole('listitem')).toHaveCount(3);
  await expectAccessible(page);
  const inspector = page.getByRole('complementary', { name: 'Inspector' });
  const before = await inspector.getByRole('heading', { level: 2 }).textContent();
  await page.locator('body').press('2');
  await expect(inspector.getByRole('heading', { level: 2 })).not.toHaveText(before ?? '');
  await expect(plan.getByText('kept by you')).toBeVisible();
  await page.keyboard.press('u');
  await expect(inspector.getByRole('heading', { level: 2 })).toHaveText(before ?? '');
  await inspector.getByText(/ruled out, with reasons/).click();
  await expect(inspector.getByRole('listitem').filter({ hasText: 'needs' }).first()).toBeVisible();

  // 5. Save and hand over.
  await page.keyboard.press('h');
  await expect(page.getByRole('button', { name: 'Print' })).toBeVisible();
  await expect(page.getByText('Stop, sit down and call the emergency number')).toBeVisible();
  await expect(
    page.getByRole('article').getByRole('listitem').filter({ hasText: 'left in reserve' }).first(),
  ).toBeVisible();
  await expectAccessible(page);

  // 6. Log, and the proposal for next time.
  await page.getByRole('link', { name: 'Log a session' }).click();
  await page.locator('input[data-entry]').first().fill('6');
  await page.getByRole('button', { name: 'Log the session' }).click();
  await expect(page.getByText(/Proposed from all that was logged/)).toBeVisible();
  await expect(page.getByText(/finish all of them/).first()).toBeVisible();
  await expectAccessible(page);
  const address = page.url();

  // The server dies without warning and is started again.
  await server.kill();
  await server.start();
  await page.goto(address);
  await expect(page.getByText(/Proposed from all that was logged/)).toBeVisible();
  await page.goto(server.url);
  await page.getByRole('link', { name: 'Ines Quarrie' }).click();
  await expect(page.getByLabel('Body mass')).toHaveValue('74.5');
  await expect(page.getByText('38 cm')).toBeVisible();
});
