import { Problem } from '../api/problem';

/** What the server holds now, when a write lost against another one; undefined for any other failure. */
export function conflictOf<T>(error: unknown): T | undefined {
  return error instanceof Problem && error.code === 'conflict' ? (error.current as T) : undefined;
}
