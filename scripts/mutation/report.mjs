// Reads the report of a run and prints what was not caught, and the share that was.
import { readFileSync } from 'node:fs';
import { mutation } from './settings.mjs';

const { files } = JSON.parse(readFileSync(process.argv[2], 'utf8'));
const tested = Object.entries(files)
  .flatMap(([file, { mutants, source }]) => mutants.map((mutant) => ({ file, source, ...mutant })))
  .filter(({ status }) => ['Killed', 'Timeout', 'Survived', 'NoCoverage'].includes(status));
const escaped = tested.filter(({ status }) => status === 'Survived' || status === 'NoCoverage');
for (const { file, location, source, replacement, mutatorName, status } of escaped) {
  const line = source.split('\n')[location.start.line - 1].trim();
  console.log(
    `${file.replace(/^.*Ingegno\.Core\//, '')}:${location.start.line}  ${mutatorName}${status === 'NoCoverage' ? ', no test comes here' : ''}`,
  );
  console.log(`    ${line}\n    → ${replacement?.replaceAll(/\s+/g, ' ').slice(0, 160) ?? ''}`);
}

const caught = tested.length - escaped.length;
const late = tested.filter(({ status }) => status === 'Timeout').length;
const share = tested.length === 0 ? 0 : caught / tested.length;
if (late > 0) {
  console.log(
    `${late} of those caught ran out of time: an endless loop, or a machine that is busy with something else.`,
  );
}
console.log(
  `${caught} of ${tested.length} mutants caught: ${(100 * share).toFixed(1)} % (wanted ${100 * mutation.wanted} %)`,
);
process.exitCode = share >= mutation.wanted ? 0 : 1;
