import { api, ask } from '../api/client';

const highest = 1_000_000;

const isPrice = (price: unknown): price is number =>
  typeof price === 'number' && price > 0 && price <= highest;

/** Prices that the coach set for things on offer. */
class OwnPrices {
  #prices = $state<Record<string, number>>({});
  /** Rises with every change, so that what rests on the prices is asked anew. */
  changes = $state(0);

  get any(): boolean {
    return Object.keys(this.#prices).length > 0;
  }

  async load(): Promise<void> {
    const prices = await ask(() => api.GET('/api/v1/prices'));
    this.#prices = Object.fromEntries(prices.map((p) => [p.name, p.price]));
  }

  /** False when it is no price; the one before stays. */
  async set(name: string, price: number): Promise<boolean> {
    if (!isPrice(price)) return false;
    await ask(() => api.PUT('/api/v1/prices', { body: { name, price } }));
    this.#prices[name] = price;
    this.changes++;
    return true;
  }

  async clear(): Promise<void> {
    await ask(() => api.DELETE('/api/v1/prices'));
    this.#prices = {};
    this.changes++;
  }
}

export const ownPrices = new OwnPrices();
