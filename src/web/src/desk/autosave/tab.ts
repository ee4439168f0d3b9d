import { session } from '../session.svelte';
import { Drafts, firstMoments } from './drafts';

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

let who = '';

/** Whose drafts these are; a session that ended does not change it. */
const coach = (): string => (who = session.coach?.email ?? who);

/**
 * Drafts of this tab, from its first moment on: which tab it is takes a while to find out, and what is typed meanwhile is kept under a
 * name of its own until then.
 */
const drafts = navigator.locks
  ? new Drafts(localStorage, firstMoments + crypto.randomUUID(), openTabs, coach)
  : // Without locks (plain HTTP on another machine) tabs cannot tell one another apart: one shelf for all.
    new Drafts(localStorage, 'here', () => Promise.resolve(new Set(['here'])), coach);

let named: Promise<Drafts> | undefined;

/** Drafts of this tab, to write to. */
export const draftsNow = (): Drafts => drafts;

/** Drafts of this tab once it knows which one it is, to read what it kept before. */
export const draftsHere = (): Promise<Drafts> =>
  (named ??= (async () => {
    if (navigator.locks) drafts.become(await tabName());
    return drafts;
  })());
