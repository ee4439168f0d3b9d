import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { Problem } from '../api/problem';
import { Drafts, type DraftStorage } from './drafts';
import { Keeper, type KeeperWays } from './saver.svelte';

const stored = new Map<string, string>();
const storage: DraftStorage = {
  get length() {
    return stored.size;
  },
  key: (i) => [...stored.keys()][i] ?? null,
  getItem: (key) => stored.get(key) ?? null,
  setItem: (key, value) => void stored.set(key, value),
  removeItem: (key) => void stored.delete(key),
};
const drafts = new Drafts(storage, 'here', () => Promise.resolve(new Set(['here'])));

/** A record on a server and on a screen. */
class Desk {
  screen = 'as it was';
  server = { text: 'as it was', revision: 1 };
  fails: Problem | null = null;
  sent = 0;
  /** It does what it is asked, and its answer is lost. */
  silent = false;
  theirs: unknown = null;

  keeper(saves = true): Keeper<string> {
    const ways: KeeperWays<string> = {
      now: () => this.screen,
      restore: (text) => void (this.screen = text),
    };
    if (saves) ways.save = (text, base) => this.save(text, base);
    ways.conflict = (theirs) => (this.theirs = theirs);
    return new Keeper(ways, {
      drafts: () => Promise.resolve(drafts),
      now: () => drafts,
      clock: () => 0,
      pause: 900,
      retries: [2_000, 4_000],
    });
  }

  /** As the server does it: over the revision that was seen; what it has already it has. */
  async save(text: string, base: number | null): Promise<number> {
    this.sent++;
    await new Promise((resolve) => setTimeout(resolve, 100));
    if (this.fails) throw this.fails;
    if (base !== this.server.revision && this.server.text !== text)
      throw new Problem(409, 'conflict', 'Changed', 'Changed elsewhere.', {}, this.server);
    if (this.server.text !== text) this.server = { text, revision: this.server.revision + 1 };
    if (this.silent) throw Problem.unreachable();
    return this.server.revision;
  }

  type(keeper: Keeper<string>, text: string): void {
    this.screen = text;
    keeper.changed();
  }
}

beforeEach(() => {
  stored.clear();
  vi.useFakeTimers();
});
afterEach(() => void vi.useRealTimers());
const later = (ms: number): Promise<unknown> => vi.advanceTimersByTimeAsync(ms);

