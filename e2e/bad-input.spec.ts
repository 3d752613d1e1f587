import { expect, test } from './works';

// Everything here has signal: no service worker needs to fetch the whole application for it.
test.use({ serviceWorkers: 'block' });

test('a wrong time or amount is told at its field and stores nothing', async ({ open }) => {
  const page = await open('Pavel Brandt');
  await page.getByText('Safety relay K14 drops out').tap();
  await page.getByRole('button', { name: 'Part', exact: true }).tap();
  await expect(page.getByText(/^Before the hazards are read/)).toBeVisible();
  await page.getByRole('button', { name: 'That is all' }).tap();
  await page.getByRole('button', { name: /I have read/ }).tap();
  const record = page.getByText(/^\d+ (entry|entries) ·/);
  await expect(record).toHaveText(/^1 entry/);

  await page.getByRole('button', { name: 'Time', exact: true }).tap();
  const dialog = page.getByRole('dialog');
  for (const [typed, sentence] of [
    ['soon', 'Write how long as 1:30'],
    ['0', 'Give a time above zero'],
    ['25h', 'One entry holds at most 24 h'],
  ] as const) {
    await page.getByLabel('How long').fill(typed);
    await dialog.getByRole('button', { name: /^Keep/ }).tap();
    await expect(dialog.getByText(sentence)).toBeVisible();
  }
  await page.keyboard.press('Escape');

  await page.getByRole('button', { name: 'Part', exact: true }).tap();
  await page.getByRole('button', { name: 'Other amount of Relay SAFE-3' }).tap();
  // One with a number sits there.
  await expect(dialog.getByText('Say what comes out.')).toBeVisible();
  await dialog.getByRole('radio', { name: 'Nothing' }).tap();
  for (const [typed, sentence] of [
    ['many', 'Write an amount'],
    ['0', 'Give an amount above zero'],
    ['1.5', 'counted in whole pcs'],
    ['9999', 'By the books the bin holds only'],
  ] as const) {
    await page.getByLabel('Amount in pcs').fill(typed);
    // What is only asked about says so before it is pressed.
    if (typed !== '9999') await dialog.getByRole('button', { name: /^Use|^Yes/ }).tap();
    await expect(dialog.getByText(sentence)).toBeVisible();
  }
  await page.keyboard.press('Escape');
  await page.keyboard.press('Escape');

  await page.getByRole('button', { name: 'Note', exact: true }).tap();
  await page.getByLabel('For the next person').fill('x'.repeat(10_001));
  await dialog.getByRole('button', { name: 'Keep the note' }).tap();
  await expect(dialog.getByText('At most 10000 characters fit here')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(record).toHaveText(/^1 entry/);
});

test('an address that leads nowhere says so', async ({ open }) => {
  const page = await open('Ines Okafor');
  await page.goto('/shift/w-404');
  await expect(page.getByText('This work order is not on this phone')).toBeVisible();
});
