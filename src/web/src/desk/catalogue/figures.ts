import { api, ask } from '../api/client';
import type { FigureDrawing } from '../../shared/figures/drawing';

/** Which figure: an exercise in a set-up, with the client's things, for a stature. */
export interface FigureAsked {
  exerciseId: string;
  setupId?: string | null | undefined;
  drawnWith?: string | null | undefined;
  statureCm?: number | null | undefined;
}

const kept = new Map<string, Promise<FigureDrawing | null>>();

/** The practice changed an exercise: how it looks is asked anew. */
export const forgetFigures = (): void => kept.clear();

/** The drawing of a figure, fetched once; null where an exercise has none. */
export function figureOf(asked: FigureAsked): Promise<FigureDrawing | null> {
  const query = {
    ...(asked.setupId ? { setup: asked.setupId } : {}),
    ...(asked.drawnWith === null || asked.drawnWith === undefined ? {} : { with: asked.drawnWith }),
    ...(asked.statureCm ? { stature: asked.statureCm } : {}),
  };
  const key = JSON.stringify([asked.exerciseId, query]);
  let drawing = kept.get(key);
  if (!drawing) {
    drawing = ask(() =>
      api.GET('/api/v1/figures/{exerciseId}', { params: { path: { exerciseId: asked.exerciseId }, query } }),
    ).then(
      (found) => found as FigureDrawing,
      () => {
        kept.delete(key);
        return null;
      },
    );
    kept.set(key, drawing);
  }
  return drawing;
}
