import { Drafts } from './drafts';

const idKey = 'ingegno-tab';
const lockOf = (tab: string): string => `ingegno-tab-${tab}`;

/** Holds a lock for as long as this tab is open, so that others see that it is; false when it is held already. */
function hold(tab: string): Promise<boolean> {
  return new Promise((resolve) => {
    void navigator.locks.request(lockOf(tab), { ifAvailable: true }, (lock) => {
      resolve(lock !== null);
      return lock ? new Promise(() => undefined) : undefined;
    });
  });
}

/** Name of this tab: it outlives a reload. A tab that was duplicated brings the other's along and takes a new one. */
async function tabName(): Promise<string> {
  const kept = sessionStorage.getItem(idKey);
  // On a reload the page before may hold its lock for a moment still.
  for (let attempt = 0; kept && attempt < 5; attempt++) {
    if (await hold(kept)) return kept;
    await new Promise((resolve) => setTimeout(resolve, 60));
  }
  const fresh = crypto.randomUUID();
  sessionStorage.setItem(idKey, fresh);
  await hold(fresh);
  return fresh;
}

async function openTabs(): Promise<ReadonlySet<string>> {
  const { held = [] } = await navigator.locks.query();
  return new Set(held.map((lock) => lock.name?.replace(lockOf(''), '') ?? ''));
}

let drafts: Promise<Drafts> | undefined;

/** Drafts of this tab. */
export const draftsHere = (): Promise<Drafts> =>
  (drafts ??= navigator.locks
    ? tabName().then((tab) => new Drafts(localStorage, tab, openTabs))
    : // Without locks (plain HTTP on another machine) tabs cannot tell one another apart: one shelf for all.
      Promise.resolve(new Drafts(localStorage, 'here', () => Promise.resolve(new Set(['here'])))));
