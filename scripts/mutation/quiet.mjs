// Keeps the tool out of the files that were not drawn: what it may not change it does not wrap in a question either, so that the tests
// run nearly as fast as ever. Changes the copy that a run works in, never the project itself.
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { mutation } from './settings.mjs';

const [settings, copy] = process.argv.slice(2);
const { mutate } = JSON.parse(readFileSync(settings, 'utf8'))['stryker-config'];
const drawn = new Set(mutate.map((pattern) => pattern.replace(/^\*\*\//, '').replace(/\{.*$/, '')));
const core = `${copy}/${mutation.core}`;
const others = readdirSync(core, { recursive: true }).filter(
  (file) => file.endsWith('.cs') && !/^(?:bin|obj)\//.test(file) && !drawn.has(file),
);

for (const file of others) {
  const text = readFileSync(`${core}/${file}`, 'utf8');
  writeFileSync(`${core}/${file}`, text.replace(/^namespace /m, '// Stryker disable all\nnamespace '));
}
