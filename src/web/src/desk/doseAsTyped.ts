import type { Dose } from '../shared/api/types';

/** A dose as it is typed into a cell: "3x8-12 @ 20 kg 3-0-1-0 90 s RIR 2". A kilogram figure of 0 is none. */
export const doseAsTyped = (dose: Dose, kg: number): string =>
  [
    dose.scheme ? `${dose.sets}x${dose.target.max}` : dose.figures,
    kg > 0 && `@ ${kg} kg`,
    !dose.timed && dose.tempo,
    `${dose.restSeconds} s`,
    !dose.timed && `RIR ${dose.rir}`,
  ]
    .filter((part) => part !== false)
    .join(' ');
