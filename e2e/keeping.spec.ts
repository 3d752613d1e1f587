import { expect, test } from './works';

const job = 'Service brake lining below 5 mm';

test('two windows share one queue and show the same; one that is killed loses nothing', async ({ open }) => {
  const one = await open('Ines Okafor');
  await one.evaluate('navigator.serviceWorker.ready');
  await one.reload();
  await expect(one.getByTestId('sent-mark')).toHaveText('All sent');
  const two = await one.context().newPage();
  await two.goto('/');
  await expect(two.getByTestId('sent-mark')).toHaveText('All sent');
  await one.context().setOffline(true);
  await one.getByText(job).tap();
  await two.getByText(job).tap();
  await one.getByRole('button', { name: 'I have read the 2 hazards' }).tap();
  // The second window hears of it without the server.
  await expect(two.getByText('hazards read', { exact: true })).toBeVisible();
  await two.getByRole('checkbox', { name: 'Rope on the stop' }).tap();
  await expect(one.getByRole('checkbox', { name: 'Rope on the stop' })).toBeChecked();
  await expect(one.getByTestId('sent-mark')).toHaveText('2 on this phone');

  await two.getByRole('button', { name: 'Note', exact: true }).tap();
  await two.getByLabel('For the next person').fill('Typed in a window that died.');
  const kept = expect(one.getByRole('button', { name: /a window that died/ })).toBeVisible();
  await two.getByRole('button', { name: 'Keep the note' }).tap();
  await kept;
  await two.close();
  await one.getByRole('button', { name: 'Note', exact: true }).tap();
  await one.getByLabel('For the next person').fill('Never confirmed.');
  await one.reload();
  await expect(one.getByTestId('sent-mark')).toHaveText('3 on this phone');
  await expect(one.getByText('Never confirmed.')).toHaveCount(0);
  await one.context().setOffline(false);
  await expect(one.getByTestId('sent-mark')).toHaveText('All sent');
  const tess = await open('Tess Lindqvist');
  await tess.getByText(job).tap();
  await expect(tess.getByRole('button', { name: /a window that died/ })).toHaveCount(1);
  await expect(tess.getByRole('checkbox', { name: 'Rope on the stop' })).toBeChecked();
});

test('a refused record is mended and sent again, or dropped after a question', async ({ open }) => {
  const ines = await open('Ines Okafor');
  await ines.getByText(job).tap();
  await ines.getByRole('button', { name: 'I have read the 2 hazards' }).tap();
  await expect(ines.getByText('hazards read', { exact: true })).toBeVisible();
  await ines.getByRole('button', { name: 'Part', exact: true }).tap();
  await ines.getByRole('button', { name: 'Use 4 pcs Brake lining SB40' }).tap();
  await ines.getByRole('button', { name: 'That is all' }).tap();
  // What the screen says of sending is about this record only once the record is there.
  await expect(ines.getByRole('button', { name: /4 pcs Brake lining SB40 LINING/ })).toBeVisible();
  await expect(ines.getByTestId('sent-mark')).toHaveText('All sent');
  await ines.context().setOffline(true);
  await ines.getByRole('button', { name: 'Part', exact: true }).tap();
  await ines.getByRole('button', { name: 'Use 2 pcs Brake cleaner 500 mL' }).tap();
  await ines.getByRole('button', { name: 'Other amount of Brake lining SB40, put back' }).tap();
  await ines.getByRole('button', { name: 'Put it back' }).tap();
  await ines.getByRole('button', { name: 'That is all' }).tap();
  const tess = await open('Tess Lindqvist');
  await tess.getByText(job).tap();
  await tess.getByRole('button', { name: 'I have read the 2 hazards' }).tap();
  await tess.getByRole('button', { name: 'Part', exact: true }).tap();
  await tess.getByRole('button', { name: 'Other amount of Brake lining SB40, put back' }).tap();
  await tess.getByLabel(/Amount in/).fill('3');
  await tess.getByRole('button', { name: 'Put it back' }).tap();
  await tess.getByRole('button', { name: 'That is all' }).tap();
  await expect(tess.getByRole('button', { name: /3 pcs Brake lining SB40 put back/ })).toBeVisible();
  await expect(tess.getByTestId('sent-mark')).toHaveText('All sent');

  await ines.context().setOffline(false);
  await expect(ines.getByTestId('sent-mark')).toHaveText('1 needs you');
  await ines.getByTestId('sent-mark').tap();
  await expect(ines.getByText('Only 1 pcs of it were taken on this job.')).toBeVisible();
  await ines.getByRole('button', { name: 'Drop it' }).tap();
  await expect(ines.getByText('Drop it for good?')).toBeVisible();
  await ines.getByRole('button', { name: 'Keep it' }).tap();
  await ines.getByRole('button', { name: 'Mend and send' }).tap();
  await ines.getByLabel('Amount').fill('one');
  await ines.getByRole('button', { name: 'Send it so' }).tap();
  await expect(ines.getByText('Write an amount, such as 2 or 0.5.')).toBeVisible();
  await ines.getByLabel('Amount').fill('1');
  await ines.getByRole('button', { name: 'Send it so' }).tap();
  await ines.getByRole('button', { name: 'Close' }).tap();
  await expect(ines.getByTestId('sent-mark')).toHaveText('All sent');
  await expect(tess.getByRole('button', { name: /1 pcs Brake lining SB40 put back/ })).toBeVisible();
});

