import { defineConfig } from '@playwright/test';
import { chromium } from './support/chromium.ts';

export default defineConfig({
  testDir: './specs',
  outputDir: './test-results',
  workers: 1,
  timeout: 120_000,
  expect: { timeout: 10_000 },
  reporter: [['list'], ['json', { outputFile: 'test-results/report.json' }]],
  use: { launchOptions: chromium, viewport: { width: 1280, height: 800 }, trace: 'retain-on-failure' },
});
