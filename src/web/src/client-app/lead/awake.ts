/** Keeps the screen on while training, where the browser can. */
export class Awake {
  #lock: WakeLockSentinel | null = null;
  #wanted = false;

  constructor() {
    document.addEventListener('visibilitychange', () => {
      if (this.#wanted && document.visibilityState === 'visible') void this.#take();
    });
  }

  want(on: boolean): void {
    if (on === this.#wanted) return;
    this.#wanted = on;
    if (on) void this.#take();
    else void this.#lock?.release().catch(() => undefined);
  }

  async #take(): Promise<void> {
    try {
      this.#lock = (await navigator.wakeLock?.request('screen')) ?? null;
    } catch {
      this.#lock = null; // A low battery may refuse it.
    }
  }
}
