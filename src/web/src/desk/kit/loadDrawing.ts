import type { LoadRecipe } from '../../shared/api/types';

/** A piece in the drawn container. */
export interface Block {
  key: string;
  name: string;
  massKg: number;
  x: number;
  y: number;
  width: number;
  height: number;
}

/**
 * Draws pieces to the scale of the container's volume: heaviest at the bottom, rows filled from left to right, what is
 * poured behind them. A container whose pieces have no volume draws them small.
 */
export function layout(recipe: LoadRecipe, width: number, height: number): { blocks: Block[]; pour: number } {
  const room = Math.max(recipe.container.volumeL, 0.1);
  const area = width * height;
  const pieces = recipe.packed.pieces
    .flatMap(({ piece, count }) =>
      Array.from({ length: count }, (_, i) => ({ piece, key: `${piece.id}-${i}` })),
    )
    .sort((a, b) => b.piece.massKg - a.piece.massKg);
  const side = (litres: number): number => Math.sqrt((Math.max(litres, room * 0.01) / room) * area);
  const blocks: Block[] = [];
  let [x, floor, row] = [0, height, 0];
  for (const { piece, key } of pieces) {
    const w = Math.min(width, side(piece.volumeL) * 1.25);
    const h = Math.min(height, (Math.max(piece.volumeL, room * 0.01) / room) * (area / w));
    if (x + w > width + 0.5) [x, floor, row] = [0, floor - row, 0];
    const y = Math.max(0, floor - h);
    blocks.push({ key, name: piece.name, massKg: piece.massKg, x, y, width: w, height: h });
    x += w;
    row = Math.max(row, h);
  }

  return { blocks, pour: Math.min(height, ((recipe.poured?.litres ?? 0) / room) * height) };
}
