import { addClient, expect, expectAccessible, signIn, expectSaved, test } from '../support/fixtures.ts';

test.beforeEach(async ({ page, server }) => signIn(page, server.url));

test('any pasted plan gets a verdict with its reasons as one types', async ({ page, server }) => {
  await page.getByRole('link', { name: 'Check a plan' }).click();
  await expect(page.getByRole('heading', { name: 'Nothing to judge yet' })).toBeVisible();
  const plan = page.getByLabel('The plan');
  await plan.fill(
    '= Monday\nSquat jump 3x10 20 s\nReverse lunge 3x10 20 s\nPush-up 3x50 15 s\nWhammy sparkle 3x8',
  );
  await page.getByLabel('Level').selectOption('beginner');
  const verdict = page.getByRole('region', { name: 'Verdict' });
  await expect(verdict.getByRole('heading')).toContainText('Not like this');
  await expect(verdict).toContainText('Hard landings are not for beginners.');
  await expect(verdict).toContainText('no count per side');
  await expect(verdict).toContainText('3 lines read, 1 to mend');
  await expectAccessible(page);

  await plan.fill('= Monday\nBodyweight squat 3x10-15 90 s\nTable row 3x8-12 90 s\nPush-up 3x8-12 90 s');
  await expect(verdict.getByRole('heading')).toContainText('Sound');
  await page.reload();
  await expect(plan).toHaveValue(/Table row/);
  await page.getByLabel(/^For/).selectOption('Rosalba Crane');
  await expect(verdict.getByRole('heading')).toContainText(/Sound|Good|Not like this/);
});

test('a finding is mended in one press, accepted with a note, and undone', async ({ page, server }) => {
  const id = await addClient(page, 'Checked', {
    profile: { minutesPerSession: 45 },
    items: [{ id: 'table', kind: 'dining-table', heightCm: 74 }],
    text: '= Day 1\nBack squat 4x6 RIR 2 2 min\nSeated cable row 4x10 2 min\nLying leg curl 4x12 90 s\nCrunch 4x15 60 s\nTriceps pushdown 4x12 60 s',
  });
  await page.goto(`${server.url}/clients/${id}/workbench`);
  await expect(page.getByRole('button', { name: /^Rebuild/ })).toBeEnabled();
  await page.locator('body').press('r');
  const findings = page.getByLabel('The whole week');
  await expect(page.getByText(/^Cut to fit 45 min/)).toBeVisible();
  await page.getByRole('button', { name: 'Leave it whole' }).click();
  await expect(findings).toContainText('more than the client has');
  await findings.getByRole('button', { name: /^Drop \d+ sets/ }).click();
  await expect(findings.getByRole('button', { name: /^Drop \d+ sets/ })).toHaveCount(0);
  await page.keyboard.press('u');
  await expect(findings.getByRole('button', { name: /^Drop \d+ sets/ })).toBeVisible();

  const untested = findings.getByRole('listitem').filter({ hasText: 'Nobody has tested' });
  await untested.getByRole('button', { name: 'Accept …' }).click();
  await untested.getByLabel('Why it may stand').fill('tested it together on Friday');
  await page.keyboard.press('Enter');
  await expect(untested).toContainText('Accepted: ');
  await expect(untested).toContainText('tested it together on Friday');
  await page.keyboard.press('s');
  await expect(page.getByText(/Saved as version \d+\./).last()).toBeVisible();
  await page.reload();
  await expect(untested).toContainText('tested it together on Friday');
  await untested.getByRole('button', { name: 'Take that back' }).click();
  await expect(untested).toContainText('Hint:');
});

test('what the screening finds is serious until a clearance is recorded', async ({ page, server }) => {
  const id = await addClient(page, 'Screened', { text: 'Push-up 3x10\nParallel-bar dip 3x8' });
  await page.goto(`${server.url}/clients/${id}`);
  await page
    .getByRole('group', { name: /^An operation/ })
    .getByLabel('yes')
    .check();
  await page.getByLabel('recent surgery').check();
  await expectSaved(page);
  await page.goto(`${server.url}/clients/${id}/workbench`);
  await expect(page.getByRole('button', { name: /^Rebuild/ })).toBeEnabled();
  await page.locator('body').press('r');
  const findings = page.getByLabel('The whole week');
  await expect(findings).toContainText('No hard work before a clinician has cleared it');

  await page.goto(`${server.url}/clients/${id}`);
  await page.getByLabel('Cleared on').fill('2026-11-02');
  await page.getByLabel('by whom: name and role').fill('Dr. Aas');
  await expectSaved(page);
  await expectAccessible(page);
  await page.goto(`${server.url}/clients/${id}/workbench`);
  await expect(page.getByRole('button', { name: /^Rebuild/ })).toBeEnabled();
  await page.locator('body').press('r');
  await expect(findings).toContainText('Hard sets this week');
  await expect(findings).not.toContainText('No hard work before');

  await page.keyboard.press('ArrowDown');
  const inspector = page.getByRole('complementary', { name: 'Inspector' });
  await inspector.getByText(/ruled out, with reasons/).click();
  await inspector.getByRole('button', { name: 'Offer it to this client all the same' }).click();
  await expect(page.getByText(/Dip off one surface is offered to Screened from now on/)).toBeVisible();
});
