import type {
  ClientAppSession,
  NewClientAppMessage,
  ClientAppContent,
  ClientAppHold,
  StopSignTapped,
} from '../types';
import { deliver } from './delivery';
import type { Answer, Server } from './server';
import type { Keep, Waiting } from './store';

/** What the client reads of the way to the coach. */
export type Way = 'sending' | 'sent' | 'waiting' | 'ended' | 'unknown';

/** What sync needs of its surroundings, so that a test can stand in for them. */
export interface Surroundings {
  later: (run: () => void, ms: number) => void;
}

const first = 2_000;
const longest = 300_000;

/**
 * Keeps phone and server alike. What was done waits in the phone's own store until the server has answered for it; a state that was sent
 * twice counts once, for the server knows the key.
 */
export class Sync {
  way = $state<Way>('sent');
  content = $state<ClientAppContent | null>(null);
  /** What the server will never take, with its words; it stays on the phone. */
  refused = $state<string[]>([]);
  /** Sessions and notes that wait here: what is said before anything of this phone is forgotten. */
  undelivered = $state(0);
  /** Key of a session that another phone has gone on with; null when none is. */
  takenOver = $state<string | null>(null);

  /** A stop sign that was tapped here and that the coach does not know of yet. */
  tapped = $state<{ toDo: string } | null>(null);

  /** What may not be trained now: what the server holds, and until it knows of a stop sign everything. */
  get hold(): ClientAppHold | null {
    if (!this.tapped) return this.content?.hold ?? null;
    return {
      all: true,
      exercises: [],
      toDo: [this.tapped.toDo],
      say: 'Your coach is told as soon as there is a net. Training is held until your coach has answered.',
    };
  }

  #running = false;
  #again = false;
  #delay = first;
  #scheduled = false;
  /** What was refused before is tried once more with each opening of the page: the server may have learnt to take it. */
  #triedRefused = false;

  constructor(
    private readonly store: Keep,
    private readonly server: Server,
    private readonly around: Surroundings = { later: (run, ms) => void setTimeout(run, ms) },
  ) {}

  /** A state of a session: the last one waits, those before it are not needed. */
  async keep(session: ClientAppSession): Promise<void> {
    await this.store.wait({ key: session.key, kind: 'session', session });
    void this.run();
  }

  /** A stop sign: kept and sent before anything else, and nothing is trained until the coach has answered. */
  async stop(tapped: StopSignTapped, toDo: string): Promise<void> {
    this.tapped = { toDo };
    await this.store.wait({ key: tapped.key, kind: 'stop-sign', tapped, toDo });
    void this.run();
  }

  async say(note: NewClientAppMessage): Promise<void> {
    await this.store.wait({ key: note.key, kind: 'note', note });
    void this.run();
  }

  /** Sends what waits and fetches what is new; one at a time. */
  async run(): Promise<void> {
    if (this.#running) {
      this.#again = true;
      return;
    }

    this.#running = true;
    try {
      do {
        this.#again = false;
        if (!(await this.#once())) return;
      } while (this.#again);
    } finally {
      this.#running = false;
    }
  }

  /** Asks at once, whatever was planned: the net is back, or the screen was looked at. */
  hurry(): void {
    this.#delay = first;
    void this.run();
  }

  async #once(): Promise<boolean> {
    this.way = 'sending';
    await this.#see();
    const stopped = await deliver(this.store, this.server, {
      skipRefused: this.#triedRefused,
      taken: (item, value) => this.#taken(item, value),
    });
    if (stopped) return this.#stop(stopped);

    this.#triedRefused = true;
    const content = await this.server.content(await this.store.get<string>('contentTag'));
    if (content.kind === 'done') {
      this.content = content.value;
      await this.store.put('content', content.value);
      await this.store.put('contentTag', content.tag ?? null);
    } else if (content.kind !== 'same') return this.#stop(content);

    const left = await this.#see();
    this.refused = left.flatMap((w) => (w.refused ? [w.refused] : []));
    this.way = left.some((w) => !w.refused) ? 'waiting' : 'sent';
    this.#delay = first;
    return true;
  }

  /** What waits; a stop sign among it is on the screen until the server has it. */
  async #see(): Promise<Waiting[]> {
    const left = await this.store.waiting();
    this.undelivered = left.length;
    const sign = left.find((w) => w.kind === 'stop-sign');
    this.tapped = sign?.kind === 'stop-sign' ? { toDo: sign.toDo } : null;
    return left;
  }

  /** Where the server has a later state already, another phone has gone on with the session. */
  #taken(item: Waiting, value: unknown): void {
    const there = (value as { revision?: number } | null)?.revision ?? 0;
    if (item.kind === 'session' && there > item.session.revision) this.takenOver = item.key;
  }

  async #stop(answer: Answer<unknown>): Promise<false> {
    if (answer.kind === 'ended') {
      await this.store.forgetPlans();
      await this.#see();
      this.content = null;
      this.way = 'ended';
    } else if (answer.kind === 'unknown') {
      this.way = 'unknown';
    } else {
      this.way = 'waiting';
      if (!this.#scheduled) {
        this.#scheduled = true;
        this.around.later(() => {
          this.#scheduled = false;
          void this.run();
        }, this.#delay);
        this.#delay = Math.min(longest, this.#delay * 2);
      }
    }

    return false;
  }
}
