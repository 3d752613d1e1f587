import type { Page } from '@playwright/test';
import { expect, test } from './works';

/** A picture of one green point, as a PNG. */
const png = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
  'base64',
);

async function sign(page: Page, name: string): Promise<void> {
  const field = await page.getByRole('img', { name: 'Field to sign in' }).boundingBox();
  if (field === null) throw new Error('There is no field to sign in.');
  const at = (share: number): [number, number] => [
    field.x + field.width * (0.2 + 0.6 * share),
    field.y + field.height * (0.5 + 0.3 * Math.sin(share * 9)),
  ];
  await page.mouse.move(...at(0));
  await page.mouse.down();
  for (let index = 1; index <= 20; index += 1) await page.mouse.move(...at(index / 20));
  await page.mouse.up();
  await page.getByLabel('Name').fill(name);
}

test('steps of every kind and a branch are answered without signal, through a reload, and reach the lead', async ({
  open,
}) => {
  const ines = await open('Ines Okafor');
  await ines.evaluate('navigator.serviceWorker.ready');
  await ines.reload();
  await expect(ines.getByTestId('sent-mark')).toHaveText('All sent');
  await ines.context().setOffline(true);
  await ines.goto('/');
  await ines.getByText('Standby drive test run').first().tap();
  const button = (name: string | RegExp) => ines.getByRole('button', { name, exact: true });
  await button(/^I have read the \d+ hazards/).tap();

  await expect(ines.getByText('Sample taken, bottle marked with day and hours')).toHaveCount(0);
  await ines.getByRole('radio', { name: 'Milky' }).tap();
  await ines.getByRole('checkbox', { name: /^Sample taken/ }).tap();
  const choosing = ines.waitForEvent('filechooser');
  await button('Photo: The sample beside a clean one').tap();
  await (await choosing).setFiles({ name: 'sample.png', mimeType: 'image/png', buffer: png });
  await expect(ines.getByRole('img', { name: 'Photo: The sample beside a clean one' })).toBeVisible();

  await ines.getByRole('radio', { name: 'Faulty' }).tap();
  await button('Write: Which, and what is wrong?').tap();
  await ines.getByLabel('Answer').fill('Fan belt is frayed');
  await button('Keep').tap();

  await button('Sign: Drive is ready for a rescue').tap();
  await button('Keep the signature').tap();
  await expect(ines.getByText(/^Nothing was drawn/)).toBeVisible();
  await sign(ines, 'Eva Brunner');
  await button('Keep the signature').tap();
  await expect(ines.getByRole('img', { name: 'Signature of Eva Brunner' })).toBeVisible();

  await ines.reload();
  await expect(ines.getByRole('img', { name: 'Signature of Eva Brunner' })).toBeVisible();
  await expect(ines.getByRole('radio', { name: 'Milky' })).toBeChecked();
  // The branch goes away with the answer, and what was answered on it stays to be read.
  await ines.getByRole('radio', { name: 'Clear' }).tap();
  await expect(ines.getByText('Not asked any more. Was: done, Ines Okafor')).toBeVisible();
  await ines.getByRole('radio', { name: 'Milky' }).tap();
  await expect(ines.getByRole('checkbox', { name: /^Sample taken/ })).toBeChecked();

  await ines.context().setOffline(false);
  await expect(ines.getByTestId('sent-mark')).toHaveText('All sent');
  const tess = await open('Tess Lindqvist');
  await tess.getByText('Standby drive test run').first().tap();
  await expect(tess.getByRole('img', { name: 'Photo: The sample beside a clean one' })).toBeVisible();
  await expect(tess.getByRole('button', { name: /Fan belt is frayed/ }).first()).toBeVisible();
  await expect(tess.getByRole('img', { name: 'Signature of Eva Brunner' })).toBeVisible();
});

test('a round is walked without signal, through a reload, and its further work reaches the lead', async ({ open }) => {
  const ines = await open('Ines Okafor');
  await ines.evaluate('navigator.serviceWorker.ready');
  await ines.reload();
  await expect(ines.getByTestId('sent-mark')).toHaveText('All sent');
  await ines.context().setOffline(true);
  await ines.goto('/');
  await expect(ines.getByRole('link', { name: /Daily round, Lark.*stop 1 of 14/ })).toBeVisible();
  await ines.getByText('Daily round, Lark').tap();
  const button = (name: string | RegExp) => ines.getByRole('button', { name, exact: true });
  await button(/^I have read the \d+ hazards/).tap();
  await ines.getByRole('radio', { name: 'Faulty' }).tap();
  // One tap leads on, though this stop is not done.
  await button('Next: 2, Lark cabins').tap();
  await expect(ines.getByRole('heading', { name: 'Lark cabins' })).toBeInViewport();
  await ines.getByRole('radio', { name: 'Good' }).first().tap();
  await ines.getByRole('radio', { name: 'Good' }).last().tap();
  // What the screen says is kept; what it does not say yet may be lost with the page.
  await expect(ines.getByRole('radio', { name: 'Good' }).first()).toBeChecked();
  await expect(ines.getByRole('radio', { name: 'Good' }).last()).toBeChecked();
  await ines.reload();
  await expect(ines.getByRole('heading', { name: 'Lark cabins' })).toBeVisible();
  await expect(ines.getByText('1 of 14 stops done')).toBeVisible();

  await button('Scan a stop').tap();
  await ines.getByLabel('Or type the code').fill('JUN-T01');
  await button('Go there').tap();
  await expect(ines.getByText(/is on no stop of this round/)).toBeVisible();
  await ines.getByLabel('Or type the code').fill('LRK-T12');
  await button('Go there').tap();
  await expect(ines.getByText('This is stop 7, Lark tower 12 sheave train.')).toBeVisible();
  await expect(ines.getByText('Fall from the platform').last()).toBeVisible();
  await button('Leave out').tap();
  await ines.getByRole('radio', { name: 'Weather' }).tap();
  await button('Leave this stop out').tap();

  await button('All stops').tap();
  await button('What came of the round').tap();
  await button('Raise 1 work order for what is left').tap();
  const led = ines.getByRole('button', { name: /^W-\d+ Tyres, belts, guards: faulty still/ });
  await expect(led).toBeVisible();
  const number = (await led.innerText()).split(' ')[0] ?? '';
  await ines.context().setOffline(false);
  await expect(ines.getByTestId('sent-mark')).toHaveText('All sent');

  const tess = await open('Tess Lindqvist');
  await expect(tess.getByRole('link', { name: /Daily round, Lark.*stop 1 of 14, 1 faulty/ })).toBeVisible();
  await tess.getByRole('searchbox', { name: 'Find anything' }).fill(number);
  await expect(tess.getByRole('link', { name: /Tyres, belts, guards: faulty still/ })).toBeVisible();
});
