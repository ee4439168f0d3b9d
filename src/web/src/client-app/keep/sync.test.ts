import { describe, expect, it } from 'vitest';
import type { ClientAppSession, ClientAppContent } from '../types';
import { localIso, Server } from './server';
import { secretIn } from './secret';
import type { Keep, Waiting } from './store';
import { Sync } from './sync.svelte';

/** The phone's store without a browser. */
class Memory {
  items = new Map<string, Waiting>();
  kept = new Map<string, unknown>();
  async waiting(): Promise<Waiting[]> {
    return [...this.items.values()];
  }
  async wait(item: Waiting): Promise<void> {
    this.items.set(item.key, item);
  }
  async answered(item: Waiting): Promise<void> {
    const now = this.items.get(item.key);
    const later =
      now?.kind === 'session' && item.kind === 'session' && now.session.revision > item.session.revision;
    if (!later) this.items.delete(item.key);
  }
  async put(name: string, value: unknown): Promise<void> {
    this.kept.set(name, value);
  }
  async get<T>(name: string): Promise<T | null> {
    return (this.kept.get(name) as T | undefined) ?? null;
  }
  async content(): Promise<ClientAppContent | null> {
    return this.get('content');
  }
  async drop(name: string): Promise<void> {
    this.kept.delete(name);
  }
  async forgetPlans(): Promise<void> {
    this.kept.delete('content');
  }
}

const content: ClientAppContent = {
  coach: 'Lena',
  releases: [],
  sessions: [],
  notes: [],
  stopSigns: [],
  answers: [],
};
const session = (revision: number, key = 'session-1'): ClientAppSession => ({
  key,
  revision,
  release: 1,
  day: 0,
  startedAt: '2026-11-26T18:00:00+01:00',
  sentAt: '2026-11-26T18:40:00+01:00',
  exercises: [],
});

/** A server whose answers are told beforehand; what was put is noted. */
function server(answers: (() => Response)[]): {
  sync: Sync;
  memory: Memory;
  put: ClientAppSession[];
  later: (() => void)[];
  waits: number[];
} {
  const [memory, put, later, waits]: [Memory, ClientAppSession[], (() => void)[], number[]] = [
    new Memory(),
    [],
    [],
    [],
  ];
  const ask: typeof fetch = async (_, init) => {
    const answer = answers.shift();
    if (init?.method === 'PUT') put.push(JSON.parse(String(init.body)) as ClientAppSession);
    if (!answer) return new Response(JSON.stringify(init?.method === 'GET' ? content : {}));
    return answer();
  };
  const sync = new Sync(memory as Keep, new Server('secret', ask), {
    later: (run, ms) => {
      later.push(run);
      waits.push(ms);
    },
  });
  return { sync, memory, put, later, waits };
}

const settled = (): Promise<void> => new Promise((done) => setTimeout(done, 20));
const down = (): never => {
  throw new TypeError('no net');
};

