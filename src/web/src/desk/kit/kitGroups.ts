import type { KitItem, KitKind } from '../../shared/api/types';
import type { QuantityKind } from '../../shared/units';
import { number } from '../../shared/words';

/** The groups of a kit by what its things can do, in the order a coach walks through a room. */
export const groups = [
  { id: 'lift', title: 'Lift', hint: 'weights for hands, back and bar' },
  { id: 'pull-against', title: 'Pull against', hint: 'bands, bars and anchor points' },
  { id: 'stand-or-lie-on', title: 'Stand or lie on', hint: 'surfaces and their heights' },
  { id: 'slide', title: 'Slide', hint: 'floors and what slides on them' },
  { id: 'fill', title: 'Fill', hint: 'containers, and what goes in' },
  { id: 'helps', title: 'Small helps', hint: 'towels, cushions, sticks' },
] as const;

/** Number fields of an item. */
export type MeasureField =
  | 'massKg'
  | 'handleKg'
  | 'forceKg'
  | 'restLengthCm'
  | 'widthMm'
  | 'thicknessMm'
  | 'heightCm'
  | 'volumeL'
  | 'densityKgPerL'
  | 'maxLoadKg'
  | 'overhangCm'
  | 'legToCentreCm';

export interface Measure {
  field: MeasureField;
  label: string;
  kind: QuantityKind;
  max: number;
  usual: number | null | undefined;
}

/** The measures that describe a kind, with its usual values. */
export function measuresOf(kind: KitKind): Measure[] {
  const container = kind.can.includes('container');
  const all: (Measure & { of: KitKind['measures'][number] })[] = [
    {
      of: 'mass',
      field: 'massKg',
      label: container ? 'Mass, empty' : 'Mass of one',
      kind: 'mass',
      max: 500,
      usual: kind.typicalMassKg,
    },
    {
      of: 'plates',
      field: 'handleKg',
      label: 'Empty handle',
      kind: 'mass',
      max: 100,
      usual: kind.typicalMassKg,
    },
    {
      of: 'force',
      field: 'forceKg',
      label: 'Force at twice its length',
      kind: 'mass',
      max: 150,
      usual: kind.typicalForceKg,
    },
    {
      of: 'rest-length',
      field: 'restLengthCm',
      label: 'Length, lying flat',
      kind: 'length',
      max: 500,
      usual: kind.typicalRestLengthCm,
    },
    {
      of: 'width',
      field: 'widthMm',
      label: 'Width',
      kind: 'short-length',
      max: 200,
      usual: kind.typicalWidthMm,
    },
    {
      of: 'thickness',
      field: 'thicknessMm',
      label: 'Thickness',
      kind: 'short-length',
      max: 20,
      usual: kind.typicalThicknessMm,
    },
    {
      of: 'height',
      field: 'heightCm',
      label: 'Height',
      kind: 'length',
      max: 250,
      usual: kind.typicalHeightCm,
    },
    {
      of: 'volume',
      field: 'volumeL',
      label: kind.can.includes('filler') ? 'How much there is' : 'Volume',
      kind: 'volume',
      max: 1000,
      usual: kind.typicalVolumeL,
    },
    {
      of: 'density',
      field: 'densityKgPerL',
      label: 'Density, as poured',
      kind: 'density',
      max: 12,
      usual: kind.typicalDensityKgPerL,
    },
    {
      of: 'max-load',
      field: 'maxLoadKg',
      label: container ? 'May carry' : 'Carries, rated or judged',
      kind: 'mass',
      max: 1000,
      usual: kind.typicalMaxLoadKg,
    },
    {
      of: 'overhang',
      field: 'overhangCm',
      label: 'Edge over the legs',
      kind: 'length',
      max: 100,
      usual: kind.typicalOverhangCm,
    },
    {
      of: 'leg-to-centre',
      field: 'legToCentreCm',
      label: 'Legs to the middle',
      kind: 'length',
      max: 150,
      usual: kind.typicalLegToCentreCm,
    },
  ];
  return all.filter((m) => kind.measures.includes(m.of));
}

/** A key that no other thing of the place has. */
export function freshId(kind: string, items: KitItem[]): string {
  for (let n = 1; ; n++) if (!items.some((i) => i.id === `${kind}-${n}`)) return `${kind}-${n}`;
}

/** The figure by which a thing is known: "8 kg", "44 cm", "104 × 13 mm". */
export function figureOf(item: KitItem, kind: KitKind): string {
  const has = (m: KitKind['measures'][number]): boolean => kind.measures.includes(m);
  const mass = (kg: number): string =>
    item.printed === 'lb' ? `${number(kg / 0.45359237)} lb` : `${Math.round(kg * 100) / 100} kg`;
  if (has('plates')) {
    const plates = (item.plates ?? []).reduce((sum, p) => sum + p.massKg * p.count, 0);
    return `${mass(item.handleKg ?? kind.typicalMassKg ?? 0)} handle + ${mass(plates)}`;
  }

  if (has('force')) {
    const length = item.restLengthCm ?? kind.typicalRestLengthCm;
    if ((item.calibration ?? []).length > 0) return `${length} cm, measured`;
    const width = item.widthMm ?? (item.forceKg == null ? kind.typicalWidthMm : null);
    return width != null
      ? `${length} cm × ${number(width)} mm`
      : `${number(item.forceKg ?? kind.typicalForceKg ?? 0)} kg at twice ${length} cm`;
  }

  if (has('height')) return `${number(item.heightCm ?? kind.typicalHeightCm ?? 0)} cm`;
  if (kind.can.includes('container')) return `${number(item.volumeL ?? kind.typicalVolumeL ?? 0)} L`;
  if (has('density')) return `${number(item.densityKgPerL ?? kind.typicalDensityKgPerL ?? 0)} kg/L`;
  if (has('mass')) return mass(item.massKg ?? kind.typicalMassKg ?? 0);
  return has('max-load') ? `carries ${number(item.maxLoadKg ?? kind.typicalMaxLoadKg ?? 0)} kg` : '';
}
