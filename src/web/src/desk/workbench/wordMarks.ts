import type { LineField, ReadRow } from '../../shared/api/types';

/** A field of a row that is lit: all its words are shown in the text. */
export interface LitField {
  row: ReadRow;
  field: LineField;
}

/** A stretch of a typed row, and how it is marked. */
export interface Stretch {
  text: string;
  lit: boolean;
  unplaced: boolean;
}

/** Where the words of a field stand, and those that nothing was made of, line by line of the text. */
export function stretches(typed: string[], rows: ReadRow[], lit: LitField | null): Stretch[][] {
  const marks = typed.map((text) => ({ lit: new Set<number>(), unplaced: new Set<number>(), text }));
  const mark = (of: 'lit' | 'unplaced', row: ReadRow, field: LineField): void => {
    for (const place of row.fields.filter((f) => f.field === field).flatMap((f) => f.words))
      for (let i = 0; i < place.length; i++) marks[place.line - 1]?.[of].add(place.column - 1 + i);
  };
  for (const row of rows) mark('unplaced', row, 'not-placed');
  if (lit) mark('lit', lit.row, lit.field);
  return marks.map(({ text, lit: on, unplaced }) => {
    const parts: Stretch[] = [];
    let at = 0; // an emoji is two of the server's characters
    for (const letter of text) {
      const now = { lit: on.has(at), unplaced: unplaced.has(at) };
      const last = parts.at(-1);
      if (last?.lit === now.lit && last.unplaced === now.unplaced) last.text += letter;
      else parts.push({ text: letter, ...now });
      at += letter.length;
    }

    return parts;
  });
}

/** The field that the word at a place of the text belongs to; null where it belongs to none. */
export function fieldAt(rows: ReadRow[], line: number, column: number): LitField | null {
  for (const row of rows)
    for (const { field, words } of row.fields)
      if (words.some((w) => w.line === line && w.column <= column && column <= w.column + w.length))
        return { row, field };
  return null;
}
