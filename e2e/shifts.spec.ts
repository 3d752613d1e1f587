import { mkdirSync, writeFileSync } from 'node:fs';
import type { Locator, Page } from '@playwright/test';
import { expect, phone, test, wide } from './works';

/** Where the tables of the shifts are written to, one Markdown file each. */
const TABLES = 'test-results/shifts';

/** One shift of one person, lived press by press; what each task took becomes a row of its table. */
class Shift {
  readonly #rows: string[] = [];
  readonly page: Page;
  readonly #name: string;
  presses = 0;

  constructor(name: string, page: Page) {
    this.#name = name;
    this.page = page;
  }

  /** A task, and the most presses that it may take; typing and scrolling are free. */
  async task(what: string, most: number, live: () => Promise<void>): Promise<void> {
    await test.step(what, async () => {
      const [before, began] = [this.presses, Date.now()];
      await live();
      const [presses, seconds] = [this.presses - before, ((Date.now() - began) / 1000).toFixed(1)];
      this.#rows.push(`| ${what} | ${presses} | ${most} | ${seconds} |`);
      expect(presses, `presses to ${what}`).toBeLessThanOrEqual(most);
    });
  }

  async press(target: Locator): Promise<void> {
    this.presses += 1;
    await target.click();
  }

  button(name: string | RegExp): Locator {
    return this.page.getByRole('button', { name, exact: typeof name === 'string' });
  }

  /** On a phone the dock keeps one row while one reads; a touch brings the rest, and does nothing else. */
  async pressInDock(name: string): Promise<void> {
    this.presses += 1;
    await expect(async () => {
      await this.page.getByTestId('clock').focus();
      await this.button(name).click({ timeout: 3_000 });
    }).toPass();
  }

  /** Every finding is good, every box ticked, every value typed. */
  async steps(): Promise<void> {
    const { page } = this;
    const rows = page.getByRole('checkbox', { checked: false });
    for (let left = await rows.count(); left > 0; left -= 1) {
      await this.press(rows.first());
      await expect(rows).toHaveCount(left - 1);
    }
    for (const good of await page.getByRole('radio', { name: 'Good' }).all()) {
      await this.press(good);
      await expect(good).toBeChecked();
    }
  }

  /** The shift is over: its table is written. */
  end(): void {
    mkdirSync(TABLES, { recursive: true });
    const head = `# ${this.#name}\n\n| task | presses | at most | seconds |\n| --- | --- | --- | --- |\n`;
    writeFileSync(
      `${TABLES}/${this.#name.toLowerCase().replaceAll(/\W+/g, '-')}.md`,
      `${head}${this.#rows.join('\n')}\n`,
    );
  }
}

