import { describe, expect, it } from 'vitest';
import { SentPosts } from './idempotencyKey';

function shelf(): { getItem: (key: string) => string | null; setItem: (key: string, value: string) => void } {
  const kept = new Map<string, string>();
  return { getItem: (key) => kept.get(key) ?? null, setItem: (key, value) => void kept.set(key, value) };
}

describe('posts on their way', () => {
  it('keep their key until they are answered, over a reload too', () => {
    const kept = shelf();
    const key = new SentPosts(kept).keyOf('/clients', '{"name":"Tamsin"}');
    const reloaded = new SentPosts(kept);
    expect(reloaded.keyOf('/clients', '{"name":"Tamsin"}')).toBe(key);
    expect(reloaded.keyOf('/clients', '{"name":"Tamsim"}')).not.toBe(key);
    reloaded.answered(key);
    expect(reloaded.keyOf('/clients', '{"name":"Tamsin"}')).not.toBe(key);
  });

  it('do without a shelf, and with one that holds nonsense', () => {
    expect(new SentPosts(undefined).keyOf('/a', 'b')).toMatch(/^[0-9a-f]{32}$/);
    expect(new SentPosts({ getItem: () => '{', setItem: () => undefined }).keyOf('/a', 'b')).toHaveLength(32);
    const full = new SentPosts({
      getItem: () => null,
      setItem: () => {
        throw new Error('full');
      },
    });
    expect(full.keyOf('/a', 'b')).toBe(full.keyOf('/a', 'b'));
  });
});
