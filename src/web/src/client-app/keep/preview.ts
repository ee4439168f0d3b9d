/**
 * Whether a coach is signed in in this browser: then the page is a look at what the client sees, counts as nothing and leaves nothing.
 * Without a net nobody is.
 */
export async function coachLooksOn(): Promise<boolean> {
  try {
    const answer = await fetch('/api/v1/session', { signal: AbortSignal.timeout(2_000), cache: 'no-store' });
    const state = (await answer.json()) as { coach?: object | null };
    return Boolean(state.coach);
  } catch {
    return false;
  }
}
