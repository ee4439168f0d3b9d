import { describe, expect, it } from 'vitest';
import type { PartScore } from '../../shared/api/types';
import { jointInWords, jointShape } from './joint';

const part = (name: PartScore['part'], score: number): PartScore => ({
  part: name,
  score,
  weight: 0.2,
  reason: 'x',
});

describe('the joint', () => {
  it('lets a full tooth reach the other board and hatches what a short one leaves', () => {
    const { teeth } = jointShape([part('muscles', 1), part('pattern', 0.25)], 100, 40, 30);

    expect(teeth[0]).toMatchObject({ from: 'gym', x: 30, width: 40, gap: { x: 70, width: 0 } });
    expect(teeth[1]).toMatchObject({ from: 'home', x: 60, width: 10, gap: { x: 30, width: 30 } });
  });

  it('keeps teeth inside the boards whatever the score says', () => {
    const { teeth } = jointShape([part('skill', 1.7), part('profile', -1)], 100, 40, 30);

    expect(teeth.map((t) => t.width)).toEqual([40, 0]);
  });

  it('says in words which parts are short', () => {
    expect(jointInWords(0.876, [part('muscles', 1), part('profile', 0.3)])).toBe(
      'Match 88 %, short of: profile 30 %',
    );
    expect(jointInWords(1, [part('muscles', 1)])).toBe('Match 100 %, every part fits');
  });
});
