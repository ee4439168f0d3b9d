import { createHmac } from 'node:crypto';
import { expect, expectAccessible, signIn, test } from '../support/fixtures.ts';
import { demoCoach, Server } from '../support/server.ts';

/** The code of a secret now (RFC 6238, six figures, thirty seconds). */
function code(secret: string, ahead = 0): string {
  const bits = [...secret.replaceAll(' ', '')]
    .map((sign) => 'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567'.indexOf(sign).toString(2).padStart(5, '0'))
    .join('');
  const key = Buffer.from((bits.match(/.{8}/g) ?? []).map((byte) => parseInt(byte, 2)));
  const step = Buffer.alloc(8);
  step.writeBigUInt64BE(BigInt(Math.floor(Date.now() / 30_000) + ahead));
  const mac = createHmac('sha1', key).update(step).digest();
  const at = (mac.at(-1) ?? 0) & 15;
  return String((mac.readUInt32BE(at) & 0x7fffffff) % 1_000_000).padStart(6, '0');
}

test('a second factor is set up from the account, and sign-in asks for its code', async ({
  page,
  consoleErrors,
}) => {
  test.slow(); // The demo is trained anew for it.
  const server = new Server(true); // Its own: others sign in without a code.
  await server.start();
  try {
    await signIn(page, server.url);
    await page.getByRole('button', { name: 'Account' }).click();
    const factor = page.getByRole('region', { name: 'Second factor' });
    await factor.getByLabel('Password, to set it up').fill(demoCoach.password);
    await factor.getByRole('button', { name: 'Set it up' }).click();
    await expectAccessible(page);
    const secret = await factor.locator('p.figures').innerText();
    await factor.getByLabel('The code that it shows now').fill(code(secret));
    await factor.getByRole('button', { name: 'Switch it on' }).click();
    const recovery = factor.getByRole('list', { name: 'Recovery codes' }).getByRole('listitem');
    await expect(recovery).toHaveCount(10);
    const spare = await recovery.first().innerText();
    await factor.getByRole('button', { name: 'I have kept them' }).click();
    await expect(factor).toContainText('10 recovery codes left');
    await page.getByRole('button', { name: 'Close' }).click();
    await page.getByRole('button', { name: 'Sign out', exact: true }).click();

    await page.getByLabel('E-mail address').fill(demoCoach.email);
    await page.getByLabel('Password').fill(demoCoach.password);
    await page.getByRole('button', { name: 'Sign in' }).click();
    const asked = page.getByLabel(/Code of your device/);
    await expect(asked).toBeFocused();
    await asked.fill('000000');
    await asked.press('Enter');
    await expect(page.getByRole('alert')).toContainText('does not open');
    await asked.fill(spare);
    await asked.press('Enter');
    await expect(page.getByRole('heading', { name: 'Roster' })).toBeVisible();
    await page.goto('about:blank');
    consoleErrors.splice(0); // The refusals were asked for.
  } finally {
    await server.dispose();
  }
});
