import { defineConfig } from '@playwright/test';
import { chromium } from './scripts/chromium.mjs';

/** Journeys of a minute begin first: one of them last would leave the other workers idle. */
const LONG = /(first-hour|kinds|screens|seven-steps|shape)\.spec\.ts$/;

export default defineConfig({
  testDir: 'test/browser',
  globalSetup: './test/own-folder.cjs',
  // A slow machine takes three times as long as a quick one, and says the same.
  timeout: 360_000,
  expect: { timeout: 10_000 },
  // One more than the cores: a journey that waits for a key's time leaves its core idle.
  workers: 3,
  projects: [
    { name: 'long', testMatch: LONG },
    { name: 'short', testIgnore: LONG },
  ],
  fullyParallel: true,
  forbidOnly: process.env.CI !== undefined,
  // A second try is listed as flaky by name, never hidden.
  retries: process.env.CI === undefined ? 0 : 1,
  reporter: [['list'], ['json', { outputFile: 'browser-results.json' }]],
  use: {
    // What cannot be pressed within a minute never can; its test must not wait its whole time for it, twice.
    actionTimeout: 60_000,
    viewport: { width: 1280, height: 800 },
    launchOptions: {
      executablePath: chromium() ?? '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
    trace: 'on-first-retry',
  },
});