describe('the way to the coach', () => {
  it('keeps what was done until the server has answered, and tries again ever more rarely', async () => {
    const { sync, memory, put, later, waits } = server([down, down, () => new Response('', { status: 503 })]);
    await sync.keep(session(1));
    await settled();
    expect(sync.way).toBe('waiting');
    expect(memory.items.size).toBe(1);
    later.shift()?.();
    await settled();
    later.shift()?.();
    await settled();
    expect(waits).toEqual([2000, 4000, 8000]);
    later.shift()?.();
    await settled();
    expect(sync.way).toBe('sent');
    expect(memory.items.size).toBe(0);
    expect(put.every((p) => p.key === 'session-1')).toBe(true);
  });

  it('sends the last state of a session, and does not forget one that came while another was under way', async () => {
    const { sync, memory, put } = server([]);
    await sync.keep(session(1));
    await sync.keep(session(2));
    await settled();
    expect(put.at(-1)?.revision).toBe(2);
    expect(memory.items.size).toBe(0);
  });

  const told = (status: number, code: string): Response =>
    new Response(JSON.stringify({ code, detail: code }), { status });

  it('erases the plans when the link has ended, and never what was done', async () => {
    const { sync, memory } = server([() => told(410, 'link-ended')]);
    await memory.put('content', content);
    await memory.put('running', {});
    await sync.keep(session(1));
    await settled();
    expect(sync.way).toBe('ended');
    expect([...memory.kept.keys()]).toEqual(['running']);
    expect(memory.items.size).toBe(1);
    expect(sync.undelivered).toBe(1);
  });

  it('delivers what was done under a link that has ended, before it hears of the end', async () => {
    const { sync, memory, put } = server([
      () => new Response('{"revision":1}'),
      () => told(410, 'link-ended'),
    ]);
    await sync.keep(session(1));
    await settled();
    expect(put).toHaveLength(1);
    expect(memory.items.size).toBe(0);
    expect(sync.way).toBe('ended');
  });

  it.each([
    [410, 'a box between says gone'],
    [401, 'a box between asks for its own password'],
    [403, 'a box between forbids'],
  ])('waits and erases nothing when %i is not in the words of the server', async (status) => {
    const { sync, memory } = server([() => new Response('<html>', { status })]);
    await memory.put('content', content);
    await sync.keep(session(1));
    await settled();
    expect(sync.way).toBe('waiting');
    expect(memory.items.size).toBe(1);
    expect(memory.kept.has('content')).toBe(true);
  });

  it('erases nothing when a server does not know the link', async () => {
    const { sync, memory } = server([() => told(401, 'no-such-link')]);
    await sync.keep(session(1));
    await settled();
    expect(sync.way).toBe('unknown');
    expect(memory.items.size).toBe(1);
  });

  it('never keeps an answer of another shape as the plan', async () => {
    const { sync, memory } = server([() => new Response('{"hello":"hotel"}')]);
    await memory.put('content', content);
    await sync.run();
    expect(sync.way).toBe('waiting');
    expect(memory.kept.get('content')).toEqual(content);
  });

  it('sends sessions before the notes on them', async () => {
    const { sync, memory, put } = server([down]);
    await sync.say({ key: 'a-note-on-it', session: 'session-1', text: 'Hard.' });
    await settled();
    memory.items = new Map([
      ...memory.items,
      ['session-1', { key: 'session-1', kind: 'session', session: session(1) }],
    ]);
    await sync.run();
    await settled();
    expect(put).toHaveLength(1);
    expect(memory.items.size).toBe(0);
  });

  it('says when another phone has gone on with a session', async () => {
    const { sync } = server([() => new Response('{"revision":1005}')]);
    await sync.keep(session(6));
    await settled();
    expect(sync.takenOver).toBe('session-1');
  });

  it('keeps what the server will never take, says why, and goes on with the rest', async () => {
    const refusal = (): Response =>
      new Response(JSON.stringify({ code: 'invalid', detail: 'Reps lie between 0 and 500.' }), {
        status: 400,
      });
    const { sync, memory, put } = server([refusal]);
    await sync.keep(session(1));
    await settled();
    await sync.keep(session(1, 'session-2'));
    await settled();
    expect(sync.refused).toEqual(['Reps lie between 0 and 500.']);
    expect([...memory.items.keys()]).toEqual(['session-1']);
    expect(put.map((p) => p.key)).toEqual(['session-1', 'session-2']);
  });
});

describe('links and moments', () => {
  it('finds the secret in whatever is pasted, and nothing where there is none', () => {
    const secret = 'Zgg6TITJGM0ECmrDzdktJswW1h-8OYwzVH_uQiZlbvg';
    expect(secretIn(`https://boathouse.example/s/#${secret}`)).toBe(secret);
    expect(secretIn(`  ${secret}\n`)).toBe(secret);
    expect(secretIn('https://boathouse.example/s/')).toBeNull();
    expect(secretIn(`#${secret}x`)).toBeNull();
  });

  it('writes a moment with the offset of the phone', () => {
    const at = Date.UTC(2026, 10, 26, 17, 4, 9);
    expect(localIso(at)).toMatch(/^2026-11-2\dT\d\d:\d\d:09[+-]\d\d:\d\d$/);
    expect(Date.parse(localIso(at))).toBe(at);
  });
});
