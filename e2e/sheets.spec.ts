import { expect, test } from './works';

const job = 'Service brake lining below 5 mm';
const TYPED = '7';

/** What opens over a job, by the key that opens it. */
const sheets: readonly (string | RegExp)[] = [
  'Time',
  'Part',
  'Reading',
  'Fault',
  'Stoppage',
  'Note',
  'Expense',
  'Service',
  'Tool',
  'Write in one line',
  'Add a hazard',
  'More steps',
  'Give steps to somebody',
  'Machine handed over to maintenance',
  'Back in service',
  'Put on hold',
  'Further work',
  'Paper',
  /^Others’ clocks/,
  /^Change dates/,
  /change how urgent it is$/,
  /^More of step 1$/,
];

test('every sheet over a job keeps what was typed, whichever way out, and gives the focus back', async ({ open }) => {
  test.slow();
  const ines = await open('Ines Okafor');
  await ines.getByText(job).tap();
  await ines.getByRole('button', { name: /I have read/ }).tap();
  await ines.getByRole('button', { name: 'Start my clock' }).tap();
  await expect(ines.getByText(/Underway/).first()).toBeVisible();
  for (const rare of ['More: this job', 'More: costs, mail']) await ines.getByRole('button', { name: rare }).click();
  const dialog = ines.getByRole('dialog');
  const ticked = (): Promise<number> => ines.getByRole('checkbox', { checked: true }).count();
  const path = ines.url();
  const before = await ticked();
  const wrong: string[] = [];
  for (const name of sheets) {
    // While one reads, the dock keeps one row; whoever turns to it has all of it.
    await ines.getByTestId('clock').focus();
    const key = ines.getByRole('button', { name, exact: typeof name === 'string' }).first();
    if ((await key.count()) === 0) {
      wrong.push(`${String(name)}: there is no such key`);
      continue;
    }
    let kept: string | null = null;
    for (const way of ['Escape', 'Close', 'veil'] as const) {
      // Whoever opens it again has seen it close, which takes longer than a double press: nothing here need wait so long.
      await ines.evaluate("window.dispatchEvent(new Event('input'))");
      await key.click();
      await expect(dialog).toHaveCount(1);
      // What is only looked for is soon typed again.
      const field = dialog.locator('textarea, input:not([inputmode="search"]):not([type="checkbox"])').first();
      if ((await field.count()) > 0) {
        const found = await field.inputValue();
        if (kept !== null && found !== kept)
          wrong.push(`${String(name)}: “${found}” instead of “${kept}” before ${way}`);
        kept = kept ?? `${found}${TYPED}`;
        if (found !== kept) await field.fill(kept);
      }
      if (way === 'Escape') await ines.keyboard.press('Escape');
      else if (way === 'Close') await dialog.getByRole('button', { name: 'Close', exact: true }).first().click();
      else await ines.touchscreen.tap(195, 20);
      await expect(dialog).toHaveCount(0);
      const isBack = await expect(key)
        .toBeFocused({ timeout: 2_000 })
        .then(() => true)
        .catch(() => false);
      if (!isBack) wrong.push(`${String(name)}: the focus is not back after ${way}`);
    }
  }
  expect(wrong).toEqual([]);
  expect([await ticked(), ines.url()]).toEqual([before, path]);
  await expect(ines.getByTestId('sent-mark')).toHaveText('All sent');
});
