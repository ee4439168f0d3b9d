/** Steps that can be taken back and taken again. */
export class History<T> {
  #past = $state<T[]>([]);
  #future = $state<T[]>([]);

  get canUndo(): boolean {
    return this.#past.length > 0;
  }

  get canRedo(): boolean {
    return this.#future.length > 0;
  }

  /** Remembers the state before a change; what was undone before is gone. */
  remember(before: T): void {
    this.#past = [...this.#past.slice(-199), before];
    this.#future = [];
  }

  undo(now: T): T | undefined {
    const before = this.#past.at(-1);
    if (before === undefined) return undefined;
    this.#past = this.#past.slice(0, -1);
    this.#future = [...this.#future, now];
    return before;
  }

  redo(now: T): T | undefined {
    const after = this.#future.at(-1);
    if (after === undefined) return undefined;
    this.#future = this.#future.slice(0, -1);
    this.#past = [...this.#past, now];
    return after;
  }

  clear(): void {
    this.#past = [];
    this.#future = [];
  }
}
