import { expect, signIn, test } from '../support/fixtures.ts';
import { logOf, opened, phone, sentPlan } from '../support/phone.ts';

test('clusters and sets every minute go home as written, are led by the phone, and are counted whole', async ({
  page,
  browser,
  server,
}) => {
  await signIn(page, server.url);
  const { client, plan, address } = await sentPlan(
    page,
    'Cluster rower',
    '= Day 1\nDumbbell curl 3x5+4+3 180 s\nHammer curl EMOM 3 min x 4\nDumbbell row 2x10 90 s',
  );
  await page.goto(`${server.url}/clients/${client}/workbench?plan=${plan}`);
  await expect(page.getByText('3x5+4+3').nth(1)).toBeVisible();

  const context = await phone(browser);
  const floor = await opened(context, server, address);
  await expect(floor.getByText('3 × 5+4+3')).toBeVisible();
  await expect(floor.getByText('3 × 4, a set every 60 s')).toBeVisible();
  await floor.clock.install();
  await floor.reload();
  await floor.getByRole('button', { name: 'Warm up' }).click();
  await floor.getByRole('button', { name: 'To the first exercise' }).click();

  // Piece by piece, with a breath between them, and one set in the log.
  await floor.getByRole('button', { name: 'Done, more of this set next' }).click();
  await expect(floor.getByText('the same set goes on')).toBeVisible();
  await expect(floor.getByRole('timer', { name: 'Rest' })).toHaveText('0:20');
  await floor.clock.fastForward(20_000);
  await floor.getByRole('button', { name: 'Done, more of this set next' }).click();
  await floor.clock.fastForward(20_000);
  await floor.getByRole('button', { name: 'Set done' }).click();
  await expect(floor.getByText('Next: set 2 of 3.')).toContainText('5 + 4 + 3');
  for (const set of [2, 3]) {
    await floor.getByRole('button', { name: 'Skip the rest' }).click();
    await expect(floor.getByText(`set ${set} of 3`)).toBeVisible();
    for (let piece = 0; piece < 2; piece++) {
      await floor.getByRole('button', { name: 'Done, more of this set next' }).click();
      await floor.getByRole('button', { name: 'Start now' }).click();
    }
    await floor.getByRole('button', { name: 'Set done' }).click();
  }

  // By the clock: a set of twenty seconds leaves forty, one that was begun nine seconds late still ends the minute where it was.
  await floor.getByRole('button', { name: 'Skip the rest' }).click();
  await floor.clock.fastForward(20_000);
  await floor.getByRole('button', { name: 'Set done' }).click();
  const rest = floor.getByRole('timer');
  await expect(rest).toHaveText(/0:(40|39|38)/);
  await floor.clock.fastForward(49_000);
  await floor.getByRole('button', { name: 'Next set' }).click();
  await floor.clock.fastForward(11_000);
  await floor.getByRole('button', { name: 'Set done' }).click();
  await expect(rest).toHaveText(/0:(40|39|38|37)/);
  await floor.clock.fastForward(45_000);
  await floor.getByRole('button', { name: 'Next set' }).click();
  await floor.clock.fastForward(20_000);
  await floor.getByRole('button', { name: 'Set done' }).click();
  await expect(rest).toHaveText(/1:1[0-5]/); // the next is another exercise: the way there, not what is left of the minute
  await floor.getByRole('button', { name: 'End', exact: true }).click();
  await floor.getByRole('button', { name: 'Send to your coach' }).click();
  await expect.poll(async () => (await logOf(page, plan)).length, { timeout: 20_000 }).toBe(1);
  const [log] = await logOf(page, plan);
  expect(log?.value.exercises.map((e) => e.sets.map((set) => set.reps))).toEqual([
    [12, 12, 12],
    [4, 4, 4],
  ]);
  await context.close();
});
