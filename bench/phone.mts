import { beginJob, demoLines, manyOpen, openWorks, timeOfTick } from './large-works.mjs';
import { median, percentile, report } from './report.mjs';

const OPEN_SCALE = 13;
const COPIES = 10;
const PENDING = 200;
const ROUNDS = 5;

/** A tick on a phone with 5,000 open work orders and 200 records that are not sent. */
export async function benchFullPhone(): Promise<void> {
  const { page, close } = await openWorks(manyOpen(demoLines(OPEN_SCALE), COPIES));
  await beginJob(page);
  await page.getByText('All sent').waitFor();
  await page.context().setOffline(true);
  for (let made = 0; made < PENDING; made += 1) await timeOfTick(page);
  await page.getByText(`${PENDING} on this phone`).waitFor();
  const ticks: number[] = [];
  for (let round = 0; round < ROUNDS * 4; round += 1) ticks.push(await timeOfTick(page));
  const slowest = percentile(ticks, 95).toFixed(0);
  const what = `a record to the screen with 5,200 open work orders and ${PENDING} pending (95th percentile ${slowest} ms)`;
  report(what, median(ticks), 'limit', 50, 'ms', 'aim: 1.0 or less');
  await close();
}

/** From the cache, with no network and a processor four times slower: from the start of the page to the list. */
export async function benchStart(): Promise<void> {
  const { page, close } = await openWorks(demoLines(1));
  await page.evaluate('navigator.serviceWorker.ready');
  await page.reload();
  await page.getByText('All sent').waitFor();
  const developer = await page.context().newCDPSession(page);
  const timeOfStart = async (isOffline: boolean, slower: number): Promise<number> => {
    await page.context().setOffline(isOffline);
    await developer.send('Emulation.setCPUThrottlingRate', { rate: slower });
    await page.reload();
    await page.getByRole('link', { name: /W-\d+/ }).first().waitFor();
    return page.evaluate("performance.getEntriesByName('oilcan:first-row')[0].startTime");
  };
  const online: number[] = [];
  const offline: number[] = [];
  const slow: number[] = [];
  for (let round = 0; round < ROUNDS * 2; round += 1) {
    online.push(await timeOfStart(false, 1));
    offline.push(await timeOfStart(true, 1));
    slow.push(await timeOfStart(true, 4));
  }
  const what = 'start from the cache with no network, to the list';
  report(what, median(offline), 'with network', median(online), 'ms', 'aim: 1.1 or less');
  report('the same with the processor slowed 4 times', median(slow), 'limit', 3_000, 'ms', 'aim: 1.0 or less');
  await close();
}
