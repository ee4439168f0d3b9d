const landing = 'h1, h2, h3, [role="heading"]';

function land(on: HTMLElement): void {
  if (!on.hasAttribute('tabindex')) on.tabIndex = -1;
  on.focus({ preventScroll: true });
}

/** Resolves to the first heading of the main part, as soon as the screen has one. */
function heading(signal: AbortSignal): Promise<HTMLElement | null> {
  const find = (): HTMLElement | null => document.querySelector<HTMLElement>('#main h1');
  return new Promise((resolve) => {
    const found = find();
    if (found) return resolve(found);
    const observer = new MutationObserver(() => {
      const late = find();
      if (!late) return;
      observer.disconnect();
      resolve(late);
    });
    observer.observe(document.body, { childList: true, subtree: true });
    signal.addEventListener('abort', () => {
      observer.disconnect();
      resolve(null);
    });
  });
}

/**
 * Keeps the focus near where it was: what takes the focused element away (a list that is drawn anew, a field that closes, a screen
 * that goes) would drop it to the page, and a keyboard or a screen reader would begin at the top again.
 */
export class FocusKeeper {
  #trail: HTMLElement[] = [];
  #awaiting: AbortController | undefined;

  /** Watches the page for as long as the application lives. */
  start(): () => void {
    const seen = (event: FocusEvent): void => {
      this.#trail = [];
      for (let e = event.target as HTMLElement | null; e && e !== document.body; e = e.parentElement)
        this.#trail.push(e);
    };
    const observer = new MutationObserver(() => this.#look());
    document.addEventListener('focusin', seen);
    observer.observe(document.body, { childList: true, subtree: true });
    return () => {
      document.removeEventListener('focusin', seen);
      observer.disconnect();
    };
  }

  /** Another screen was opened: its heading is read and the tab key goes on from there, unless something has the focus already. */
  async screenChanged(): Promise<void> {
    this.#awaiting?.abort();
    const awaiting = (this.#awaiting = new AbortController());
    this.#trail = [];
    const left = document.activeElement;
    const found = await heading(awaiting.signal);
    if (!found || awaiting.signal.aborted) return;
    const active = document.activeElement;
    if (active === document.body || active === left || !active?.isConnected) land(found);
  }

  #look(): void {
    const [last] = this.#trail;
    if (!last || last.isConnected || document.activeElement !== document.body) return;
    const near = this.#trail.find((e) => e.isConnected);
    this.#trail = [];
    if (!near) return;
    land(near.matches('[tabindex]') ? near : (near.querySelector<HTMLElement>(landing) ?? near));
  }
}
