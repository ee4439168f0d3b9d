import { mutation } from './settings.mjs';

/** Tests whose names hold none of these. */
export const but = (names) => names.map((name) => `FullyQualifiedName!~${name}`).join('&');

/** Tests whose names hold one of these. */
export const only = (names) => names.map((name) => `FullyQualifiedName~${name}`).join('|');

/**
 * The configuration of a run, as text.
 * @param {Map<string, string[]>} drawn Spans to be mutated, by file.
 * @param {string} tests Which tests are asked, as a filter.
 */
export function configuration(drawn, tests) {
  return JSON.stringify(
    {
      'stryker-config': {
        project: mutation.project,
        'mutation-level': 'Standard',
        mutate: [...drawn].map(
          ([file, spans]) => `**/${file.slice(mutation.core.length + 1)}${spans.join('')}`,
        ),
        'ignore-mutations': mutation.ignored,
        'ignore-methods': mutation.ignoredCalls,
        'test-case-filter': tests,
        'coverage-analysis': 'perTest',
        concurrency: 2,
        configuration: 'Release',
        reporters: ['json', 'dots'],
        'additional-timeout': mutation.additionalTimeoutMs,
      },
    },
    null,
    2,
  );
}
