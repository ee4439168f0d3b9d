import { describe, expect, it } from 'vitest';
import type { LoadRecipe } from '../../shared/api/types';
import { layout } from './loadDrawing';

const recipe = (pieces: [string, number, number, number][], litres = 0): LoadRecipe =>
  ({
    container: { volumeL: 10 },
    packed: {
      pieces: pieces.map(([id, massKg, volumeL, count]) => ({
        piece: { id, name: id, massKg, volumeL },
        count,
      })),
    },
    poured: litres ? { litres } : null,
  }) as unknown as LoadRecipe;

describe('the drawn load', () => {
  it('draws every piece to scale, inside the container, heaviest first', () => {
    const { blocks } = layout(
      recipe([
        ['book', 1, 1, 2],
        ['brick', 3, 1, 1],
      ]),
      100,
      100,
    );

    expect(blocks.map((b) => b.name)).toEqual(['brick', 'book', 'book']);
    expect(blocks[0]).toMatchObject({ x: 0 });
    for (const b of blocks) {
      expect(b.x + b.width).toBeLessThanOrEqual(101);
      expect(b.width * b.height).toBeCloseTo(1000, 0);
    }
  });

  it('starts a new row when one is full', () => {
    const { blocks } = layout(recipe([['crate', 1, 3, 2]]), 100, 100);

    expect(blocks[1]).toMatchObject({ x: 0 });
    expect(blocks[1]?.y).toBeLessThan(blocks[0]?.y ?? 0);
  });

  it('shows what is poured as a level', () => {
    expect(layout(recipe([], 4), 100, 100).pour).toBeCloseTo(40);
    expect(layout(recipe([], 40), 100, 100).pour).toBe(100);
  });
});
