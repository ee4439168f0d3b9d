import { api, ask } from '../api/client';
import type { ProgramFault, ProgramRow, SavedWeek } from '../../shared/api/types';
import type { NotYet } from '../autosave/saver.svelte';
import { keeping } from '../autosave/autosave.svelte';
import { toasts } from '../toasts.svelte';
import { History } from '../ui/history.svelte';
import { cellsOf, pasted, type GridField } from './fields';

/** What is typed of a week. */
interface Laid {
  rows: ProgramRow[];
  name: string;
}

/** A gym week as a grid of cells: edited in place, checked as one types, saved as shorthand. */
export class WeekGrid {
  week = $state<SavedWeek | null>(null);
  rows = $state<ProgramRow[]>([]);
  faults = $state<ProgramFault[]>([]);
  text = $state('');
  conflict = $state<SavedWeek | null>(null);
  /** It may be typed into: what was typed earlier and not saved is back. */
  ready = $state(false);
  /** The coach looks at what somebody else saved meanwhile. */
  deciding = $state(false);

  readonly history = new History<ProgramRow[]>();
  readonly keeper = keeping.keep<Laid>({
    now: () => ({ rows: $state.snapshot(this.rows), name: this.#name }),
    restore: async ({ rows, name }) => {
      this.#remember();
      [this.rows, this.#name] = [rows, name];
      await this.#check();
    },
    save: (laid, base) => this.#save(laid, base),
    conflict: (theirs) => {
      this.conflict = theirs as SavedWeek;
      this.deciding = true;
    },
  });
  readonly #onsaved: (week: SavedWeek) => void;
  #name = '';
  /** The cell that is being typed. */
  #typing = '';
  #timer: ReturnType<typeof setTimeout> | undefined;
  #checking: Promise<void> = Promise.resolve();

  constructor(onsaved: (week: SavedWeek) => void) {
    this.#onsaved = onsaved;
  }

  /** Lays a week out; what is typed into the one before is saved first. */
  async open(week: SavedWeek): Promise<void> {
    if (this.week && this.week.id !== week.id) await this.keeper.flush();
    await this.lay(week);
  }

  /** Lays a week out as the server has it, and what was typed into it before. */
  async lay(week: SavedWeek): Promise<void> {
    clearTimeout(this.#timer);
    this.history.clear();
    this.ready = false;
    try {
      const { rows } = await ask(() => api.POST('/api/v1/program/rows', { body: { text: week.value.text } }));
      this.week = week;
      this.#name = week.value.name;
      this.rows = rows;
      await this.keeper.on(`grid-${week.id}`, week.revision);
      this.ready = true;
      await this.#check();
    } catch (error) {
      this.ready = true;
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
    this.#changed();
  }

  /** A cell while it is typed: one step of undo however many letters, and nothing of it is lost with the page. */
  type(row: number, field: GridField, cell: string): void {
    const at = `${row}/${field}`;
    if (this.#typing !== at) this.#remember();
    this.#typing = at;
    this.rows = this.rows.map((r, i) => (i === row ? { ...r, [field]: cell } : r));
    this.#changed();
  }

  /** The cell is typed: without spaces about it. */
  typed(row: number, field: GridField, cell: string): void {
    this.#typing = '';
    if ((this.rows[row]?.[field] ?? '') === cell) return;
    this.rows = this.rows.map((r, i) => (i === row ? { ...r, [field]: cell } : r));
    this.#changed();
  }

  /** What was typed into the cell is taken back. */
  untype(): void {
    if (this.#typing) this.undo();
    this.#typing = '';
  }

  paste(row: number, field: GridField, text: string): void {
    this.#remember();
    this.rows = pasted($state.snapshot(this.rows), row, field, cellsOf(text));
    this.#changed();
  }

  addAfter(row: number): void {
    this.#remember();
    this.rows = this.rows.toSpliced(row + 1, 0, { day: this.rows[row]?.day ?? '' });
    this.#changed();
  }

  remove(row: number): void {
    this.#remember();
    this.rows = this.rows.toSpliced(row, 1);
    this.#changed();
  }

  move(row: number, by: -1 | 1): void {
    const other = this.rows[row + by];
    const moved = this.rows[row];
    if (!other || !moved) return;
    this.#remember();
    this.rows = this.rows.toSpliced(row, 1).toSpliced(row + by, 0, { ...moved, day: other.day });
    this.#changed();
  }

  undo(): void {
    this.#restore(this.history.undo($state.snapshot(this.rows)));
  }

  redo(): void {
    this.#restore(this.history.redo($state.snapshot(this.rows)));
  }

  /** Saves what is here over what somebody else saved. */
  keepMine(): void {
    this.deciding = false;
    if (this.conflict) void this.keeper.overwrite(this.conflict.revision);
  }

  async takeTheirs(): Promise<void> {
    this.deciding = false;
    const theirs = this.conflict;
    if (!theirs) return;
    this.conflict = null;
    this.keeper.settled(theirs.revision);
    this.#onsaved(theirs);
    await this.lay(theirs);
  }

  /** Gives the week another name. */
  rename(name: string): void {
    if (!this.week || !name.trim() || name.trim() === this.#name) return;
    this.#name = name.trim();
    this.keeper.changed();
  }

  /** Saves the grid as the text of the week, faulty lines too: they wait at the workbench. */
  async #save({ rows, name }: Laid, base: number | null): Promise<number | NotYet> {
    const { week } = this;
    if (!week) return { because: 'There is no week for it.' };
    const { text } = await ask(() => api.POST('/api/v1/program/text', { body: { rows } }));
    const body = { revision: base ?? week.revision, value: { name, text } };
    const saved = await ask(() =>
      api.PUT('/api/v1/gym-weeks/{id}', { params: { path: { id: week.id } }, body }),
    );
    this.week = saved;
    this.conflict = null;
    this.#onsaved(saved);
    return saved.revision;
  }

  #remember(): void {
    this.history.remember($state.snapshot(this.rows));
  }

  #restore(rows: ProgramRow[] | undefined): void {
    if (!rows) return;
    this.rows = rows;
    this.#changed();
  }

  /** The rows were changed: kept at once, checked and saved once the typing pauses. */
  #changed(): void {
    this.keeper.changed();
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
