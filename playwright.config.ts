import { defineConfig } from '@playwright/test';

/** Chromium as Debian ships it; other systems name theirs with OILCAN_CHROMIUM. */
const executablePath = process.env['OILCAN_CHROMIUM'] ?? '/usr/bin/chromium';

export default defineConfig({
  testDir: 'e2e',
  globalSetup: './e2e/make-demo.ts',
  fullyParallel: true,
  workers: 2,
  // Ends a test that hangs. What a test waits for has bounds of its own, which together are longer on a slow machine.
  timeout: 180_000,
  expect: { timeout: 8_000 },
  forbidOnly: true,
  reporter: [['list'], ['json', { outputFile: '.oilcan/results/playwright.json' }]],
  use: {
    timezoneId: 'Europe/Vienna',
    locale: 'en-GB',
    viewport: { width: 390, height: 844 },
    hasTouch: true,
    trace: 'off',
    launchOptions: {
      executablePath,
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
  },
});
