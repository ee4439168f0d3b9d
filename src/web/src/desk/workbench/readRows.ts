import type { ReadRow } from '../../shared/api/types';

/**
 * Lines of a text with readings in the place of some of its rows. A line may hold several rows (a day and its exercises, a superset): those
 * that nothing takes the place of are written as they were read, each in a line of its own, so that none is lost.
 */
export function written(rows: ReadRow[], readings: Map<ReadRow, string>): Map<number, string | null> {
  const lines = new Set([...readings.keys()].map((row) => row.line));
  // What was joined into the line stands in it from now on.
  const joined = [...readings.keys()].flatMap((row) => row.joinedLines);
  return new Map([
    ...joined.map((line): [number, null] => [line, null]),
    ...[...lines].map((line): [number, string] => [
      line,
      rows
        .filter((row) => row.line === line)
        .map((row) => readings.get(row) ?? row.text)
        .join('\n'),
    ]),
  ]);
}
