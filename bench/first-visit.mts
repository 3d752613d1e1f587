import type { Browser } from '@playwright/test';
import { demoLines, openWorks } from './large-works.mjs';
import { median, report } from './report.mjs';

const ROUNDS = 3;
const LIMIT_MILLISECONDS = 1_500;
/** A middling phone on a slow mobile line, as Lighthouse's mobile profile has it. */
const LATENCY_MILLISECONDS = 150;
const DOWN_BYTES_PER_SECOND = 1_638_400 / 8;
const UP_BYTES_PER_SECOND = 768_000 / 8;
const PROCESSOR_SLOWED = 4;

interface Seen {
  readonly largestPaint: number;
  readonly blocked: number;
  readonly ready: number;
}

/** The sign-in page on a phone that was never here: to the largest paint, how long it was blocked, and until a name can be tapped. */
export async function benchFirstVisit(): Promise<void> {
  const { page, close } = await openWorks(demoLines(1));
  const browser = page.context().browser();
  if (browser === null) throw new Error('There is no browser.');
  const seen: Seen[] = [];
  for (let round = 0; round < ROUNDS; round += 1) seen.push(await visit(browser, new URL(page.url()).origin));
  const largest = median(seen.map(({ largestPaint }) => largestPaint));
  report(
    'first visit on a slow phone and line: largest paint',
    largest,
    'limit',
    LIMIT_MILLISECONDS,
    'ms',
    'aim: 1.0 or less',
  );
  const ready = median(seen.map((each) => each.ready));
  report(
    'of that visit: blocked by script',
    median(seen.map(({ blocked }) => blocked)),
    'until it is ready',
    ready,
    'ms',
    'no aim',
  );
  await close();
}

async function visit(browser: Browser, address: string): Promise<Seen> {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 }, serviceWorkers: 'block' });
  const page = await context.newPage();
  const line = await context.newCDPSession(page);
  await line.send('Network.enable');
  await line.send('Network.emulateNetworkConditions', {
    offline: false,
    latency: LATENCY_MILLISECONDS,
    downloadThroughput: DOWN_BYTES_PER_SECOND,
    uploadThroughput: UP_BYTES_PER_SECOND,
  });
  await line.send('Emulation.setCPUThrottlingRate', { rate: PROCESSOR_SLOWED });
  await page.addInitScript(`
    window.seen = { largestPaint: 0, blocked: 0 };
    new PerformanceObserver((list) => { for (const each of list.getEntries()) window.seen.largestPaint = each.startTime; })
      .observe({ type: 'largest-contentful-paint', buffered: true });
    new PerformanceObserver((list) => { for (const each of list.getEntries()) window.seen.blocked += each.duration - 50; })
      .observe({ type: 'longtask', buffered: true });
  `);
  await page.goto(`${address}/sign-in`);
  await page.getByRole('button', { name: 'Ines Okafor' }).waitFor({ timeout: 120_000 });
  const ready = await page.evaluate<number>('performance.now()');
  await page.waitForTimeout(1_000);
  const { largestPaint, blocked } = await page.evaluate<Seen>('window.seen');
  await context.close();
  return { largestPaint, blocked, ready };
}
