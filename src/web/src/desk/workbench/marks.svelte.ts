import type { HomeEdit } from '../../shared/api/types';

/** Lines that the coach marked, and the edit that may be done on them again. */
export class Marks {
  lines = $state<number[]>([]);
  lastEdit = $state<HomeEdit | null>(null);
  /** Line whose dose is to be typed, until its cell opens. */
  typingIn = $state<number | null>(null);

  /** Marks a line for the next repeat, or takes the mark off. */
  toggle(line: number | undefined): void {
    if (line === undefined) return;
    this.lines = this.lines.includes(line) ? this.lines.filter((l) => l !== line) : [...this.lines, line];
  }

  /** Lines that a repeat is for: the marked ones, else the given one. */
  targets(line: number | undefined): number[] {
    if (this.lines.length > 0) return [...this.lines];
    return line === undefined ? [] : [line];
  }
}
