import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type Page } from '@playwright/test';
import { expect, test, Thumb } from './works';

// Everything here has signal: no service worker needs to fetch the whole application for it.
test.use({ serviceWorkers: 'block' });

test('a code is typed, unknown ones are bound in two taps, others say what they are', async ({ open }) => {
  const ines = await open('Ines Okafor');
  const thumb = new Thumb(ines);
  await thumb.tap(thumb.button('Scan'));
  await ines.getByLabel('Or type the code').fill('lrk-g1');
  await thumb.tap(thumb.button('Open'));
  await expect(ines.getByRole('heading', { name: 'Lark drive gearbox' })).toBeVisible();
  expect(thumb.taps).toBe(2);

  await ines.goto('/scan?code=NEW-LABEL-0815');
  await expect(ines.getByText('No machine of your sites has this label.', { exact: false })).toBeVisible();
  const before = thumb.taps;
  await thumb.tap(ines.getByRole('radio', { name: /Lark service brake/ }));
  await thumb.tap(thumb.button('Bind it to Lark service brake'));
  expect(thumb.taps - before).toBe(2);
  await expect(ines.getByRole('heading', { name: 'Lark service brake' })).toBeVisible();
  await expect(ines.getByTestId('sent-mark')).toHaveText('All sent');
  await ines.goto('/scan?code=new-label-0815');
  await expect(ines.getByRole('heading', { name: 'Lark service brake' })).toBeVisible();

  await ines.goto(`/scan?code=${encodeURIComponent('LRK\u0001')}`);
  await expect(ines.getByText(/This is not a code that a label can have/)).toBeVisible();
  await ines.goto('/scan?code=SEAL-70-90-10');
  await expect(ines.getByRole('heading', { name: 'Shaft seal 70 × 90 × 10 mm' })).toBeVisible();

  await ines.goto('/scan/try');
  await ines.getByRole('button', { name: 'Scan this: The door of Top station, drive room' }).tap();
  await expect(ines.getByRole('heading', { name: 'Top station, drive room' })).toBeVisible();
  await expect(ines.getByRole('link', { name: /Lark drive gearbox/ })).toBeVisible();

  const jonas = await open('Jonas Reith');
  await jonas.goto('/code/SNW-P2');
  await expect(jonas.getByText('This belongs to a site that you do not have.', { exact: false })).toBeVisible();
});

test('without a camera it says so, and the typed way works', async ({ open }) => {
  const ines = await open('Ines Okafor');
  await ines.evaluate(() => {
    Object.defineProperty(navigator, 'mediaDevices', { value: undefined });
  });
  await ines.getByRole('button', { name: 'Scan' }).tap();
  await expect(ines.getByText(/^No camera can be used here/)).toBeVisible();
  await expect(ines.getByLabel('Or type the code')).toBeVisible();
});

test('the camera reads the label that we print', async ({ open, server }) => {
  const folder = mkdtempSync(join(tmpdir(), 'oilcan-label-'));
  const ines = await open('Ines Okafor');
  await ines.goto('/plant/lark-gearbox');
  await ines.getByRole('button', { name: 'More: this machine' }).tap();
  await ines.getByRole('button', { name: 'Print its label' }).tap();
  await ines.getByRole('radio', { name: /105 × 74 mm/ }).tap();
  const waiting = ines.waitForEvent('download');
  await ines.getByRole('button', { name: 'Make the PDF' }).tap();
  const pdf = await (await waiting).path();
  // The upper left label of the sheet, as a camera held over it would see it.
  execFileSync('pdftoppm', [
    '-png',
    '-singlefile',
    '-r',
    '130',
    '-x',
    '0',
    '-y',
    '0',
    '-W',
    '537',
    '-H',
    '379',
    pdf,
    join(folder, 'label'),
  ]);
  const video = join(folder, 'label.mjpeg');
  writeFileSync(video, await jpegOf(ines, join(folder, 'label.png')));

  const browser = await chromium.launch({
    executablePath: process.env['OILCAN_CHROMIUM'] ?? '/usr/bin/chromium',
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--use-fake-device-for-media-stream',
      '--use-fake-ui-for-media-stream',
      `--use-file-for-fake-video-capture=${video}`,
    ],
  });
  const context = await browser.newContext({
    baseURL: server.address,
    viewport: { width: 390, height: 844 },
    hasTouch: true,
  });
  const page = await context.newPage();
  await page.goto('/');
  await page.getByRole('button', { name: 'Ines Okafor' }).tap();
  await expect(page.getByTestId('sent-mark')).toHaveText('All sent');
  const thumb = new Thumb(page);
  await thumb.tap(thumb.button('Scan'));
  await expect(page.getByRole('heading', { name: 'Lark drive gearbox' })).toBeVisible();
  expect(thumb.taps).toBe(1);
  await browser.close();
  rmSync(folder, { recursive: true });
});

/** A picture as JPEG, on a 640 by 480 ground such as cameras give. */
async function jpegOf(page: Page, png: string): Promise<Buffer> {
  const blank = await page.context().newPage();
  await blank.setViewportSize({ width: 640, height: 480 });
  const source = `data:image/png;base64,${readFileSync(png).toString('base64')}`;
  await blank.setContent(
    `<body style="margin:0;background:#777"><img style="margin:40px 50px" src="${source}"></body>`,
  );
  const jpeg = await blank.screenshot({ type: 'jpeg', quality: 90 });
  await blank.close();
  return jpeg;
}