test('a technician by day, from signing in to going home', async ({ open }) => {
  const shift = new Shift('Technician by day', await open(null, phone));
  const { page } = shift;
  await shift.task('sign in', 1, async () => {
    await shift.press(shift.button(/Ines Okafor/));
    await expect(page.getByRole('link', { name: /^W-\d+/ }).first()).toBeVisible();
  });
  await shift.task('see what today needs from the store', 2, async () => {
    await shift.press(shift.button('Kit list'));
    await shift.press(shift.button(/^All of today’s/));
    await expect(page.getByRole('heading', { name: /parts and \d+ tools for/ })).toBeVisible();
  });
  await shift.task('go back to the list', 1, async () => {
    await shift.press(shift.button('Back to Shift'));
    await expect(page.getByRole('searchbox', { name: 'Find anything' })).toBeVisible();
  });
  await shift.task('start the first job, hazards included', 3, async () => {
    await shift.press(page.getByRole('link', { name: /Gearbox output seal/ }).first());
    await shift.press(shift.button('Start my clock'));
    await shift.press(shift.button(/I have read the \d hazards/));
    await expect(shift.button('Stop my clock')).toBeVisible();
  });
  await shift.task('do its ticks and findings', 12, () => shift.steps());
  await shift.task('take the part that was planned, and say what comes out', 4, async () => {
    await shift.press(shift.button('Part'));
    await shift.press(shift.button(/^Use 1 pcs Shaft seal/));
    await shift.press(page.getByRole('radio', { name: 'Nothing' }));
    await shift.press(shift.button('Use 1 pcs'));
    await expect(page.getByText(/1 pcs taken/).first()).toBeVisible();
  });
  await shift.task('put the part sheet away', 1, () => shift.press(shift.button('That is all')));
  await shift.task('raise what else was found, for later', 3, async () => {
    await shift.press(page.getByRole('button', { name: 'Raise', exact: true }));
    await page.getByLabel('What is it').fill('Grease the pivots of the guard');
    await shift.press(page.getByRole('radio', { name: 'Plan it' }));
    await shift.press(shift.button(/^Plan it: /));
    await expect(page.getByText(/W-\S+ is planned\./)).toBeVisible();
  });
  await shift.task('say which fault it was', 3, async () => {
    await shift.pressInDock('Fault');
    await shift.press(page.getByRole('group', { name: 'Usual here' }).getByRole('button').first());
    await shift.press(shift.button('Keep the fault'));
    await expect(page.getByText('Fault kept.')).toBeVisible();
  });
  await shift.task('it runs again', 2, async () => {
    await shift.press(shift.button('Stoppage'));
    await shift.press(shift.button('It runs again'));
    await expect(page.getByText(/runs again\.$/).first()).toBeVisible();
  });
  await shift.task('pass the rest on for tomorrow', 3, async () => {
    await shift.press(shift.button('Put on hold'));
    await shift.press(page.getByRole('radio', { name: 'The next shift goes on' }));
    await page.getByLabel('How far it is, and what comes next').fill('The seal is in, the oil is not');
    await shift.press(shift.button('Leave it to the next shift'));
    await expect(shift.button('Start my clock')).toBeVisible();
  });
  await shift.task('find a finished job by its number', 2, async () => {
    await page.goto('/shift');
    await shift.press(page.getByRole('searchbox', { name: 'Find anything' }));
    await page.keyboard.type('W-1200');
    await shift.press(page.getByRole('link', { name: /^W-1200/ }));
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  });
  await shift.task('write down what was done yesterday', 3, async () => {
    await page.goto('/raise');
    await shift.press(page.getByRole('radio', { name: 'Already done' }));
    await page.getByLabel('What was done, in one line').fill('pump 1: packing replaced, 1 h yesterday');
    await shift.press(shift.button('Keep it'));
    await expect(page.getByText(/Kept as W-\d+/)).toBeVisible();
  });
  await shift.task('read my day before going home', 1, async () => {
    await page.goto('/shift');
    await shift.press(shift.button('My day'));
    await expect(page.getByRole('heading', { name: 'My day', level: 1 })).toBeVisible();
  });
  shift.end();
});

