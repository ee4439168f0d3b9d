import { api, ask } from '../api/client';
import type { KitFind, KitItem, KitPossibilities, PlaceKit, SavedClient, SavedPlace } from '../api/types';
import { toasts } from '../toasts.svelte';
import { trade } from '../trade.svelte';
import { conflictOf } from '../ui/saving';
import { History } from '../ui/history.svelte';
import { freshId, groups } from './kitGroups';

export type Tool = 'thing' | 'loads' | 'bands' | 'exercises' | 'next';

const draftKey = (placeId: number): string => `ingegno-kit-${placeId}`;

/** The kit of a client's places while it is worked on. */
export class KitBench {
  client = $state<SavedClient | null>(null);
  places = $state<SavedPlace[]>([]);
  placeId = $state<number | null>(null);
  draft = $state<PlaceKit>({ name: '', items: [] });
  selectedId = $state<string | null>(null);
  tool = $state<Tool>('thing');
  possibilities = $state<KitPossibilities | null>(null);
  theirs = $state<SavedPlace | null>(null);
  busy = $state(false);
  failed = $state(false);

  readonly history = new History<PlaceKit>();
  #counting: ReturnType<typeof setTimeout> | undefined;

  readonly place = $derived(this.places.find((p) => p.id === this.placeId));
  readonly items = $derived<KitItem[]>(this.draft.items ?? []);
  readonly selected = $derived(this.items.find((i) => i.id === this.selectedId));
  readonly changed = $derived(
    this.place !== undefined && JSON.stringify(this.draft) !== JSON.stringify(this.place.value),
  );

  /** Things in the order in which they are shown. */
  readonly ordered = $derived(
    groups.flatMap((g) => this.items.filter((i) => trade.kind(i.kind)?.group === g.id)),
  );

  async open(clientId: number, placeId?: number): Promise<void> {
    try {
      const [client, places] = await Promise.all([
        ask(() => api.GET('/api/v1/clients/{id}', { params: { path: { id: clientId } } })),
        ask(() => api.GET('/api/v1/clients/{clientId}/places', { params: { path: { clientId } } })),
        trade.load(),
      ]);
      [this.client, this.places] = [client, places];
      this.show(placeId ?? places[0]?.id ?? null);
    } catch (error) {
      this.failed = true;
      toasts.problem(error);
    }
  }

  /** Shows a place, with what was typed for it and not saved yet. */
  show(placeId: number | null): void {
    this.placeId = placeId;
    this.history.clear();
    this.selectedId = null;
    const saved = this.place?.value ?? { name: '', items: [] };
    this.draft = structuredClone($state.snapshot(saved)) as PlaceKit;
    const kept = placeId ? localStorage.getItem(draftKey(placeId)) : null;
    if (kept && kept !== JSON.stringify(saved)) {
      try {
        this.draft = JSON.parse(kept) as PlaceKit;
        toasts.done('What you had changed at this place is back.');
      } catch {
        localStorage.removeItem(draftKey(placeId ?? 0));
      }
    }

    this.selectedId = this.ordered[0]?.id ?? null;
    this.count(0);
  }

  /** Every change goes through here, so that it can be undone and survives a reload. */
  change(make: (kit: PlaceKit) => PlaceKit): void {
    const before = $state.snapshot(this.draft) as PlaceKit;
    const after = make(structuredClone(before));
    if (JSON.stringify(after) === JSON.stringify(before)) return;
    this.history.remember(before);
    this.#put(after);
  }

  update(id: string, change: Partial<KitItem>): void {
    this.change((kit) => ({
      ...kit,
      items: (kit.items ?? []).map((i) => (i.id === id ? { ...i, ...change } : i)),
    }));
  }

  add(item: KitItem): void {
    const added = { ...item, id: freshId(item.kind, this.items) };
    this.change((kit) => ({ ...kit, items: [...(kit.items ?? []), added] }));
    this.selectedId = added.id;
    this.tool = 'thing';
  }

  /** Adds several things in one step of undo. */
  addAll(items: KitItem[]): void {
    let last: string | null = null;
    this.change((kit) => {
      const all = [...(kit.items ?? [])];
      for (const item of items) {
        last = freshId(item.kind, all);
        all.push({ ...item, id: last });
      }

      return { ...kit, items: all };
    });
    this.selectedId = last ?? this.selectedId;
    this.tool = 'thing';
    if (items.length > 1) toasts.done(`${items.length} things added.`, () => this.undo());
  }

