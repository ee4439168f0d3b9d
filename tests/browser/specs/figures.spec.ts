import { expect, expectAccessible, signIn, test } from '../support/fixtures.ts';

test('an exercise moves at its tempo when asked, is turned by hand, and is told in words', async ({
  page,
  server,
}) => {
  await signIn(page, server.url);
  await page.goto(`${server.url}/catalogue?exercise=goblet-squat`);
  const figure = page.getByRole('article').getByRole('img', { name: /^Start: standing, trunk upright/ });
  await expect(figure).toBeVisible();
  const outline = (): Promise<string | null> => figure.locator('path.trunk').first().getAttribute('d');
  const still = await outline();
  await page.waitForTimeout(300);
  expect(await outline()).toBe(still);

  await page.getByRole('button', { name: 'Move', exact: true }).click();
  await expect.poll(outline).not.toBe(still);
  await page.getByRole('button', { name: 'Hold still' }).click();
  await expect.poll(outline).toBe(still);

  await page.getByRole('slider').fill('90');
  await expect.poll(outline).not.toBe(still);
  await expectAccessible(page);
});

test('a coach who wants no motion sees start and end side by side', async ({ page, server }) => {
  await page.emulateMedia({ reducedMotion: 'reduce' });
  await signIn(page, server.url);
  await page.goto(`${server.url}/catalogue?exercise=goblet-squat`);
  const figure = page.getByRole('article').getByRole('img', { name: /^Start: standing/ });
  await expect(figure.locator('svg')).toHaveCount(2);
  await expect(page.getByRole('button', { name: 'Move', exact: true })).toHaveCount(0);
});

test('far down the catalogue nothing is fetched until it comes near', async ({ page, server }) => {
  let asked = 0;
  await page.route('**/api/v1/figures/**', async (route) => {
    asked++;
    await route.continue();
  });
  await signIn(page, server.url);
  await page.goto(`${server.url}/catalogue`);
  const list = page.getByRole('region', { name: 'Exercises' });
  await expect(list.locator('svg.figure').first()).toBeVisible();
  await page.waitForTimeout(400);
  expect(asked).toBeLessThan(60);
  await list.evaluate((e) => e.scrollTo(0, e.scrollHeight / 2));
  await expect.poll(() => asked).toBeGreaterThan(20);
});

test('the figure of an own exercise is posed by hand, and what no body can do is said', async ({
  page,
  server,
}) => {
  await signIn(page, server.url);
  await page.goto(`${server.url}/catalogue?exercise=goblet-squat`);
  await expect(page.getByRole('heading', { name: 'Goblet squat' })).toBeVisible();
  await page.locator('body').press('n');
  const dialog = page.getByRole('dialog', { name: 'A new exercise' });
  const hips = dialog.getByRole('button', { name: /^hips at the end/ });
  await expect(hips).toHaveAccessibleName(/as it is/);
  await hips.scrollIntoViewIfNeeded();
  const at = (await hips.boundingBox()) ?? { x: 0, y: 0 };
  await page.mouse.move(at.x + 12, at.y + 12);
  await page.mouse.down();
  await page.mouse.move(at.x + 12, at.y - 18, { steps: 5 });
  await page.mouse.up();
  await expect(hips).toHaveAccessibleName(/moved -?0 % ahead, 1\d % up/);

  const foot = dialog.getByRole('button', { name: /^right foot at the end/ });
  await foot.focus();
  for (let i = 0; i < 4; i++) await page.keyboard.press('Shift+ArrowDown');
  await expect(dialog.getByText(/below the floor/)).toBeVisible();
  await expectAccessible(page);

  await dialog.getByRole('checkbox', { name: /a pose half-way/ }).check();
  const between = dialog.getByRole('button', { name: /^hips half-way/ });
  await expect(between).toHaveAccessibleName(/as it is/);
  await between.press('Shift+ArrowRight');
  await expect(between).toHaveAccessibleName(/moved 5 % ahead/);
  await dialog.getByRole('checkbox', { name: /a pose half-way/ }).uncheck();
  await expect(between).toBeHidden();
  await dialog.getByRole('button', { name: 'As it was' }).click();
  await expect(dialog.getByText(/below the floor/)).toBeHidden();
  await expect(hips).toHaveAccessibleName(/as it is/);
});
