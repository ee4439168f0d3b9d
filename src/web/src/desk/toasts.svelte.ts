import { Problem } from './api/problem';

export interface Toast {
  id: number;
  tone: 'done' | 'problem';
  text: string;
  undo?: () => void;
}

/** The one place for messages: what was done, and what went wrong. */
class Toasts {
  list = $state<Toast[]>([]);
  #next = 1;

  done(text: string, undo?: () => void): void {
    this.#add({ id: this.#next++, tone: 'done', text, undo }, undo ? 12_000 : 4_000);
  }

  /** Shows a problem in its own words; it stays until it is closed. */
  problem(error: unknown): void {
    const text =
      error instanceof Problem ? `${error.title}. ${error.detail}` : `Something went wrong: ${String(error)}`;
    if (!this.list.some((t) => t.text === text)) this.#add({ id: this.#next++, tone: 'problem', text });
  }

  close(id: number): void {
    this.list = this.list.filter((t) => t.id !== id);
  }

  #add(toast: Toast, milliseconds?: number): void {
    this.list = [...this.list.slice(-3), toast];
    if (milliseconds) setTimeout(() => this.close(toast.id), milliseconds);
  }
}

export const toasts = new Toasts();
