import { defineConfig } from '@playwright/test';
import base from './playwright.config.ts';

export default defineConfig({
  ...base,
  testDir: './screenshots',
  reporter: 'line',
  use: { ...base.use, colorScheme: 'light', contextOptions: { reducedMotion: 'reduce' } },
});
