import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { FloorSession, NewPhoneNote, PhoneContent } from '../types';

/** Something that the server has not answered for yet. */
export type Waiting =
  | { key: string; kind: 'session'; session: FloorSession; refused?: string }
  | { key: string; kind: 'note'; note: NewPhoneNote; refused?: string };

interface Kept extends DBSchema {
  kept: { key: string; value: unknown };
  waiting: { key: string; value: Waiting };
}

/** Everything that a phone keeps, in the browser's own database. */
export class Store {
  private constructor(private readonly db: IDBPDatabase<Kept>) {}

  static async open(): Promise<Store> {
    return new Store(
      await openDB<Kept>('ingegno-session', 1, {
        upgrade(db) {
          db.createObjectStore('kept');
          db.createObjectStore('waiting', { keyPath: 'key' });
        },
      }),
    );
  }

  async secret(): Promise<string | null> {
    return ((await this.db.get('kept', 'secret')) as string | undefined) ?? null;
  }

  async content(): Promise<PhoneContent | null> {
    return ((await this.db.get('kept', 'content')) as PhoneContent | undefined) ?? null;
  }

  async get<T>(name: string): Promise<T | null> {
    return ((await this.db.get('kept', name)) as T | undefined) ?? null;
  }

  async put(name: string, value: unknown): Promise<void> {
    await this.db.put('kept', value, name);
  }

  async drop(name: string): Promise<void> {
    await this.db.delete('kept', name);
  }

  waiting(): Promise<Waiting[]> {
    return this.db.getAll('waiting');
  }

  async wait(item: Waiting): Promise<void> {
    await this.db.put('waiting', item);
  }

  /** Takes out what was answered, unless a later state of the same session waits by now. */
  async answered(item: Waiting): Promise<void> {
    const tx = this.db.transaction('waiting', 'readwrite');
    const now = await tx.store.get(item.key);
    const later =
      now?.kind === 'session' && item.kind === 'session' && now.session.revision > item.session.revision;
    if (!later) await tx.store.delete(item.key);
    await tx.done;
  }

  /** Erases everything: the link has ended, or another was opened. */
  async forget(): Promise<void> {
    const tx = this.db.transaction(['kept', 'waiting'], 'readwrite');
    await Promise.all([tx.objectStore('kept').clear(), tx.objectStore('waiting').clear(), tx.done]);
  }
}
