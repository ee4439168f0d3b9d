import { api, ask } from '../api/client';
import type { ProgramFault, ProgramRow, SavedWeek } from '../api/types';
import { toasts } from '../toasts.svelte';
import { conflictOf } from '../ui/saving';
import { History } from '../ui/history.svelte';
import { cellsOf, pasted, type GridField } from './fields';

/** A gym week as a grid of cells: edited in place, checked as one types, saved as shorthand. */
export class WeekGrid {
  week = $state<SavedWeek | null>(null);
  rows = $state<ProgramRow[]>([]);
  faults = $state<ProgramFault[]>([]);
  text = $state('');
  busy = $state(false);
  conflict = $state<SavedWeek | null>(null);

  #stored = $state('');
  readonly history = new History<ProgramRow[]>();
  readonly changed = $derived(this.week !== null && this.text !== this.#stored);
  #timer: ReturnType<typeof setTimeout> | undefined;
  #checking: Promise<void> = Promise.resolve();

  /** Lays a week out. */
  async open(week: SavedWeek): Promise<void> {
    clearTimeout(this.#timer);
    this.history.clear();
    try {
      const { rows } = await ask(() => api.POST('/api/v1/program/rows', { body: { text: week.value.text } }));
      this.week = week;
      this.rows = rows;
      await this.#check();
      this.#stored = this.text;
    } catch (error) {
      toasts.problem(error);
    }
  }

  faultAt(row: number, field: GridField): ProgramFault | undefined {
    return this.faults.find((f) => f.row === row && f.field === field);
  }

  edit(row: number, field: GridField, cell: string): void {
    if ((this.rows[row]?.[field] ?? '') === cell) return;
    this.#remember();
    this.rows = this.rows.map((r, i) => (i === row ? { ...r, [field]: cell } : r));
    this.#checkSoon();
  }

  paste(row: number, field: GridField, text: string): void {
    this.#remember();
    this.rows = pasted($state.snapshot(this.rows), row, field, cellsOf(text));
    this.#checkSoon();
  }

  addAfter(row: number): void {
    this.#remember();
    this.rows = this.rows.toSpliced(row + 1, 0, { day: this.rows[row]?.day ?? '' });
    this.#checkSoon();
  }

  remove(row: number): void {
    this.#remember();
    this.rows = this.rows.toSpliced(row, 1);
    this.#checkSoon();
  }

  move(row: number, by: -1 | 1): void {
    const other = this.rows[row + by];
    const moved = this.rows[row];
    if (!other || !moved) return;
    this.#remember();
    this.rows = this.rows.toSpliced(row, 1).toSpliced(row + by, 0, { ...moved, day: other.day });
    this.#checkSoon();
  }

  undo(): void {
    this.#restore(this.history.undo($state.snapshot(this.rows)));
  }

  redo(): void {
    this.#restore(this.history.redo($state.snapshot(this.rows)));
  }

  /** Saves the grid as the text of the week, faulty lines too: they wait at the workbench. */
  async save(revision = this.week?.revision): Promise<SavedWeek | null> {
    const week = this.week;
    if (!week || this.busy) return null;
    this.busy = true;
    try {
      clearTimeout(this.#timer);
      await this.#check();
      const { text } = this;
      const saved = await ask(() =>
        api.PUT('/api/v1/gym-weeks/{id}', {
          params: { path: { id: week.id } },
          body: { revision: revision ?? week.revision, value: { name: week.value.name, text } },
        }),
      );
      this.week = saved;
      this.#stored = text;
      this.conflict = null;
      localStorage.removeItem(`ingegno-week-${week.id}`);
      toasts.done('Week saved.');
      return saved;
    } catch (error) {
      this.conflict = conflictOf<SavedWeek>(error) ?? null;
      if (!this.conflict) toasts.problem(error);
      return null;
    } finally {
      this.busy = false;
    }
  }

  #remember(): void {
    this.history.remember($state.snapshot(this.rows));
  }

  #restore(rows: ProgramRow[] | undefined): void {
    if (!rows) return;
    this.rows = rows;
    this.#checkSoon();
  }

  #checkSoon(): void {
    clearTimeout(this.#timer);
    this.#timer = setTimeout(() => void this.#check().catch((error: unknown) => toasts.problem(error)), 250);
  }

  async #check(): Promise<void> {
    const rows = $state.snapshot(this.rows);
    this.#checking = this.#checking
      .catch(() => undefined)
      .then(async () => {
        const written = await ask(() => api.POST('/api/v1/program/text', { body: { rows } }));
        this.text = written.text;
        this.faults = written.faults;
      });
    await this.#checking;
  }
}
