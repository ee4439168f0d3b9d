import type { Page } from '@playwright/test';
import { expect, expectAccessible, signIn, test } from '../support/fixtures.ts';

/** Addresses of every screen, for the first client of the demo who has a plan with a log and a block. */
async function everyScreen(page: Page): Promise<string[]> {
  return page.evaluate(async () => {
    type Row = { id: number; planId?: number; client: { name: string } };
    const rows = (await (await fetch('/api/v1/clients')).json()) as Row[];
    const { id, planId } = rows.find((row) => row.client.name.startsWith('Tamsin'))!;
    return [
      '/',
      '/approaches',
      '/beliefs',
      '/inbox',
      '/outbox',
      '/catalogue?exercise=push-up',
      '/check',
      `/clients/${id}`,
      `/clients/${id}/kit`,
      `/clients/${id}/kit?tool=loads`,
      `/clients/${id}/kit?tool=bands`,
      `/clients/${id}/kit?tool=next`,
      `/clients/${id}/program`,
      `/clients/${id}/trends`,
      `/clients/${id}/workbench`,
      `/plans/${planId}/block`,
      `/plans/${planId}/handout`,
      `/plans/${planId}/log`,
    ];
  });
}

/** The screen is there: its heading stands, and nothing is being read any more. */
async function there(page: Page): Promise<void> {
  await expect(page.locator('h1').first()).toBeAttached();
  await page.waitForLoadState('networkidle');
}

/** What sticks out to the right, and what makes the page longer than what is seen of it. */
const overflow = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const root = document.documentElement;
    if (root.scrollWidth <= root.clientWidth) return [];
    return [...document.querySelectorAll<HTMLElement>('main *, header *')]
      .filter((e) => e.getBoundingClientRect().right > root.clientWidth + 1 && !e.closest('.overflow-x-auto'))
      .slice(0, 4)
      .map(
        (e) =>
          `${e.tagName} ${e.className} ${Math.round(e.getBoundingClientRect().right)} of ${root.clientWidth}`,
      );
  });

/** Text that is smaller than 12 px. */
const smallText = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const small: string[] = [];
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    while (walker.nextNode()) {
      const element = walker.currentNode.parentElement;
      const text = walker.currentNode.textContent?.trim();
      if (!element || !text || element.closest('.sr-only, script, style, template')) continue;
      if (element.getClientRects().length === 0) continue;
      // A drawing is scaled with its box.
      const svg = element.closest('svg');
      const scale = svg ? ((svg as SVGSVGElement).getScreenCTM()?.a ?? 1) : 1;
      const size = Number.parseFloat(getComputedStyle(element).fontSize) * scale;
      if (size < 11.95)
        small.push(
          `${size.toFixed(1)} px: ${text.slice(0, 30)} (${element.tagName} ${element.getAttribute('class') ?? ''})`,
        );
    }
    return [...new Set(small)].slice(0, 6);
  });

/** Things to press that are less than 24 px wide or high and have a neighbour within reach (WCAG 2.2, 2.5.8; links in a sentence are let off). */
const smallTargets = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const all = [
      ...document.querySelectorAll<HTMLElement>('button, a[href], input, select, textarea, summary'),
    ];
    return all
      .filter(
        (e) => e.getClientRects().length > 0 && !e.closest('.sr-only') && !e.classList.contains('sr-only'),
      )
      .filter((e) => {
        const own = e.getBoundingClientRect();
        const of = e.closest('label')?.getBoundingClientRect() ?? own;
        const box = { width: Math.max(own.width, of.width), height: Math.max(own.height, of.height) };
        const inSentence =
          e.tagName === 'A' &&
          /^(P|LI|SPAN|DD|TD)$/.test(e.parentElement?.tagName ?? '') &&
          (e.parentElement?.textContent?.trim().length ?? 0) > (e.textContent?.trim().length ?? 0) + 3;
        return box.width > 0 && (box.height < 23.5 || box.width < 23.5) && !inSentence;
      })
      .slice(0, 6)
      .map(
        (e) =>
          `${e.tagName} ${Math.round(e.getBoundingClientRect().width)}×${Math.round(e.getBoundingClientRect().height)} ${(e.textContent ?? '').trim().slice(0, 30)} ${e.className}`,
      );
  });

