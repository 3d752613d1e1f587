import { expect, phone, test, wide } from './works';

test('a job goes from the phone to the database and back, and somebody else sees it', async ({ open, server }) => {
  const ines = await open('Ines Okafor', phone);
  const tess = await open('Tess Lindqvist', wide);
  await tess.getByRole('link', { name: 'Stores' }).click();
  await tess.getByLabel('Find a part').fill('LINING-SB40');
  const bin = tess.getByTestId('part-LINING-SB40');
  const onHand = bin.getByText(/^\d+ pcs$/).first();
  const before = Number.parseInt((await onHand.textContent()) ?? '', 10);
  await tess.getByRole('link', { name: 'Desk' }).click();

  await ines.getByText('Service brake lining below 5 mm').tap();
  await ines.getByRole('button', { name: 'I have read the 2 hazards' }).tap();
  await ines.getByRole('button', { name: 'Start my clock' }).tap();
  await expect(ines.getByText(/Underway/).first()).toBeVisible();

  for (const tick of ['Rope on the stop', 'Take off both guards', 'Change all four linings', 'Air gap 0.8 mm']) {
    await ines.getByRole('checkbox', { name: tick }).tap();
  }
  await ines.getByRole('radiogroup', { name: 'Disc surface' }).getByRole('radio', { name: 'Good' }).tap();
  await ines.getByRole('radiogroup', { name: 'Three test stops' }).getByRole('radio', { name: 'Good' }).tap();
  await ines.getByRole('button', { name: 'Type Lining thickness in mm' }).tap();
  for (const key of ['1', '1', 'Decimal point', '8'])
    await ines.getByRole('dialog').getByRole('button', { name: key, exact: true }).tap();
  // New linings are far off what was read last: that is asked about once.
  await ines.getByRole('button', { name: 'Keep 11.8 mm' }).tap();
  await expect(ines.getByText(/^11\.8 mm\? The last \d+ were /)).toBeVisible();
  await ines.getByRole('button', { name: 'Keep 11.8 mm' }).tap();

  await ines.getByRole('button', { name: 'Part', exact: true }).tap();
  await ines.getByRole('button', { name: 'Use 4 pcs Brake lining SB40' }).tap();
  await ines.getByRole('button', { name: 'That is all' }).tap();
  await ines.getByRole('button', { name: 'Time', exact: true }).tap();
  await ines.getByLabel('How long').fill('1,5');
  await ines.getByRole('button', { name: 'Keep 1 h 30' }).tap();
  await ines.getByRole('button', { name: 'Note', exact: true }).tap();
  await ines.getByLabel('For the next person').fill('Upper pin was stiff, greased.');
  await ines.getByRole('button', { name: 'Keep the note' }).tap();
  await expect(ines.getByText(/^Nothing is missing/)).toBeVisible();
  await ines.getByRole('button', { name: 'Finish', exact: true }).tap();
  await ines.getByRole('button', { name: 'Yes, it is done' }).tap();

  const row = tess.getByRole('link', { name: /Service brake lining below 5 mm/ });
  await expect(row).toContainText('Ines Okafor');
  await expect(row).toContainText('1 h 31');
  await row.click();
  await expect(tess.getByRole('button', { name: /Lining thickness 11.8 mm/ })).toBeVisible();
  await expect(tess.getByRole('button', { name: /4 pcs Brake lining SB40/ })).toBeVisible();
  await tess.getByRole('link', { name: 'Stores' }).click();
  await tess.getByLabel('Find a part').fill('LINING-SB40');
  await expect(onHand).toHaveText(`${before - 4} pcs`);

  await server.stop();
  await server.start();
  await tess.goto('/desk');
  await expect(row).toContainText('1 h 31');
  await row.click();
  await expect(tess.getByRole('button', { name: /Upper pin was stiff, greased/ })).toBeVisible();
  await tess.getByRole('button', { name: 'Accept', exact: true }).first().click();
  await expect(row).toHaveCount(0);
  await ines.reload();
  await expect(ines.getByText(/Accepted/).first()).toBeVisible();
});

