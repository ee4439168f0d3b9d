import { deleteDB, openDB, type DBSchema, type IDBPDatabase } from 'idb';
import { digest } from '../../shared/digest';
import { deliver } from './delivery';
import { Server } from './server';
import { nameOf, openKept, Store } from './store';

/** A link that was opened on this phone. */
interface Known {
  secret: string;
  /** When it was opened last, ms since 1970. */
  usedAt: number;
  /** The server has answered it with its plans: until then it may be any 43 signs. */
  opened: boolean;
}

interface Links extends DBSchema {
  links: { key: string; value: Known };
}

/** Name of the one store that there was for all links once. */
const old = 'ingegno-session';

/**
 * The links that a phone knows. Two clients may share a phone, and a client may get a new link: each has its own store, and what waits
 * under one is delivered with the secret of that one alone.
 */
export class Phone {
  private constructor(private readonly db: IDBPDatabase<Links>) {}

  static async open(): Promise<Phone> {
    const phone = new Phone(
      await openDB<Links>('ingegno-links', 1, {
        upgrade(db) {
          db.createObjectStore('links');
        },
      }),
    );
    await phone.#adoptOld();
    return phone;
  }

  /** The link to open where the address names none: the one that was opened last, and opened something. */
  async last(): Promise<string | null> {
    const all = (await this.db.getAll('links')).filter((link) => link.opened);
    return all.toSorted((a, b) => b.usedAt - a.usedAt)[0]?.secret ?? null;
  }

  /** Whether this phone has opened it as a client's before. */
  async knows(secret: string): Promise<boolean> {
    return (await this.db.get('links', digest(secret)))?.opened ?? false;
  }

  /** A link is opened; whether it opens anything is not known yet. */
  async use(secret: string): Promise<void> {
    const before = await this.db.get('links', digest(secret));
    await this.db.put(
      'links',
      { secret, usedAt: Date.now(), opened: before?.opened ?? false },
      digest(secret),
    );
  }

  /** The server has answered it with its plans. */
  async opened(secret: string): Promise<void> {
    const before = await this.db.get('links', digest(secret));
    if (!before?.opened)
      await this.db.put('links', { secret, usedAt: Date.now(), opened: true }, digest(secret));
  }

  /** Forgets a link with everything that is kept under it. */
  async forget(secret: string): Promise<void> {
    await this.db.delete('links', digest(secret));
    await deleteDB(nameOf(secret), { blocked: () => undefined });
  }

  /** Sessions and notes that wait under other links than this one. */
  async elsewhere(secret: string | null): Promise<number> {
    let waiting = 0;
    for (const link of await this.#others(secret)) {
      const store = await Store.open(link.secret);
      waiting += (await store.waiting()).length;
      store.close();
    }

    return waiting;
  }

  /** Delivers what waits under other links, each with its own secret; an ended link still takes it for a while. */
  async deliverElsewhere(secret: string | null): Promise<void> {
    for (const link of await this.#others(secret)) {
      const store = await Store.open(link.secret);
      await deliver(store, new Server(link.secret));
      store.close();
    }
  }

  async #others(secret: string | null): Promise<Known[]> {
    return (await this.db.getAll('links')).filter((link) => link.secret !== secret);
  }

  /** What an earlier version kept, of one link at a time, goes on under its own name; nothing of it is lost. */
  async #adoptOld(): Promise<void> {
    const there = (await indexedDB.databases?.()) ?? [{ name: old }];
    if (!there.some((db) => db.name === old)) return;
    const before = await openKept(old);
    const secret = (await before.get('kept', 'secret')) as string | undefined;
    if (secret) {
      const now = await openKept(nameOf(secret));
      for (const name of await before.getAllKeys('kept'))
        if (name !== 'secret') await now.put('kept', await before.get('kept', name), name);
      for (const item of await before.getAll('waiting')) await now.put('waiting', item);
      now.close();
      await this.use(secret);
      await this.opened(secret);
    }

    before.close();
    await deleteDB(old, { blocked: () => undefined });
  }
}
