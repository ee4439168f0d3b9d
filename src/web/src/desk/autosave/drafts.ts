/** What was typed into a record and is not saved yet: the fields that changed, or all of it where nothing stands on the server. */
export interface Draft<T, Fields = unknown> {
  value?: T;
  fields?: Fields;
  /** Revision of the record on which it was typed; null for a record that does not exist yet. */
  base: number | null;
  /** When it was typed last, ms since 1970. */
  at: number;
  /** What was sent to the server and never answered, the newest last: each of it may stand there already. */
  sent?: T[];
  /** The same, as the fields in which it differs. */
  sentFields?: Fields[];
}

/** The part of the browser's storage that drafts need. */
export type DraftStorage = Pick<Storage, 'getItem' | 'setItem' | 'removeItem' | 'key' | 'length'>;

const prefix = 'ingegno-draft';

/** Longest time that a draft is kept, ms: a week on, on a computer that others use too, it is nobody's help. */
const longest = 7 * 24 * 3_600_000;

/** How the names begin that pages go by until they know which tab they are. */
export const firstMoments = 'new-';

const tabOf = (key: string): string => key.slice(key.lastIndexOf(':') + 1);

/**
 * Drafts of records in the browser, one per record and tab: two tabs that type into the same record keep both. A tab
 * finds its own draft again after a reload, and what a tab that is gone has left.
 */
export class Drafts {
  readonly #storage: DraftStorage;
  #tab: string;
  /** Tabs that are open and keep their drafts to themselves. */
  readonly #open: () => Promise<ReadonlySet<string>>;
  /** Whose drafts they are: on a shared computer nobody finds what somebody else typed. */
  readonly #coach: () => string;

  constructor(
    storage: DraftStorage,
    tab: string,
    open: () => Promise<ReadonlySet<string>>,
    coach: () => string = () => '',
  ) {
    [this.#storage, this.#tab, this.#open, this.#coach] = [storage, tab, open, coach];
  }

  /** Keeps a draft. False when the browser has no room for it: then it lives on the screen alone. */
  put<T>(record: string, draft: Draft<T>): boolean {
    try {
      this.#storage.setItem(this.#key(record, this.#tab), JSON.stringify(draft));
      return true;
    } catch {
      return false;
    }
  }

  /** The tab has got its name: what was kept under the one of its first moments goes on under it. */
  become(tab: string): void {
    const before = this.#tab;
    this.#tab = tab;
    for (const key of this.#keys(`${prefix}:`).filter((k) => tabOf(k) === before)) {
      const text = this.#storage.getItem(key);
      this.#storage.removeItem(key);
      if (text !== null) this.#storage.setItem(key.slice(0, key.lastIndexOf(':') + 1) + tab, text);
    }
  }

  /**
   * The draft of a record: this tab's own, else the newest one of a tab that is gone, which becomes this tab's. What was typed into a page
   * in its first moments, and the page was gone before it had its name, is newer than its own.
   */
  async find<T, Fields = unknown>(record: string): Promise<Draft<T, Fields> | null> {
    const own = this.#read<T, Fields>(this.#key(record, this.#tab));
    const open = await this.#open();
    const left = this.#keys(`${this.#shelf()}${record}:`)
      .filter((key) => tabOf(key) !== this.#tab && !open.has(tabOf(key)))
      .filter((key) => !own || tabOf(key).startsWith(firstMoments))
      .map((key) => ({ key, draft: this.#read<T, Fields>(key) }))
      .filter((found) => found.draft !== null)
      .toSorted((a, b) => (b.draft?.at ?? 0) - (a.draft?.at ?? 0))[0];
    if (!left?.draft || (own && own.at > left.draft.at)) return own;
    this.put(record, left.draft);
    this.#storage.removeItem(left.key);
    return left.draft;
  }

  /** Forgets this tab's draft of a record. */
  drop(record: string): void {
    this.#storage.removeItem(this.#key(record, this.#tab));
  }

  /** Drafts of the coach that are kept, of every tab. */
  get left(): number {
    return this.#keys(this.#shelf()).length;
  }

  /** Forgets drafts that are older than a week, whoever's they are. */
  forgetOld(now: number): void {
    for (const key of this.#keys(`${prefix}:`)) {
      const draft = this.#read(key);
      if (draft && now - draft.at > longest) this.#storage.removeItem(key);
    }
  }

  /** Forgets all drafts of the coach, of every tab. */
  dropAll(): void {
    for (const key of this.#keys(this.#shelf())) this.#storage.removeItem(key);
  }

  #key(record: string, tab: string): string {
    return `${this.#shelf()}${record}:${tab}`;
  }

  #shelf(): string {
    const coach = this.#coach();
    return coach ? `${prefix}:${encodeURIComponent(coach)}/` : `${prefix}:`;
  }

  #keys(start: string): string[] {
    const keys: string[] = [];
    for (let i = 0; i < this.#storage.length; i++) {
      const key = this.#storage.key(i);
      if (key?.startsWith(start)) keys.push(key);
    }
    return keys;
  }

  #read<T, Fields>(key: string): Draft<T, Fields> | null {
    const text = this.#storage.getItem(key);
    if (text === null) return null;
    try {
      return JSON.parse(text) as Draft<T, Fields>;
    } catch {
      this.#storage.removeItem(key);
      return null;
    }
  }
}
