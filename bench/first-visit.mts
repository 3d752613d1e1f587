import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import type { Browser, Page } from '@playwright/test';
import { buildServer, defaultConfig, openDatabase } from '@oilcan/server';
import { demoLines, openWorks } from './large-works.mjs';
import { median, report } from './report.mjs';

const ROUNDS = 3;
/** Blocked by script, at most so much of what an empty page of the same libraries is. */
const BLOCKED_SHARE = 1.2;
/** There, at most so much later than an empty page of the same libraries. */
const BEGUN_SHARE = 1.3;
const EMPTY_PAGE = resolve('.oilcan/empty-page/dist');
const LIMIT_MILLISECONDS = 1_500;
/** A middling phone on a slow mobile line, as Lighthouse's mobile profile has it. */
const LATENCY_MILLISECONDS = 150;
const DOWN_BYTES_PER_SECOND = 1_638_400 / 8;
const UP_BYTES_PER_SECOND = 768_000 / 8;
const PROCESSOR_SLOWED = 4;

interface Seen {
  readonly largestPaint: number;
  readonly blocked: number;
  /** Until a press is heard. */
  readonly ready: number;
  /** Until the application itself is there. */
  readonly begun: number;
}

/**
 * The sign-in page on a phone that was never here: to the largest paint, how long it was blocked by script, until a name can be
 * tapped, and until the application is there; in turn with a page of Expo Router and React Native Paper that has one button.
 */
export async function benchFirstVisit(): Promise<void> {
  const { page, close } = await openWorks(demoLines(1));
  const browser = page.context().browser();
  if (browser === null) throw new Error('There is no browser.');
  const empty = await serveEmptyPage();
  const ours: Seen[] = [];
  const theirs: Seen[] = [];
  for (let round = 0; round < ROUNDS; round += 1) {
    ours.push(await visit(browser, `${new URL(page.url()).origin}/sign-in`, 'Ines Okafor', 'oilcan:sign-in'));
    theirs.push(await visit(browser, empty.address, 'Nothing is here', null));
  }
  const middle = (seen: readonly Seen[], part: keyof Seen): number => median(seen.map((each) => each[part]));
  report(
    'first visit on a slow phone and line: largest paint',
    middle(ours, 'largestPaint'),
    'limit',
    LIMIT_MILLISECONDS,
    'ms',
    'aim: 1.0 or less',
  );
  report(
    'of that visit: blocked by script',
    middle(ours, 'blocked'),
    'an empty page of the same libraries',
    middle(theirs, 'blocked'),
    'ms',
    `aim: ${BLOCKED_SHARE} or less`,
  );
  report(
    'of that visit: until a name can be tapped',
    middle(ours, 'ready'),
    'the empty page until it is there',
    middle(theirs, 'ready'),
    'ms',
    'aim: 1.0 or less',
  );
  report(
    'of that visit: until the application is there',
    middle(ours, 'begun'),
    'the empty page until it is there',
    middle(theirs, 'begun'),
    'ms',
    `aim: ${BEGUN_SHARE} or less`,
  );
  await empty.close();
  await close();
}

/** The empty page, packed and sent as ours is. */
async function serveEmptyPage(): Promise<{ readonly address: string; readonly close: () => Promise<void> }> {
  const folder = mkdtempSync(join(tmpdir(), 'oilcan-bench-'));
  const database = await openDatabase(join(folder, 'nothing.sqlite'), Date.now);
  const server = await buildServer(
    database,
    {
      ...defaultConfig,
      webRoot: EMPTY_PAGE,
      filesRoot: join(folder, 'files'),
      logLevel: 'silent',
    },
    Date.now,
  );
  const address = await server.listen({ port: 0, host: '127.0.0.1' });
  return {
    address,
    close: async () => {
      await server.close();
      await database.destroy();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}

/** @param mark what the page notes when its application is there; null where its button says so */
async function visit(browser: Browser, address: string, named: string, mark: string | null): Promise<Seen> {
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
  await page.goto(address, { waitUntil: 'commit' });
  await page.getByRole('button', { name: named }).waitFor({ timeout: 120_000 });
  const ready = await page.evaluate<number>('performance.now()');
  const begun = mark === null ? ready : await noted(page, mark);
  await page.waitForTimeout(1_000);
  const { largestPaint, blocked } = await page.evaluate<Seen>('window.seen');
  await context.close();
  return { largestPaint, blocked, ready, begun };
}

/** When the page noted something, in milliseconds after it was asked for. */
async function noted(page: Page, mark: string): Promise<number> {
  // Asked again and again from here, since the page lets nobody evaluate a text in it.
  for (;;) {
    const at = await page.evaluate<number | null>(`performance.getEntriesByName('${mark}')[0]?.startTime ?? null`);
    if (at !== null) return at;
    await page.waitForTimeout(50);
  }
}
