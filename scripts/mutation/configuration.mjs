import { mutation } from './settings.mjs';

/**
 * The configuration of a run, as text.
 * @param {Map<string, string[]>} drawn Spans to be mutated, by file.
 * @param {string[]} without Parts of the names of tests that are not asked.
 */
export function configuration(drawn, without) {
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
        'test-case-filter': without.map((name) => `FullyQualifiedName!~${name}`).join('&'),
        'coverage-analysis': 'off',
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
