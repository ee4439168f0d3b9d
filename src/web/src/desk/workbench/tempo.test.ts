import { describe, expect, it } from 'vitest';
import { tempoPhases, tempoPoints } from './tempo';

describe('the drawn tempo', () => {
  it('reads the four phases, X as explosive', () => {
    expect(tempoPhases('3-1-X-0').map((p) => p.seconds)).toEqual([3, 1, 0.4, 0]);
    expect(tempoPhases('3-1-X-0')[2]?.explosive).toBe(true);
    expect(tempoPhases('slow')).toEqual([]);
  });

  it('draws each phase as wide as it lasts and leaves out what takes no time', () => {
    const segments = tempoPoints('4-0-2-2', 80, 20);

    expect(segments.map((s) => s.name)).toEqual(['eccentric', 'concentric', 'pause shortened']);
    expect(segments.map((s) => s.to[0] - s.from[0])).toEqual([40, 20, 20]);
    expect(segments[0]).toMatchObject({ from: [0, 2], to: [40, 18] });
  });
});
