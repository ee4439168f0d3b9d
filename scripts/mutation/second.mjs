// Writes the configuration of the second run: what the fast tests let through, asked of the slow ones. Exits with 1 when nothing was.
import { writeFileSync } from 'node:fs';
import { but, configuration, only } from './configuration.mjs';
import { escaped, outcome } from './outcome.mjs';
import { mutation } from './settings.mjs';

const [report, target] = process.argv.slice(2);
const left = outcome(report).filter(escaped);
const spans = new Map();
for (const { file, source, location } of left) {
  const span = `{${offset(source, location.start)}..${offset(source, location.end)}}`;
  spans.set(file, [...new Set([...(spans.get(file) ?? []), span])]);
}

console.log(`${left.length} were let through by the fast tests`);
if (left.length === 0) {
  process.exit(1);
}

writeFileSync(target, configuration(spans, `(${only(mutation.slow)})&${but(mutation.without)}`));

/** Index of a place given by line and column, both from 1. */
function offset(source, { line, column }) {
  const lines = source.split('\n');
  return lines.slice(0, line - 1).reduce((sum, text) => sum + text.length + 1, 0) + column - 1;
}
