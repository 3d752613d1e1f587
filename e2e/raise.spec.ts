import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import jsQR from 'jsqr';
import { expect, phone, test, Thumb, wide } from './works';

/** The code in the upper left label of a sheet, as another decoder reads it from the print. */
function codeOnSheet(pdf: string): string {
  const pgm = execFileSync('pdftoppm', ['-gray', '-r', '200', '-f', '1', '-l', '1', pdf], {
    maxBuffer: 64 * 1024 * 1024,
  });
  const [head, width = '', height = ''] =
    /^P5\s+(\d+)\s+(\d+)\s+255\s/.exec(pgm.subarray(0, 64).toString('latin1')) ?? [];
  if (head === undefined) throw new Error('The sheet was not drawn.');
  const [columns, grey] = [Number(width), pgm.subarray(head.length)];
  const [partWidth, partHeight] = [Math.floor(columns / 2), Math.floor(Number(height) / 4)];
  const part = new Uint8ClampedArray(partWidth * partHeight * 4);
  for (let y = 0; y < partHeight; y += 1)
    for (let x = 0; x < partWidth; x += 1)
      part.fill(grey[y * columns + x] ?? 255, (y * partWidth + x) * 4, (y * partWidth + x) * 4 + 4);
  return jsQR(part, partWidth, partHeight)?.data ?? '';
}

test('a reporter without an account reports by the printed label, the lead takes it up, the technician does it, the reporter sees it solved', async ({
  open,
}) => {
  const tess = await open('Tess Lindqvist', wide);
  await tess.goto('/plant/pocket-brake');
  await tess.getByRole('button', { name: 'More: this machine' }).click();
  await tess.getByRole('button', { name: 'Print its label' }).click();
  await expect(tess.getByRole('checkbox', { name: /Everybody may report by it/ })).toBeChecked();
  const printing = tess.waitForEvent('download');
  await tess.getByRole('button', { name: 'Make the PDF' }).click();
  const pdf = join(mkdtempSync(join(tmpdir(), 'oilcan-label-')), 'label.pdf');
  await (await printing).saveAs(pdf);
  const address = codeOnSheet(pdf);
  expect(address).toMatch(/^http:\/\/127\.0\.0\.1:\d+\/r\/[0-9A-Z]{20}$/);
  await expect(tess.getByTestId('sent-mark')).toHaveText('All sent');

  const reporter = await open(null, phone);
  await reporter.goto(address);
  await expect(reporter.getByRole('heading', { name: 'Pocket service brake' })).toBeVisible();
  await reporter.getByLabel('What is wrong?').fill('It screams when it brakes');
  await reporter.getByText('Not as it should').tap();
  await reporter.getByLabel('Photo').setInputFiles({
    name: 'brake.png',
    mimeType: 'image/png',
    buffer: readFileSync('docs/screenshots/machine-phone.png'),
  });
  await reporter.context().setOffline(true);
  await reporter.getByRole('button', { name: 'Send the report' }).tap();
  await expect(reporter.getByText('There is no signal now.', { exact: false })).toBeVisible();
  await reporter.context().setOffline(false);
  await expect(reporter.getByText('Received. Somebody will look at it.')).toBeVisible({ timeout: 30_000 });
  const number = (await reporter.locator('.number').textContent()) ?? '';

  await test.step('without a script, and where only the script does not arrive, forms alone are enough', async () => {
    const without = await open(null, { ...phone, javaScriptEnabled: false });
    const lost = await open(null, phone);
    await lost.route('**/r/page.js', (route) => route.abort());
    for (const other of [without, lost]) {
      await other.goto(address);
      await other.getByLabel('What is wrong?').fill('A brake shoe lies on the floor');
      await other.getByText('Not as it should').tap();
      await other.getByRole('button', { name: 'Send the report' }).tap();
      await expect(other.getByText('Received. Somebody will look at it.')).toBeVisible();
      await other.getByLabel('Anything to add?').fill('It is the left one');
      await other.getByRole('button', { name: 'Send', exact: true }).tap();
      await expect(other.getByText('It is the left one')).toBeVisible();
    }
  });

  await tess.goto('/desk');
  await tess.getByRole('link', { name: /and all reports/ }).click();
  await tess.getByRole('link', { name: /It screams when it brakes/ }).click();
  await expect(tess.getByRole('main').getByRole('img', { name: `Photo: ${number}` })).toBeVisible();
  await tess.getByRole('button', { name: 'Ask back' }).click();
  await tess.getByLabel('What do you want to know').fill('At every stop?');
  await tess.getByRole('button', { name: 'Ask', exact: true }).click();
  await expect(tess.getByTestId('sent-mark')).toHaveText('All sent');

  await expect(async () => {
    await reporter.reload();
    await expect(reporter.getByText('At every stop?')).toBeVisible({ timeout: 2_000 });
  }).toPass();
  await reporter.getByLabel('Your answer').fill('Only when it is wet');
  await reporter.getByRole('button', { name: 'Send', exact: true }).tap();
  await expect(reporter.getByText('Only when it is wet')).toBeVisible();

  await expect(tess.getByText('Only when it is wet')).toBeVisible();
  await tess.getByRole('button', { name: 'Take it up as work' }).click();
  await expect(tess.getByLabel('What is to be done')).toHaveValue('It screams when it brakes');
  await tess.getByRole('checkbox', { name: 'Ines Okafor' }).click();
  await tess.getByRole('button', { name: 'Take it up', exact: true }).click();
  await expect(tess.getByTestId('sent-mark')).toHaveText('All sent');

  const ines = await open('Ines Okafor', phone);
  await ines.getByText('It screams when it brakes').first().tap();
  await expect(ines.getByTestId(`report-${number}`)).toBeVisible();
  const hazards = ines.getByRole('button', { name: /I have read/ });
  if (await hazards.isVisible()) await hazards.tap();
  await ines.getByRole('button', { name: 'Start my clock' }).tap();
  await ines
    .getByRole('button', { name: 'It runs again', exact: false })
    .first()
    .tap({ timeout: 2_000 })
    .catch(() => undefined);
  await ines.getByRole('button', { name: 'Finish', exact: true }).tap();
  await ines.getByRole('button', { name: 'Yes, it is done' }).tap();
  await expect(ines.getByTestId('sent-mark')).toHaveText('All sent');

  await expect(async () => {
    await reporter.reload();
    await expect(reporter.getByText('Solved.')).toBeVisible({ timeout: 2_000 });
  }).toPass();
  for (const name of ['Tess', 'Ines']) await expect(reporter.getByText(name)).toHaveCount(0);
});

