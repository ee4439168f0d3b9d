import { api, ask } from '../api/client';
import type { ImportSettings, ProgramField, ReadProgram, SavedWeek } from '../../shared/api/types';
import { toasts } from '../toasts.svelte';
import { base64 } from '../ui/base64';

/** Largest file that is sent, as the server has it. */
const mostBytes = 4 * 1024 * 1024;

/** An import under way: what was chosen, how it is to be read, and what it would bring in. */
export class ProgramImport {
  name = $state('');
  read = $state<ReadProgram | null>(null);
  problem = $state('');
  busy = $state(false);
  separator = $state<string | null>(null);
  settings = $state<ImportSettings>({});

  readonly lines = $derived(this.read?.preview.weeks.reduce((sum, week) => sum + week.lines, 0) ?? 0);
  #content = '';

  async file(file: File): Promise<void> {
    if (file.size > mostBytes) {
      this.clear();
      this.problem = `${file.name} has ${Math.round(file.size / 1024)} KB; a gym program takes at most ${mostBytes / 1024} KB.`;
      return;
    }

    await this.#take(file.name, new Uint8Array(await file.arrayBuffer()));
  }

  async paste(text: string): Promise<void> {
    if (text.trim()) await this.#take('what you pasted', new TextEncoder().encode(text));
  }

  /** Reads it again in another way; nothing is stored. */
  async readAs(change: Partial<ImportSettings>, separator = this.separator): Promise<void> {
    this.settings = { ...$state.snapshot(this.settings), ...change };
    this.separator = separator;
    await this.#preview();
  }

  /** Takes a column for something else; what held that before is left out. */
  async takeColumn(index: number, field: ProgramField | null): Promise<void> {
    const columns = this.read?.preview.columns ?? [];
    const fields = columns.map((c, i) =>
      i === index ? field : c.field === field && field ? null : (c.field ?? null),
    );
    await this.readAs({ fields: fields as ProgramField[], headRow: this.read?.preview.headRow ?? 0 });
  }

  /** Stores the weeks that the preview shows, all or none. */
  async bringIn(clientId: number): Promise<SavedWeek[] | null> {
    const weeks = this.read?.preview.weeks.map(({ name, text }) => ({ name, text }));
    if (!weeks || this.busy) return null;
    this.busy = true;
    try {
      return await ask(() =>
        api.POST('/api/v1/clients/{clientId}/program', {
          params: { path: { clientId } },
          body: { weeks },
        }),
      );
    } catch (error) {
      toasts.problem(error);
      return null;
    } finally {
      this.busy = false;
    }
  }

  clear(): void {
    this.#content = '';
    [this.name, this.problem, this.read, this.separator, this.settings] = ['', '', null, null, {}];
  }

  async #take(name: string, bytes: Uint8Array): Promise<void> {
    this.clear();
    this.name = name;
    this.#content = base64(bytes);
    await this.#preview();
  }

  async #preview(): Promise<void> {
    this.busy = true;
    this.problem = '';
    try {
      this.read = await ask(() =>
        api.POST('/api/v1/program/preview', {
          body: {
            content: this.#content,
            separator: this.separator,
            settings: $state.snapshot(this.settings) as ImportSettings,
          },
        }),
      );
    } catch (error) {
      this.read = null;
      this.problem = error instanceof Error ? error.message : String(error);
    } finally {
      this.busy = false;
    }
  }
}
