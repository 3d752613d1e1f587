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
  const times = async (isSlow: boolean): Promise<number[]> => {
    await developer.send('Emulation.setCPUThrottlingRate', { rate: isSlow ? 4 : 1 });
    const starts: number[] = [];
    for (let round = 0; round < ROUNDS; round += 1) {
      await page.reload();
      await page.getByRole('link', { name: /W-\d+/ }).first().waitFor();
      starts.push(await page.evaluate("performance.getEntriesByName('oilcan:first-row')[0].startTime"));
    }
    return starts;
  };
  const online = median(await times(false));
  await page.context().setOffline(true);
  const offline = median(await times(false));
  report(
    'start from the cache with no network, to the list',
    offline,
    'with network',
    online,
    'ms',
    'aim: 1.1 or less',
  );
  const slow = median(await times(true));
  report('the same with the processor slowed 4 times', slow, 'limit', 3_000, 'ms', 'aim: 1.0 or less');
  await close();
}
