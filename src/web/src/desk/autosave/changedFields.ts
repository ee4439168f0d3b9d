/** One field that differs from the record as it stands on the server; without a value it is gone. */
export interface ChangedField {
  /** Names from the record down to the field. */
  path: string[];
  value?: unknown;
}

type Fields = Record<string, unknown>;

const isFields = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/**
 * The fields of a record in which `now` differs from what `stands`, so that a draft keeps no more of a client than was typed. A list is one
 * field: its places mean nothing in another revision.
 */
export function changedFields(stands: unknown, now: unknown): ChangedField[] {
  if (!isFields(stands) || !isFields(now))
    return JSON.stringify(stands) === JSON.stringify(now) ? [] : [{ path: [], value: now }];
  return [...new Set([...Object.keys(stands), ...Object.keys(now)])].flatMap((name) =>
    now[name] === undefined && stands[name] !== undefined
      ? [{ path: [name] }]
      : changedFields(stands[name], now[name]).map((field) => ({ ...field, path: [name, ...field.path] })),
  );
}

/** The record as it stands with the fields that were typed. */
export function withFields<T>(stands: T, fields: ChangedField[]): T {
  let record: unknown = structuredClone(stands);
  for (const { path, value } of fields) {
    const last = path.at(-1);
    if (last === undefined) {
      record = value;
      continue;
    }

    let at = record as Fields;
    for (const name of path.slice(0, -1)) at = (at[name] = isFields(at[name]) ? at[name] : {}) as Fields;
    if (value === undefined) Reflect.deleteProperty(at, last);
    else at[last] = value;
  }

  return record as T;
}
