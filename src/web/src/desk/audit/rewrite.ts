import type { Remedy } from '../../shared/api/types';

/** A pasted plan with the lines of a remedy put in their places; other lines stay as they are. */
export function rewritten(text: string, remedy: Pick<Remedy, 'lines'>): string {
  const rows = text.split('\n');
  for (const line of remedy.lines) {
    const at = line.line - 1;
    const row = rows[at];
    if (row === undefined) continue;
    const indent = /^\s*/.exec(row)?.[0] ?? '';
    rows[at] = indent + line.text + (row.endsWith('\r') ? '\r' : '');
  }
  return rows.join('\n');
}
