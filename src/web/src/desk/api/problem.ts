/** An error as the server tells it (RFC 9457), or the failure to reach the server at all. */
export class Problem extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    readonly title: string,
    readonly detail: string,
    readonly fields: Record<string, string[]> = {},
    readonly current: unknown = undefined,
  ) {
    super(`${title}. ${detail}`);
  }

  /** Nobody answered, or cannot now: the same may go through another time. */
  get isPassing(): boolean {
    return this.status === 0 || this.status >= 500;
  }

  static from(status: number, body: unknown): Problem {
    const told = (typeof body === 'object' && body !== null ? body : {}) as Record<string, unknown>;
    return new Problem(
      status,
      typeof told.code === 'string' ? told.code : 'unknown',
      typeof told.title === 'string' ? told.title : 'The server gave no answer that can be read',
      typeof told.detail === 'string' ? told.detail : 'Try again; what you typed is still here.',
      (told.errors as Record<string, string[]> | undefined) ?? {},
      told.current,
    );
  }

  static unreachable(): Problem {
    return new Problem(
      0,
      'unreachable',
      'The server cannot be reached',
      'What you typed is still here. Check that Ingegno is running, then try again.',
    );
  }
}
