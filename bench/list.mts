import type { Page } from '@playwright/test';
import { beginJob, demoLines, openWorks, timeOfTick } from './large-works.mjs';
import { median, report } from './report.mjs';

const ROUNDS = 5;
const LIMIT_MILLISECONDS = 60;

/** Shift of a lead with 520 open work orders: from the rows being there to the first row on the screen; and one tick. */
export async function benchList(): Promise<void> {
  const { page, close } = await openWorks(demoLines(13));
  const firstRows: number[] = [];
  for (let round = 0; round < ROUNDS; round += 1) {
    await page.reload();
    await page.getByRole('link', { name: /W-\d+/ }).first().waitFor();
    firstRows.push(await between(page, 'oilcan:rows', 'oilcan:first-row'));
  }
  const what = 'Shift with 520 open jobs, rows to first row';
  report(what, median(firstRows), 'limit', LIMIT_MILLISECONDS, 'ms', 'aim: 1.0 or less');

  await beginJob(page);
  const ticks: number[] = [];
  for (let round = 0; round < ROUNDS * 2; round += 1) ticks.push(await timeOfTick(page));
  report('a tick to the screen', median(ticks), 'limit', 50, 'ms', 'aim: 1.0 or less');
  await close();
}

function between(page: Page, from: string, to: string): Promise<number> {
  return page.evaluate(
    `performance.getEntriesByName('${to}')[0].startTime - performance.getEntriesByName('${from}')[0].startTime`,
  );
}
