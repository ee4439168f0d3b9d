import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import { digest } from '../../shared/digest';
import type { ClientAppSession, NewClientAppMessage, ClientAppContent, StopSignTapped } from '../types';

/** Something that the server has not answered for yet. */
export type Waiting =
  | { key: string; kind: 'session'; session: ClientAppSession; refused?: string }
  | { key: string; kind: 'note'; note: NewClientAppMessage; refused?: string }
  | { key: string; kind: 'stop-sign'; tapped: StopSignTapped; toDo: string; refused?: string };

/** What the session application needs to be kept. */
export interface Keep {
  content(): Promise<ClientAppContent | null>;
  get<T>(name: string): Promise<T | null>;
  put(name: string, value: unknown): Promise<void>;
  drop(name: string): Promise<void>;
  waiting(): Promise<Waiting[]>;
  wait(item: Waiting): Promise<void>;
  answered(item: Waiting): Promise<void>;
  forgetPlans(): Promise<void>;
}

export interface Kept extends DBSchema {
  kept: { key: string; value: unknown };
  waiting: { key: string; value: Waiting };
}

/** Whether `now` is a later state of the same session as `then`: what was answered for then still waits. */
const isLater = (now: Waiting | undefined, then: Waiting): boolean =>
  now?.kind === 'session' && then.kind === 'session' && now.session.revision > then.session.revision;

/** What is gone when a link has ended; what was done stays until the server has it. */
const plans = ['content', 'contentTag', 'figures', 'figuresTag'];

export const nameOf = (secret: string): string => `ingegno-session-${digest(secret)}`;

export const openKept = (name: string): Promise<IDBPDatabase<Kept>> =>
  openDB<Kept>(name, 1, {
    upgrade(db) {
      db.createObjectStore('kept');
      db.createObjectStore('waiting', { keyPath: 'key' });
    },
    // It is to be erased, by this page or by another: whoever holds it lets go.
    blocking: (_now, _wanted, event) => (event.target as IDBDatabase).close(),
  });

/** Everything that a phone keeps under one link, in the browser's own database. Another link, of this client or of another, has another. */
export class Store implements Keep {
  private constructor(private readonly db: IDBPDatabase<Kept>) {}

  static async open(secret: string): Promise<Store> {
    return new Store(await openKept(nameOf(secret)));
  }

  async content(): Promise<ClientAppContent | null> {
    return this.get<ClientAppContent>('content');
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
    if (!isLater(await tx.store.get(item.key), item)) await tx.store.delete(item.key);
    await tx.done;
  }

  /** The link has ended: its plans go. What was done and not delivered stays. */
  async forgetPlans(): Promise<void> {
    await Promise.all(plans.map((name) => this.drop(name)));
  }

  close(): void {
    this.db.close();
  }
}

/** Keeps nothing beyond the page: a coach looks at what a client sees, and leaves no trace. */
export class PassingStore implements Keep {
  readonly #kept = new Map<string, unknown>();

  async content(): Promise<ClientAppContent | null> {
    return this.get<ClientAppContent>('content');
  }

  async get<T>(name: string): Promise<T | null> {
    return (this.#kept.get(name) as T | undefined) ?? null;
  }

  async put(name: string, value: unknown): Promise<void> {
    this.#kept.set(name, value);
  }

  async drop(name: string): Promise<void> {
    this.#kept.delete(name);
  }

  async waiting(): Promise<Waiting[]> {
    return [];
  }

  async wait(): Promise<void> {}

  async answered(): Promise<void> {}

  async forgetPlans(): Promise<void> {
    this.#kept.clear();
  }
}