test('the last of a bin, taken by two without signal, is recorded of both, and the store is told to count', async ({
  open,
}) => {
  const [ines, jonas] = [await open('Ines Okafor'), await open('Jonas Reith')];
  for (const page of [ines, jonas]) {
    await page.getByText('Knock at tower 5 with every grip').tap();
    await page.getByRole('button', { name: /I have read/ }).tap();
    await page.getByRole('button', { name: 'Start my clock' }).tap();
  }
  await expect(jonas.getByTestId('sent-mark')).toHaveText('All sent');
  await ines.context().setOffline(true);
  await ines.getByRole('button', { name: 'Part', exact: true }).tap();
  await ines.getByRole('button', { name: /^Other amount of Sheave liner/ }).tap();
  const onHand = Number(
    /Base store [A-Z]-\d+: (\d+)/.exec(
      (await ines.getByRole('radio', { name: /Base store/ }).textContent()) ?? '',
    )?.[1],
  );
  await ines.getByLabel('Amount in pcs').fill(String(onHand));
  await ines.getByRole('button', { name: `Use ${onHand} pcs` }).tap();
  await ines.getByRole('button', { name: 'That is all' }).tap();
  await expect(ines.getByTestId('sent-mark')).toHaveText('1 on this phone');

  await jonas.getByRole('button', { name: 'Part', exact: true }).tap();
  await jonas.getByRole('button', { name: /^Use 2 pcs Sheave liner/ }).tap();
  await jonas.getByRole('button', { name: 'That is all' }).tap();
  await expect(jonas.getByRole('button', { name: /2 pcs Sheave liner.*Jonas/ })).toBeVisible();
  await expect(jonas.getByTestId('sent-mark')).toHaveText('All sent');
  await ines.context().setOffline(false);
  await expect(ines.getByTestId('sent-mark')).toHaveText('All sent');
  await expect(ines.getByText(/the bin stands at -2 pcs: count it/)).toBeVisible();
  const arun = await open('Arun Petros');
  await arun.getByRole('link', { name: /notice/i }).tap();
  await expect(arun.getByText(/Count a bin: .* stands at -2 pcs by the books/)).toBeVisible();
});

test('an entry is amended or taken back, and both stay readable', async ({ open }) => {
  const mira = await open('Mira Castell');
  await mira.getByText('Snow gun 14: valve sticks open').tap();
  await mira.getByRole('button', { name: /I have read/ }).tap();
  await mira.getByRole('button', { name: 'Time', exact: true }).tap();
  await mira.getByLabel('How long').fill('2h');
  await mira.getByRole('button', { name: 'Keep 2 h' }).tap();
  await mira.getByRole('button', { name: /2 h of work/ }).tap();
  await mira.getByRole('button', { name: 'Amend' }).tap();
  await mira.getByLabel('How long').fill('1:15');
  await mira.getByRole('button', { name: 'Amend the time' }).tap();
  await expect(mira.getByRole('button', { name: /1 h 15 of work.*Amendment/ })).toBeVisible();
  await mira.getByRole('button', { name: /1 h 15 of work/ }).tap();
  await mira.getByLabel('Why it should not be there').fill('was another job');
  await mira.getByRole('button', { name: 'Take it back' }).tap();
  await expect(mira.getByRole('button', { name: /Taken back.*was another job/ })).toBeVisible();
  await expect(mira.getByRole('button', { name: /2 h of work.*Amended/ })).toBeVisible();
});

test('the dipstick leads to each part of a job and names the one in sight, whatever came in above it', async ({
  open,
}) => {
  const ines = await open('Ines Okafor', phone);
  await ines.getByText('Gearbox output seal weeping oil').tap();
  // The past, the documents and the contacts come in above Work a moment after it was drawn.
  await expect(ines.getByText(/^Usually 3/)).toBeVisible();
  const scroller = ines.getByTestId('sheet-scroll');
  const notch = (part: string) => ines.getByRole('button', { name: `Go to ${part}`, exact: true });
  await expect(notch('Prepare')).toHaveAttribute('aria-current', 'true');
  for (const part of ['Work', 'Wrap up', 'Work']) {
    await notch(part).tap();
    await expect(notch(part)).toHaveAttribute('aria-current', 'true');
    const heading = ines.getByRole('heading', { name: part, exact: true });
    await expect(heading).toBeInViewport();
  }
  const [frame, heading] = [
    await scroller.boundingBox(),
    await ines.getByRole('heading', { name: 'Work' }).boundingBox(),
  ];
  expect(Math.abs((heading?.y ?? 0) - (frame?.y ?? 0))).toBeLessThan(60);

  await ines.getByRole('button', { name: /I have read/ }).tap();
  await ines.getByRole('button', { name: 'Start my clock' }).tap();
  await ines.getByRole('button', { name: 'Fit seal, lip towards the oil' }).tap();
  const step = ines.getByRole('checkbox', { name: 'Fit seal, lip towards the oil' });
  await expect(step).toBeInViewport();
  await expect(step).toBeFocused();

  await notch('Prepare').tap();
  await expect(ines.getByRole('heading', { name: 'Gearbox output seal weeping oil' })).toBeInViewport();
});
