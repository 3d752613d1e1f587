import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type Page } from '@playwright/test';
import { buildServer, defaultConfig, openDatabase } from '@oilcan/server';

/** The demo as JSON lines, of so many mountains. */
export function demoLines(scale: number): string[] {
  const rows = execFileSync(process.execPath, ['demo/dist/main.mjs', '--scale', String(scale)], { maxBuffer: 1 << 30 });
  return rows.toString().trimEnd().split('\n');
}

interface Row {
  readonly id: string;
  readonly number?: string;
  readonly workOrderId?: string;
  readonly finishedAt?: string | null;
  readonly closedAt?: string | null;
}

/** The same lines without what ended, and every open work order with its steps so many times. */
export function manyOpen(lines: readonly string[], copies: number): string[] {
  const parsed = lines.map((line) => JSON.parse(line) as { table?: string; row?: Row });
  const open = new Set(
    parsed.flatMap(({ table, row }) =>
      table === 'workOrders' && row?.finishedAt === null && row.closedAt === null ? [row.id] : [],
    ),
  );
  return parsed.flatMap(({ table, row }, index) => {
    if (row === undefined || (table !== 'workOrders' && row.workOrderId === undefined)) return [lines[index] ?? ''];
    const isOpen = open.has(table === 'workOrders' ? row.id : (row.workOrderId ?? ''));
    if (!isOpen) return [];
    const isCopied = table === 'workOrders' || table === 'steps';
    return Array.from({ length: isCopied ? copies : 1 }, (_, copy) => {
      if (copy === 0) return lines[index] ?? '';
      const named = (text: string | undefined): string => `${text ?? ''}-${copy}`;
      const own = { ...row, id: named(row.id) };
      const copied =
        table === 'workOrders'
          ? { ...own, number: named(row.number) }
          : { ...own, workOrderId: named(row.workOrderId) };
      return JSON.stringify({ table, row: copied });
    });
  });
}

/** The same lines with every machine so many times; copies have names and tags of their own. */
export function manyAssets(lines: readonly string[], copies: number): string[] {
  return lines.flatMap((line) => {
    const { table, row } = JSON.parse(line) as { table?: string; row?: Row & { name: string; tag: string } };
    if (table !== 'assets' || row === undefined) return [line];
    return Array.from({ length: copies }, (_, copy) => {
      if (copy === 0) return line;
      const own = { ...row, id: `${row.id}-${copy}`, tag: `${row.tag}/${copy}`, name: `${row.name} ${copy}` };
      return JSON.stringify({ table, row: { ...own, parentId: null } });
    });
  });
}

/** The same lines with so many ended jobs on one machine, made from those that it has, entries and all. */
export function manyEnded(lines: readonly string[], assetId: string, jobs: number): string[] {
  type Ended = Row & { readonly assetId?: string };
  const parsed = lines.map((line) => JSON.parse(line) as { table?: string; row?: Ended });
  const works = parsed.flatMap(({ table, row }) =>
    table === 'workOrders' && row?.assetId === assetId && row.finishedAt !== null ? [row] : [],
  );
  const copies = Math.ceil(jobs / works.length);
  const ids = new Set(works.map(({ id }) => id));
  return parsed.flatMap(({ table, row }, index) => {
    const line = lines[index] ?? '';
    const isWork = table === 'workOrders' && row !== undefined && ids.has(row.id);
    const isEntry = table === 'entries' && row?.workOrderId !== undefined && ids.has(row.workOrderId);
    if (row === undefined || !(isWork || isEntry)) return [line];
    return Array.from({ length: copies }, (_, copy) => {
      if (copy === 0) return line;
      const own = { ...row, id: `${row.id}-c${copy}` };
      return JSON.stringify({ table, row: isWork ? own : { ...own, workOrderId: `${row.workOrderId}-c${copy}` } });
    });
  });
}

interface LargeWorks {
  /** A lead's phone on which all rows are. */
  readonly page: Page;
  /** Another phone, of this person. */
  readonly signIn: (name: string) => Promise<Page>;
  readonly close: () => Promise<void>;
}

/** The real server and application with these rows. */
export async function openWorks(lines: readonly string[]): Promise<LargeWorks> {
  const folder = mkdtempSync(join(tmpdir(), 'oilcan-bench-'));
  const file = join(folder, 'works.sqlite');
  execFileSync(process.execPath, ['server/dist/main.mjs', 'load'], {
    input: `${lines.join('\n')}\n`,
    env: { ...process.env, DATABASE_URL: file, OILCAN_FILES: join(folder, 'files') },
  });
  const database = await openDatabase(file, Date.now);
  const server = await buildServer(
    database,
    {
      ...defaultConfig,
      filesRoot: join(folder, 'files'),
      outboxRoot: join(folder, 'outbox'),
      demoPassword: 'mountain',
      requestsPerMinute: 1e9,
      logLevel: 'silent',
    },
    Date.now,
  );
  const address = await server.listen({ port: 0, host: '127.0.0.1' });
  const browser = await chromium.launch({
    executablePath: process.env['OILCAN_CHROMIUM'] ?? '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
  });
  const signIn = async (name: string): Promise<Page> => {
    const page = await browser.newPage({ viewport: { width: 390, height: 844 }, baseURL: address });
    const filled = filledOnce(page);
    await page.goto('/');
    await page.getByRole('button', { name }).click();
    await filled;
    await page.getByText('All sent').waitFor({ timeout: 120_000 });
    // Wherever somebody begins, what is measured begins at the work.
    await page.goto('/shift');
    await page.getByText('All sent').waitFor();
    return page;
  };
  return {
    page: await signIn('Tess Lindqvist'),
    signIn,
    close: async () => {
      await browser.close();
      await server.close();
      await database.destroy();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}

/** When the last page of the first rows has come; a reload before that would begin anew. */
function filledOnce(page: Page): Promise<void> {
  return new Promise((resolve) => {
    page.on('response', (response) => {
      if (!response.url().includes('/api/sync')) return;
      response.json().then(
        ({ hasMore }: { readonly hasMore?: boolean }) => (hasMore === false ? resolve() : undefined),
        () => undefined,
      );
    });
  });
}

/** Milliseconds between two presses: a hand is no faster, and what was pressed before is sent meanwhile. */
export const BETWEEN_PRESSES = 500;

/** From the press of the first step's box to the changed attribute in the page, measured inside the page. */
export async function timeOfTick(page: Page): Promise<number> {
  await page.waitForTimeout(BETWEEN_PRESSES);
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

/** Opens the first job with hazards and reads them, so that its steps can be ticked. */
export async function beginJob(page: Page): Promise<void> {
  await page.getByRole('searchbox').first().fill('Gearbox output seal weeping');
  await page
    .getByRole('link', { name: /Gearbox output seal weeping oil/ })
    .first()
    .click();
  await page.getByRole('button', { name: /I have read/ }).click();
  await page.getByText('hazards read', { exact: true }).waitFor();
}