test('no screen is wider than its window, at any width and at 200 %', async ({ page, server }) => {
  test.setTimeout(300_000);
  await signIn(page, server.url);
  const wrong: Record<string, string[]> = {};
  for (const screen of await everyScreen(page)) {
    await page.goto(server.url + screen);
    await there(page);
    // 640 px is what a window of 1280 px has left at 200 %.
    for (const width of [360, 390, 640, 768, 1024, 1280, 1920]) {
      await page.setViewportSize({ width, height: 800 });
      const found = await overflow(page);
      if (found.length > 0) wrong[`${screen} at ${width}`] = found;
    }
  }
  expect(wrong).toEqual({});
});

test('no text is under 12 px and nothing to press under 24 px', async ({ page, server }) => {
  test.setTimeout(240_000);
  await signIn(page, server.url);
  const wrong: Record<string, string[]> = {};
  for (const screen of await everyScreen(page)) {
    for (const width of [1280, 390]) {
      await page.setViewportSize({ width, height: 844 });
      await page.goto(server.url + screen);
      await there(page);
      const found = [...(await smallText(page)), ...(await smallTargets(page))];
      if (found.length > 0) wrong[`${screen} at ${width}`] = found;
    }
  }
  expect(wrong).toEqual({});
});

test('the page itself does not scroll where its parts do', async ({ page, server }) => {
  await signIn(page, server.url);
  const wrong: string[] = [];
  for (const screen of (await everyScreen(page)).filter((s) => /kit|workbench/.test(s))) {
    await page.goto(server.url + screen);
    await there(page);
    const { scrolls, height } = await page.evaluate(() => ({
      scrolls: document.documentElement.scrollHeight,
      height: window.innerHeight,
    }));
    if (scrolls > height + 1) wrong.push(`${screen}: ${scrolls} of ${height}`);
  }
  expect(wrong).toEqual([]);
});

test('a new screen is announced: the focus stands on its heading', async ({ page, server }) => {
  await signIn(page, server.url);
  const screens = await everyScreen(page);
  const wrong: string[] = [];
  test.setTimeout(120_000);
  for (const screen of screens) {
    await page.goto(server.url);
    await expect(page.getByRole('heading', { name: 'Roster' })).toBeVisible();
    await page.evaluate(
      (to) => {
        const link = document.createElement('a');
        link.href = to;
        document.querySelector('main')?.append(link);
        link.click();
      },
      screen === '/' ? '/check' : screen,
    );
    await there(page);
    const tag = await page
      .waitForFunction(() => (document.activeElement?.tagName === 'H1' ? 'H1' : null), null, {
        timeout: 4_000,
      })
      .then(
        () => 'H1',
        () => page.evaluate(() => document.activeElement?.outerHTML.slice(0, 80) ?? 'nothing'),
      );
    if (tag !== 'H1') wrong.push(`${screen}: ${tag}`);
  }
  expect(wrong).toEqual([]);
});

for (const theme of ['paper', 'slate'] as const)
  test(`every screen is accessible in ${theme} at three widths`, async ({ page, server }) => {
    test.setTimeout(300_000);
    await signIn(page, server.url);
    await page.evaluate((name) => localStorage.setItem('ingegno-theme', name), theme);
    let turn = theme === 'paper' ? 0 : 1;
    for (const screen of await everyScreen(page)) {
      await page.goto(server.url + screen);
      await there(page);
      // All of them take four minutes: INGEGNO_FULL=1. Otherwise one width a screen, in turn.
      const widths = [390, 1024, 1280];
      const chosen = process.env.INGEGNO_FULL ? widths : [widths[turn++ % widths.length]!];
      for (const width of chosen) {
        await page.setViewportSize({ width, height: 844 });
        await test.step(`${screen} at ${width}`, () => expectAccessible(page));
      }
    }
  });
