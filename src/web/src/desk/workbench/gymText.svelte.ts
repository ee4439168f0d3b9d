import { api, ask } from '../api/client';
import type { ReadRow, ReadWeek, SavedWeek, ShorthandError } from '../../shared/api/types';
import type { NotYet } from '../autosave/saver.svelte';
import { keeping } from '../autosave/autosave.svelte';
import { Problem } from '../api/problem';
import { toasts } from '../toasts.svelte';
import { written } from './readRows';

/** The gym weeks of a client and the text of the open one: typed, read as one types, kept. */
export class GymText {
  weeks = $state<SavedWeek[]>([]);
  weekId = $state<number | null>(null);
  text = $state('');
  errors = $state<ShorthandError[]>([]);
  /** Every row of the text as the server understood it. */
  rows = $state.raw<ReadRow[]>([]);
  /** The weeks of a text that holds several; the lines are those of the first. */
  severalWeeks = $state.raw<ReadWeek[]>([]);
  /** How many lines could be read as exercises. */
  good = $state(0);
  conflict = $state<SavedWeek | null>(null);
  /** The coach looks at what somebody else saved meanwhile. */
  deciding = $state(false);

  readonly keeper = keeping.keep<string>(
    {
      now: () => this.text,
      restore: (text) => {
        this.text = text;
        void this.read();
      },
      save: (text, base) => this.#save(text, base),
      conflict: (theirs) => {
        this.conflict = theirs as SavedWeek;
        this.deciding = true;
      },
    },
    1_500,
  );
  readonly week = $derived(this.weeks.find((w) => w.id === this.weekId));
  #clientId = 0;
  #readTimer: ReturnType<typeof setTimeout> | undefined;

  /** Opens a week with what was typed for it and not saved yet; the text of the one before is saved first. */
  async open(clientId: number, id: number | null): Promise<void> {
    await this.keeper.flush();
    [this.#clientId, this.weekId] = [clientId, id];
    this.text = this.week?.value.text ?? '';
    await this.keeper.on(id ? `week-${id}` : `week-of-${clientId}`, this.week?.revision ?? null);
    void this.read();
  }

  /** Shows the text of a plan, which may be older than the week that it was made from. */
  async show(clientId: number, id: number | null, text: string): Promise<void> {
    await this.open(clientId, id);
    if (!this.keeper.restored) this.text = text;
  }

  typed(text: string): void {
    this.text = text;
    this.keeper.changed();
    clearTimeout(this.#readTimer);
    this.#readTimer = setTimeout(() => void this.read(), 250);
  }

  /** Reads the shorthand while it is typed, so that faults show at their place. */
  async read(): Promise<void> {
    const text = this.text;
    try {
      const read = await ask(() => api.POST('/api/v1/shorthand', { body: { text } }));
      if (text !== this.text) return;
      this.readAs(read.lines.length, read.errors, read.rows);
      this.severalWeeks = read.weeks;
    } catch (error) {
      toasts.problem(error);
    }
  }

  /** Takes what the server made of the text. */
  readAs(good: number, errors: ShorthandError[], rows: ReadRow[]): void {
    // A rebuilt week tells no words: those of the same row, read before, still hold.
    const before = this.rows;
    const worded = rows.map((r) =>
      r.fields.length > 0
        ? r
        : { ...r, fields: before.find((b) => b.line === r.line && b.text === r.text)?.fields ?? [] },
    );
    [this.good, this.errors, this.rows] = [good, errors, worded];
  }

  /** Rows that were read as the likeliest and could be meant otherwise. */
  readonly doubtful = $derived(this.rows.filter((r) => r.doubts.length > 0));

  /** Puts other rows in the place of some, by their line; null takes one out. */
  replace(rows: Map<number, string | null>): void {
    this.typed(
      this.text
        .split('\n')
        .map((row, i) => (rows.has(i + 1) ? rows.get(i + 1)! : row))
        .filter((row) => row !== null)
        .join('\n'),
    );
  }

  /** Keeps each of several weeks as a week of its own, all or none; the first stays open. Gives back how to undo it. */
  async partWeeks(): Promise<() => Promise<void>> {
    const [first, ...others] = this.severalWeeks;
    if (!first) return async () => {};
    this.severalWeeks = [];
    await this.keeper.flush();
    const [before, openWeek] = [this.text, this.weekId];
    const added = await ask(() =>
      api.POST('/api/v1/clients/{clientId}/program', {
        params: { path: { clientId: this.#clientId } },
        body: { weeks: others.map(({ name, text }) => ({ name, text })) },
      }),
    ).catch(async (error: unknown) => {
      await this.read(); // it can be pressed again
      throw error;
    });
    this.weeks = [...this.weeks, ...added];
    this.typed(first.text);
    return async () => {
      // Another week, or another client's, is never written over.
      if (this.weekId !== openWeek)
        throw new Problem(
          0,
          'gym.other-week',
          'Another week is open',
          'Open the week that held them to take that back.',
        );
      for (const week of added)
        await ask(() => api.DELETE('/api/v1/gym-weeks/{id}', { params: { path: { id: week.id } } }));
      this.weeks = this.weeks.filter((w) => !added.some((a) => a.id === w.id));
      this.typed(before);
    };
  }

  /** Takes readings of rows. */
  take(readings: Map<ReadRow, string>): void {
    this.replace(written(this.rows, readings));
  }

  /** Drops what was restored. */
  drop(): void {
    this.text = this.week?.value.text ?? '';
    void this.read();
  }

  /** Drops what was typed for what another saved meanwhile. */
  async takeTheirs(): Promise<void> {
    this.deciding = false;
    const theirs = this.conflict;
    if (!theirs) return;
    this.conflict = null;
    this.#replace(theirs);
    this.text = theirs.value.text;
    this.keeper.settled(theirs.revision);
    await this.read();
  }

  /** Saves what is here over what another saved meanwhile. */
  async takeMine(): Promise<void> {
    this.deciding = false;
    if (this.conflict) await this.keeper.overwrite(this.conflict.revision);
  }

  /** Stores the text of the week; the first one of a client is created with it. */
  async #save(text: string, base: number | null): Promise<number | null | NotYet> {
    const { week } = this;
    if (!week) {
      if (text.trim() === '') return null;
      const added = await ask(() =>
        api.POST('/api/v1/clients/{clientId}/gym-weeks', {
          params: { path: { clientId: this.#clientId } },
          body: { name: `Week ${this.weeks.length + 1}`, text },
        }),
      );
      this.weeks = [...this.weeks, added];
      this.weekId = added.id;
      this.keeper.movedTo(`week-${added.id}`);
      return added.revision;
    }

    const body = { revision: base ?? week.revision, value: { name: week.value.name, text } };
    const saved = await ask(() =>
      api.PUT('/api/v1/gym-weeks/{id}', { params: { path: { id: week.id } }, body }),
    );
    this.conflict = null;
    this.#replace(saved);
    return saved.revision;
  }

  #replace(saved: SavedWeek): void {
    this.weeks = this.weeks.map((w) => (w.id === saved.id ? saved : w));
  }
}