test('what one person left unsent waits for them alone', async ({ open }) => {
  const phone = await open('Ines Okafor');
  await phone.getByText(job).tap();
  await phone.getByRole('button', { name: 'Note', exact: true }).tap();
  await phone.route('**/api/operations', (route) => route.abort());
  await phone.getByLabel('For the next person').fill('For my own eyes.');
  await phone.getByRole('button', { name: 'Keep the note' }).tap();
  await expect(phone.getByTestId('sent-mark')).toHaveText('1 on this phone');
  await phone.getByRole('button', { name: 'Back to Shift' }).tap();
  await phone.getByRole('button', { name: 'Me', exact: true }).tap();
  await phone.getByRole('button', { name: 'Sign out' }).tap();
  await expect(phone.getByText('1 record is only on this phone')).toBeVisible();
  await phone.getByRole('button', { name: 'Sign out all the same' }).tap();
  await phone.unroute('**/api/operations');
  await phone.getByRole('button', { name: 'Arun Petros' }).tap();
  await expect(phone.getByTestId('sent-mark')).toHaveText('All sent');
  await phone.getByTestId('sent-mark').tap();
  await expect(phone.getByText('For my own eyes.')).toHaveCount(0);
  await phone.getByRole('button', { name: 'Close' }).tap();
  await phone.getByRole('button', { name: 'Me', exact: true }).tap();
  await phone.getByRole('button', { name: 'Sign out' }).tap();
  await phone.getByRole('button', { name: 'Ines Okafor' }).tap();
  await phone.getByText(job).tap();
  await expect(phone.getByRole('button', { name: /For my own eyes/ })).toBeVisible();
  await expect(phone.getByTestId('sent-mark')).toHaveText('All sent');
});

test('a photo without signal is seen at once, and by the lead after', async ({ open }) => {
  const ines = await open('Ines Okafor');
  await ines.evaluate('navigator.serviceWorker.ready');
  await ines.reload();
  await expect(ines.getByTestId('sent-mark')).toHaveText('All sent');
  const picture = await ines.evaluate(async () => {
    const canvas = new OffscreenCanvas(3_000, 2_000);
    const context = canvas.getContext('2d');
    if (context === null) throw new Error('no canvas');
    context.fillRect(400, 400, 900, 600);
    return [...new Uint8Array(await (await canvas.convertToBlob()).arrayBuffer())];
  });
  await ines.context().setOffline(true);
  await ines.getByText(job).tap();
  const photograph = async (name: string, mimeType: string, bytes: readonly number[]): Promise<void> => {
    await ines.getByRole('button', { name: 'Note', exact: true }).tap();
    const choosing = ines.waitForEvent('filechooser');
    await ines.getByRole('button', { name: 'Photo' }).tap();
    await (await choosing).setFiles({ name, mimeType, buffer: Buffer.from(bytes) });
  };
  await photograph('broken.png', 'image/png', picture.slice(0, 40));
  await expect(ines.getByText('This picture is damaged.')).toBeVisible();
  await ines.getByRole('button', { name: 'Close' }).tap();
  await photograph('seal.png', 'image/png', picture);
  await expect(ines.getByRole('img', { name: 'Photo' })).toBeVisible();
  await ines.reload();
  await expect(ines.getByRole('img', { name: 'Photo' })).toBeVisible();
  await ines.context().setOffline(false);
  await expect(ines.getByTestId('sent-mark')).toHaveText('All sent');
  const tess = await open('Tess Lindqvist');
  await tess.getByText(job).tap();
  const shown = tess.getByRole('img', { name: 'Photo' });
  await expect(shown).toBeVisible();
  // It was made smaller on the way: 1,600 pixels along the longer side.
  await expect
    .poll(() => shown.evaluate((shape) => (shape.querySelector('img') ?? (shape as HTMLImageElement)).naturalWidth))
    .toBe(1_600);
});

