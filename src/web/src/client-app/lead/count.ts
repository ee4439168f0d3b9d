import type { RepPhase } from '../types';

/** Where a count stands. */
export interface Counted {
  /** Rep that runs, 1 first; 0 while the lead-in runs. */
  rep: number;
  /** Place of its phase; -1 while the lead-in runs. */
  phase: number;
  /** Second of the phase as it is called, 1 first; what is left of the lead-in. */
  second: number;
  /** How far through the phase, 0–1. */
  through: number;
}

/** Seconds before the first rep. */
export const leadIn = 3;

/**
 * Where a count stands so many seconds after it was started. It is asked of the clock each time and never added up, so that a phone
 * that was asleep does not fall behind.
 */
export function counted(phases: RepPhase[], elapsed: number): Counted {
  if (elapsed < leadIn || phases.length === 0)
    return { rep: 0, phase: -1, second: Math.ceil(leadIn - elapsed), through: elapsed / leadIn };

  const perRep = phases.reduce((sum, p) => sum + p.seconds, 0);
  const since = elapsed - leadIn;
  const rep = Math.floor(since / perRep);
  let within = since - rep * perRep;
  for (const [i, { seconds }] of phases.entries()) {
    if (within < seconds || i === phases.length - 1)
      return {
        rep: rep + 1,
        phase: i,
        second: Math.floor(within) + 1,
        through: Math.min(1, within / seconds),
      };
    within -= seconds;
  }

  throw new Error('A rep has phases.');
}

/** A moment of a count at which something is heard. */
export interface Beat {
  /** Seconds after the start. */
  at: number;
  /** A tick of a second, the first of a phase, or the first of a rep. */
  kind: 'lead' | 'tick' | 'phase' | 'rep';
  /** What a voice says. */
  word: string;
}

/** What is heard from one moment to another, for an audio clock to be told of beforehand. */
export function beats(phases: RepPhase[], from: number, to: number): Beat[] {
  const heard: Beat[] = [];
  const add = (at: number, kind: Beat['kind'], word: string): void => {
    if (at >= from && at < to) heard.push({ at, kind, word });
  };
  for (let s = 0; s < leadIn; s++) add(s, 'lead', String(leadIn - s));
  const perRep = phases.reduce((sum, p) => sum + p.seconds, 0);
  if (perRep <= 0) return heard;
  for (let rep = Math.max(0, Math.floor((from - leadIn) / perRep)); leadIn + rep * perRep < to; rep++) {
    let at = leadIn + rep * perRep;
    phases.forEach((phase, i) => {
      for (let s = 0; s < phase.seconds; s++)
        add(
          at + s,
          s > 0 ? 'tick' : i === 0 ? 'rep' : 'phase',
          s > 0 ? String(s + 1) : i === 0 ? `${rep + 1}. ${phase.word}` : phase.word,
        );
      at += phase.seconds;
    });
  }

  return heard;
}

/** Whole reps that were counted to their end. */
export function repsCounted(phases: RepPhase[], elapsed: number): number {
  const perRep = phases.reduce((sum, p) => sum + p.seconds, 0);
  return perRep > 0 ? Math.max(0, Math.floor((elapsed - leadIn + 0.25) / perRep)) : 0;
}
