import type { RiggedBand } from '../api/types';
import { cm, dot, path, rect, type Mark, type Measure, type Sketch, type Spot } from './sketch';

const [width, height, ground] = [300, 200, 156];
/** Pixels that a doubled band's strands lie apart. */
const strandsApart = 4;

/** A band as it is rigged: solid where the rep starts, dashed where it ends. */
export function bandSketch(band: RiggedBand): Sketch {
  const drawn =
    band.rig === 'anchored'
      ? anchored(band)
      : band.rig === 'stood-on'
        ? stoodOn(band)
        : band.rig === 'assist'
          ? hanging(band)
          : between(band);
  return { width, height, words: [], ...drawn };
}

type Drawn = Pick<Sketch, 'marks' | 'measures'> & Partial<Sketch>;

function strands(band: RiggedBand, from: Spot, to: Spot, ink: Mark['ink'] = 'band'): Mark[] {
  if (!band.doubled) return [{ ink, d: path(from, to) }];
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
  const long = Math.hypot(dx, dy) || 1;
  const [ox, oy] = [(-dy / long) * (strandsApart / 2), (dx / long) * (strandsApart / 2)];
  return [-1, 1].map((s) => ({
    ink,
    d: path([from[0] + s * ox, from[1] + s * oy], [to[0] + s * ox, to[1] + s * oy]),
  }));
}

/** What is wound round the hand: a short thick piece at the end that is gripped. */
function wound(band: RiggedBand, at: Spot): Mark[] {
  return band.shortenedCm > 0 ? [{ ink: 'wound', d: path([at[0] - 7, at[1]], [at[0] + 7, at[1]]) }] : [];
}

const woundWord = (band: RiggedBand): string =>
  band.shortenedCm > 0 ? `${cm(band.shortenedCm)} wound in` : '';

/** Seen from the side: post, anchor, hand at the start and at the end. */
function anchored(band: RiggedBand): Drawn {
  const high = band.heightCm ?? 0;
  const scale = Math.min(
    (width - 70) / Math.max(band.startCm, band.endCm, 1),
    (ground - 22) / Math.max(high + 12, 60),
  );
  const left = 30;
  const y = ground - high * scale;
  const at = (distance: number): Spot => [left + distance * scale, y];
  const measures: Measure[] = [
    { from: [left, ground + 14], to: [at(band.startCm)[0], ground + 14], text: `start ${cm(band.startCm)}` },
    { from: [left, ground + 32], to: [at(band.endCm)[0], ground + 32], text: `end ${cm(band.endCm)}` },
  ];
  if (high > 15) measures.push({ from: [12, ground], to: [12, y], text: cm(high) });
  return {
    marks: [
      { ink: 'ground', d: path([4, ground], [width - 4, ground]) },
      { ink: 'frame', d: rect(left - 8, Math.max(6, y - 10), 6, ground - Math.max(6, y - 10)) },
      ...strands(band, at(band.startCm), at(band.endCm), 'later'),
      ...strands(band, [left, y], at(band.startCm)),
      { ink: 'weight', d: dot([left - 2, y], 4) },
      { ink: 'body', d: dot(at(band.startCm), 5) },
      { ink: 'later', d: dot(at(band.endCm), 5) },
      ...wound(band, at(band.startCm)),
    ],
    measures,
    words:
      band.shortenedCm > 0
        ? [{ at: [at(band.startCm)[0], y - 12], text: woundWord(band), anchor: 'middle' }]
        : [],
  };
}

