import type { Page } from '@playwright/test';
import { BETWEEN_PRESSES, demoLines, openWorks } from './large-works.mjs';
import { median, report } from './report.mjs';

export const TITLE = 'Gearbox output seal weeping oil';
const NOTES = 500;
const ROUNDS = 5;
/** One of each kind that is typed, as it is written in one line. */
const LINES = { time: '30m', part: '1x seal-70', fault: 'fault leak', note: 'note grease was black' };

interface Row {
  readonly id: string;
  readonly title?: string;
  readonly siteId?: string;
  readonly assetId?: string;
}

/** The demo with 500 notes more on one job. */
export function longRecord(lines: readonly string[]): string[] {
  const work = lines
    .map((line) => JSON.parse(line) as { table?: string; row?: Row })
    .find(({ table, row }) => table === 'workOrders' && row?.title === TITLE)?.row;
  if (work === undefined) throw new Error('The demo has no such job.');
  const at = new Date(Date.now() - 3_600_000).toISOString();
  const notes = Array.from({ length: NOTES }, (_, index) => ({
    id: `long-e${index}`,
    siteId: work.siteId,
    workOrderId: work.id,
    assetId: work.assetId,
    at,
    by: 'ines',
    amends: null,
    content: { kind: 'note', text: `Note ${index}` },
  }));
  return [...lines, ...notes.map((row) => JSON.stringify({ table: 'entries', row }))];
}

/** From the press that keeps an entry to its row in a record of 500, for time, a part, a fault and a note. */
export async function benchLongRecord(): Promise<void> {
  const { signIn, close } = await openWorks(longRecord(demoLines(1)));
  const page = await signIn('Ines Okafor');
  await page.getByText(TITLE).click();
  await page.getByRole('button', { name: /I have read/ }).click();
  await page.getByText('hazards read', { exact: true }).waitFor();
  for (const [kind, line] of Object.entries(LINES)) {
    const took: number[] = [];
    for (let round = 0; round < ROUNDS; round += 1) took.push(await keep(page, line));
    const what = `${kind}, from the press that keeps it to its row in a record of ${NOTES}`;
    report(what, median(took), 'limit', 50, 'ms', 'aim: 1.0 or less');
  }
  await close();
}

/**
 * Writes a line and keeps it; the milliseconds until the frame is made in which the record has one entry more. A
 * message that is posted while a frame begins comes after that frame was laid out and painted.
 */
async function keep(page: Page, line: string): Promise<number> {
  await page.getByRole('button', { name: 'Write in one line' }).click();
  await page.getByLabel('What was done').fill(line);
  await page.getByRole('button', { name: 'Keep 1 entry' }).waitFor();
  await page.waitForTimeout(BETWEEN_PRESSES);
  const took = await page.evaluate<number>(`new Promise((resolve) => {
    const count = () => Number(/(\\d+) entries ·/.exec(document.body.textContent)[1]);
    const before = count();
    const keep = [...document.querySelectorAll('[role=button],button')].find((e) => e.textContent === 'Keep 1 entry');
    const started = performance.now();
    keep.click();
    const painted = new MessageChannel();
    painted.port1.onmessage = () => resolve(performance.now() - started);
    const watch = new MutationObserver(() => {
      if (count() === before) return;
      watch.disconnect();
      requestAnimationFrame(() => painted.port2.postMessage(null));
    });
    watch.observe(document.body, { childList: true, characterData: true, subtree: true });
  })`);
  await page.getByLabel('What was done').waitFor({ state: 'hidden' });
  return took;
}
