// Reads the reports of both runs and prints what was not caught, and the share that was.
import { escaped, identity, outcome } from './outcome.mjs';
import { mutation } from './settings.mjs';

const [first, second] = process.argv.slice(2);
const again = new Map((second ? outcome(second) : []).map((mutant) => [identity(mutant), mutant]));
const tested = outcome(first).map((mutant) =>
  escaped(mutant) ? (again.get(identity(mutant)) ?? mutant) : mutant,
);
const missed = tested.filter(escaped);
for (const { file, location, source, replacement, mutatorName, status } of missed) {
  const line = source.split('\n')[location.start.line - 1].trim();
  console.log(
    `${file.slice(mutation.core.length + 1)}:${location.start.line}  ${mutatorName}${status === 'NoCoverage' ? ', no test comes here' : ''}`,
  );
  console.log(`    ${line}\n    → ${replacement?.replaceAll(/\s+/g, ' ').slice(0, 160) ?? ''}`);
}

const caught = tested.length - missed.length;
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