test('a phone two hours ahead is noticed and records the right time', async ({ open, browser, server }) => {
  const context = await browser.newContext({
    baseURL: server.address,
    viewport: { width: 390, height: 844 },
    hasTouch: true,
  });
  await context.addInitScript(() => {
    const real = Date.now;
    Date.now = () => real() + 2 * 3_600_000;
  });
  const ines = await context.newPage();
  await ines.goto('/');
  await ines.getByRole('button', { name: 'Ines Okafor' }).tap();
  await expect(ines.getByText('The clock of this phone is 2 h ahead.')).toBeVisible();
  await ines.getByText(job).tap();
  await ines.getByRole('button', { name: 'Note', exact: true }).tap();
  await ines.getByLabel('For the next person').fill('What time is it?');
  await ines.getByRole('button', { name: 'Keep the note' }).tap();
  await expect(ines.getByTestId('sent-mark')).toHaveText('All sent');
  const tess = await open('Tess Lindqvist');
  await tess.getByText(job).tap();
  const time = new Date().toLocaleTimeString('en-GB', {
    timeZone: 'Europe/Vienna',
    hour: '2-digit',
    minute: '2-digit',
  });
  const [hours] = time.split(':');
  await expect(tess.getByRole('button', { name: new RegExp(`${hours}:\\d\\d.*What time is it`, 's') })).toBeVisible();
  await context.close();
});

test('a clock that is set back while Oilcan is open stops nobody, and the order stays', async ({ open }) => {
  const ines = await open('Ines Okafor');
  await ines.getByText(job).tap();
  const note = async (text: string): Promise<void> => {
    await ines.getByRole('button', { name: 'Note', exact: true }).tap();
    await ines.getByLabel('For the next person').fill(text);
    await ines.getByRole('button', { name: 'Keep the note' }).tap();
    await expect(ines.getByRole('button', { name: new RegExp(text) })).toBeVisible();
  };
  await note('Recorded before');
  await ines.evaluate(() => {
    const real = Date.now.bind(Date);
    Date.now = () => real() - 3_600_000;
  });
  await note('Recorded after');
  await expect(ines.getByTestId('sent-mark')).toHaveText('All sent');
  await ines.reload();
  const notes = ines.getByRole('button', { name: /Recorded (before|after)/ });
  await expect(notes).toHaveText([/Recorded after/, /Recorded before/]);
});

test('work of others is looked up with signal, and says what is missing without', async ({ open, server }) => {
  const ines = await open('Ines Okafor');
  await ines.evaluate('navigator.serviceWorker.ready');
  await ines.goto(`/shift/${server.workOf('Grip 41 below its clamping force')}`);
  await expect(ines.getByText('This job is with Jonas Reith.')).toBeVisible();
  await expect(ines.getByText('0 of 5 steps')).toBeVisible();
  await expect(ines.getByRole('button', { name: 'Start my clock' })).toHaveCount(0);
  await ines.reload();
  await expect(ines.getByText('0 of 5 steps')).toBeVisible();
  await ines.context().setOffline(true);
  await ines.reload();
  await expect(ines.getByText('This job is with Jonas Reith.')).toBeVisible();
  await expect(ines.getByText('Its steps and its record show when there is signal.')).toBeVisible();
});

test.describe('a browser', () => {
  test('that keeps nothing says so before anything is recorded', async ({ browser, server }) => {
    const context = await browser.newContext({ baseURL: server.address, viewport: { width: 390, height: 844 } });
    await context.addInitScript(() => {
      indexedDB.open = () => {
        throw new DOMException('blocked', 'SecurityError');
      };
    });
    const page = await context.newPage();
    await page.goto('/');
    await expect(page.getByRole('alert')).toContainText('This browser keeps nothing');
    await page.getByRole('button', { name: 'Ines Okafor' }).click();
    await expect(page.getByRole('alert')).toContainText('This browser keeps nothing');
    await context.close();
  });

  test('that is full says so instead of keeping', async ({ open }) => {
    const page = await open('Ines Okafor');
    await page.getByText(job).tap();
    await page.evaluate(() => {
      IDBObjectStore.prototype.put = () => {
        throw new DOMException('full', 'QuotaExceededError');
      };
    });
    await page.getByRole('button', { name: 'Note', exact: true }).tap();
    await page.getByLabel('For the next person').fill('Does this fit?');
    await page.getByRole('button', { name: 'Keep the note' }).tap();
    await expect(page.getByText('There is no space left on this phone, and this was not kept.')).toBeVisible();
    await expect(page.getByLabel('For the next person')).toHaveValue('Does this fit?');
  });

  test('that threw away what was kept says so, and fetches the work again', async ({ open }) => {
    const page = await open('Ines Okafor');
    await page.goto('/healthz');
    await page.evaluate(
      () =>
        new Promise((resolve) => {
          indexedDB.deleteDatabase('oilcan').onsuccess = resolve;
        }),
    );
    await page.goto('/');
    await expect(page.getByRole('alert')).toContainText('had removed what Oilcan kept');
    await expect(page.getByText(job)).toBeVisible();
  });
});
