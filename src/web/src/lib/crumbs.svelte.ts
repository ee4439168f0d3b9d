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
}

export const crumbs = new Crumbs();