test('what is raised takes few taps, also without signal, and is there after a reload', async ({ open }) => {
  const ines = await open('Ines Okafor', phone);
  const thumb = new Thumb(ines);
  const within = async (most: number, task: () => Promise<void>): Promise<void> => {
    const before = thumb.taps;
    await task();
    expect(thumb.taps - before).toBeLessThanOrEqual(most);
  };
  await test.step('me too, on a machine that is looked at', async () => {
    await ines.goto('/plant/lark-gearbox');
    await within(2, async () => {
      await thumb.tap(thumb.button('Raise'));
      await thumb.tap(thumb.button(/^That’s it, me too/).first());
      await expect(ines.getByText('Counted. You hear what becomes of it.')).toBeVisible();
    });
  });
  await expect(ines.getByTestId('sent-mark')).toHaveText('All sent');
  await ines.goto('/shift');
  await ines.getByText('All reports of my sites', { exact: false }).scrollIntoViewIfNeeded();
  await expect(ines.getByRole('heading', { name: 'My reports' })).toBeVisible();
  // Until the whole application is on the phone, a view that was never opened needs signal.
  await ines.evaluate('navigator.serviceWorker.ready');
  await ines.context().setOffline(true);
  await test.step('report a problem on a scanned machine', () =>
    within(4, async () => {
      await thumb.tap(thumb.button('Raise'));
      await thumb.tap(thumb.button('Scan'));
      // In the place of a camera: the code is typed, which opens by itself when a camera reads it.
      await ines.getByLabel('Or type the code').fill('LRK-B1');
      await ines.keyboard.press('Enter');
      await ines.getByLabel('What is it').fill('Smells burnt');
      await thumb.tap(ines.getByRole('radio', { name: 'Report it' }));
      await thumb.tap(thumb.button('Report it'));
      await expect(ines.getByText(/P-\d+: a lead is told/)).toBeVisible();
    }));
  await test.step('plan work for later on a scanned machine', () =>
    within(4, async () => {
      await thumb.tap(thumb.button('Raise'));
      await thumb.tap(thumb.button('Scan'));
      await ines.getByLabel('Or type the code').fill('LRK-B1');
      await ines.keyboard.press('Enter');
      await ines.getByLabel('What is it').fill('Grease the pivots');
      await thumb.tap(ines.getByRole('radio', { name: 'Plan it' }));
      await thumb.tap(thumb.button('Plan it: this work'));
      await expect(ines.getByText(/W-\S+ is planned\./)).toBeVisible();
    }));
  await test.step('do it now', () =>
    within(3, async () => {
      await thumb.tap(thumb.button('Raise'));
      await thumb.tap(ines.getByRole('button', { name: /Lark drive gearbox/ }));
      await ines.getByLabel('What is it').fill('Bolt of the guard is loose');
      await thumb.tap(thumb.button('Hazards read: do it now'));
      await expect(thumb.button('Stop my clock')).toBeVisible();
    }));
  await ines.context().setOffline(false);
  await expect(ines.getByTestId('sent-mark')).toHaveText('All sent');
});

test('one line about work that is done becomes a finished work order', async ({ open }) => {
  const mira = await open('Mira Castell', phone);
  await mira.getByRole('button', { name: 'Raise', exact: true }).tap();
  await mira.getByRole('radio', { name: 'Already done' }).tap();
  await mira
    .getByLabel('What was done, in one line')
    .fill('pump 1: packing replaced, 1 h just now, stood still since 6:00');
  await mira.reload();
  await expect(mira.getByLabel('What was done, in one line')).toHaveValue(/packing replaced/);
  await expect(mira.getByText('1 h of work', { exact: false })).toBeVisible();
  await mira.getByRole('button', { name: 'Keep it' }).tap();
  await expect(mira.getByText(/Kept as W-\d+/)).toBeVisible();
  await mira.reload();
  for (let gap = 0; gap < 6 && !(await mira.getByRole('button', { name: 'Finish it' }).isVisible()); gap += 1) {
    const none = mira.getByRole('button', { name: /^(No |Did not)/ });
    if (await none.isVisible()) await none.tap();
    await mira.waitForTimeout(300);
  }
  await mira.getByRole('button', { name: 'Finish it' }).tap();
  await expect(mira.getByText(/W-\d+ is finished\./)).toBeVisible();
  await expect(mira.getByTestId('sent-mark')).toHaveText('All sent');
});
