/** A stretch of a rep: from one share of the way to another, in so many seconds. */
export interface Stretch {
  seconds: number;
  from: number;
  to: number;
}

/** Seconds of an explosive phase, and of one that is not counted. */
const fast = 0.45;
const still = 0.25;

/** The stretches of a rep at a tempo such as 3-1-X-0: lowering, pause, lifting, pause. */
export function stretches(tempo: string, lowersFirst: boolean): Stretch[] {
  const read = /^(\d+)-(\d+)-(\d+|X)-(\d+)$/i.exec(tempo);
  const [lower, low, lift, high] = (read ? read.slice(1) : ['2', '0', '2', '0']).map((text) =>
    text.toUpperCase() === 'X' ? fast : Number(text),
  ) as [number, number, number, number];
  const way = (seconds: number): number => Math.max(seconds, fast);
  return lowersFirst
    ? [
        { seconds: way(lower), from: 0, to: 1 },
        { seconds: Math.max(low, still), from: 1, to: 1 },
        { seconds: way(lift), from: 1, to: 0 },
        { seconds: Math.max(high, still), from: 0, to: 0 },
      ]
    : [
        { seconds: way(lift), from: 0, to: 1 },
        { seconds: Math.max(high, still), from: 1, to: 1 },
        { seconds: way(lower), from: 1, to: 0 },
        { seconds: Math.max(low, still), from: 0, to: 0 },
      ];
}

/** How long a rep lasts, in seconds. */
export const lasts = (rep: readonly Stretch[]): number => rep.reduce((sum, s) => sum + s.seconds, 0);

/** Where a counted phase of a rep is: with the load, against it, or still. */
export function shareOfPhase(
  way: 'work' | 'return' | 'hold-long' | 'hold-short',
  through: number,
  lowersFirst: boolean,
): number {
  const lowered = { return: eased(through), 'hold-long': 1, work: 1 - eased(through), 'hold-short': 0 }[way];
  return lowersFirst ? lowered : 1 - lowered;
}

/** Slow at both ends, as a body turns round. */
const eased = (t: number): number => (1 - Math.cos(Math.PI * t)) / 2;

/** The share of the way at a moment of the rep, which goes round. */
export function shareAt(rep: readonly Stretch[], seconds: number): number {
  let left = seconds % lasts(rep);
  for (const s of rep) {
    if (left < s.seconds) return s.from + (s.to - s.from) * eased(left / s.seconds);
    left -= s.seconds;
  }
  return rep.at(-1)?.to ?? 0;
}
