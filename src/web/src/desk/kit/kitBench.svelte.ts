import { api, ask } from '../api/client';
import type {
  KitFind,
  KitItem,
  KitPossibilities,
  PlaceKit,
  SavedClient,
  SavedPlace,
} from '../../shared/api/types';
import type { NotYet } from '../autosave/saver.svelte';
import { keeping } from '../autosave/autosave.svelte';
import { toasts } from '../toasts.svelte';
import { domainRules } from '../domainRules.svelte';
import { History } from '../ui/history.svelte';
import { freshId, groups } from './kitGroups';

export type Tool = 'thing' | 'loads' | 'bands' | 'exercises' | 'next';

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
  /** The coach looks at what somebody else saved meanwhile. */
  deciding = $state(false);
  /** Why it could not be opened; null when it could. */
  failed = $state<unknown>(null);

  readonly history = new History<PlaceKit>();
  readonly keeper = keeping.keep<PlaceKit>({
    now: () => $state.snapshot(this.draft) as PlaceKit,
    restore: (kit) => this.#restore(kit),
    fields: true,
    save: (kit, base) => this.#save(kit, base),
    conflict: (theirs) => {
      this.theirs = theirs as SavedPlace;
      this.deciding = true;
    },
  });
  #counting: ReturnType<typeof setTimeout> | undefined;

  readonly place = $derived(this.places.find((p) => p.id === this.placeId));
  readonly items = $derived<KitItem[]>(this.draft.items ?? []);
  readonly selected = $derived(this.items.find((i) => i.id === this.selectedId));

  /** Things in the order in which they are shown. */
  readonly ordered = $derived(
    groups.flatMap((g) => this.items.filter((i) => domainRules.kind(i.kind)?.group === g.id)),
  );

  async open(clientId: number, placeId?: number): Promise<void> {
    this.failed = null;
    try {
      const [client, places] = await Promise.all([
        ask(() => api.GET('/api/v1/clients/{id}', { params: { path: { id: clientId } } })),
        ask(() => api.GET('/api/v1/clients/{clientId}/places', { params: { path: { clientId } } })),
        domainRules.load(),
      ]);
      [this.client, this.places] = [client, places];
      await this.show(placeId ?? places[0]?.id ?? null);
    } catch (error) {
      this.failed = error;
    }
  }

  /** Shows a place, with what was typed for it and not saved yet; what is typed for the one before is saved first. */
  async show(placeId: number | null): Promise<void> {
    if (this.placeId !== null && this.placeId !== placeId) await this.keeper.flush();
    this.placeId = placeId;
    this.history.clear();
    this.#put((this.place?.value ?? { name: '', items: [] }) as PlaceKit);
    this.selectedId = this.ordered[0]?.id ?? null;
    this.count(0);
    if (this.place) await this.keeper.on(`kit-${this.place.id}`, this.place.revision);
  }

  /** Every change goes through here, so that it can be undone and survives a reload. */
  change(make: (kit: PlaceKit) => PlaceKit): void {
    const before = $state.snapshot(this.draft) as PlaceKit;
    const after = make(structuredClone(before));
    if (JSON.stringify(after) === JSON.stringify(before)) return;
    this.history.remember(before);
    this.#change(after);
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
    if (before) this.#change(before);
  }

  redo(): void {
    const after = this.history.redo($state.snapshot(this.draft) as PlaceKit);
    if (after) this.#change(after);
  }

  /** Drops what was restored: the place as the server has it. */
  drop(): void {
    this.#put((this.place?.value ?? { name: '', items: [] }) as PlaceKit);
    this.count();
  }

  /** The things that a sentence names; nothing is added yet. */
  async readAll(text: string): Promise<KitFind[]> {
    return ask(() => api.POST('/api/v1/kit/paragraph', { body: { text } }));
  }

  /** Saves what is here over what somebody else saved. */
  keepMine(): void {
    this.deciding = false;
    if (this.theirs) void this.keeper.overwrite(this.theirs.revision);
  }

  takeTheirs(): void {
    this.deciding = false;
    const { theirs } = this;
    if (!theirs) return;
    this.#take(theirs);
    this.#put(theirs.value);
    this.keeper.settled(theirs.revision);
    this.count();
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
      await this.show(added.id);
    } catch (error) {
      toasts.problem(error);
    }
  }

  async deletePlace(): Promise<void> {
    const place = this.place;
    if (!place) return;
    try {
      await ask(() => api.DELETE('/api/v1/places/{id}', { params: { path: { id: place.id } } }));
      this.keeper.settled();
      this.places = this.places.filter((p) => p.id !== place.id);
      await this.show(this.places[0]?.id ?? null);
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

  async #save(value: PlaceKit, base: number | null): Promise<number | NotYet> {
    const place = this.place;
    if (!place) return { because: 'There is no place for it.' };
    const body = { revision: base ?? place.revision, value };
    const saved = await ask(() =>
      api.PUT('/api/v1/places/{id}', { params: { path: { id: place.id } }, body }),
    );
    this.#take(saved);
    return saved.revision;
  }

  #change(kit: PlaceKit): void {
    this.#put(kit);
    this.keeper.changed();
    this.count();
  }

  #restore(kit: PlaceKit): void {
    this.history.remember($state.snapshot(this.draft) as PlaceKit);
    this.#put(kit);
    this.selectedId = this.ordered[0]?.id ?? null;
    this.count();
  }

  #put(kit: PlaceKit): void {
    this.draft = structuredClone($state.snapshot(kit)) as PlaceKit;
  }

  /** Takes what the server has; what is typed on the screen stays. */
  #take(saved: SavedPlace): void {
    this.theirs = null;
    this.places = this.places.map((p) => (p.id === saved.id ? saved : p));
  }
}
