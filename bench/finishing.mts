import { createHash } from 'node:crypto';
import { statSync } from 'node:fs';
import { chromium, type Page } from '@playwright/test';
import { owedThings } from '@oilcan/core/orders/work';
import { BETWEEN_PRESSES, demoLines, openWorks } from './large-works.mjs';
import { longRecord, TITLE } from './long-record.mjs';
import { report } from './report.mjs';

const PHOTOS = 60;
const FINISHED = 5_000;

interface Line {
  readonly table?: string;
  readonly row?: Readonly<Record<string, unknown>> & { readonly id: string };
}
const read = (line: string): Line => JSON.parse(line) as Line;

/** The same lines where finishing waits for nothing. */
function owingNothing(lines: readonly string[]): string[] {
  const nothing = Object.fromEntries(owedThings.map((thing) => [thing, 'not']));
  return lines.map((line) => {
    const { table, row } = read(line);
    return table === 'settings' ? JSON.stringify({ table, row: { ...row, demands: { corrective: nothing } } }) : line;
  });
}

/** From the press that finishes a job with 500 entries to the frame that says so. */
export async function benchFinishing(): Promise<void> {
  const { signIn, close } = await openWorks(owingNothing(longRecord(demoLines(1))));
  const page = await signIn('Ines Okafor');
  await page.getByText(TITLE).click();
  await page.getByRole('button', { name: /I have read/ }).click();
  await page.getByRole('checkbox').first().click();
  await page.getByRole('button', { name: 'Finish', exact: true }).click();
  await page.getByRole('button', { name: 'Yes, it is done' }).waitFor();
  await page.waitForTimeout(BETWEEN_PRESSES);
  const took = await untilSaid(page, 'Yes, it is done', 'Finished by');
  report('finishing a job with 500 entries, to the screen', took, 'limit', 100, 'ms', 'aim: 1.0 or less');
  await close();
}

/** From the press on the Desk among the places to the first rows of 5,000 finished jobs. */
export async function benchManyFinished(): Promise<void> {
  const lines = demoLines(1);
  const finished = lines.map(read).filter(({ table, row }) => table === 'workOrders' && row?.['state'] === 'finished');
  const copies = Array.from({ length: Math.max(0, FINISHED - finished.length) }, (_, index) => {
    const row = finished[index % finished.length]?.row;
    return JSON.stringify({ table: 'workOrders', row: { ...row, id: `f-${index}`, number: `W-9${index + 10_000}` } });
  });
  const { page, close } = await openWorks([...lines, ...copies]);
  await page.getByText('Shift', { exact: true }).first().waitFor();
  // Its code is on the phone by then.
  await page.getByRole('link', { name: 'Desk' }).click();
  await page.getByText('wait for your look').waitFor();
  await page.getByRole('link', { name: 'Shift' }).click();
  await page.waitForTimeout(BETWEEN_PRESSES);
  const took = await untilSaid(page, 'Desk', 'wait for your look');
  report(`first rows of ${FINISHED} finished jobs`, took, 'limit', 100, 'ms', 'aim: 1.0 or less');
  await close();
}

