/** The secret behind the # of a link; null where there is none. */
export function secretIn(text: string): string | null {
  return /(?:^|#)([A-Za-z0-9_-]{43})\s*$/.exec(text.trim())?.[1] ?? null;
}
