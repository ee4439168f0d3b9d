/** A drawing of how things stand: outlines, measures and words, in pixels. */
export interface Sketch {
  width: number;
  height: number;
  marks: Mark[];
  measures: Measure[];
  words: Word[];
}

export interface Mark {
  ink:
    'ground' | 'thing' | 'frame' | 'band' | 'later' | 'body' | 'weight' | 'force' | 'bag' | 'piece' | 'wound';
  d: string;
  /** 0–1, how heavy a piece is for its room. */
  weight?: number;
}

/** A length between two points, told in centimetres. */
export interface Measure {
  from: Spot;
  to: Spot;
  text: string;
}

export interface Word {
  at: Spot;
  text: string;
  anchor: 'start' | 'middle' | 'end';
}

export type Spot = readonly [x: number, y: number];

export const path = (...spots: Spot[]): string =>
  `M${spots.map(([x, y]) => `${round(x)} ${round(y)}`).join('L')}`;

export const rect = (x: number, y: number, width: number, height: number): string =>
  `${path([x, y], [x + width, y], [x + width, y + height], [x, y + height])}Z`;

export const dot = ([x, y]: Spot, r: number): string =>
  `M${round(x - r)} ${round(y)}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0`;

/** An arrow that points down, its tip at a spot. */
export const down = ([x, y]: Spot, length: number): string =>
  `${path([x, y - length], [x, y])}${path([x - 4, y - 7], [x, y], [x + 4, y - 7])}`;

const round = (v: number): number => Math.round(v * 10) / 10;

export const cm = (length: number): string => `${Math.round(length)} cm`;

/** Whether there is anything to draw of how an exercise is set up. */
export const hasSketch = (home: {
  bag?: { contents: unknown[] } | null;
  bands?: unknown[];
  checks?: { lever?: unknown }[];
}): boolean =>
  (home.bag?.contents.length ?? 0) > 0 ||
  (home.bands?.length ?? 0) > 0 ||
  (home.checks ?? []).some((c) => c.lever);
