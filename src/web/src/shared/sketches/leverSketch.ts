import type { Lever } from '../api/types';
import { cm, down, path, rect, type Mark, type Sketch } from './sketch';

const width = 288;
/** Room under the floor for the measures, px. */
const under = 44;

/** What tips against what holds: a table pulled at its edge, or the back of a chair, over the legs as the edge it would turn about. */
export function leverSketch(lever: Lever, chair: boolean): Sketch {
  const ground = chair ? 152 : 112;
  const scale = Math.min(150 / (lever.overhangCm + 2 * lever.armCm), 2.2);
  const top = ground - Math.min(66, Math.max(36, lever.heightCm * 0.8));
  const edge = 54;
  const near = edge + lever.overhangCm * scale;
  const middle = near + lever.armCm * scale;
  const far = middle + lever.armCm * scale;
  const end = far + (chair ? 0 : lever.overhangCm * scale);
  const weight: Mark[] =
    lever.counterweightKg > 0 ? [{ ink: 'weight', d: rect(middle - 15, top - 20, 30, 20) }] : [];
  const back: Mark[] = chair ? [{ ink: 'frame', d: path([near, top], [edge, top - 42]) }] : [];
  const pulled = chair ? top - 42 : top;
  return {
    width,
    height: ground + under,
    marks: [
      { ink: 'ground', d: path([8, ground], [width - 8, ground]) },
      { ink: 'thing', d: rect(chair ? near : edge, top, end - (chair ? near : edge), 7) },
      { ink: 'frame', d: rect(near, top + 7, 5, ground - top - 7) },
      { ink: 'frame', d: rect(far - 5, top + 7, 5, ground - top - 7) },
      ...back,
      ...weight,
      { ink: 'force', d: chair ? down([edge, pulled], 26) : down([edge + 2, top + 40], 30) },
      { ink: 'force', d: down([middle, top + 40], 30) },
    ],
    measures: [
      { from: [edge, ground + 32], to: [near, ground + 32], text: cm(lever.overhangCm) },
      { from: [near, ground + 14], to: [middle, ground + 14], text: cm(lever.armCm) },
    ],
    words: [
      { at: [edge - 6, chair ? pulled - 14 : top + 30], text: `${lever.loadKg} kg`, anchor: 'end' },
      { at: [middle + 8, top + 30], text: `${lever.massKg} kg`, anchor: 'start' },
      ...(lever.counterweightKg > 0
        ? [
            {
              at: [middle, top - 26] as const,
              text: `put ${lever.counterweightKg} kg here`,
              anchor: 'middle' as const,
            },
          ]
        : []),
    ],
  };
}
