import { blockNavigation } from 'sv-router';
import { Keeper, type KeeperWays } from './saver.svelte';
import { draftsHere, draftsNow } from './tab';

/** Keepers of the screen that is open, and what happens when the coach leaves it. */
class Keeping {
  /** What is asked before leaving; null when nothing is. */
  asking = $state<{ answer: (go: boolean) => void } | null>(null);
  /** The question is about drafts that go for good. */
  forgetting = $state(false);
  #keepers = new Set<Keeper<never>>();
  /** Drafts whose leaving was asked about already. */
  #asked = new WeakSet<Keeper<never>>();

  constructor() {
    void draftsHere().then((drafts) => drafts.forgetOld(Date.now()));
    window.addEventListener('online', () => void this.flush());
    document.addEventListener('visibilitychange', () => {
      if (document.visibilityState === 'hidden') void this.flush();
    });
    blockNavigation({
      // The drafts are in the browser already; the browser asks only where a save is under way or cannot get through.
      beforeUnload: () => ![...this.#keepers].some((k) => k.open && k.saves && k.state !== 'kept'),
      onNavigate: () => this.mayLeave(),
    });
  }

  /** Looks after a record for as long as a screen is open; call the result's close when it goes. */
  keep<T>(ways: KeeperWays<T>, pause = 900): Keeper<T> {
    const keeper = new Keeper<T>(ways, {
      drafts: draftsHere,
      now: draftsNow,
      clock: Date.now,
      pause,
      retries: [2_000, 4_000, 8_000, 15_000],
    });
    this.#keepers.add(keeper as unknown as Keeper<never>);
    return keeper;
  }

  /** A screen goes. */
  release<T>(...keepers: Keeper<T>[]): void {
    for (const keeper of keepers) {
      keeper.close();
      this.#keepers.delete(keeper as unknown as Keeper<never>);
    }
  }

  /** Saves what waits; false when something cannot be saved now. */
  async flush(): Promise<boolean> {
    const keepers = [...this.#keepers];
    const done = await Promise.all(keepers.map((k) => k.flush()));
    return keepers.every((k, i) => done[i] || !k.asks);
  }

  /** Whether the screen may be left: what can be saved is saved, what cannot is asked about once. */
  async mayLeave(): Promise<boolean> {
    await Promise.race([this.flush(), new Promise((resolve) => setTimeout(resolve, 2_500))]);
    const open = [...this.#keepers].filter((k) => k.open && k.asks && !this.#asked.has(k));
    if (open.length === 0) return true;
    const go = await new Promise<boolean>((answer) => (this.asking = { answer }));
    this.asking = null;
    if (go) for (const keeper of open) this.#asked.add(keeper);
    return go;
  }

  /** Whether drafts may go for good, as they do at sign-out: what cannot be saved is asked about. */
  async mayForget(): Promise<boolean> {
    // Other tabs keep drafts of this coach, too: they go with these.
    if ((await this.flush()) && (await draftsHere()).left === 0) return true;
    this.forgetting = true;
    const go = await new Promise<boolean>((answer) => (this.asking = { answer }));
    [this.asking, this.forgetting] = [null, false];
    return go;
  }

  /** Forgets all drafts: the coach signs out. */
  async forget(): Promise<void> {
    (await draftsHere()).dropAll();
  }
}

export const keeping = new Keeping();
