import type { SavedClient } from '../shared/api/types';
import { p } from './router';

export interface Crumb {
  text: string;
  href?: string;
}

/** Where the coach is; each screen says so itself. */
class Crumbs {
  list = $state<Crumb[]>([]);

  set(...list: Crumb[]): void {
    this.list = list;
    document.title = [...list.map((c) => c.text).reverse(), 'Ingegno'].join(' · ');
  }

  /** A screen of a plan: roster, client, workbench, and its own name. */
  ofPlan(planId: number, client: SavedClient, text: string): void {
    const at = { params: { id: String(client.id) } };
    this.set(
      { text: 'Roster', href: p('/') },
      { text: client.value.name, href: p('/clients/:id', at) },
      { text: 'Workbench', href: p('/clients/:id/workbench', { ...at, search: { plan: planId } }) },
      { text },
    );
  }
}

export const crumbs = new Crumbs();
