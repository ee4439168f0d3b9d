// Writes a configuration of Stryker.NET that mutates a seeded sample of the rule modules: whole members, so that a mutant and what it
// stands in are drawn together. Prints how many members were drawn.
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { but, configuration } from './configuration.mjs';
import { mutation } from './settings.mjs';

const [seed, wanted, target] = [Number(process.argv[2]), Number(process.argv[3]), process.argv[4]];
const members = mutation.modules
  .flatMap((room) =>
    readdirSync(`${mutation.core}/${room}`, { recursive: true }).map(
      (file) => `${mutation.core}/${room}/${file}`,
    ),
  )
  .filter((file) => file.endsWith('.cs'))
  .sort()
  .flatMap((file) => membersOf(file));
shuffle(members, generator(seed));

const drawn = new Map();
let mutable = 0;
for (const member of members) {
  if (mutable >= wanted * mutation.placesPerMutant) {
    break;
  }
  mutable += member.places;
  drawn.set(member.file, [...(drawn.get(member.file) ?? []), `{${member.start}..${member.end}}`]);
}

writeFileSync(target, configuration(drawn, but([...mutation.without, ...mutation.slow])));
console.log(`${[...drawn.values()].flat().length} members of ${members.length}, seed ${seed}`);

/** Members of a file: what stands between two empty lines, where there is something that a mutant can change. */
function membersOf(file) {
  const text = readFileSync(file, 'utf8');
  const found = [];
  for (const block of text.matchAll(/(?:[^\n]+(?:\n|$))+/g)) {
    const code = block[0].replace(/^\s*\/\/.*$/gm, '');
    const places = (
      code.match(
        /[<>]=?\s|==|!=|&&|\|\||[-+*/]\s|\?\s|\bMath\.M|\.(?:Where|First|Last|Any|All|Min|Max|Order|Take|Skip|Sum)\w*\(|;\s*$/gm,
      ) ?? []
    ).length;
    if (places > 0 && !/^\s*(?:using|namespace)\b/.test(code)) {
      found.push({ file, start: block.index, end: block.index + block[0].length, places });
    }
  }
  return found;
}

/** Mulberry32: the same sample for the same seed, on every machine. */
function generator(state) {
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), state | 1);
    t = (t + Math.imul(t ^ (t >>> 7), t | 61)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

function shuffle(list, random) {
  for (let i = list.length - 1; i > 0; i--) {
    const j = Math.floor(random() * (i + 1));
    [list[i], list[j]] = [list[j], list[i]];
  }
}
