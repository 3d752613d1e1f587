import type { Page } from '@playwright/test';
import { expect, test } from './works';

const job = 'Gearbox output seal weeping oil';

async function open(page: Page, name: string): Promise<void> {
  // While one reads, the dock keeps one row; whoever turns to it has all of it.
  await page.getByTestId('clock').focus();
  await page.getByRole('button', { name, exact: true }).tap();
}
const kept = async (page: Page, words: RegExp): Promise<void> => {
  await expect(page.getByRole('button', { name: words }).first()).toBeVisible();
  await expect(page.getByRole('dialog')).toHaveCount(0);
};
/** What the record says at its head: entries, hours and money. */
const sumOf = (page: Page): Promise<string | null> => page.getByText(/^\d+ entries · /).textContent();

test('a gearbox repair, recorded by two people without signal, comes together whole', async ({ open: opened }) => {
  const tess = await opened('Tess Lindqvist');
  await tess.getByRole('link', { name: 'Shift', exact: true }).tap();
  await tess.getByText(job).tap();
  await tess.getByRole('button', { name: 'More: this job' }).tap();
  await tess.getByRole('button', { name: 'Give it to …' }).tap();
  await tess.getByRole('checkbox', { name: /Jonas Reith/ }).tap();
  await tess.getByRole('button', { name: 'Give it', exact: true }).tap();
  await expect(tess.getByTestId('sent-mark')).toHaveText('All sent');

  const [ines, jonas] = [await opened('Ines Okafor'), await opened('Jonas Reith')];
  for (const page of [ines, jonas]) {
    await page.evaluate('navigator.serviceWorker.ready');
    await page.reload();
    await page.getByText(job).tap();
    await page.getByRole('button', { name: /I have read/ }).tap();
    await expect(page.getByText('hazards read', { exact: true })).toBeVisible();
    await expect(page.getByTestId('sent-mark')).toHaveText('All sent');
    await page.context().setOffline(true);
  }

  // Ines takes the seal out and puts a new one in, with her clock and a break.
  await ines.getByRole('button', { name: 'Start my clock' }).tap();
  await ines.getByRole('button', { name: 'Break: pause my clock' }).tap();
  await ines.getByRole('button', { name: 'Go on with my clock' }).tap();
  await open(ines, 'Part');
  await ines.getByRole('button', { name: /^Other amount of Shaft seal/ }).tap();
  await ines.getByLabel('Serial number of what goes in').fill('S-90001');
  await ines.getByRole('radio', { name: 'S-88213' }).tap();
  await expect(ines.getByText(/It is under warranty until/)).toBeVisible();
  await ines.getByRole('button', { name: /^Use 1 pcs/ }).tap();
  await ines.getByRole('button', { name: 'That is all' }).tap();
  await kept(ines, /Shaft seal .* came out.*Goes back under warranty/);
  await open(ines, 'Fault');
  await ines.getByLabel('What is wrong').fill('leaks');
  await ines
    .getByRole('button', { name: /^Output shaft seal/ })
    .first()
    .tap();
  await ines.getByRole('radio', { name: 'Replaced' }).tap();
  await ines.getByRole('radio', { name: 'Expected wear and tear' }).tap();
  await ines.getByRole('button', { name: 'Keep the fault' }).tap();
  await open(ines, 'Note');
  await ines.getByLabel('For the next person').fill('Shaft is smooth');
  await ines.reload();
  await open(ines, 'Note');
  await expect(ines.getByLabel('For the next person')).toHaveValue('Shaft is smooth');
  await ines.getByRole('button', { name: 'Keep the note' }).tap();
  await kept(ines, /Shaft is smooth/);

  // Jonas writes his in one line, and says that the machine runs again.
  await open(jonas, 'Write in one line');
  await jonas.keyboard.type('1.5h 2x cleaner note oil filled up; spent 12.50 rags from the shop');
  await expect(jonas.getByText(/Brake cleaner 500 mL/)).toBeVisible();
  await jonas.keyboard.press('Enter');
  await kept(jonas, /oil filled up/);
  await open(jonas, 'Stoppage');
  await jonas.getByRole('button', { name: 'It runs again' }).tap();
  await expect(jonas.getByText(/runs again\.$/).first()).toBeVisible();
  await open(jonas, 'Part');
  await jonas.getByRole('button', { name: /^Put 1 pcs Brake cleaner .* back$/ }).tap();
  await jonas.getByRole('button', { name: 'That is all' }).tap();
  await kept(jonas, /1 pcs Brake cleaner 500 mL put back/);

  for (const page of [ines, jonas]) await page.context().setOffline(false);
  for (const page of [ines, jonas]) await expect(page.getByTestId('sent-mark')).toHaveText('All sent');
  await ines.getByRole('button', { name: 'Stop my clock' }).tap();
  await expect(ines.getByTestId('sent-mark')).toHaveText('All sent');
  for (const page of [ines, jonas]) {
    await expect(page.getByRole('button', { name: /Shaft is smooth/ })).toBeVisible();
    await expect(page.getByRole('button', { name: /oil filled up/ })).toBeVisible();
    await expect(page.getByRole('button', { name: /rags from the shop/ })).toBeVisible();
    await expect(page.getByRole('button', { name: /S-90001/ })).toBeVisible();
  }
  await expect.poll(async () => (await sumOf(jonas)) === (await sumOf(ines))).toBe(true);
});
