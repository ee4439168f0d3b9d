import type { SavedPlan } from '../../shared/api/types';
import type { Decided } from './decided';

/** How a week was left at a place. */
export interface AtPlace {
  decided: Decided;
  plan: SavedPlan | null;
  unsaved: boolean;
}

/** What was left at other weeks and places while this page is open. */
export class LeftAtPlaces {
  #left: Record<string, AtPlace> = {};

  keep(week: number | null, place: number | null, at: AtPlace): void {
    this.#left[key(week, place)] = at;
  }

  at(week: number | null, place: number | null): AtPlace | undefined {
    return this.#left[key(week, place)];
  }
}

const key = (week: number | null, place: number | null): string => `${week ?? 'new'}/${place ?? 'none'}`;
