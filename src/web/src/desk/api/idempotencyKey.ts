import { digest } from '../../shared/digest';

/** A post on its way: what it says, and the key under which the server does it once. */
interface OnItsWay {
  key: string;
  what: string;
}

/** Where keys outlive a reload; another one in tests. */
type Shelf = Pick<Storage, 'getItem' | 'setItem'>;

/**
 * Keys of posts whose answer has not come yet. The same post sent again, because the line was cut or the page reloaded, goes out under the
 * same key, and the server answers with what it made the first time. Once answered, the same words are a new post.
 */
export class SentPosts {
  readonly #shelf: Shelf | undefined;
  #open: OnItsWay[];

  constructor(shelf: Shelf | undefined = globalThis.sessionStorage) {
    this.#shelf = shelf;
    this.#open = read(shelf?.getItem(slot) ?? null);
  }

  keyOf(url: string, body: string): string {
    const what = digest(`${url}\n${body}`);
    const waiting = this.#open.find((post) => post.what === what);
    if (waiting) return waiting.key;
    const key = randomKey();
    this.#keep([...this.#open, { key, what }].slice(-50));
    return key;
  }

  answered(key: string | null): void {
    this.#keep(this.#open.filter((post) => post.key !== key));
  }

  #keep(open: OnItsWay[]): void {
    this.#open = open;
    try {
      this.#shelf?.setItem(slot, JSON.stringify(open));
    } catch {
      // A full shelf costs the memory across a reload, nothing else.
    }
  }
}

const slot = 'ingegno-sent-posts';

function read(text: string | null): OnItsWay[] {
  try {
    return text === null ? [] : (JSON.parse(text) as OnItsWay[]);
  } catch {
    return [];
  }
}

/** 128 random bits; crypto.randomUUID is there on HTTPS alone, and a club's own machine may have none. */
function randomKey(): string {
  return [...crypto.getRandomValues(new Uint8Array(16))]
    .map((byte) => byte.toString(16).padStart(2, '0'))
    .join('');
}
