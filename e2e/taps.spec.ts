import { expect, test, Thumb } from './works';

// Everything here has signal: no service worker needs to fetch the whole application for it.
test.use({ serviceWorkers: 'block' });

// The most taps that each task may take; typing and scrolling are free.
test('every task takes few taps', async ({ open }) => {
  const page = await open('Ines Okafor');
  const thumb = new Thumb(page);
  const within = async (most: number, task: () => Promise<void>): Promise<void> => {
    const before = thumb.taps;
    await task();
    expect(thumb.taps - before).toBeLessThanOrEqual(most);
  };

  await test.step('start the first job, hazards included', () =>
    within(3, async () => {
      await thumb.tap(page.getByRole('link', { name: /W-\d+/ }).first());
      await thumb.tap(thumb.button(/I have read the \d hazards/));
      await thumb.tap(thumb.button('Start my clock'));
      await expect(thumb.button('Stop my clock')).toBeVisible();
    }));
  await test.step('tick a step', () =>
    within(1, async () => {
      await thumb.tap(page.getByRole('checkbox').first());
      await expect(page.getByRole('checkbox').first()).toBeChecked();
    }));
  await test.step('finding: good, or faulty and put right', async () => {
    const [good, faulty] = [page.getByRole('radio', { name: 'Good' }), page.getByRole('radio', { name: 'Faulty' })];
    await within(1, async () => {
      await thumb.tap(good.first());
      await expect(good.first()).toBeChecked();
    });
    await within(2, async () => {
      await thumb.tap(faulty.first());
      await thumb.tap(page.getByRole('checkbox', { name: 'Put right' }));
      await expect(page.getByRole('checkbox', { name: 'Put right' })).toBeChecked();
    });
  });
  await test.step('type 1 h 30 of labor', () =>
    within(3, async () => {
      await thumb.tap(thumb.button('Time'));
      await page.keyboard.type('1:30');
      await thumb.tap(thumb.button('Keep 1 h 30'));
      await expect(page.getByRole('button', { name: /1 h 30 of work/ })).toBeVisible();
    }));
  await test.step('planned part used, as planned, where one with a number sits: what comes out is asked', () =>
    within(4, async () => {
      await thumb.tap(thumb.button('Part'));
      await thumb.tap(thumb.button(/^Use 1 pcs Shaft seal/));
      await thumb.tap(page.getByRole('radio', { name: 'Nothing' }));
      await thumb.tap(thumb.button('Use 1 pcs'));
      await expect(
        page.getByRole('button', { name: /1 pcs Shaft seal.*On this phone|1 pcs Shaft seal.*Ines/ }),
      ).toBeVisible();
    }));
  // It stays open for the next part.
  await thumb.tap(thumb.button('That is all'));
  await test.step('fault, one of this machine’s usual ones', () =>
    within(3, async () => {
      await thumb.tap(thumb.button('Fault'));
      await thumb.tap(page.getByRole('group', { name: 'Usual here' }).getByRole('button').first());
      await thumb.tap(thumb.button('Keep the fault'));
      await expect(page.getByText('Fault kept.')).toBeVisible();
    }));
  await test.step('stoppage that ended now', () =>
    within(3, async () => {
      await thumb.tap(thumb.button('Stoppage'));
      await thumb.tap(thumb.button('It runs again'));
      await expect(page.getByText(/runs again\.$/).first()).toBeVisible();
    }));
  await test.step('another stoppage, until now', () =>
    within(3, async () => {
      await thumb.tap(thumb.button('Stoppage'));
      await thumb.tap(page.getByRole('radio', { name: 'Until now' }));
      await thumb.tap(thumb.button('Keep the stoppage'));
      await expect(page.getByText('Stoppage kept.')).toBeVisible();
    }));
  await test.step('reading, in limits', async () => {
    await thumb.tap(thumb.button('Reading'));
    const opened = thumb.taps;
    // The keypad takes the place of typing.
    for (const key of ['1', '1', '8']) await thumb.button(key).tap();
    await thumb.tap(thumb.button(/^Keep 118/));
    expect(thumb.taps - opened + 1).toBeLessThanOrEqual(2);
  });
  await test.step('part back', () =>
    within(3, async () => {
      await thumb.tap(thumb.button('Part'));
      await thumb.tap(thumb.button(/^Put 1 pcs Shaft seal .* back$/));
      await expect(page.getByText(/put back\.$/).first()).toBeVisible();
    }));
  await thumb.tap(thumb.button('That is all'));
  await test.step('a part that the job needs, scanned and planned', () =>
    within(3, async () => {
      await thumb.tap(thumb.button('Part'));
      await thumb.tap(thumb.button('Scan a part'));
      // What the camera would read.
      await page.getByLabel('Or type the code').fill('LINING-SB40');
      await page.keyboard.press('Enter');
      await thumb.tap(thumb.button('Only plan it for this job'));
      await expect(page.getByText(/^W-\d+ needs /).first()).toBeVisible();
    }));
  await thumb.tap(thumb.button('That is all'));
  await test.step('two entries in one line', () =>
    within(1, async () => {
      await thumb.tapInDock('Write in one line');
      await page.keyboard.type('15m; note grease was black');
      await page.keyboard.press('Enter');
      await expect(page.getByText('2 entries kept.')).toBeVisible();
    }));
  await test.step('voice note, held', () =>
    within(2, async () => {
      await thumb.tap(thumb.button('Note'));
      const voice = await thumb.button(/^Voice note/).boundingBox();
      await page.mouse.move((voice?.x ?? 0) + 20, (voice?.y ?? 0) + 20);
      await page.mouse.down();
      await expect(thumb.button('Stop the voice note')).toHaveText(/Stop 0:0[1-9]/);
      await page.mouse.up();
      thumb.taps += 1;
      await expect(page.getByText('Voice note kept.')).toBeVisible();
    }));
  await test.step('stop my clock', () =>
    within(1, async () => {
      await thumb.tap(thumb.button('Stop my clock'));
      await expect(thumb.button('Start my clock')).toBeVisible();
    }));
  await test.step('finish, nothing owed', async () => {
    const open = page.getByRole('checkbox', { checked: false });
    for (let left = await open.count(); left > 0; left -= 1) {
      await open.first().tap();
      await expect(open).toHaveCount(left - 1);
    }
    await page.getByRole('radiogroup', { name: 'Dry after the run' }).getByRole('radio', { name: 'Good' }).tap();
    await thumb.button('Type Oil level in mm').tap();
    for (const key of ['1', '2', '1']) await thumb.button(key).tap();
    await thumb.button('Keep 121 mm').tap();
    // The fault was kept before its cause was known: that is owed at the end.
    await thumb.button(/^Cause and work of the fault/).tap();
    await page.getByRole('radio', { name: 'Replaced' }).tap();
    await page.getByRole('radio', { name: 'Expected wear and tear' }).tap();
    await thumb.button('Amend the fault').tap();
    await within(2, async () => {
      await thumb.tap(thumb.button('Finish'));
      // “Yes, it is done” is the second; the day of the work, where it is another than today, a third.
      await expect(thumb.button('Yes, it is done')).toBeVisible();
      thumb.taps += 1;
    });
    await within(2, async () => {
      await thumb.tap(page.getByRole('radio', { name: 'yesterday' }));
      await thumb.tap(thumb.button('Yes, it is done'));
    });
    await expect(page.getByText(/Finished by Ines/)).toBeVisible();
  });
  await test.step('another urgency', async () => {
    await page.goto('/');
    await within(3, async () => {
      await thumb.tap(page.getByRole('link', { name: /Service brake lining/ }));
      await thumb.tap(thumb.button(/change how urgent it is/));
      await thumb.tap(thumb.button('Urgency: This week'));
      await expect(page.getByText(/: This week\.$/)).toBeVisible();
    });
  });
  await test.step('put off to tomorrow', async () => {
    await page.goto('/');
    await within(3, async () => {
      await thumb.tap(page.getByRole('link', { name: /Service brake lining/ }));
      await thumb.tap(thumb.button(/^Change dates/));
      await thumb.tap(thumb.button('Put off to tomorrow'));
      await expect(page.getByText(/comes back tomorrow\.$/)).toBeVisible();
    });
  });
  await test.step('find a finished job by its number', async () => {
    await page.goto('/shift');
    await within(2, async () => {
      await thumb.tap(page.getByRole('searchbox', { name: 'Find anything' }));
      await page.keyboard.type('W-1200');
      await thumb.tap(page.getByRole('link', { name: /^W-1200/ }));
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    });
  });
  await test.step('next stop of a round', async () => {
    await page.goto('/');
    await page.getByRole('searchbox', { name: 'Find anything' }).fill('Daily round');
    await page.getByRole('link', { name: /Daily round, Lark/ }).tap();
    await within(1, async () => {
      await thumb.tap(thumb.button('Next: 2, Lark cabins'));
      await expect(page.getByText(/^Stop 2 of 14/)).toBeVisible();
    });
  });
});
