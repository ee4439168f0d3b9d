import { Problem } from '../api/problem';
import { changedFields, withFields, type ChangedField } from './changedFields';
import type { Drafts } from './drafts';

/** How it stands with what was typed. */
export type Keeping =
  | 'saved'
  /** Waits for the typing to pause. */
  | 'waiting'
  | 'saving'
  /** The server refuses it as it stands; it stays here. */
  | 'refused'
  /** Somebody else saved the record meanwhile. */
  | 'conflict'
  /** The server does not answer; it is tried again. */
  | 'unreachable'
  /** Kept in this browser; a press of a button saves it. */
  | 'kept';

/** Why something cannot be saved yet. */
export interface NotYet {
  because: string;
}

/** What a keeper looks after. */
export interface KeeperWays<T> {
  /** What stands on the screen now. */
  now: () => T;
  /** Puts on the screen what was typed before. */
  restore: (value: T) => void | Promise<void>;
  /**
   * Saves by itself, over the revision on which it was typed; without it the draft waits for a press of a button. Gives the revision
   * that it stands in then, or says why it cannot be saved yet.
   */
  save?: (value: T, base: number | null) => Promise<number | null | NotYet>;
  /** Somebody else saved the record meanwhile: both versions are there, the coach decides. */
  conflict?: (theirs: unknown) => void;
  /** It is a record of fields, and the browser keeps those alone that were typed; on the screen must be what stands when it opens. */
  fields?: boolean;
  /** Leaving asks about what is kept in the browser alone; false for a scratch pad. */
  asks?: boolean;
}

/** Where a keeper keeps; another one in tests. */
export interface KeeperShelf {
  /** To read what was kept before. */
  drafts: () => Promise<Drafts>;
  /** To write to at once: whoever types and leaves in the same moment loses nothing. */
  now: () => Drafts;
  clock: () => number;
  /** Pause in the typing after which it is saved, ms. */
  pause: number;
  /** Pauses between tries while the server does not answer, ms. */
  retries: number[];
}

/**
 * Keeps what is typed into one record: at once in the browser, and on the server as soon as the typing pauses. Whatever happens
 * between, a reload, a cut connection, a session that ended, brings it back on the next opening.
 */
export class Keeper<T> {
  state = $state<Keeping>('saved');
  /** Why the server refused it. */
  refusal = $state('');
  /** What is on the screen came back from an earlier time and is not saved yet. */
  restored = $state(false);

  readonly #ways: KeeperWays<T>;
  readonly #shelf: KeeperShelf;
  #record: string | null = null;
  #base: number | null = null;
  #timer: ReturnType<typeof setTimeout> | undefined;
  #saving: Promise<boolean> | null = null;
  #changes = 0;
  #tries = 0;
  #closed = false;
  /** What was sent and never answered, the newest last: each of it may stand on the server. */
  #sent: T[] = [];
  /** The record as it stands on the server; undefined for one that does not exist there yet. */
  #stands: T | undefined;

