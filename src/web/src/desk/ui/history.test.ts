import { describe, expect, it } from 'vitest';
import { History } from './history.svelte';

describe('the history', () => {
  it('takes steps back and again', () => {
    const history = new History<string>();
    history.remember('a');
    history.remember('b');

    expect(history.undo('c')).toBe('b');
    expect(history.undo('b')).toBe('a');
    expect(history.undo('a')).toBeUndefined();
    expect(history.redo('a')).toBe('b');
    expect(history.canRedo).toBe(true);
  });

  it('forgets what was undone once something new is done', () => {
    const history = new History<number>();
    history.remember(1);
    history.undo(2);
    history.remember(1);

    expect(history.canRedo).toBe(false);
  });
});
