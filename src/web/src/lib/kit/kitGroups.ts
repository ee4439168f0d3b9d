import type { KitItem, KitKind } from '../api/types';

/** The groups of a kit by what its things can do, in the order a coach walks through a room. */
export const groups = [
  { id: 'lift', title: 'Lift', hint: 'weights for hands, back and bar' },
  { id: 'pull-against', title: 'Pull against', hint: 'bands, bars and anchor points' },
  { id: 'stand-or-lie-on', title: 'Stand or lie on', hint: 'surfaces and their heights' },
  { id: 'slide', title: 'Slide', hint: 'floors and what slides on them' },
  { id: 'fill', title: 'Fill', hint: 'containers, and what goes in' },
  { id: 'helps', title: 'Small helps', hint: 'towels, cushions, sticks' },
] as const;

export interface Measure {
  field: 'massKg' | 'forceKg' | 'heightCm' | 'volumeL' | 'maxLoadKg';
  label: string;
  unit: string;
  max: number;
  typical: number | null | undefined;
}

/** The measures that describe a kind, with its typical values. */
export function measuresOf(kind: KitKind): Measure[] {
  const all: (Measure & { key: string })[] = [
    { key: 'mass', field: 'massKg', label: 'Mass of one', unit: 'kg', max: 500, typical: kind.typicalMassKg },
    {
      key: 'force',
      field: 'forceKg',
      label: 'Nominal force',
      unit: 'kg',
      max: 150,
      typical: kind.typicalForceKg,
    },
    {
      key: 'height',
      field: 'heightCm',
      label: 'Height',
      unit: 'cm',
      max: 250,
      typical: kind.typicalHeightCm,
    },
    { key: 'volume', field: 'volumeL', label: 'Volume', unit: 'L', max: 300, typical: kind.typicalVolumeL },
    {
      key: 'max-load',
      field: 'maxLoadKg',
      label: 'Carries',
      unit: 'kg',
      max: 1000,
      typical: kind.typicalMaxLoadKg,
    },
  ];
  return all.filter((m) => kind.measures.includes(m.key));
}

/** True when a measure was left to the typical value of the kind. */
export function isEstimated(item: KitItem, kind: KitKind): boolean {
  return measuresOf(kind).some((m) => m.field !== 'maxLoadKg' && item[m.field] == null);
}

/** A key that no other thing of the place has. */
export function freshId(kind: string, items: KitItem[]): string {
  for (let n = 1; ; n++) if (!items.some((i) => i.id === `${kind}-${n}`)) return `${kind}-${n}`;
}
