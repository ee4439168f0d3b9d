import { api, ask } from '../api/client';
import type { ReadRow, SavedWeek, ShorthandError } from '../api/types';
import { toasts } from '../toasts.svelte';
import { conflictOf } from '../ui/saving';

const draftKey = (weekId: number): string => `ingegno-week-${weekId}`;

/** The gym weeks of a client and the text of the open one: typed, read as one types, kept. */
export class GymText {
  weeks = $state<SavedWeek[]>([]);
  weekId = $state<number | null>(null);
  text = $state('');
  errors = $state<ShorthandError[]>([]);
  /** Every row of the text as the server understood it. */
  rows = $state.raw<ReadRow[]>([]);
  /** How many lines could be read as exercises. */
  good = $state(0);
  conflict = $state<SavedWeek | null>(null);

  readonly week = $derived(this.weeks.find((w) => w.id === this.weekId));
  #readTimer: ReturnType<typeof setTimeout> | undefined;

  /** Opens a week with what was typed for it and not kept yet. */
  open(id: number | null): void {
    this.weekId = id;
    const stored = this.week?.value.text ?? '';
    const draft = id ? localStorage.getItem(draftKey(id)) : null;
    this.text = draft ?? stored;
    if (draft !== null && draft !== stored) toasts.done('What you had typed for this week is back.');
    void this.read();
  }

  typed(text: string): void {
    this.text = text;
    if (this.weekId) localStorage.setItem(draftKey(this.weekId), text);
    clearTimeout(this.#readTimer);
    this.#readTimer = setTimeout(() => void this.read(), 250);
  }

  /** Reads the shorthand while it is typed, so that faults show at their place. */
  async read(): Promise<void> {
    const text = this.text;
    try {
      const read = await ask(() => api.POST('/api/v1/shorthand', { body: { text } }));
      if (text === this.text) this.readAs(read.lines.length, read.errors, read.rows);
    } catch (error) {
      toasts.problem(error);
    }
  }

  /** Takes what the server made of the text. */
  readAs(good: number, errors: ShorthandError[], rows: ReadRow[]): void {
    [this.good, this.errors, this.rows] = [good, errors, rows];
  }

  /** Rows that were read as the likeliest and could be meant otherwise. */
  readonly doubtful = $derived(this.rows.filter((r) => r.doubts.length > 0));

  /** Puts other rows in the place of some, by their line. */
  replace(rows: Map<number, string>): void {
    this.typed(
      this.text
        .split('\n')
        .map((row, i) => rows.get(i + 1) ?? row)
        .join('\n'),
    );
  }

  /** Stores the week when its text changed, and creates the first one. */
  async keep(clientId: number): Promise<void> {
    if (this.text.trim() === '') return;
    const week = this.week;
    if (!week) {
      const added = await ask(() =>
        api.POST('/api/v1/clients/{clientId}/gym-weeks', {
          params: { path: { clientId } },
          body: { name: `Week ${this.weeks.length + 1}`, text: this.text },
        }),
      );
      this.weeks = [...this.weeks, added];
      this.weekId = added.id;
    } else if (week.value.text !== this.text) {
      try {
        this.#replace(
          await ask(() =>
            api.PUT('/api/v1/gym-weeks/{id}', {
              params: { path: { id: week.id } },
              body: { revision: week.revision, value: { name: week.value.name, text: this.text } },
            }),
          ),
        );
      } catch (error) {
        this.conflict = conflictOf<SavedWeek>(error) ?? null;
        if (!this.conflict) throw error;
      }
    }

    if (this.weekId && !this.conflict) localStorage.removeItem(draftKey(this.weekId));
  }

  /** Drops what was typed for what another saved meanwhile. */
  async takeTheirs(): Promise<void> {
    const theirs = this.#settle();
    if (!theirs) return;
    this.text = theirs.value.text;
    localStorage.removeItem(draftKey(theirs.id));
    await this.read();
  }

  /** Keeps what was typed; the next keeping saves it on top of theirs. */
  takeMine(): void {
    this.#settle();
  }

  #settle(): SavedWeek | null {
    const theirs = this.conflict;
    this.conflict = null;
    if (theirs) this.#replace(theirs);
    return theirs;
  }

  #replace(saved: SavedWeek): void {
    this.weeks = this.weeks.map((w) => (w.id === saved.id ? saved : w));
  }
}