describe('a keeper', () => {
  it('saves once the typing pauses, and forgets the draft', async () => {
    const desk = new Desk();
    const keeper = desk.keeper();
    await keeper.on('kit-1', 1);
    desk.type(keeper, 'a');
    await later(500);
    desk.type(keeper, 'ab');
    await later(800);
    expect([desk.sent, keeper.state, stored.size]).toEqual([0, 'waiting', 1]);

    await later(300);
    expect([desk.sent, desk.server.text, keeper.state, keeper.base, stored.size]).toEqual([
      1,
      'ab',
      'saved',
      2,
      0,
    ]);
  });

  it('saves again what was typed while it was saving', async () => {
    const desk = new Desk();
    const keeper = desk.keeper();
    await keeper.on('kit-1', 1);
    desk.type(keeper, 'a');
    await later(950);
    desk.type(keeper, 'ab');
    await later(60);
    expect([desk.server.text, keeper.state]).toEqual(['a', 'waiting']);
    await later(1_200);
    expect([desk.server.text, keeper.state, stored.size]).toEqual(['ab', 'saved', 0]);
  });

  it('brings back after a reload what had not reached the server', async () => {
    const desk = new Desk();
    const before = desk.keeper();
    await before.on('kit-1', 1);
    desk.type(before, 'typed');
    before.close();
    await later(0);
    desk.screen = 'as it was';

    const after = desk.keeper();
    await after.on('kit-1', 1);
    expect([desk.screen, after.restored, after.state]).toEqual(['typed', true, 'waiting']);
    await later(1_100);
    expect([desk.server.text, after.restored, after.state]).toEqual(['typed', false, 'saved']);
  });

  it('keeps of a record no more than the fields that were typed', async () => {
    let screen = { name: 'Rower', health: 'Private', level: 'beginner' };
    const keeper = new Keeper<typeof screen>(
      { now: () => screen, restore: (record) => void (screen = record), fields: true },
      {
        drafts: () => Promise.resolve(drafts),
        now: () => drafts,
        clock: () => 0,
        pause: 900,
        retries: [2_000],
      },
    );
    await keeper.on('client-1', 1);
    screen = { ...screen, level: 'advanced' };
    keeper.changed();
    expect([...stored.values()].join()).toContain('advanced');
    expect([...stored.values()].join()).not.toContain('Private');

    screen = { name: 'Rower', health: 'Private', level: 'beginner' };
    await keeper.on('client-1', 1);
    expect(screen).toEqual({ name: 'Rower', health: 'Private', level: 'advanced' });
  });

  it('keeps the revision on which it was typed, so that what others saved meanwhile is not written over', async () => {
    const desk = new Desk();
    const before = desk.keeper(false);
    await before.on('kit-1', 1);
    desk.type(before, 'typed');
    await later(0);

    const after = desk.keeper(false);
    await after.on('kit-1', 7);
    expect([after.base, after.restored]).toEqual([1, true]);
  });

  it('tries again while the server does not answer', async () => {
    const desk = new Desk();
    const keeper = desk.keeper();
    await keeper.on('kit-1', 1);
    desk.fails = Problem.unreachable();
    desk.type(keeper, 'a');
    await later(1_100);
    expect([keeper.state, stored.size]).toEqual(['unreachable', 1]);
    await later(2_200);
    expect([desk.sent, keeper.state]).toEqual([2, 'unreachable']);
    desk.fails = null;
    await later(4_200);
    expect([desk.server.text, keeper.state, stored.size]).toEqual(['a', 'saved', 0]);
  });

  it('keeps what the server refuses, says why, and does not ask again and again', async () => {
    const desk = new Desk();
    const keeper = desk.keeper();
    await keeper.on('kit-1', 1);
    desk.fails = new Problem(400, 'validation', 'Not like that', 'A place has a name.');
    desk.type(keeper, '');
    await later(60_000);
    expect([keeper.state, keeper.refusal, desk.sent, stored.size]).toEqual([
      'refused',
      'A place has a name.',
      1,
      1,
    ]);
  });

  it('waits for a word after a conflict, whatever is typed', async () => {
    const desk = new Desk();
    const keeper = desk.keeper();
    await keeper.on('kit-1', 1);
    desk.server = { text: 'theirs', revision: 2 };
    desk.type(keeper, 'a');
    await later(1_100);
    desk.type(keeper, 'ab');
    await later(60_000);
    expect([keeper.state, desk.sent, stored.size, await keeper.flush()]).toEqual(['conflict', 1, 1, false]);
    expect(desk.theirs).toEqual({ text: 'theirs', revision: 2 });
    const over = keeper.overwrite(2);
    await later(200);
    expect([await over, desk.server, stored.size]).toEqual([true, { text: 'ab', revision: 3 }, 0]);
  });

  it('knows its own write among several whose answers were lost, also after the page was gone meanwhile', async () => {
    const desk = new Desk();
    const keeper = desk.keeper();
    await keeper.on('kit-1', 1);
    desk.fails = Problem.unreachable();
    desk.type(keeper, 'first');
    await later(1_100);
    desk.type(keeper, 'second');
    await later(1_100);
    keeper.close();
    desk.screen = 'as it was';
    const again = desk.keeper();
    await again.on('kit-1', 1);
    await later(120_000); // However often it is tried again.
    again.close();
    const draft = JSON.parse(stored.get('ingegno-draft:kit-1:here') ?? '{}') as {
      sent: string[];
    };
    expect(draft.sent).toEqual(['first', 'second']);

    // The first of them had reached the server.
    desk.server = { text: 'first', revision: 2 };
    desk.screen = 'as it was';
    desk.fails = null;
    const next = desk.keeper();
    await next.on('kit-1', 1);
    expect(desk.screen).toBe('second');
    await later(3_000);
    expect([desk.server.text, next.state, desk.theirs]).toEqual(['second', 'saved', null]);
  });

  it('has kept what was typed before it is known which tab it is', async () => {
    const page = new Drafts(storage, 'new-1', () => Promise.resolve(new Set(['here'])));
    drafts.put('kit-1', { value: 'older', base: 1, at: 1 });
    page.put('kit-1', { value: 'typed at once', base: 1, at: 2 });
    expect((await drafts.find<string>('kit-1'))?.value).toBe('typed at once');
    expect([...stored.keys()]).toEqual(['ingegno-draft:kit-1:here']);
    const next = new Drafts(storage, 'new-2', () => Promise.resolve(new Set(['here'])));
    next.put('kit-1', { value: 'newest', base: 1, at: 3 });
    next.become('here');
    expect((await drafts.find<string>('kit-1'))?.value).toBe('newest');
    expect(stored.size).toBe(1);
  });

  it('knows its own write again whose answer was lost', async () => {
    const desk = new Desk();
    const keeper = desk.keeper();
    await keeper.on('kit-1', 1);
    desk.silent = true;
    desk.type(keeper, 'a');
    await later(1_100);
    desk.silent = false;
    desk.type(keeper, 'ab');
    await later(5_000);
    expect([desk.server, keeper.state, desk.theirs]).toEqual([{ text: 'ab', revision: 3 }, 'saved', null]);
  });

  it('knows it after a reload too', async () => {
    const desk = new Desk();
    const before = desk.keeper();
    await before.on('kit-1', 1);
    desk.silent = true;
    desk.type(before, 'a');
    await later(1_100);
    desk.type(before, 'ab');
    before.close();
    await later(0);

    desk.silent = false;
    const after = desk.keeper();
    await after.on('kit-1', 2);
    await later(5_000);
    expect([desk.server, after.state, desk.theirs]).toEqual([{ text: 'ab', revision: 3 }, 'saved', null]);
  });

  it('flushes at once, and says whether anything is left', async () => {
    const desk = new Desk();
    const keeper = desk.keeper();
    await keeper.on('kit-1', 1);
    desk.type(keeper, 'a');
    const flushed = keeper.flush();
    await later(100);
    expect([await flushed, desk.server.text]).toEqual([true, 'a']);

    const kept = new Desk().keeper(false);
    await kept.on('log-1', null);
    kept.changed();
    expect([await kept.flush(), kept.state]).toEqual([false, 'kept']);
  });

  it('sends once what several ask to be saved at once', async () => {
    const desk = new Desk();
    const keeper = desk.keeper();
    await keeper.on('kit-1', 1);
    desk.type(keeper, 'a');
    await later(900); // The pause is over: it is under way.
    const flushed = Promise.all([keeper.flush(), keeper.flush(), keeper.flush()]);
    await later(500);
    expect([await flushed, desk.sent]).toEqual([[true, true, true], 1]);
    desk.type(keeper, 'ab');
    const first = Promise.all([keeper.flush(), keeper.flush()]);
    await later(500);
    expect([await first, desk.sent]).toEqual([[true, true], 2]);
  });

  it('does not put a draft over what is typed while it is looked for', async () => {
    drafts.put('kit-1', { value: 'old', base: 1, at: 0 });
    const desk = new Desk();
    const keeper = desk.keeper();
    const opening = keeper.on('kit-1', 1);
    desk.type(keeper, 'new');
    await opening;
    expect([desk.screen, keeper.restored]).toEqual(['new', false]);
  });
});