  remove(id: string): void {
    const at = this.ordered.findIndex((i) => i.id === id);
    this.change((kit) => ({ ...kit, items: (kit.items ?? []).filter((i) => i.id !== id) }));
    this.selectedId = this.ordered[Math.min(at, this.ordered.length - 1)]?.id ?? null;
    toasts.done('Removed.', () => this.undo());
  }

  move(by: number): void {
    const at = this.ordered.findIndex((i) => i.id === this.selectedId);
    this.selectedId = this.ordered[Math.min(Math.max(0, at + by), this.ordered.length - 1)]?.id ?? null;
  }

  undo(): void {
    const before = this.history.undo($state.snapshot(this.draft) as PlaceKit);
    if (before) this.#put(before);
  }

  redo(): void {
    const after = this.history.redo($state.snapshot(this.draft) as PlaceKit);
    if (after) this.#put(after);
  }

  /** Takes back everything that was not saved. */
  revert(): void {
    const saved = this.place?.value;
    if (saved) this.change(() => structuredClone($state.snapshot(saved)) as PlaceKit);
  }

  /** The things that a sentence names; nothing is added yet. */
  async readAll(text: string): Promise<KitFind[]> {
    return ask(() => api.POST('/api/v1/kit/paragraph', { body: { text } }));
  }

  async save(revision = this.place?.revision): Promise<void> {
    const place = this.place;
    if (!place || this.busy) return;
    this.busy = true;
    try {
      const value = $state.snapshot(this.draft) as PlaceKit;
      const saved = await ask(() =>
        api.PUT('/api/v1/places/{id}', {
          params: { path: { id: place.id } },
          body: { revision: revision ?? place.revision, value },
        }),
      );
      this.#take(saved);
      toasts.done('Kit saved.');
    } catch (error) {
      this.theirs = conflictOf<SavedPlace>(error) ?? null;
      if (!this.theirs) toasts.problem(error);
    } finally {
      this.busy = false;
    }
  }

  takeTheirs(): void {
    if (this.theirs) this.#take(this.theirs);
  }

  async addPlace(name: string, items: KitItem[]): Promise<void> {
    const clientId = this.client?.id;
    if (!clientId) return;
    try {
      const added = await ask(() =>
        api.POST('/api/v1/clients/{clientId}/places', {
          params: { path: { clientId } },
          body: { name, items },
        }),
      );
      this.places = [...this.places, added];
      this.show(added.id);
    } catch (error) {
      toasts.problem(error);
    }
  }

  async deletePlace(): Promise<void> {
    const place = this.place;
    if (!place) return;
    try {
      await ask(() => api.DELETE('/api/v1/places/{id}', { params: { path: { id: place.id } } }));
      localStorage.removeItem(draftKey(place.id));
      this.places = this.places.filter((p) => p.id !== place.id);
      this.show(this.places[0]?.id ?? null);
      toasts.done('Place deleted. Plans made for it stay.');
    } catch (error) {
      toasts.problem(error);
    }
  }

  /** Counts anew what the kit opens, once the typing pauses. */
  count(wait = 500): void {
    clearTimeout(this.#counting);
    this.#counting = setTimeout(() => void this.#count(), wait);
  }

  async #count(): Promise<void> {
    const client = this.client?.value.profile;
    if (!client || this.placeId === null) return;
    const kit = $state.snapshot(this.draft) as PlaceKit;
    try {
      this.possibilities = await ask(() =>
        api.POST('/api/v1/kit/possibilities', {
          body: { client: $state.snapshot(client) as typeof client, kit },
        }),
      );
    } catch (error) {
      toasts.problem(error);
    }
  }

  #put(kit: PlaceKit): void {
    this.draft = kit;
    if (this.placeId) localStorage.setItem(draftKey(this.placeId), JSON.stringify(kit));
    this.count();
  }

  #take(saved: SavedPlace): void {
    this.theirs = null;
    this.places = this.places.map((p) => (p.id === saved.id ? saved : p));
    this.draft = structuredClone($state.snapshot(saved.value)) as PlaceKit;
    localStorage.removeItem(draftKey(saved.id));
    this.count();
  }
}
