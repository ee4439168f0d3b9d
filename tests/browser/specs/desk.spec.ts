import { addClient, expect, expectAccessible, expectSaved, signIn, test } from '../support/fixtures.ts';

test.beforeEach(async ({ page, server }) => signIn(page, server.url));

test('a day is a page, on A4 and on Letter, for every plan of the club', async ({ page, server }) => {
  test.setTimeout(120_000);
  const rows = await page.evaluate(
    async () => (await (await fetch('/api/v1/clients')).json()) as { planId?: number }[],
  );
  for (const { planId } of rows) {
    if (!planId) continue;
    await page.goto(`${server.url}/plans/${planId}/handout`);
    await expect(page.getByRole('button', { name: 'Print' })).toBeVisible();
    // The figures take room too.
    const drawn = page.getByRole('article').locator('.figure-place');
    await expect(drawn).toHaveCount(
      await page
        .getByRole('article')
        .getByRole('heading', { level: 3 })
        .filter({ hasNotText: 'Warm-up' })
        .count(),
    );
    const days = await page.getByRole('article').getByRole('heading', { level: 2 }).count();
    for (const format of ['A4', 'Letter']) {
      const pdf = await page.pdf({ format });
      const pages = pdf.toString('latin1').match(/\/Type\s*\/Page[^s]/g)?.length;
      expect(pages, `plan ${planId} on ${format}`).toBe(days);
    }
  }
});

test('how bags are packed and bands are tied goes on a page of its own, when asked', async ({
  page,
  server,
}) => {
  const rows = await page.evaluate(
    async () => (await (await fetch('/api/v1/clients')).json()) as { planId?: number }[],
  );
  let seen = 0;
  for (const { planId } of rows.filter((row) => row.planId).slice(0, 4)) {
    await page.goto(`${server.url}/plans/${planId}/handout`);
    await expect(page.getByRole('button', { name: 'Print' })).toBeVisible();
    const box = page.getByRole('checkbox', { name: 'Set-up drawings' });
    if (!(await box.isVisible())) continue;
    seen++;
    await box.check();
    const drawings = page.getByRole('region', { name: 'Set-up drawings' });
    await expect(drawings.locator('svg').first()).toBeVisible();
    const days = (await page.getByRole('article').getByRole('heading', { level: 2 }).count()) - 1;
    const pages =
      (await page.pdf({ format: 'A4' })).toString('latin1').match(/\/Type\s*\/Page[^s]/g)?.length ?? 0;
    expect(pages - days, `plan ${planId}`).toBeGreaterThan(0);
    expect(pages - days, `plan ${planId}: a page of drawings a day at most`).toBeLessThanOrEqual(days);
    await box.uncheck();
    await expect(drawings).toBeHidden();
  }
  expect(seen).toBeGreaterThan(0);
});

test('the workbench opens on the plan that was worked on last', async ({ page, server }) => {
  await page.getByLabel('Filter the roster').fill('tamsin');
  await page.getByRole('link', { name: 'Workbench' }).click();
  await expect(page.getByRole('region', { name: 'Gym plan facing home plan' })).toBeVisible();
  await expect(page).toHaveURL(/plan=\d+/);
  await page.goto(server.url);
  await page.getByLabel('Filter the roster').fill('tamsin');
  await page.getByRole('link', { name: 'Tamsin Okoro' }).click();
  const box = await page.getByRole('link', { name: 'Hand-out' }).boundingBox();
  expect(box!.y, 'the plan is in sight without scrolling').toBeLessThan(600);
});

test('what is expected is a bar within the field of what is wanted, and no block', async ({ page }) => {
  await page.getByLabel('Filter the roster').fill('tamsin');
  await page.getByRole('link', { name: 'Workbench' }).click();
  await page.getByRole('button', { name: /^Line 2: Deficit deadlift/ }).click();
  const drawing = page.getByRole('img', { name: /reps to failure expected/ });
  await expect(drawing).toBeVisible();
  const [bar, field] = [
    await drawing.locator('rect.expected').boundingBox(),
    await drawing.locator('rect.zone').boundingBox(),
  ];
  expect(bar!.height).toBeLessThan(10);
  expect(bar!.height).toBeLessThan(field!.height);
});