test('a technician by night, without signal, with a reload in the middle', async ({ open }) => {
  const shift = new Shift(
    'Technician by night, without signal',
    await open('Ines Okafor', { ...phone, colorScheme: 'dark' }),
  );
  const { page } = shift;
  await page.evaluate('navigator.serviceWorker.ready');
  await page.reload();
  await expect(page.getByTestId('sent-mark')).toHaveText('All sent');
  await page.context().setOffline(true);
  await shift.task('begin what just came up, at its machine', 4, async () => {
    await shift.press(shift.button('Raise'));
    await shift.press(shift.button('Scan'));
    await page.getByLabel('Or type the code').fill('LRK-B1');
    await page.keyboard.press('Enter');
    await page.getByLabel('What is it').fill('Brake drags when it is cold');
    await shift.press(shift.button('Hazards read: do it now'));
    await expect(shift.button('Stop my clock')).toBeVisible();
  });
  await shift.task('write two things in one line', 1, async () => {
    await shift.pressInDock('Write in one line');
    await page.keyboard.type('20m; note the pin was dry');
    await page.keyboard.press('Enter');
    await expect(page.getByText('2 entries kept.')).toBeVisible();
  });
  await shift.task('go on after a reload', 0, async () => {
    await page.reload();
    await expect(shift.button('Stop my clock')).toBeVisible();
    await expect(page.getByRole('button', { name: /the pin was dry/ }).first()).toBeVisible();
  });
  await shift.task('finish', 2, async () => {
    await shift.press(shift.button('Finish'));
    await shift.press(shift.button('Yes, it is done'));
    await expect(page.getByText(/Finished by Ines/)).toBeVisible();
  });
  await shift.task('begin the planned job, hazards included', 3, async () => {
    await page.goto('/shift');
    await shift.press(page.getByRole('link', { name: /Service brake lining/ }).first());
    await shift.press(shift.button('Start my clock'));
    await shift.press(shift.button(/I have read the \d hazards/));
    await expect(shift.button('Stop my clock')).toBeVisible();
  });
  await shift.task('do its ticks and findings', 8, () => shift.steps());
  await shift.task('leave the next shift a note', 2, async () => {
    await shift.press(shift.button('Note'));
    await page.getByLabel('For the next person').fill('Upper pin is worn');
    await shift.press(shift.button('Keep the note'));
    await expect(page.getByRole('button', { name: /Upper pin is worn/ }).first()).toBeVisible();
  });
  await shift.task('stop the clock', 1, async () => {
    await shift.press(shift.button('Stop my clock'));
    await expect(shift.button('Start my clock')).toBeVisible();
  });
  await shift.task('see that it all goes out when there is signal', 0, async () => {
    await page.context().setOffline(false);
    await expect(page.getByTestId('sent-mark')).toHaveText('All sent');
  });
  shift.end();
});

test('a storekeeper', async ({ open }) => {
  const shift = new Shift('Storekeeper', await open(null, phone));
  const { page } = shift;
  await shift.task('sign in and stand in Stores', 1, async () => {
    await shift.press(shift.button(/Arun Petros/));
    await expect(page.getByRole('heading', { name: 'Stores', level: 1 })).toBeVisible();
  });
  const bin = (): Locator => page.getByRole('button', { name: /pcs in F-06/ }).first();
  await shift.task('find a bin', 1, async () => {
    await shift.press(page.getByRole('searchbox').first());
    await page.keyboard.type('lining');
    await expect(bin()).toBeVisible();
  });
  await shift.task('count it', 2, async () => {
    await shift.press(bin());
    await page.getByLabel(/^Counted, in/).fill('7');
    await shift.press(shift.button('Keep the count'));
    await expect(page.getByText(/7 pcs counted\./)).toBeVisible();
  });
  await shift.task('write what came in', 3, async () => {
    await shift.press(bin());
    await shift.press(page.getByRole('radio', { name: 'Came in' }));
    await page.getByLabel(/^Came in, in/).fill('4');
    await page.getByLabel(/^Price of one/).fill('38.50');
    await shift.press(shift.button('Keep the receipt'));
    await expect(page.getByText(/4 pcs came in\./)).toBeVisible();
  });
  await shift.task('print the labels of the bins', 2, async () => {
    const printing = page.waitForEvent('download');
    await shift.press(shift.button(/labels/i).first());
    await shift.press(shift.button('Make the PDF'));
    await printing;
  });
  shift.end();
});

