import { defineConfig } from '@playwright/test';

/** The built app in a real browser: `npx playwright test`, or one file of it by its name. */
export default defineConfig({
  testDir: 'e2e',
  testMatch: '*.e2e.ts',
  outputDir: '.billet/browser',
  // Each file has its own server and browser; what is in a file goes in its order.
  workers: 2,
  timeout: 180_000,
  forbidOnly: true,
  reporter: [['line'], ['json', { outputFile: '.billet/browser.json' }]],
  // What failed is done once more and has its trace then: `bin/test` tells it, and forgives it twice a run.
  retries: 1,
  use: { trace: 'on-first-retry' },
});
