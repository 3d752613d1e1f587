import type { BrowserContextOptions, Locator, Page } from '@playwright/test';
import { expect, phone, test, wide } from './works';

const job = 'Service brake lining below 5 mm';
/** More than any screen has to go through; what is not come to by then cannot be reached. */
const MOST_TABS = 250;

/** Whether an element, where it is in sight, is what is seen there. */
function isUncovered(element: Element): boolean {
  const { left, top, width, height } = element.getBoundingClientRect();
  const seen = document.elementFromPoint(left + width / 2, Math.min(top + height / 2, innerHeight - 1));
  return seen !== null && (element.contains(seen) || seen.contains(element));
}

/** Somebody who has no pointer. */
class Keys {
  readonly page: Page;

  constructor(page: Page) {
    this.page = page;
  }

  /** Goes on by the tab key until something has the focus. */
  async to(target: Locator): Promise<void> {
    await expect(target).toBeVisible();
    for (let tabs = 0; tabs <= MOST_TABS; tabs += 1) {
      if (await target.evaluate((element) => element === document.activeElement)) {
        // It lies under nothing.
        await expect.poll(() => target.evaluate(isUncovered)).toBe(true);
        return;
      }
      await this.page.keyboard.press('Tab');
    }
    throw new Error(`${String(target)} is not come to by the tab key.`);
  }

  async press(target: Locator, key = 'Enter'): Promise<void> {
    await this.to(target);
    await this.page.keyboard.press(key);
  }

  async type(label: string | RegExp, words: string): Promise<void> {
    await this.to(this.page.getByLabel(label));
    await this.page.keyboard.type(words);
  }

  button(name: string | RegExp): Locator {
    return this.page.getByRole('button', { name, exact: typeof name === 'string' }).first();
  }

  /** Nobody is at the beginning of the page again after what was pressed is gone. */
  async isSomewhere(): Promise<void> {
    await expect
      .poll(() => this.page.evaluate('document.activeElement !== document.body'), { timeout: 5_000 })
      .toBe(true);
  }
}

/** Signed in by keys too. */
async function begin(
  open: (name: null, options: BrowserContextOptions) => Promise<Page>,
  name: string,
  on: typeof phone,
) {
  const page = await open(null, on);
  const keys = new Keys(page);
  await keys.press(page.getByRole('button', { name }));
  await expect(page.getByTestId('sent-mark').first()).toHaveText('All sent');
  await keys.isSomewhere();
  return keys;
}

for (const [on, options] of [
  ['phone', phone],
  ['wide screen', wide],
] as const) {
  test(`a whole job and its review are done by keys alone, on a ${on}`, async ({ open }) => {
    test.slow();
    const ines = await begin(open, 'Ines Okafor', options);
    const { page } = ines;
    await ines.press(page.getByRole('link', { name: new RegExp(job) }).first());
    await expect(page.getByRole('heading', { name: job, level: 1 })).toBeVisible();
    await ines.isSomewhere();
    await ines.press(ines.button('I have read the 2 hazards'));
    await ines.isSomewhere();
    await ines.press(ines.button('Start my clock'), ' ');
    for (const tick of ['Rope on the stop', 'Take off both guards', 'Change all four linings', 'Air gap 0.8 mm'])
      await ines.press(page.getByRole('checkbox', { name: tick }), ' ');
    for (const finding of ['Disc surface', 'Three test stops'])
      await ines.press(page.getByRole('radiogroup', { name: finding }).getByRole('radio', { name: 'Good' }), ' ');

    const thickness = ines.button('Type Lining thickness in mm');
    await ines.press(thickness);
    await page.keyboard.type('11.8');
    await ines.press(ines.button('Keep 11.8 mm'));
    await ines.press(ines.button('Keep 11.8 mm'));
    await expect(page.getByRole('dialog')).toHaveCount(0);
    await ines.isSomewhere();

    const note = page.getByRole('button', { name: 'Note', exact: true });
    await ines.press(note);
    await ines.type('For the next person', 'Upper pin was stiff');
    await page.keyboard.press('Escape');
    await expect(page.getByRole('dialog')).toHaveCount(0);
    await expect(note).toBeFocused();
    await page.keyboard.press('Enter');
    await expect(page.getByLabel('For the next person')).toHaveValue('Upper pin was stiff');
    await ines.press(ines.button('Keep the note'));
    await ines.press(page.getByRole('button', { name: 'Part', exact: true }));
    await ines.press(ines.button('Use 4 pcs Brake lining SB40'));
    await page.keyboard.press('Escape');
    await expect(page.getByText(/^Nothing is missing/)).toBeVisible();
    await ines.press(ines.button('Finish'));
    await ines.press(ines.button('Yes, it is done'));
    await expect(page.getByRole('dialog')).toHaveCount(0);
    await expect(page.getByTestId('sent-mark').first()).toHaveText('All sent');
    await ines.isSomewhere();

    const tess = await begin(open, 'Tess Lindqvist', options);
    await tess.press(tess.page.getByRole('link', { name: 'Desk', exact: true }));
    const row = tess.page.getByTestId(/^desk-W-/).filter({ hasText: job });
    await tess.press(row);
    await expect(tess.page.getByRole('button', { name: /4 pcs Brake lining SB40/ }).first()).toBeVisible();
    const accept = tess.page.getByRole('button', { name: 'Accept', exact: true }).first();
    await tess.press(accept);
    // On a phone it stands where Accept did; on a wide screen a key reaches it from anywhere.
    if (on === 'wide screen') {
      await expect(row).toHaveCount(0);
      await tess.page.keyboard.press('z');
      await tess.press(row);
    } else await tess.press(tess.page.getByRole('button', { name: 'Undo' }).first());
    await tess.isSomewhere();
    await tess.press(accept);
    await expect(ines.page.getByText(/Accepted/).first()).toBeAttached();
  });
}
