import { describe, expect, it } from 'vitest';
import type { KitItem, KitKind } from '../../shared/api/types';
import { figureOf, freshId } from './kitGroups';

const kind = (id: string, measures: string[], more: object = {}): KitKind =>
  ({ id, label: id, can: [], measures, group: 'lift', source: 'x', ...more }) as unknown as KitKind;
const item = (more: Partial<KitItem> = {}): KitItem => ({ id: 'a', kind: 'x', ...more });

describe('things of a kit', () => {
  it('show the figure a client knows them by', () => {
    expect(figureOf(item({ massKg: 9.0718, printed: 'lb' }), kind('dumbbell', ['mass']))).toBe('20 lb');
    expect(figureOf(item({ heightCm: 44 }), kind('sofa', ['height']))).toBe('44 cm');
    expect(figureOf(item({ restLengthCm: 104, widthMm: 13 }), kind('b', ['force', 'width']))).toBe(
      '104 cm × 13 mm',
    );
  });

  it('get keys of their own', () => {
    expect(freshId('book', [item({ id: 'book-1' }), item({ id: 'book-2' })])).toBe('book-3');
  });
});
