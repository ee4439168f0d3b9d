import type { PackedBag } from '../api/types';
import { path, rect, type Mark, type Sketch, type Word } from './sketch';

const [width, height] = [166, 150];
const [left, top, inner, deep] = [50, 22, 84, 112];
/** What has no room entered is iron more often than not. */
const litresPerKg = 0.25;
const least = 9;

/** A bag cut open: numbered slabs, as much room as they take; on the back the heaviest first and high, in the hand the heaviest lowest. */
export function bagSketch(bag: PackedBag): Sketch {
  const litres = bag.contents.map((c) => (c.volumeL || c.massKg * litresPerKg) * c.count);
  const room = Math.max(
    bag.volumeL,
    litres.reduce((a, b) => a + b, 0),
    0.1,
  );
  const densest = Math.max(...bag.contents.map((c, i) => (c.massKg * c.count) / (litres[i] || 1)), 0.1);
  const whole = bag.worn ? inner : deep;
  const free = whole - least * bag.contents.length;
  const marks: Mark[] = [{ ink: 'bag', d: outline(bag.worn) }];
  const words: Word[] = [];
  let taken = 0;
  bag.contents.forEach((content, i) => {
    const size = least + (free * (litres[i] ?? 0)) / room;
    const weight = (content.massKg * content.count) / (litres[i] || 1) / densest;
    // The heaviest of a bag that is worn stands high, at the shoulder blades; the rest fills up from below.
    const [x, y, w, h] = bag.worn
      ? [left + taken, i === 0 ? top + 6 : top + 22, size, deep - 28]
      : [left, top + deep - taken - size, inner, size];
    marks.push({ ink: 'piece', d: rect(x + 1, y + 1, Math.max(2, w - 2), Math.max(2, h - 2)), weight });
    words.push({ at: [x + w / 2, y + h / 2 + 4], text: String(i + 1), anchor: 'middle' });
    taken += size;
  });
  if (bag.worn) words.push({ at: [left - 13, top + deep / 2], text: 'back', anchor: 'end' });
  return { width, height, marks, measures: [], words };
}

const outline = (worn: boolean): string =>
  worn ? rucksack() : `${rect(left, top, inner, deep)}M${left + 24} ${top}q18 -22 36 0`;

/** Its back straight, its front round, and a strap. */
function rucksack(): string {
  const [right, bottom] = [left + inner, top + deep];
  const strap = path([left, top + 12], [left - 9, top + 36], [left - 9, top + 84], [left, top + 100]);
  return [
    `M${left} ${top + 10}Q${left} ${top} ${left + 12} ${top}`,
    `L${right - 22} ${top}Q${right} ${top + 4} ${right} ${top + 34}`,
    `L${right} ${bottom - 12}Q${right} ${bottom} ${right - 14} ${bottom}L${left} ${bottom}Z`,
    strap,
  ].join('');
}
