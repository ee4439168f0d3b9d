import { Problem } from '../api/problem';
import { keeping } from '../autosave/autosave.svelte';
import { toasts } from '../toasts.svelte';
import { keyOf } from './keyOf';
import { conflictOf } from './saving';

/** A thing of the domain rules that a practice keeps for itself, in a revision. */
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

/** What is written of a thing so far, as the browser keeps it. */
interface Begun<T> {
  draft: T;
  presentId: number | null;
  fresh: boolean;
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
  readonly keeper = keeping.keep<Begun<T>>({
    now: () => ({
      draft: $state.snapshot(this.draft) as T,
      presentId: this.present?.id ?? null,
      fresh: this.fresh,
    }),
    restore: (begun) => this.#goOn(begun),
  });
  #ways: OwnWays<T>;
  #record: string;
  #asBegun = '';

  /** @param record Name under which what is written is kept. */
  constructor(record: string, ways: OwnWays<T>) {
    [this.#record, this.#ways] = [record, ways];
  }

  async load(): Promise<void> {
    this.list = await this.#ways.list();
    if (!this.draft) await this.keeper.on(this.#record, null);
  }

  /** Keeps what is written as far as it has come; for the editor to call at each change. */
  touched(): void {
    if (this.draft && JSON.stringify(this.draft) !== this.#asBegun) this.keeper.changed();
  }

  /** Puts the draft aside without saving; one press brings it back. */
  putAside(): void {
    const { draft, present, fresh } = this;
    const written = draft && JSON.stringify(draft) !== this.#asBegun ? ($state.snapshot(draft) as T) : null;
    this.close();
    if (written) toasts.done('Closed without saving.', () => this.begin(written, present, fresh));
  }

  #goOn({ draft, presentId, fresh }: Begun<T>): void {
    [this.draft, this.fresh] = [draft, fresh];
    this.present = this.list.find((own) => own.id === presentId) ?? null;
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
    this.keeper.settled();
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
    this.#asBegun = JSON.stringify(draft);
  }
}
