import { expect, test, Thumb } from './works';

const TYRE = 'Conveyor tyre 4.00-8';
const TUBE = 'Inner tube 4.00-8';

test('what is asked for without signal is handed out, or fetched from another store, and the stock is right to the piece', async ({
  open,
}) => {
  const ines = await open('Ines Okafor');
  await ines.evaluate('navigator.serviceWorker.ready');
  await ines.reload();
  await expect(ines.getByTestId('sent-mark')).toHaveText('All sent');
  await ines.context().setOffline(true);

  await test.step('a missing part is asked for with three taps', async () => {
    const thumb = new Thumb(ines);
    await thumb.tap(ines.getByRole('link', { name: /Tyre 52 loses air/ }));
    await thumb.tap(thumb.button(`Ask the store for ${TUBE}`));
    await thumb.tap(thumb.button('Ask for 1 pcs'));
    await expect(ines.getByText('Base store: asked')).toHaveCount(1);
    expect(thumb.taps).toBeLessThanOrEqual(3);
  });
  await test.step('another is found and asked for', async () => {
    await ines.getByRole('button', { name: 'Ask the store', exact: true }).tap();
    await ines.getByLabel('Which part: number or name').fill('tyre 4.00');
    await ines.getByRole('button', { name: new RegExp(TYRE) }).tap();
    await ines.getByRole('button', { name: 'Ask for 1 pcs' }).tap();
    await expect(ines.getByText('Base store: asked')).toHaveCount(2);
  });
  await ines.context().setOffline(false);
  await expect(ines.getByTestId('sent-mark')).toHaveText('All sent');

  const arun = await open('Arun Petros');
  await arun.getByRole('link', { name: 'Stores' }).first().tap();
  await arun.getByRole('link', { name: /Asked of the store/ }).tap();
  await test.step('a request is handed out whole with two taps', async () => {
    const thumb = new Thumb(arun);
    await thumb.tap(thumb.button(`Hand out 1 pcs ${TYRE}`));
    await thumb.tap(thumb.button('Hand out 1 pcs'));
    await expect(thumb.button(`Hand out 1 pcs ${TYRE}`)).toHaveCount(0);
    expect(thumb.taps).toBeLessThanOrEqual(2);
  });
  await test.step('the other is not here: mid station has it, sends it, and it is handed out when it came', async () => {
    await arun.getByRole('button', { name: `Hand out 1 pcs ${TUBE}` }).tap();
    await arun.getByRole('button', { name: /^More: what else can be done/ }).tap();
    await arun.getByRole('button', { name: 'Have it sent by another store' }).tap();
    await expect(arun.getByRole('radio', { name: 'Mid station store: 7 pcs' })).toBeChecked();
    await arun.getByRole('button', { name: 'Ask for it' }).tap();
    await arun.getByRole('button', { name: `Send ${TUBE}` }).tap();
    await arun.getByRole('button', { name: 'It is on its way' }).tap();
    await expect(arun.getByText('1 pcs on the way from Mid station store')).toBeVisible();
    await arun.getByRole('button', { name: `It is here: ${TUBE}` }).tap();
    await arun.getByRole('button', { name: 'Put it into the bin' }).tap();
    await arun.getByRole('button', { name: `Hand out 1 pcs ${TUBE}` }).tap();
    await arun.getByRole('button', { name: 'Hand out 1 pcs', exact: true }).tap();
  });

  await test.step('the job has both, and is finished', async () => {
    await expect(ines.getByText('Base store: handed out')).toHaveCount(2);
    await ines.getByRole('button', { name: /I have read/ }).tap();
    await ines.getByRole('button', { name: 'Start my clock' }).tap();
    for (const good of await ines.getByRole('radio', { name: 'Good' }).all()) await good.tap();
    for (const box of await ines.getByRole('main').getByRole('checkbox').all()) await box.tap();
    await ines.getByRole('button', { name: 'Finish', exact: true }).tap();
    await ines.getByRole('button', { name: 'Yes, it is done' }).tap();
    await expect(ines.getByTestId('sent-mark')).toHaveText('All sent');
  });
  await test.step('the books are right to the piece', async () => {
    for (const [id, bins] of [
      [
        'part-tube-4.00-8',
        [
          ['Base store, bin G-07', '0 pcs'],
          ['Mid station store, bin ', '6 pcs'],
        ],
      ],
      ['part-tyre-4.00-8', [['Base store, bin G-05', '3 pcs']]],
    ] as const) {
      await arun.goto(`/stores/part/${id}`);
      for (const [bin, amount] of bins)
        await expect(arun.getByText(new RegExp(`^${bin}`)).locator('xpath=ancestor::*[3]')).toContainText(amount);
    }
  });
});