/** The record of a job with 60 photos of two megapixels as PDF: how long it takes, how heavy it is, how long the screen stands still. */
export async function benchRecordPaper(): Promise<void> {
  const lines = demoLines(1);
  const work = lines.map(read).find(({ table, row }) => table === 'workOrders' && row?.['title'] === TITLE)?.row;
  if (work === undefined) throw new Error('The demo has no such job.');
  const photos = await photographs(PHOTOS);
  const more = photos.flatMap((content, index) => {
    const id = createHash('sha256').update(content).digest('hex');
    const picture = { kind: 'photo', fileId: id, mediaType: 'image/jpeg', width: 1_600, height: 1_200 };
    const row = {
      id: `photo-${index}`,
      siteId: work['siteId'],
      workOrderId: work.id,
      assetId: work['assetId'],
      at: new Date(Date.now() - 3_600_000).toISOString(),
      by: 'ines',
      amends: null,
      content: { ...picture, caption: `Photo ${index + 1}` },
    };
    return [
      JSON.stringify({ file: { id, mediaType: 'image/jpeg', content: content.toString('base64') } }),
      JSON.stringify({ table: 'entries', row }),
    ];
  });
  const { signIn, close } = await openWorks([...lines, ...more]);
  const page = await signIn('Ines Okafor');
  await page.getByText(TITLE).click();
  await page.getByRole('button', { name: 'Paper', exact: true }).click();
  await page.waitForTimeout(BETWEEN_PRESSES);
  await page.evaluate(`(() => {
    let before = performance.now();
    window.longestGap = 0;
    const look = () => {
      const now = performance.now();
      window.longestGap = Math.max(window.longestGap, now - before);
      before = now;
      requestAnimationFrame(look);
    };
    requestAnimationFrame(look);
  })()`);
  const started = performance.now();
  const [download] = await Promise.all([
    page.waitForEvent('download', { timeout: 120_000 }),
    page.getByRole('button', { name: 'Record as PDF' }).click(),
  ]);
  const took = performance.now() - started;
  const gap = await page.evaluate<number>('window.longestGap');
  const bytes = statSync(await download.path()).size;
  const what = `record with ${PHOTOS} photos as PDF`;
  report(what, took, 'limit', 5_000, 'ms', 'aim: 1.0 or less');
  report(`${what}, its weight`, bytes / 1_048_576, 'limit', 15, 'MB', 'aim: 1.0 or less');
  report(`${what}, longest time without a frame meanwhile`, gap, 'limit', 200, 'ms', 'aim: 1.0 or less');
  await close();
}

/** Pictures like photos: large shapes, and grain that packs badly. */
async function photographs(count: number): Promise<Buffer[]> {
  const browser = await chromium.launch({
    executablePath: process.env['OILCAN_CHROMIUM'] ?? '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu'],
  });
  const page = await browser.newPage();
  const made: Buffer[] = [];
  for (let index = 0; index < count; index += 1) {
    const encoded = await page.evaluate<string>(`(async () => {
      const canvas = new OffscreenCanvas(1600, 1200);
      const context = canvas.getContext('2d');
      for (let shape = 0; shape < 60; shape += 1) {
        context.fillStyle = 'hsl(' + ((shape * 37 + ${index} * 11) % 360) + ' 40% ' + (20 + shape) + '%)';
        context.fillRect((shape * 271) % 1600, (shape * 173) % 1200, 400, 300);
      }
      const image = context.getImageData(0, 0, 1600, 1200);
      for (let at = 0; at < image.data.length; at += 1)
        if (at % 4 < 3) image.data[at] += ((at * 7919 + ${index} * 104729) % 31) - 15;
      context.putImageData(image, 0, 0);
      const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.8 });
      const bytes = new Uint8Array(await blob.arrayBuffer());
      let text = '';
      for (const byte of bytes) text += String.fromCharCode(byte);
      return btoa(text);
    })()`);
    made.push(Buffer.from(encoded, 'base64'));
  }
  await browser.close();
  return made;
}

/** Presses what has this name, and gives the milliseconds until a frame is painted in which such words stand. */
function untilSaid(page: Page, name: string, words: string): Promise<number> {
  return page.evaluate<number>(`new Promise((resolve) => {
    const target = [...document.querySelectorAll('[role=button],button,a,[role=link]')].find((e) => e.textContent === '${name}' || e.getAttribute('aria-label') === '${name}');
    const started = performance.now();
    target.click();
    const painted = new MessageChannel();
    painted.port1.onmessage = () => resolve(performance.now() - started);
    const watch = new MutationObserver(() => {
      if (!document.body.textContent.includes('${words}')) return;
      watch.disconnect();
      requestAnimationFrame(() => painted.port2.postMessage(null));
    });
    watch.observe(document.body, { childList: true, characterData: true, subtree: true });
  })`);
}
