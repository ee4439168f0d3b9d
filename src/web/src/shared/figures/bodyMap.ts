/** Places of the muscles on a small front and back view of the body, as ellipses: x and y of the middle, half widths, turn. Mirrored. */
export interface Patch {
  muscle: string;
  side: 'front' | 'back';
  at: readonly [number, number];
  half: readonly [number, number];
  turn: number;
  /** On the middle line: not mirrored. */
  middle?: boolean;
}

const patch = (
  muscle: string,
  side: Patch['side'],
  at: Patch['at'],
  half: Patch['half'],
  turn = 0,
  middle = false,
): Patch => ({
  muscle,
  side,
  at,
  half,
  turn,
  middle,
});

/** x from the middle line outward, y down from the crown, a body of 100 units. */
export const patches: readonly Patch[] = [
  patch('neck', 'front', [1.8, 16], [1.2, 2.2]),
  patch('front-delt', 'front', [10, 21.5], [2.4, 3.4], -20),
  patch('side-delt', 'front', [12, 23], [1.5, 3.8], -8),
  patch('upper-chest', 'front', [4.8, 21.6], [4.2, 1.6], 8),
  patch('mid-chest', 'front', [4.7, 25], [4.3, 2.2]),
  patch('lower-chest', 'front', [4.6, 28.2], [3.8, 1.3], -8),
  patch('serratus', 'front', [8.2, 31], [1.3, 3.2], 14),
  patch('biceps', 'front', [13, 30], [1.8, 4.6], 6),
  patch('forearms', 'front', [15.6, 41], [1.7, 5.4], 8),
  patch('abs', 'front', [0, 37], [3.4, 7.6], 0, true),
  patch('obliques', 'front', [6, 38], [1.7, 5.4], -4),
  patch('hip-flexors', 'front', [4.6, 47.6], [2, 2.6], 24),
  patch('adductors', 'front', [2.6, 56], [1.6, 5.4], -6),
  patch('quads', 'front', [6.6, 60], [2.9, 9], 3),
  patch('rectus-femoris', 'front', [6.2, 58], [1.2, 8], 3),
  patch('tibialis', 'front', [7, 82], [1.5, 6], 2),
  patch('upper-traps', 'back', [4.4, 18.2], [3.6, 1.5], 20),
  patch('rear-delt', 'back', [10.6, 21.8], [2.4, 2.8], 20),
  patch('rotator-cuff', 'back', [6.4, 24], [2.6, 2]),
  patch('upper-back', 'back', [3, 26.5], [2.4, 5]),
  patch('lats', 'back', [6.6, 32.5], [2.6, 5.8], -16),
  patch('triceps', 'back', [13, 29.5], [1.9, 5], 6),
  patch('triceps-long', 'back', [11.8, 28.4], [1, 4.2], 6),
  patch('erectors', 'back', [1.9, 39], [1.3, 6.6]),
  patch('glutes', 'back', [4.6, 49.6], [4.1, 4]),
  patch('glute-med', 'back', [7, 45.4], [2, 1.8], 20),
  patch('hamstrings', 'back', [5.8, 62], [2.9, 8], 3),
  patch('calves', 'back', [6.6, 79.5], [2.4, 5.6], 2),
];

/** How densely a share is hatched: lines so far apart, none below a tenth. */
export const hatch = (share: number): 'full' | 'dense' | 'thin' | null =>
  share >= 0.8 ? 'full' : share >= 0.4 ? 'dense' : share >= 0.1 ? 'thin' : null;
