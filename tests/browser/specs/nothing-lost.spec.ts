import type { Locator, Page } from '@playwright/test';
import { addClient, expect, signIn, test } from '../support/fixtures.ts';

/** How many random steps; a long run: INGEGNO_STEPS=10000 INGEGNO_SECONDS=7200. */
const steps = Number(process.env.INGEGNO_STEPS ?? 120);
const seconds = Number(process.env.INGEGNO_SECONDS ?? 150);
const seed = Number(process.env.INGEGNO_SEED ?? 7);

/** The same figures for the same seed (mulberry32). */
function figures(from: number): () => number {
  let state = from;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296;
  };
}

/** A field of a record, on its screen. */
interface Place {
  name: string;
  address: string;
  field: (page: Page) => Locator;
}

test('random steps with reloads, Backs, cut connections and two tabs lose nothing that was typed', async ({
  page,
  server,
  context,
  consoleErrors,
}) => {
  test.setTimeout((seconds + 120) * 1000);
  const id = await (async () => {
    await signIn(page, server.url);
    return addClient(page, 'Wanderer', { text: 'Bench press 3x8\nBack squat 3x8' });
  })();
  await page.goto(`${server.url}/clients/${id}/workbench`);
  await page.getByRole('button', { name: /^Rebuild/ }).click();
  await page.locator('body').press('s');
  await expect(page.getByText(/Saved as version \d+\./).last()).toBeVisible();
  const plan = new URL(page.url()).searchParams.get('plan');

  const note: Place = {
    name: 'note of the client',
    address: `/clients/${id}`,
    field: (p) => p.getByLabel('Note', { exact: true }),
  };
  const kit: Place = {
    name: 'name of the place',
    address: `/clients/${id}/kit`,
    field: (p) => p.getByRole('textbox', { name: 'Name of the place' }),
  };
  const cell: Place = {
    name: 'cell of the grid',
    address: `/clients/${id}/program`,
    field: (p) => p.getByLabel('Note, line 1'),
  };
  const log: Place = {
    name: 'log that is being typed',
    address: `/plans/${plan}/log`,
    field: (p) => p.getByLabel('Note', { exact: true }),
  };

  const other = await context.newPage();
  const tabs = [
    { page, places: [note, cell], at: note },
    { page: other, places: [kit, log], at: kit },
  ];
  const typed = new Map<string, string>();
  const random = figures(seed);
  const pick = <T>(of: T[]): T => of[Math.floor(random() * of.length)]!;
  let cut = false;

  for (const tab of tabs) tab.page.on('dialog', (dialog) => void dialog.accept());

  /** What the application asks is answered: leave, and keep it for later. */
  async function answer(p: Page): Promise<void> {
    const leave = p.getByRole('button', { name: 'Leave, keep it for later' });
    if (await leave.isVisible().catch(() => false)) await leave.click();
  }

  async function connect(on: boolean): Promise<void> {
    if (cut === !on) return;
    cut = !on;
    for (const { page: p } of tabs)
      await (on ? p.unroute('**/api/**') : p.route('**/api/**', (route) => route.abort()));
  }

  async function open(tab: (typeof tabs)[number], place: Place): Promise<void> {
    await connect(true);
    tab.at = place;
    await tab.page.goto(server.url + place.address);
    await expect(place.field(tab.page)).toBeVisible();
  }

  async function check(): Promise<void> {
    for (const tab of tabs)
      for (const place of tab.places) {
        await open(tab, place);
        const expected = typed.get(place.name);
        if (expected !== undefined)
          await expect(place.field(tab.page), `${place.name}, seed ${seed}`).toHaveValue(expected);
      }
  }

  for (const tab of tabs) await open(tab, tab.at);
  const until = Date.now() + seconds * 1000;
  let done = 0;
  for (; done < steps && Date.now() < until; done++) {
    const tab = pick(tabs);
    const what = random();
    const field = tab.at.field(tab.page);
    if (what < 0.6) {
      if (!(await field.isVisible().catch(() => false))) await open(tab, tab.at);
      const text = `Typed ${done}`;
      await field.fill(text);
      typed.set(tab.at.name, text);
    } else if (what < 0.7) await tab.page.reload();
    else if (what < 0.78) {
      await tab.page.goBack().catch(() => null);
      await answer(tab.page);
      await open(tab, pick(tab.places));
    } else if (what < 0.86) {
      await tab.page
        .getByRole('link', { name: 'Ingegno, to the roster' })
        .click({ timeout: 2_000 })
        .catch(() => null);
      await tab.page.waitForTimeout(200);
      await answer(tab.page);
      await open(tab, pick(tab.places));
    } else if (what < 0.93) await connect(cut);
    else await tab.page.waitForTimeout(Math.floor(random() * 1_200));
    if (done % 30 === 29) await check();
  }

  await check();
  // What saves itself has reached the server by now: another browser sees it.
  const stored = await page.evaluate(async (client) => {
    const { value } = (await (await fetch(`/api/v1/clients/${client}`)).json()) as {
      value: { note: string };
    };
    const places = (await (await fetch(`/api/v1/clients/${client}/places`)).json()) as {
      value: { name: string };
    }[];
    return { note: value.note, place: places[0]?.value.name };
  }, id);
  expect(stored).toEqual({ note: typed.get(note.name) ?? '', place: typed.get(kit.name) ?? 'Home' });
  expect(done).toBeGreaterThan(Math.min(steps, 40) - 1);
  consoleErrors.splice(0); // Connections were cut on purpose.
});
