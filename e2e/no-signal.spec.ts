import { expect, test } from './works';

test('starts with no network, works through reloads, and sends all of it once', async ({ open }) => {
  const ines = await open('Ines Okafor');
  // The application is kept once the service worker controls the page.
  await ines.evaluate('navigator.serviceWorker.ready');
  await ines.reload();
  await expect(ines.getByTestId('sent-mark')).toHaveText('All sent');
  await ines.context().setOffline(true);

  await ines.goto('/');
  await expect(ines.getByTestId('sent-mark')).toHaveText(/^No signal since \d\d:\d\d$/);
  await ines.getByText('Service brake lining below 5 mm').tap();
  await ines.getByRole('button', { name: 'I have read the 2 hazards' }).tap();
  await ines.getByRole('button', { name: 'Start my clock' }).tap();
  await ines.getByRole('checkbox', { name: 'Rope on the stop' }).tap();
  // What the screen shows is kept; what it does not show yet may still be lost.
  await expect(ines.getByRole('button', { name: 'Stop my clock' })).toBeVisible();
  await expect(ines.getByRole('checkbox', { name: 'Rope on the stop' })).toBeChecked();
  await ines.reload();
  await expect(ines.getByRole('button', { name: 'Stop my clock' })).toBeVisible();
  await expect(ines.getByRole('checkbox', { name: 'Rope on the stop' })).toBeChecked();
  await ines.getByRole('button', { name: 'Part', exact: true }).tap();
  await ines.getByRole('button', { name: 'Use 4 pcs Brake lining SB40' }).tap();
  await ines.getByRole('button', { name: 'That is all' }).tap();
  await ines.getByRole('button', { name: 'Note', exact: true }).tap();
  await ines.getByLabel('For the next person').fill('No signal in the drive room.');
  await ines.getByRole('button', { name: 'Keep the note' }).tap();
  await expect(ines.getByRole('button', { name: /No signal in the drive room/ })).toBeVisible();
  await ines.reload();
  await expect(ines.getByTestId('sent-mark')).toHaveText('5 on this phone');
  await ines.getByTestId('sent-mark').tap();
  await expect(ines.getByRole('dialog').getByText('No signal in the drive room.')).toBeVisible();
  await expect(ines.getByRole('dialog').getByText('5 records wait here')).toBeVisible();
  await ines.getByRole('button', { name: 'Close' }).tap();

  await ines.context().setOffline(false);
  await expect(ines.getByTestId('sent-mark')).toHaveText('All sent');
  const tess = await open('Tess Lindqvist');
  await tess.getByText('Service brake lining below 5 mm').tap();
  await expect(tess.getByRole('button', { name: /No signal in the drive room/ })).toHaveCount(1);
  await expect(tess.getByRole('button', { name: /4 pcs Brake lining SB40/ })).toHaveCount(1);
  await expect(tess.getByRole('checkbox', { name: 'Rope on the stop' })).toBeChecked();
});
