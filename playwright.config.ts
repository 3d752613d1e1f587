import { existsSync } from 'node:fs';
import { defineConfig } from '@playwright/test';

/** Chromium as Debian ships it; other systems name theirs with OILCAN_CHROMIUM. */
const chromium = process.env['OILCAN_CHROMIUM'] ?? '/usr/bin/chromium';
/** The same without windows, menus and what else only a person needs: a fifth less to compute for the same pages. */
const SHELL = '/usr/bin/chromium-headless-shell';
const shell = process.env['OILCAN_CHROMIUM'] === undefined && existsSync(SHELL) ? SHELL : chromium;

const args = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  // A microphone that hums, so that voice notes can be recorded.
  '--use-fake-device-for-media-stream',
  '--use-fake-ui-for-media-stream',
];
/** What the shell does not have: notifications, and installing. */
const wholeBrowser = /@whole-browser/;

export default defineConfig({
  testDir: 'e2e',
  globalSetup: './e2e/make-demo.ts',
  fullyParallel: true,
  workers: 2,
  // These two end what hangs, on a machine of any speed; how long a thing may take is for `bench/` to say.
  timeout: 400_000,
  expect: { timeout: 60_000 },
  forbidOnly: true,
  // What only passes the second time is told by name, so that its race is found; it stops nobody else's work.
  retries: process.env['CI'] === undefined ? 0 : 1,
  reporter: [['list'], ['json', { outputFile: '.oilcan/results/playwright.json' }]],
  use: {
    timezoneId: 'Europe/Vienna',
    locale: 'en-GB',
    viewport: { width: 390, height: 844 },
    hasTouch: true,
    trace: 'off',
  },
  projects: [
    { name: 'pages', grepInvert: wholeBrowser, use: { launchOptions: { executablePath: shell, args } } },
    // Asked for by name: `npm run pictures`.
    ...(process.env['OILCAN_PICTURES'] === undefined
      ? []
      : [{ name: 'pictures', testMatch: 'pictures.ts', use: { launchOptions: { executablePath: shell, args } } }]),
    { name: 'whole browser', grep: wholeBrowser, use: { launchOptions: { executablePath: chromium, args } } },
  ],
});