  constructor(ways: KeeperWays<T>, shelf: KeeperShelf) {
    [this.#ways, this.#shelf] = [ways, shelf];
  }

  /** Something is typed that is not on the server. */
  get open(): boolean {
    return this.state !== 'saved';
  }

  /** Saves by itself. */
  get saves(): boolean {
    return this.#ways.save !== undefined;
  }

  /** Leaving the screen asks about what is not saved. */
  get asks(): boolean {
    return this.#ways.asks ?? true;
  }

  /** A record is on the screen in this revision; what was typed into it before comes back. */
  async on(record: string, revision: number | null): Promise<void> {
    clearTimeout(this.#timer);
    [this.#record, this.#base, this.restored, this.refusal, this.state] = [
      record,
      revision,
      false,
      '',
      'saved',
    ];
    this.#sent = [];
    const stands = (this.#stands = this.#standing(revision));
    const changes = this.#changes;
    const draft = await (await this.#shelf.drafts()).find<T, ChangedField[]>(record);
    if (!draft || this.#record !== record || changes !== this.#changes) return;
    const whole = (fields: ChangedField[]): T => withFields(stands as T, fields);
    this.#base = draft.base;
    this.#sent = draft.sentFields?.map(whole) ?? draft.sent ?? [];
    await this.#ways.restore(draft.fields ? whole(draft.fields) : (draft.value as T));
    this.restored = true;
    this.state = this.saves ? 'waiting' : 'kept';
    this.#saveSoon();
  }

  /** Revision on which what stands here was typed. */
  get base(): number | null {
    return this.#base;
  }

  /** What is on the screen was changed. */
  changed(): void {
    if (this.#record === null) return;
    this.#changes++;
    this.state = this.state === 'conflict' ? 'conflict' : this.saves ? 'waiting' : 'kept';
    this.#keep(this.#record);
    this.#saveSoon();
  }

  /** What is on the screen stands on the server in this revision. */
  settled(revision: number | null = this.#base): void {
    [this.#base, this.restored, this.refusal, this.state] = [revision, false, '', 'saved'];
    this.#stands = this.#standing(revision);
    clearTimeout(this.#timer);
    const record = this.#record;
    if (!record) return;
    void this.#shelf.drafts().then((drafts) => {
      if (this.state === 'saved' || this.#record !== record) drafts.drop(record);
    });
  }

  /** The record has come to be: what is typed from now on is kept under its own name. */
  movedTo(record: string): void {
    const before = this.#record;
    this.#record = record;
    if (before && before !== record) void this.#shelf.drafts().then((drafts) => drafts.drop(before));
  }

  /** The coach's word after a conflict: what is here goes over what somebody else saved. */
  async overwrite(revision: number): Promise<boolean> {
    [this.#base, this.state] = [revision, 'waiting'];
    return this.flush();
  }

  /** Saves now what waits, and what is typed while it is sent; true when nothing is left. */
  async flush(): Promise<boolean> {
    do if (await this.#flushOnce()) return true;
    while (this.state === 'waiting');
    return false;
  }

  async #flushOnce(): Promise<boolean> {
    clearTimeout(this.#timer);
    // Two that ask at once must not send it twice: a new record would be made twice.
    while (this.#saving) await this.#saving;
    if (!this.open) return true;
    if (!this.#ways.save || this.state === 'conflict') return false;
    const saving = (this.#saving = this.#save());
    try {
      return await saving;
    } finally {
      if (this.#saving === saving) this.#saving = null;
    }
  }

  /** The screen goes; drafts stay. */
  close(): void {
    clearTimeout(this.#timer);
    this.#closed = true;
  }

  async #save(): Promise<boolean> {
    const changes = this.#changes;
    this.state = 'saving';
    try {
      const sent = this.#ways.now();
      const saved = await this.#send(sent);
      this.#tries = 0;
      if (typeof saved === 'object' && saved !== null) {
        [this.state, this.refusal] = ['refused', saved.because];
        return false;
      }

      this.#base = saved;
      if (this.#stands !== undefined) this.#stands = sent;
      if (changes === this.#changes) {
        this.settled(saved);
        return true;
      }

      // Typed on meanwhile.
      if (this.#record) this.#keep(this.#record);
      this.state = 'waiting';
      this.#saveSoon();
      return false;
    } catch (error) {
      const { state, refusal } = told(error);
      [this.state, this.refusal] = [state, refusal];
      if (state === 'unreachable')
        this.#saveSoon(this.#shelf.retries[Math.min(this.#tries++, this.#shelf.retries.length - 1)]);
      else if (state === 'conflict' && error instanceof Problem) this.#ways.conflict?.(error.current);
      return false;
    }
  }

  /**
   * Sends what is typed. Where the record has moved on, that may be our own doing: a write whose answer was lost. So what was sent
   * then is sent once more; the server knows what it has and gives its revision, and from there it goes on.
   */
  async #send(value: T): Promise<number | null | NotYet> {
    const save = this.#ways.save;
    if (!save) return this.#base;
    const before = this.#sent;
    try {
      // A page that goes before the answer comes runs nothing below: what is on its way stands in the draft already.
      this.#sent = remembered([...before, value]);
      if (this.#record) this.#keep(this.#record);
      const saved = await save(value, this.#base);
      this.#sent = [];
      return saved;
    } catch (error) {
      const { state } = told(error);
      if (state !== 'unreachable') this.#sent = [];
      if (state !== 'conflict') throw error;
      for (const ours of before.toReversed()) {
        const stands = await save(ours, this.#base).catch(() => undefined);
        if (typeof stands !== 'number') continue;
        this.#base = stands;
        return save(value, stands);
      }

      throw error;
    }
  }

  #standing(revision: number | null): T | undefined {
    return this.#ways.fields && revision !== null ? this.#ways.now() : undefined;
  }

  #saveSoon(wait = this.#shelf.pause): void {
    clearTimeout(this.#timer);
    if (this.saves && !this.#closed && this.state !== 'conflict')
      this.#timer = setTimeout(() => void this.#flushOnce(), wait);
  }

  #keep(record: string): void {
    if (!this.open) return;
    const [now, stands, sent] = [this.#ways.now(), this.#stands, this.#sent];
    this.#shelf.now().put(record, {
      ...(stands === undefined
        ? { value: now, ...(sent.length > 0 ? { sent } : {}) }
        : {
            fields: changedFields(stands, now),
            ...(sent.length > 0 ? { sentFields: sent.map((value) => changedFields(stands, value)) } : {}),
          }),
      base: this.#base,
      at: this.#shelf.clock(),
    });
  }
}

/**
 * Unanswered writes that are remembered: each once, of many the first, which is most likely to have reached the server before the line was
 * cut, and the last ones.
 */
function remembered<T>(sent: T[]): T[] {
  const texts = sent.map((value) => JSON.stringify(value));
  const once = sent.filter((_, i) => texts.indexOf(texts[i] ?? '') === i);
  return once.length <= 2 * mostSent ? once : [...once.slice(0, mostSent), ...once.slice(-mostSent)];
}

const mostSent = 6;

/** What a failed save means for what is typed. */
function told(error: unknown): { state: 'unreachable' | 'conflict' | 'refused'; refusal: string } {
  if (!(error instanceof Problem)) return { state: 'refused', refusal: String(error) };
  if (error.code === 'conflict') return { state: 'conflict', refusal: '' };
  return {
    state: error.status === 0 || error.status >= 500 ? 'unreachable' : 'refused',
    refusal: error.detail,
  };
}
