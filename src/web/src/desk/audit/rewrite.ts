import type { Remedy } from '../../shared/api/types';

/** A pasted plan with the lines of a remedy put in their places; other lines stay as they are. */
export function rewritten(
  text: string,
  remedy: Pick<Remedy, 'lines'>,
  /** Further rows that a line was read from: they go when it is written anew. */
  joined: (line: number) => number[] = () => [],
): string {
  const rows: (string | null)[] = text.split('\n');
  for (const line of remedy.lines) {
    const at = line.line - 1;
    const row = rows[at];
    if (row === undefined || row === null) continue;
    const indent = /^\s*/.exec(row)?.[0] ?? '';
    rows[at] = indent + line.text + (row.endsWith('\r') ? '\r' : '');
    for (const more of joined(line.line)) rows[more - 1] = null;
  }
  return rows.filter((row) => row !== null).join('\n');
}
