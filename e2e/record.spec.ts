import { expect, test, wide } from './works';

// Everything here has signal: no service worker needs to fetch the whole application for it.
test.use({ serviceWorkers: 'block' });

const job = 'Knock at tower 5 with every grip';
/** A red square of 64 pixels, as a PNG. */
const square = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAEAAAABACAIAAAAlC+aJAAAAUElEQVR42u3PQQkAAAgEsIvj2/4BjGUE38JgBZbpei0CAgICAgICAgICAgICAgICAgICAgICAgICAgICAgICAgICAgICAgICAgICAgICApcF0UkhD4UhhQIAAAAASUVORK5CYII=',
  'base64',
);

test('files are dropped on the sheet, a photo is drawn on and becomes the picture of its machine', async ({ open }) => {
  const page = await open('Jonas Reith', wide);
  await page.getByText(job).first().click();
  await expect(page.getByRole('button', { name: 'Note', exact: true })).toBeVisible();
  await page.evaluate((base64) => {
    const bytes = Uint8Array.from(atob(base64), (character) => character.charCodeAt(0));
    const data = new DataTransfer();
    data.items.add(new File([bytes], 'Roller 3.png', { type: 'image/png' }));
    data.items.add(new File(['%PDF-1.4 nothing more'], 'Certificate.pdf', { type: 'application/pdf' }));
    data.items.add(new File(['MZ'], 'holiday.jpg', { type: 'image/jpeg' }));
    window.dispatchEvent(new DragEvent('drop', { dataTransfer: data, cancelable: true }));
  }, square.toString('base64'));
  await expect(page.getByText(/2 files kept\. “holiday\.jpg” is none of the files that are taken/)).toBeVisible();
  await page.getByRole('button', { name: /Roller 3/ }).click();
  await page.getByRole('button', { name: 'Draw on it' }).click();
  const photo = await page.getByRole('img', { name: 'Drawing on the photo' }).boundingBox();
  if (photo === null) throw new Error('There is nothing to draw on.');
  await page.mouse.move(photo.x + 30, photo.y + 30);
  await page.mouse.down();
  await page.mouse.move(photo.x + photo.width * 0.7, photo.y + photo.height * 0.5, { steps: 4 });
  await page.mouse.up();
  await page.getByRole('button', { name: 'Keep the marks' }).click();
  await expect(page.getByRole('button', { name: /Roller 3.*drawn on.*Amendment|Amendment.*drawn on/ })).toBeVisible();
  await page.getByRole('button', { name: /drawn on/ }).click();
  await page.getByRole('button', { name: /^Picture of/ }).click();
  await expect(page.getByText(/^This is the picture of .*tower 5/).first()).toBeVisible();
  await page.getByRole('button', { name: 'Close' }).click();
  await expect(page.getByTestId('sent-mark')).toHaveText('All sent');
  const tess = await open('Tess Lindqvist', wide);
  await tess.getByRole('link', { name: 'Shift', exact: true }).click();
  await expect(tess.getByRole('link', { name: new RegExp(job) }).getByRole('img', { name: /tower 5/ })).toBeVisible();
});