/** Seen from the front: feet on the band, hands above them. */
function stoodOn(band: RiggedBand): Drawn {
  const handsApart = 36;
  const most = Math.max(band.startCm, band.endCm, 30);
  const scale = Math.min((ground - 18) / most, 1.1);
  const middle = width / 2;
  const foot = (side: number): Spot => [middle + (side * band.feetApartCm * scale) / 2, ground - 4];
  const hand = (side: number, high: number): Spot => [
    middle + (side * handsApart * scale) / 2,
    ground - high * scale,
  ];
  const sides = [-1, 1];
  const apart = band.feetApartCm > 0;
  return {
    marks: [
      { ink: 'ground', d: path([40, ground], [width - 40, ground]) },
      ...sides.flatMap((s) => strands(band, foot(s), hand(s, band.endCm), 'later')),
      ...sides.flatMap((s) => strands(band, foot(s), hand(s, band.startCm))),
      ...(apart ? [{ ink: 'band' as const, d: path(foot(-1), foot(1)) }] : []),
      ...(apart ? sides : [0]).map((s): Mark => ({
        ink: 'body',
        d: rect(foot(s)[0] - 9, ground - 8, 18, 8),
      })),
      ...sides.flatMap((s): Mark[] => [
        { ink: 'body', d: dot(hand(s, band.startCm), 5) },
        { ink: 'later', d: dot(hand(s, band.endCm), 5) },
        ...wound(band, hand(s, band.startCm)),
      ]),
    ],
    measures: [
      ...(apart
        ? [
            {
              from: [foot(-1)[0], ground + 14],
              to: [foot(1)[0], ground + 14],
              text: cm(band.feetApartCm),
            } as Measure,
          ]
        : []),
      {
        from: [width - 62, ground],
        to: [width - 62, hand(1, band.startCm)[1]],
        text: `start ${cm(band.startCm)}`,
      },
      { from: [width - 22, ground], to: [width - 22, hand(1, band.endCm)[1]], text: `end ${cm(band.endCm)}` },
    ],
    words: [
      ...(apart ? [] : [{ at: [middle, ground + 16] as Spot, text: 'one foot', anchor: 'middle' as const }]),
      ...(band.shortenedCm > 0
        ? [
            {
              at: [8, hand(-1, band.startCm)[1] + 4] as Spot,
              text: woundWord(band),
              anchor: 'start' as const,
            },
          ]
        : []),
    ],
  };
}

/** Held at both ends, or led round the body: its own length changes. */
function between(band: RiggedBand): Drawn {
  const most = Math.max(band.startCm, band.endCm, 1);
  const scale = (width - 40) / most;
  const row = (length: number, y: number, ink: Mark['ink']): Mark[] => {
    const [a, b]: [Spot, Spot] = [
      [width / 2 - (length * scale) / 2, y],
      [width / 2 + (length * scale) / 2, y],
    ];
    return [
      ...strands(band, a, b, ink),
      { ink: ink === 'band' ? 'body' : 'later', d: dot(a, 5) + dot(b, 5) },
      ...(ink === 'band' ? [...wound(band, a), ...wound(band, b)] : []),
    ];
  };
  const span = (length: number, y: number, text: string): Measure => ({
    from: [width / 2 - (length * scale) / 2, y],
    to: [width / 2 + (length * scale) / 2, y],
    text,
  });
  return {
    height: 124,
    marks: [...row(band.startCm, 22, 'band'), ...row(band.endCm, 76, 'later')],
    measures: [
      span(band.startCm, 38, `start ${cm(band.startCm)}`),
      span(band.endCm, 92, `end ${cm(band.endCm)}`),
    ],
    words:
      band.shortenedCm > 0
        ? [{ at: [width / 2, 118], text: `${woundWord(band)} at each hand`, anchor: 'middle' }]
        : [],
  };
}

/** From a bar above under foot or knee. */
function hanging(band: RiggedBand): Drawn {
  const most = Math.max(band.startCm, band.endCm, 1);
  const scale = (height - 34) / most;
  const low = (length: number): number => 12 + length * scale;
  return {
    marks: [
      { ink: 'frame', d: rect(60, 6, width - 120, 6) },
      ...strands(band, [width / 2 - 24, 12], [width / 2 - 24, low(band.startCm)]),
      ...strands(band, [width / 2 + 24, 12], [width / 2 + 24, low(band.endCm)], 'later'),
      { ink: 'body', d: rect(width / 2 - 36, low(band.startCm), 24, 8) },
      { ink: 'later', d: rect(width / 2 + 12, low(band.endCm), 24, 8) },
    ],
    measures: [
      {
        from: [width / 2 - 58, 12],
        to: [width / 2 - 58, low(band.startCm)],
        text: `start ${cm(band.startCm)}`,
      },
      { from: [width / 2 + 58, 12], to: [width / 2 + 58, low(band.endCm)], text: `end ${cm(band.endCm)}` },
    ],
  };
}
