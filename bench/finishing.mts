import { asId, type AssetId, type WorkOrderId } from '@oilcan/core/kernel';
import { digestOf } from '@oilcan/core/digest';
import { ann, anAsset, aWorkOrder, bob, minutesLater } from '@oilcan/core/testing';
import { demoLines, openWorks } from './large-works.mjs';
import { longRecord, TITLE } from './long-record.mjs';
import { median, percentile, report } from './report.mjs';

const ROUNDS = 5;
const WEEK_MINUTES = 7 * 24 * 60;

/** What a shift begins with, what finishing a job with a long record takes, and a long list of finished work on the Desk. */
export async function benchFinishing(): Promise<void> {
  digest();
  await finishing();
  await review();
}

/** A week of changes on 20,000 machines, of which 200 have open work of mine, and 2,000 finished jobs. */
function digest(): void {
  const assets = Array.from({ length: 20_000 }, (_, index) =>
    anAsset({
      id: asId<AssetId>(`asset-${index}`),
      conditionSince: minutesLater(-((index * 7_919) % (4 * WEEK_MINUTES))),
      condition: index % 3 === 0 ? 'stopped' : 'running',
    }),
  );
  const works = Array.from({ length: 2_200 }, (_, index) =>
    aWorkOrder({
      id: asId<WorkOrderId>(`work-${index}`),
      assetId: asId<AssetId>(`asset-${index % 300}`),
      ...(index < 200
        ? { state: 'underway', personIds: [ann.id] }
        : { state: 'finished', personIds: [bob.id], finishedBy: bob.id, finishedAt: minutesLater(-index * 5) }),
    }),
  );
  const known = { me: ann.id, works, crews: [], assets, levelOf: () => undefined, entriesOn: () => [] };
  const took = Array.from({ length: 40 }, () => {
    const started = performance.now();
    digestOf({ ...known, since: minutesLater(-WEEK_MINUTES) });
    return performance.now() - started;
  });
  const what = 'what changed in a week on 20,000 machines, 95th percentile';
  report(what, percentile(took, 95), 'limit', 50, 'ms', 'aim: 1.0 or less');
}

/** From the press that finishes a job with 500 entries to the frame in which it is finished; taken up again between rounds. */
async function finishing(): Promise<void> {
  const took: number[] = [];
  for (let round = 0; round < ROUNDS; round += 1) {
    const { signIn, close } = await openWorks(longRecord(demoLines(1)));
    const page = await signIn('Ines Okafor');
    await page.getByText(TITLE).click();
    await page.getByRole('button', { name: /I have read/ }).click();
    await page.getByText('hazards read', { exact: true }).waitFor();
    await page.getByRole('button', { name: 'Write in one line' }).click();
    await page.getByLabel('What was done').fill('30m');
    await page.getByRole('button', { name: 'Keep 1 entry' }).click();
    for (const box of await page.getByRole('checkbox').all()) await box.click();
    for (const group of await page.getByRole('radiogroup').all()) {
      const good = group.getByRole('radio', { name: 'Good' });
      if ((await good.count()) > 0) await good.first().click();
    }
    for (const open of await page.getByRole('button', { name: /^Type / }).all()) {
      await open.click();
      const sheet = page.getByRole('dialog');
      for (const key of ['4', '0']) await sheet.getByRole('button', { name: key, exact: true }).click();
      await sheet.getByRole('button', { name: /^Keep/ }).click();
      if (await sheet.isVisible()) await sheet.getByRole('button', { name: /^Keep/ }).click();
    }
    await page.waitForTimeout(2_000);
    await page.getByRole('button', { name: 'Finish', exact: true }).click();
    await page.getByRole('button', { name: 'Yes, it is done' }).waitFor();
    await page.waitForTimeout(1_000);
    took.push(
      await page.evaluate<number>(`new Promise((resolve) => {
        const yes = [...document.querySelectorAll('[role=button],button')].find((e) => e.textContent === 'Yes, it is done');
        const painted = new MessageChannel();
        const started = performance.now();
        painted.port1.onmessage = () => resolve(performance.now() - started);
        const watch = new MutationObserver(() => {
          if (!document.body.textContent.includes('is finished.')) return;
          watch.disconnect();
          requestAnimationFrame(() => painted.port2.postMessage(null));
        });
        watch.observe(document.body, { childList: true, characterData: true, subtree: true });
        yes.click();
      })`),
    );
    await close();
  }
  report('finishing a job with 500 entries, to the screen', median(took), 'limit', 100, 'ms', 'aim: 1.0 or less');
}

interface Row {
  readonly id: string;
  readonly siteId: string;
  readonly state?: string;
  readonly finishedAt?: string | null;
}

const FINISHED = 5_000;

/** The demo with 5,000 finished jobs that wait, each with its review. */
function manyFinished(lines: readonly string[]): string[] {
  const work = lines
    .map((line) => JSON.parse(line) as { table?: string; row?: Row })
    .find(({ table, row }) => table === 'workOrders' && row?.state === 'finished')?.row;
  if (work === undefined) throw new Error('The demo has no finished work.');
  const cost = { laborMinutes: 60, groups: { time: [], material: [], boughtIn: [], other: [] }, total: [] };
  const copies = Array.from({ length: FINISHED }, (_, index) => {
    const id = `many-${index}`;
    const unusual = index % 10 === 0 ? [{ is: 'overEstimate', minutes: 180, estimateMinutes: 60 }] : [];
    const { siteId, finishedAt } = work;
    const review = { id, siteId, workOrderId: id, readerIds: ['tess'], finishedAt, acceptedAt: null, unusual, cost };
    return [
      JSON.stringify({ table: 'workOrders', row: { ...work, id, number: `W-M${index}` } }),
      JSON.stringify({ table: 'reviews', row: review }),
    ];
  });
  return [...lines, ...copies.flat()];
}

/** From the press that opens the Desk to its first row, among 5,000 finished jobs. */
async function review(): Promise<void> {
  const { page, close } = await openWorks(manyFinished(demoLines(1)));
  const took: number[] = [];
  for (let round = 0; round < ROUNDS + 1; round += 1) {
    await page.getByRole('link', { name: 'Shift', exact: true }).click();
    await page.getByLabel(/^Find/).waitFor();
    await page.waitForTimeout(1_000);
    took.push(
      await page.evaluate<number>(`new Promise((resolve) => {
        const desk = [...document.querySelectorAll('[role=link]')].find((e) => e.textContent === 'Desk');
        const painted = new MessageChannel();
        const started = performance.now();
        painted.port1.onmessage = () => resolve(performance.now() - started);
        const watch = new MutationObserver(() => {
          if (document.querySelector('[data-testid^=desk-]') === null) return;
          watch.disconnect();
          requestAnimationFrame(() => painted.port2.postMessage(null));
        });
        watch.observe(document.body, { childList: true, subtree: true });
        desk.click();
      })`),
    );
  }
  // The first press loads the code of the Desk.
  const what = `the Desk with ${FINISHED} finished jobs, from the press to its first rows`;
  report(what, median(took.slice(1)), 'limit', 100, 'ms', 'aim: 1.0 or less');
  await close();
}