test('a lead in the morning', async ({ open }) => {
  const shift = new Shift('Lead', await open(null, wide));
  const { page } = shift;
  await shift.task('sign in and see the worst thing that waits', 1, async () => {
    await shift.press(shift.button(/Tess Lindqvist/));
    await expect(page.getByRole('heading', { name: 'Somebody is in danger' })).toBeVisible();
  });
  await shift.task('take it up as work and give it to somebody', 4, async () => {
    await shift.press(page.getByRole('heading', { name: 'Somebody is in danger' }).locator('xpath=following::a[1]'));
    await shift.press(shift.button('Take it up as work'));
    await shift.press(page.getByRole('checkbox', { name: 'Jonas Reith' }));
    await shift.press(shift.button('Take it up'));
    await expect(page.getByTestId('sent-mark')).toHaveText('All sent');
  });
  await shift.task('accept what was finished, by keys', 2, async () => {
    await shift.press(page.getByRole('link', { name: 'Desk', exact: true }));
    const row = page.getByTestId(/^desk-W-/).first();
    const name = (await row.getAttribute('data-testid')) ?? '';
    await shift.press(row);
    await page.keyboard.press('a');
    await expect(page.getByTestId(name)).toHaveCount(0);
  });
  await shift.task('give work that is nobody’s', 5, async () => {
    await shift.press(page.getByRole('link', { name: 'Shift', exact: true }));
    await shift.press(page.getByRole('link', { name: /Knock at tower 5/ }).first());
    await shift.press(shift.button('More: this job'));
    await shift.press(shift.button('Give it to …'));
    await page.getByRole('checkbox', { name: 'Ines Okafor', exact: true }).check();
    await shift.press(shift.button('Give it'));
    await expect(page.getByTestId('sent-mark')).toHaveText('All sent');
  });
  await shift.task('see what the plant has out and due', 1, async () => {
    await shift.press(page.getByRole('link', { name: 'Plant', exact: true }));
    await expect(page.getByRole('heading', { name: /due|out/i }).first()).toBeVisible();
  });
  shift.end();
});

test('an office that looks things up', async ({ open }) => {
  const shift = new Shift('Office', await open('Tess Lindqvist', wide));
  const { page } = shift;
  await shift.task('find a finished job by a word', 2, async () => {
    // The keys come a moment after the list.
    await expect(async () => {
      await page.keyboard.press('/');
      await expect(page.getByRole('searchbox', { name: 'Find anything' })).toBeFocused({ timeout: 500 });
    }).toPass();
    await page.keyboard.type('W-1200');
    await shift.press(page.getByRole('link', { name: /^W-1200/ }).first());
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  });
  await shift.task('the work as a table', 2, async () => {
    await shift.press(page.getByRole('link', { name: 'Shift', exact: true }));
    await shift.press(shift.button('Work as a table'));
    await expect(page.getByRole('table')).toBeVisible();
  });
  await shift.task('sort it, and save it as CSV', 2, async () => {
    await shift.press(page.getByRole('columnheader', { name: /Due/ }).getByRole('button'));
    const saving = page.waitForEvent('download');
    await shift.press(shift.button(/CSV/));
    await saving;
  });
  shift.end();
});

test('somebody who reports, without an account', async ({ open, server }) => {
  const shift = new Shift('Reporter', await open(null, phone));
  const { page } = shift;
  await shift.task('open the label’s page', 0, async () => {
    await page.goto(`/r/${server.reportLabel()}`);
    await expect(page.getByLabel('What is wrong?')).toBeVisible();
  });
  await shift.task('say what is wrong and send it', 2, async () => {
    await page.getByLabel('What is wrong?').fill('It screams when it brakes');
    await shift.press(page.getByText('Not as it should'));
    await shift.press(shift.button('Send the report'));
    await expect(page.getByText('Received. Somebody will look at it.')).toBeVisible();
  });
  await shift.task('add something to it', 1, async () => {
    await page.getByLabel('Anything to add?').fill('Only when it is wet');
    await shift.press(shift.button('Send'));
    await expect(page.getByText('Only when it is wet')).toBeVisible();
  });
  await shift.task('come back to it by its own page', 0, async () => {
    await page.reload();
    await expect(page.getByText('Only when it is wet')).toBeVisible();
  });
  shift.end();
});
