/** "low-back" → "low back". */
export const inWords = (key: string): string => key.replaceAll('-', ' ');

/** "left low back sore". */
export const soreInWords = (sore: { joint: string; severity: string; side?: string | null }): string =>
  `${sore.side ? `${sore.side} ` : ''}${inWords(sore.joint)} ${sore.severity}`;

/** First letter in upper case. */
export const sentence = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** 90 → "1:30", 45 → "45 s". */
export const rest = (seconds: number): string =>
  seconds < 60 ? `${seconds} s` : `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;

/** What follows a set: a rest, or within a pair the other half at once. */
export const after = (seconds: number, goesOn: boolean): string => (goesOn ? 'then at once' : rest(seconds));

/** At most one decimal, none when whole. */
export const number = (value: number): string => String(Math.round(value * 10) / 10);

/** A mass exact to 10 g. */
export const kg = (value: number): string => `${Math.round(value * 100) / 100} kg`;

/** A day in the reader's locale. */
export const day = (iso: string): string =>
  new Date(iso + (iso.length === 10 ? 'T00:00' : '')).toLocaleDateString(undefined, {
    day: 'numeric',
    month: 'short',
    year: 'numeric',
  });

/** A moment in the reader's locale and time. */
export const moment = (iso: string): string =>
  new Date(iso).toLocaleString(undefined, {
    day: 'numeric',
    month: 'short',
    hour: '2-digit',
    minute: '2-digit',
  });

/** A day in the reader's locale where its year is plain. */
export const dayOfYear = (iso: string): string =>
  new Date(iso + 'T00:00').toLocaleDateString(undefined, { day: 'numeric', month: 'short' });

/** "1 thing", "3 things". */
export const count = (n: number, one: string, many = one + 's'): string => `${n} ${n === 1 ? one : many}`;
