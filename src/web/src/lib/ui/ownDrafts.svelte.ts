import { Problem } from '../api/problem';
import { keyOf } from './keyOf';
import { conflictOf } from './saving';

/** A thing of the trade that a practice keeps for itself, in a revision. */
export interface OwnThing<T> {
  id: number;
  revision: number;
  value: T;
}

/** How such things are read and written. */
export interface OwnWays<T> {
  list: () => Promise<OwnThing<T>[]>;
  add: (value: T) => Promise<unknown>;
  update: (id: number, revision: number, value: T) => Promise<unknown>;
  remove: (id: number) => Promise<unknown>;
}

/** The things of a practice's own, and the one that is being written. */
export class OwnDrafts<T extends { id: string; name: string }> {
  list = $state.raw<OwnThing<T>[]>([]);
  draft = $state<T | null>(null);
  faults = $state<string[]>([]);
  busy = $state(false);
  conflict = $state.raw<OwnThing<T> | null>(null);
  /** What is being changed; null when it is new. */
  present = $state.raw<OwnThing<T> | null>(null);
  /** The draft is a new one, whose key follows its name. */
  fresh = $state(false);
  #ways: OwnWays<T>;

  constructor(ways: OwnWays<T>) {
    this.#ways = ways;
  }

  async load(): Promise<void> {
    this.list = await this.#ways.list();
  }

  find(id: string): OwnThing<T> | undefined {
    return this.list.find((own) => own.value.id === id);
  }

  /** Changes a thing for this practice: its own, or one that ships. */
  change(thing: T): void {
    const own = this.find(thing.id);
    this.begin(structuredClone(own?.value ?? thing), own ?? null, false);
  }

  close(): void {
    [this.draft, this.present, this.conflict, this.faults] = [null, null, null, []];
  }

  /** Saves the draft; its key when that went well. */
  async save(revision = this.present?.revision): Promise<string | null> {
    const { draft, present } = this;
    if (!draft || this.busy) return null;
    this.busy = true;
    this.faults = [];
    try {
      const value = $state.snapshot(draft) as T;
      if (this.fresh) value.id = keyOf(value.name);
      await (present
        ? this.#ways.update(present.id, revision ?? present.revision, value)
        : this.#ways.add(value));
      await this.load();
      this.close();
      return value.id;
    } catch (error) {
      this.conflict = conflictOf<OwnThing<T>>(error) ?? null;
      if (!this.conflict)
        this.faults =
          error instanceof Problem && Object.keys(error.fields).length > 0
            ? Object.values(error.fields).flat()
            : [error instanceof Error ? error.message : String(error)];
      return null;
    } finally {
      this.busy = false;
    }
  }

  async remove(own: OwnThing<T>): Promise<void> {
    await this.#ways.remove(own.id);
    await this.load();
  }

  /** Brings back what was removed. */
  async restore(own: OwnThing<T>): Promise<void> {
    await this.#ways.add(own.value);
    await this.load();
  }

  protected begin(draft: T, present: OwnThing<T> | null, fresh: boolean): void {
    this.close();
    [this.draft, this.present, this.fresh] = [draft, present, fresh];
  }
}
