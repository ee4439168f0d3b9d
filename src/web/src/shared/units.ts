/** What a typed quantity measures; everything is kept in kg, L, cm or mm. */
export type QuantityKind = 'mass' | 'volume' | 'length' | 'short-length' | 'density' | 'number';

/** Exact factors: NIST SP 811 (1 lb = 0.45359237 kg, 1 US gal = 3.785411784 L, 1 in = 2.54 cm). */
const factors: Record<QuantityKind, Record<string, number>> = {
  mass: { kg: 1, g: 0.001, lb: 0.45359237, lbs: 0.45359237 },
  volume: { l: 1, ml: 0.001, gal: 3.785411784 },
  length: { cm: 1, mm: 0.1, m: 100, in: 2.54, '"': 2.54 },
  'short-length': { mm: 1, cm: 10, in: 25.4, '"': 25.4 },
  density: { 'kg/l': 1 },
  number: {},
};

/** Unit shown for a kind. */
export const baseUnit: Record<QuantityKind, string> = {
  mass: 'kg',
  volume: 'L',
  length: 'cm',
  'short-length': 'mm',
  density: 'kg/L',
  number: '',
};

/**
 * Reads "17.6 lb", "1,5 L", "18in" or a bare number in the base unit. Empty is null; what cannot be read, or carries a
 * unit of something else, is undefined.
 */
export function readQuantity(text: string, kind: QuantityKind): number | null | undefined {
  const trimmed = text.trim();
  if (trimmed === '') return null;
  const read = /^(\d+(?:[.,]\d+)?|[.,]\d+)\s*([a-z/"]*)$/i.exec(trimmed);
  if (!read?.[1]) return undefined;
  const value = Number(read[1].replace(',', '.'));
  const unit = (read[2] ?? '').toLowerCase();
  if (unit === '') return value;
  const factor = factors[kind][unit];
  return factor === undefined ? undefined : round(value * factor);
}

/** At most three decimals, so that 20 lb shows as 9.072. */
const round = (value: number): number => Math.round(value * 1000) / 1000;
