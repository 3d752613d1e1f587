import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type Page } from '@playwright/test';
import { buildServer, defaultConfig, openDatabase } from '@oilcan/server';
import { median, report } from './report.mjs';

const ROUNDS = 5;
const LIMIT_MILLISECONDS = 100;

/** Shift of a lead with 520 open work orders: from the rows being there to the first row on the screen; and one tick. */
export async function benchList(): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'oilcan-bench-'));
  const file = join(folder, 'large.sqlite');
  const rows = execFileSync(process.execPath, ['demo/dist/main.mjs', '--scale', '13'], { maxBuffer: 1 << 30 });
  execFileSync(process.execPath, ['server/dist/main.mjs', 'load'], {
    input: rows,
    env: { ...process.env, DATABASE_URL: file },
  });
  const database = await openDatabase(file);
  const server = await buildServer(database, {
    ...defaultConfig,
    demoPassword: 'mountain',
    requestsPerMinute: 1e9,
    logLevel: 'silent',
  });
  const address = await server.listen({ port: 0, host: '127.0.0.1' });
  const browser = await chromium.launch({
    executablePath: process.env['OILCAN_CHROMIUM'] ?? '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
  });
  const page = await browser.newPage({ viewport: { width: 390, height: 844 }, baseURL: address });
  await page.goto('/');
  await page.getByRole('button', { name: 'Tess Lindqvist' }).click();
  await page.getByText('All sent').waitFor();

  const firstRows: number[] = [];
  for (let round = 0; round < ROUNDS; round += 1) {
    await page.reload();
    await page.getByRole('link', { name: /W-\d+/ }).first().waitFor();
    firstRows.push(await between(page, 'oilcan:rows', 'oilcan:first-row'));
    if (process.env['OILCAN_BENCH_TALK'] === '1')
      process.stdout.write(
        `${String(await page.evaluate("JSON.stringify(performance.getEntriesByType('mark').map((m) => [m.name, Math.round(m.startTime)]))"))}\n`,
      );
  }
  report(
    'Shift with 520 open jobs, rows to first row',
    median(firstRows),
    'limit',
    LIMIT_MILLISECONDS,
    'ms',
    'aim: 1.0 or less',
  );

  await page
    .getByRole('link', { name: /Gearbox output seal weeping oil/ })
    .first()
    .click();
  await page.getByRole('button', { name: /I have read/ }).click();
  const ticks: number[] = [];
  for (let round = 0; round < ROUNDS * 2; round += 1) ticks.push(await timeOfTick(page));
  report('a tick to the screen', median(ticks), 'limit', 50, 'ms', 'aim: 1.0 or less');

  await browser.close();
  await server.close();
  await database.destroy();
  rmSync(folder, { recursive: true, force: true });
}

function between(page: Page, from: string, to: string): Promise<number> {
  return page.evaluate(
    `performance.getEntriesByName('${to}')[0].startTime - performance.getEntriesByName('${from}')[0].startTime`,
  );
}

/** From the press to the changed attribute in the page, measured inside the page. */
function timeOfTick(page: Page): Promise<number> {
  return page.evaluate(`new Promise((resolve) => {
    const box = document.querySelector('[role=checkbox]');
    const before = box.getAttribute('aria-checked');
    const started = performance.now();
    const watch = new MutationObserver(() => {
      if (box.getAttribute('aria-checked') === before) return;
      watch.disconnect();
      requestAnimationFrame(() => resolve(performance.now() - started));
    });
    watch.observe(box, { attributes: true });
    box.click();
  })`);
}
