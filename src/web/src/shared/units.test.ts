import { describe, expect, it } from 'vitest';
import { readQuantity } from './units';

describe('typed quantities', () => {
  it('takes a bare number in the base unit', () => {
    expect(readQuantity('12.5', 'mass')).toBe(12.5);
    expect(readQuantity(' 1,5 ', 'volume')).toBe(1.5);
  });

  it('converts by the exact factors of NIST SP 811', () => {
    expect(readQuantity('20 lb', 'mass')).toBe(9.072);
    expect(readQuantity('1gal', 'volume')).toBe(3.785);
    expect(readQuantity('18 in', 'length')).toBe(45.72);
    expect(readQuantity('1.5 cm', 'short-length')).toBe(15);
    expect(readQuantity('500 ml', 'volume')).toBe(0.5);
  });

  it('tells nothing from what cannot be read', () => {
    expect(readQuantity('', 'mass')).toBeNull();
    expect(readQuantity('heavy', 'mass')).toBeUndefined();
    expect(readQuantity('12 cm', 'mass')).toBeUndefined();
    expect(readQuantity('-3', 'mass')).toBeUndefined();
  });
});