test('the roster knows joints and states, has an order, and keeps both on Back', async ({ page, server }) => {
  await page.getByLabel('Filter the roster').fill('shoulder sore');
  await expect(page.getByRole('status').first()).toContainText(/^\d+ of \d+ clients/);
  await expect(page.getByRole('link', { name: 'Tamsin Okoro' })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Dario Whitlock' })).toBeHidden();
  await page.getByLabel('Order').selectOption({ label: 'by name' });
  await page.getByRole('link', { name: 'Tamsin Okoro' }).click();
  await expect(page.getByRole('heading', { name: 'Tamsin Okoro' })).toBeVisible();
  await page.goBack();
  await expect(page.getByLabel('Filter the roster')).toHaveValue('shoulder sore');
  await expect(page.getByLabel('Order')).toHaveValue('name');
  await page.goto(`${server.url}/?find=no+home+plan`);
  await expect(page.getByRole('link', { name: 'Dario Whitlock' })).toBeVisible();
});

test('what cannot be opened says so, and can be tried again', async ({ page, server, consoleErrors }) => {
  await page.goto(`${server.url}/plans/99999/handout`);
  await expect(page.getByRole('alert')).toContainText('This hand-out cannot be opened');
  await page.goto(`${server.url}/clients/99999/workbench`);
  await expect(page.getByRole('alert')).toContainText('There is none at this address');

  await page.route('**/api/v1/clients', (route) => route.abort());
  await page.goto(server.url);
  await expect(page.getByRole('alert')).toContainText('The server cannot be reached');
  await page.unroute('**/api/v1/clients');
  await page.getByRole('button', { name: 'Try again' }).click();
  await expect(page.getByRole('link', { name: 'Tamsin Okoro' })).toBeVisible();
  consoleErrors.splice(0); // Addresses that do not exist, and a connection cut on purpose.
});

test('Esc leaves a field, Ctrl S saves in the middle of one, stairs are not asked whether they fold', async ({
  page,
  server,
}) => {
  const id = await addClient(page, 'Keys', { items: [{ id: 's', kind: 'stairs', heightCm: 18 }] });
  await page.goto(`${server.url}/clients/${id}/kit`);
  const panel = page.getByRole('complementary', { name: 'Tools' });
  await expect(panel.getByLabel('moves or creaks')).toBeVisible();
  await expect(panel.getByLabel('glass', { exact: true })).toBeHidden();
  await expect(panel.getByLabel('folds up')).toBeHidden();
  const name = page.getByRole('textbox', { name: 'Name of the place' });
  await name.fill('Stairwell');
  await name.press('Control+s');
  await expectSaved(page);
  await page.getByLabel(/Add things/).focus();
  await page.keyboard.press('Escape');
  await page.keyboard.press('u');
  await expect(name).toHaveValue('Home');
});

test('the candidates of a proposal are those of its own line', async ({ page, server }) => {
  const id = await addClient(page, 'Hurt', {
    text: 'Back squat 3x8\nBench press 3x8\nBarbell row 3x8',
    items: [{ id: 'd', kind: 'dumbbell', count: 2, massKg: 12 }],
  });
  await page.goto(`${server.url}/clients/${id}/workbench`);
  await page.getByRole('button', { name: /^Rebuild/ }).click();
  const bench = page.getByRole('region', { name: 'Gym plan facing home plan' });
  await expect(bench.getByRole('listitem')).toHaveCount(3);
  await page.locator('body').press('s');
  await page.getByRole('link', { name: 'Log', exact: true }).click();
  const fields = page.locator('input[data-entry]');
  await fields.nth(2).fill('8,8,8 r2 p6 shoulder');
  await fields.nth(2).press('Control+Enter');
  await page.getByRole('link', { name: 'See the candidates' }).click();
  await expect(page.getByRole('complementary', { name: 'Inspector' })).toContainText('for Barbell row');
});

test('after a candidate is taken or a dose typed the keyboard goes on from there', async ({
  page,
  server,
}) => {
  const id = await addClient(page, 'Focus', { text: 'Back squat 3x8\nBench press 3x8' });
  await page.goto(`${server.url}/clients/${id}/workbench`);
  await page.getByRole('button', { name: /^Rebuild/ }).click();
  const inspector = page.getByRole('complementary', { name: 'Inspector' });
  await inspector.getByRole('listitem').getByRole('button').nth(1).click();
  await expect(page.getByText('kept by you')).toBeVisible();
  expect(await page.evaluate(() => document.activeElement !== document.body)).toBe(true);
  await page.locator('body').press('f');
  await page.keyboard.press('ControlOrMeta+A');
  await page.keyboard.type('4x9 2-0-1-0 60 s RIR 2');
  await page.keyboard.press('Enter');
  await expect(page.getByText('set by you').first()).toBeVisible();
  expect(await page.evaluate(() => document.activeElement !== document.body)).toBe(true);
});

test('kit that changed since the plan is told, and a press rebuilds with it', async ({ page, server }) => {
  const id = await addClient(page, 'Moved', { text: 'Back squat 3x8\nBench press 3x8' });
  await page.goto(`${server.url}/clients/${id}/workbench`);
  await page.getByRole('button', { name: /^Rebuild/ }).click();
  await page.locator('body').press('s');
  await expect(page.getByText(/Saved as version \d+\./).last()).toBeVisible();
  await page.goto(`${server.url}/clients/${id}/kit`);
  await page.getByLabel(/Add things/).fill('two 16 kg dumbbells');
  await page.getByLabel(/Add things/).press('Enter');
  await expect(page.getByRole('region', { name: 'Lift' })).toContainText('16 kg');
  await expectSaved(page);
  await page.goto(server.url);
  await page.getByLabel('Filter the roster').fill('moved changed');
  await expect(page.getByText('The kit changed since this plan was made.')).toBeVisible();
  await page.goto(`${server.url}/clients/${id}/workbench`);
  await expect(page.getByText('The kit changed since this plan was made.')).toBeVisible();
  await page.getByRole('button', { name: 'Rebuild 2 lines, keep your choices' }).click();
  await expect(page.getByText('The kit changed since this plan was made.')).toBeHidden();
  await expect(page.getByRole('button', { name: /^Saved, v2/ })).toBeVisible();
});

test('a coach sees where they are signed in and ends the rest', async ({ page, server, browser }) => {
  const elsewhere = await (await browser.newContext()).newPage();
  await signIn(elsewhere, server.url);
  await page.getByRole('button', { name: 'Account' }).click();
  const dialog = page.getByRole('dialog', { name: 'Your account' });
  await expect(dialog.getByRole('listitem').nth(1)).toBeVisible();
  await expectAccessible(page);
  await dialog.getByRole('button', { name: 'Sign out everywhere else' }).click();
  await expect(dialog.getByText('Signed in at 1 place')).toBeVisible();
  await elsewhere.reload();
  await expect(elsewhere.getByRole('button', { name: 'Sign in' })).toBeVisible();
  await elsewhere.context().close();
});

test('a profile saves itself, and undo goes back through what was saved', async ({ page, server }) => {
  const id = await addClient(page, 'Undone');
  await page.goto(`${server.url}/clients/${id}`);
  const age = page.getByLabel('Age');
  for (const years of ['30', '31']) {
    await age.fill(years);
    await expectSaved(page);
  }

  await page.keyboard.press('Escape');
  await page.keyboard.press('u');
  await expect(age).toHaveValue('30');
  await page.keyboard.press('Shift+U');
  await expect(age).toHaveValue('31');
  await page.keyboard.press('u');
  await expectSaved(page);
  await page.reload();
  await expect(age).toHaveValue('30');
});

test('leaving a typed log asks once and brings it back', async ({ page, server }) => {
  const rows = await page.evaluate(
    async () => (await (await fetch('/api/v1/clients')).json()) as { planId?: number }[],
  );
  const plan = rows.find((row) => row.planId)?.planId;
  await page.goto(`${server.url}/plans/${plan}/log`);
  const first = page.locator('input[data-entry]').first();
  await first.fill('9,9,8 r2');
  await page.getByRole('link', { name: 'Ingegno, to the roster' }).click();
  const dialog = page.getByRole('dialog', { name: 'Leave what you typed?' });
  await dialog.getByRole('button', { name: 'Stay here' }).click();
  await expect(first).toHaveValue('9,9,8 r2');
  await page.getByRole('link', { name: 'Ingegno, to the roster' }).click();
  await dialog.getByRole('button', { name: 'Leave, keep it for later' }).click();
  await expect(page.getByRole('heading', { name: 'Roster' })).toBeVisible();
  await page.goto(`${server.url}/plans/${plan}/log`);
  await expect(page.getByText('Restored what you had not saved.')).toBeVisible();
  await expect(first).toHaveValue('9,9,8 r2');
  await page.getByRole('button', { name: 'Drop it' }).click();
  await expect(first).toHaveValue('');
});

test('a decision that did not reach the server is there again after a reload', async ({
  page,
  server,
  consoleErrors,
}) => {
  const id = await addClient(page, 'Decided', { text: 'Back squat 3x8\nBench press 3x8' });
  await page.goto(`${server.url}/clients/${id}/workbench`);
  await page.getByRole('button', { name: /^Rebuild/ }).click();
  const bench = page.getByRole('region', { name: 'Gym plan facing home plan' });
  await expect(bench.getByRole('listitem')).toHaveCount(2);
  await expect(page).toHaveURL(/line=1/);
  await page.reload();
  await expect(bench.getByRole('listitem'), 'what was proposed and not decided about').toHaveCount(2);

  await page.locator('body').press('s');
  await expect(page.getByRole('button', { name: /^Saved, v1/ })).toBeVisible();
  await page.route('**/versions', (route) => route.abort());
  await page.keyboard.press('2');
  await expect(page.getByText('kept by you')).toBeVisible();
  const taken = await bench.getByRole('listitem').first().textContent();
  await expect(page.getByText('Kept here; the server does not answer', { exact: false })).toBeVisible();
  page.once('dialog', (dialog) => void dialog.accept());
  await page.reload();
  await expect(page.getByText('Restored what you had not saved.')).toBeVisible();
  await expect(bench.getByRole('listitem').first()).toHaveText(taken!);
  await page.unroute('**/versions');
  await expect(page.getByRole('button', { name: /^Saved, v2/ })).toBeVisible();
  await expect(page.getByText('Restored what you had not saved.')).toBeHidden();
  consoleErrors.splice(0); // The connection was cut on purpose.
});

test('a gym week that is typed over makes a new version of its plan', async ({ page, server }) => {
  const id = await addClient(page, 'Typed over', { text: 'Back squat 3x8' });
  await page.goto(`${server.url}/clients/${id}/workbench`);
  await page.getByRole('button', { name: /^Rebuild/ }).click();
  await page.locator('body').press('s');
  await expect(page.getByRole('button', { name: /^Saved, v1/ })).toBeVisible();
  await page.keyboard.press('e');
  const area = page.getByLabel('Gym week, one line per exercise');
  await area.fill('Back squat 3x8\nBench press 3x8');
  await area.press('Control+Enter');
  await expect(page.getByRole('button', { name: /^Saved, v2/ })).toBeVisible();
});
