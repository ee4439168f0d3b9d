const key = 'ingegno-prices';
const highest = 1_000_000;

function kept(): Record<string, number> {
  try {
    const read: unknown = JSON.parse(localStorage.getItem(key) ?? '{}');
    if (typeof read !== 'object' || read === null) return {};
    return Object.fromEntries(Object.entries(read).filter(([, price]) => isPrice(price)));
  } catch {
    return {};
  }
}

const isPrice = (price: unknown): price is number =>
  typeof price === 'number' && price > 0 && price <= highest;

/** Prices the coach set for things on offer, kept in this browser. */
class OwnPrices {
  #prices = $state<Record<string, number>>(kept());

  get any(): boolean {
    return Object.keys(this.#prices).length > 0;
  }

  list(): { name: string; price: number }[] {
    return Object.entries(this.#prices).map(([name, price]) => ({ name, price }));
  }

  /** False when it is no price; the one before stays. */
  set(name: string, price: number): boolean {
    if (!isPrice(price)) return false;
    this.#prices[name] = price;
    localStorage.setItem(key, JSON.stringify(this.#prices));
    return true;
  }

  clear(): void {
    this.#prices = {};
    localStorage.removeItem(key);
  }
}

export const ownPrices = new OwnPrices();
