import { describe, expect, it } from 'vitest';
import { deliver } from './delivery';
import { Server } from './server';
import type { Waiting } from './store';

const session = { key: 'z-session', revision: 1, release: 1, day: 0, exercises: [] };
const note = { key: 'a-note', session: 'z-session', text: 'Hard.' };

/** A phone whose note sorts before the session that it is on, and a server that takes notes on sessions that it has alone. */
function phone(): { waits: Map<string, Waiting>; sent: string[]; run: () => Promise<unknown> } {
  const waits = new Map<string, Waiting>([
    ['a-note', { key: 'a-note', kind: 'note', note }],
    ['z-session', { key: 'z-session', kind: 'session', session: session as never }],
  ]);
  const sent: string[] = [];
  const server = new Server('x'.repeat(43), async (input) => {
    const path = String(input);
    const known = path.includes('/sessions/') || sent.some((s) => s.includes('/sessions/'));
    sent.push(path);
    return new Response('{"revision":1,"title":"No such session","code":"not-found"}', {
      status: known ? 200 : 404,
      headers: { 'Content-Type': 'application/json' },
    });
  });
  const store = {
    waiting: async () => [...waits.values()],
    wait: async (item: Waiting) => void waits.set(item.key, item),
    answered: async (item: Waiting) => void waits.delete(item.key),
  };
  return { waits, sent, run: () => deliver(store, server) };
}

describe('what waits under a link', () => {
  it('goes with sessions before the notes on them, whatever their keys', async () => {
    const { waits, sent, run } = phone();
    expect(await run()).toBeNull();
    expect(sent[0]).toContain('/sessions/z-session');
    expect(sent[1]).toContain('/notes');
    expect(waits.size).toBe(0);
  });
});
