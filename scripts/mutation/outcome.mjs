import { readFileSync } from 'node:fs';
import { mutation } from './settings.mjs';

/** The mutants of a report that tests were asked about; each with its place and whether it was noticed. */
export function outcome(report) {
  const { files } = JSON.parse(readFileSync(report, 'utf8'));
  return Object.entries(files)
    .flatMap(([path, { mutants, source }]) =>
      mutants.map((mutant) => ({
        ...mutant,
        source,
        file: path.replace(/^.*Ingegno\.Core\//, `${mutation.core}/`),
      })),
    )
    .filter(({ status }) => ['Killed', 'Timeout', 'Survived', 'NoCoverage'].includes(status));
}

export const escaped = ({ status }) => status === 'Survived' || status === 'NoCoverage';

/** What makes two mutants of different runs the same. */
export const identity = ({ file, location, replacement, mutatorName }) =>
  JSON.stringify([file, location, replacement, mutatorName]);
