import type { FigureDrawing } from '../../shared/figures/drawing';
import type { ReleaseExercise, ReleaseFigure } from '../types';
import type { Server } from './server';
import type { Keep } from './store';

const keyOf = (e: Pick<ReleaseExercise, 'exerciseId' | 'setupId' | 'drawnWith'>): string =>
  `${e.exerciseId}|${e.setupId}|${e.drawnWith ?? ''}`;

/** The drawings of what was sent, kept on the phone so that they show without a net. */
class Figures {
  #all = $state.raw<ReadonlyMap<string, FigureDrawing>>(new Map());

  of(exercise: Pick<ReleaseExercise, 'exerciseId' | 'setupId' | 'drawnWith'>): FigureDrawing | undefined {
    return this.#all.get(keyOf(exercise));
  }

  async restore(store: Keep): Promise<void> {
    this.#take((await store.get<ReleaseFigure[]>('figures')) ?? []);
  }

  /** Fetches them anew; without a net those that are there stay. */
  async fetch(store: Keep, server: Server): Promise<void> {
    const answer = await server.figures(await store.get<string>('figuresTag'));
    if (answer.kind !== 'done') return;
    this.#take(answer.value);
    await store.put('figures', answer.value);
    await store.put('figuresTag', answer.tag ?? null);
  }

  #take(list: readonly ReleaseFigure[]): void {
    this.#all = new Map(list.map((f) => [keyOf(f), f.drawing as FigureDrawing]));
  }
}

export const figures = new Figures();
