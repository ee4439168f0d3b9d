import { describe, expect, it } from 'vitest';
import { Drafts, type DraftStorage } from './drafts';

/** Storage as the browser has it, with room for so many letters. */
function shelf(room = Number.POSITIVE_INFINITY): DraftStorage {
  const kept = new Map<string, string>();
  return {
    get length() {
      return kept.size;
    },
    key: (i) => [...kept.keys()][i] ?? null,
    getItem: (key) => kept.get(key) ?? null,
    setItem: (key, value) => {
      if (value.length > room) throw new DOMException('full', 'QuotaExceededError');
      kept.set(key, value);
    },
    removeItem: (key) => void kept.delete(key),
  };
}

const tab = (storage: DraftStorage, name: string, open: string[] = [name]): Drafts =>
  new Drafts(storage, name, () => Promise.resolve(new Set(open)));

describe('drafts', () => {
  it('are found again by the tab that typed them', async () => {
    const storage = shelf();
    tab(storage, 'a').put('kit-3', { value: 'two chairs', base: 4, at: 1 });

    expect(await tab(storage, 'a').find('kit-3')).toEqual({ value: 'two chairs', base: 4, at: 1 });
    expect(await tab(storage, 'a').find('kit-31')).toBeNull();
  });

  it('of one coach are not found by another on the same computer', async () => {
    const storage = shelf();
    const of = (coach: string): Drafts =>
      new Drafts(
        storage,
        'a',
        () => Promise.resolve(new Set(['a'])),
        () => coach,
      );
    of('lena@boathouse.example').put('plan-check', { value: 'a plan', base: null, at: 1 });

    expect(await of('ode@boathouse.example').find('plan-check')).toBeNull();
    of('ode@boathouse.example').dropAll();
    expect((await of('lena@boathouse.example').find('plan-check'))?.value).toBe('a plan');
  });

  it('of two open tabs stay apart', async () => {
    const storage = shelf();
    tab(storage, 'a').put('kit-3', { value: 'mine', base: 1, at: 1 });

    expect(await tab(storage, 'b', ['a', 'b']).find('kit-3')).toBeNull();
    tab(storage, 'b').put('kit-3', { value: 'theirs', base: 1, at: 2 });
    expect((await tab(storage, 'a').find('kit-3'))?.value).toBe('mine');
  });

  it('of tabs that are gone go to who comes next, the newest first', async () => {
    const storage = shelf();
    tab(storage, 'old').put('week-1', { value: 'older', base: 1, at: 1 });
    tab(storage, 'gone').put('week-1', { value: 'newer', base: 1, at: 2 });
    const here = tab(storage, 'here');

    expect((await here.find('week-1'))?.value).toBe('newer');
    here.drop('week-1');
    expect((await here.find('week-1'))?.value).toBe('older');
    here.drop('week-1');
    expect(await here.find('week-1')).toBeNull();
  });

  it('go all at once, whoever typed them', async () => {
    const storage = shelf();
    storage.setItem('ingegno-theme', 'slate');
    tab(storage, 'a').put('kit-3', { value: 1, base: 1, at: 1 });
    tab(storage, 'b').put('kit-4', { value: 2, base: 1, at: 1 });
    tab(storage, 'a').dropAll();

    expect(storage.length).toBe(1);
    expect(await tab(storage, 'a').find('kit-3')).toBeNull();
  });

  it('that do not fit or cannot be read harm nobody', async () => {
    const storage = shelf(60);
    expect(tab(storage, 'a').put('kit-3', { value: 'x'.repeat(100), base: 1, at: 1 })).toBe(false);
    storage.setItem('ingegno-draft:kit-3:a', '{"value":');
    expect(await tab(storage, 'a').find('kit-3')).toBeNull();
    expect(storage.length).toBe(0);
  });
});
