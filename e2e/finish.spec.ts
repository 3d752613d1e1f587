import { execFileSync } from 'node:child_process';
import { expect, phone, test, wide } from './works';

test('a job is given, left for the next shift, finished with what it leaves, signed for, handed back, mended, accepted and exported', async ({
  open,
}) => {
  const title = 'Knock at tower 5 with every grip';
  const tess = await open('Tess Lindqvist', wide);
  await tess.getByText(title).first().click();
  await tess.getByRole('button', { name: 'More: this job' }).click();
  await tess.getByRole('button', { name: 'Give it to …' }).click();
  for (const name of ['Ines Okafor', 'Jonas Reith']) await tess.getByRole('checkbox', { name, exact: true }).check();
  await tess.getByRole('button', { name: 'Give it', exact: true }).click();
  await expect(tess.getByTestId('sent-mark')).toHaveText('All sent');

  const [ines, jonas] = [await open('Ines Okafor', phone), await open('Jonas Reith', phone)];
  await ines.getByText(title).tap();
  await ines.getByRole('button', { name: /I have read/ }).tap();
  await ines.getByRole('button', { name: 'Start my clock' }).tap();
  await ines.getByRole('button', { name: 'Put on hold', exact: true }).tap();
  await ines.getByRole('radio', { name: 'The next shift goes on' }).tap();
  await ines
    .getByLabel('How far it is, and what comes next')
    .fill('Train is lifted, assembly 3 is the one that knocks');
  await ines.getByRole('button', { name: 'Leave it to the next shift' }).tap();
  await expect(ines.getByTestId('sent-mark')).toHaveText('All sent');

  await jonas.getByText(title).tap();
  await expect(jonas.getByRole('note')).toContainText('assembly 3 is the one that knocks');
  await jonas.getByRole('button', { name: /I have read/ }).tap();
  await jonas.context().setOffline(true);
  await jonas.getByRole('button', { name: 'Start my clock' }).tap();
  for (const box of await jonas.getByRole('checkbox').all()) await box.tap();
  for (const group of await jonas.getByRole('radiogroup').all()) {
    const faulty = group.getByRole('radio', { name: 'Faulty' });
    if ((await faulty.count()) > 0) await faulty.first().tap();
  }
  for (const open of await jonas.getByRole('button', { name: /^Type / }).all()) {
    await open.tap();
    await jonas.getByRole('dialog').getByRole('button', { name: '4', exact: true }).tap();
    const keep = jonas.getByRole('dialog').getByRole('button', { name: /^Keep/ });
    await keep.tap();
    if (await jonas.getByRole('dialog').isVisible()) await keep.tap();
  }

  await jonas.getByRole('button', { name: 'Back in service', exact: true }).tap();
  await jonas.getByLabel('Who takes it').fill('Lukas, control room');
  await jonas.getByRole('button', { name: 'It is back in service' }).tap();
  await expect(jonas.getByText(/^Nothing was drawn/)).toBeVisible();
  const field = await jonas.getByRole('img', { name: 'Field to sign in' }).boundingBox();
  if (field === null) throw new Error('There is no field to sign in.');
  await jonas.mouse.move(field.x + 40, field.y + 40);
  await jonas.mouse.down();
  await jonas.mouse.move(field.x + 160, field.y + 80, { steps: 5 });
  await jonas.mouse.up();
  await jonas.getByRole('button', { name: 'It is back in service' }).tap();
  await expect(jonas.getByText('The record is as it was signed.')).toBeVisible();

  await jonas.getByRole('button', { name: 'Finish', exact: true }).tap();
  await jonas.getByLabel(/^What was done/).fill('Sheave 3 swapped, train runs quiet');
  await expect(jonas.getByText(/left: raised as 1 work order/)).toBeVisible();
  await jonas.getByRole('button', { name: 'Yes, it is done' }).tap();
  await jonas.context().setOffline(false);
  await expect(jonas.getByTestId('sent-mark')).toHaveText('All sent', { timeout: 30_000 });
  await expect(jonas.getByRole('link', { name: /^Led to W-/ })).toBeVisible();

  await tess.getByRole('link', { name: 'Desk', exact: true }).click();
  // Not the link to the same job among what is under way, further down.
  const row = tess.getByTestId(/^desk-W-/).filter({ hasText: title });
  await row.click();
  await expect(tess.getByText('Sheave 3 swapped, train runs quiet').first()).toBeVisible();
  await tess.keyboard.press('h');
  await tess.getByLabel('What is missing').fill('Which play does sheave 4 have?');
  await tess.getByRole('button', { name: 'Hand it back' }).click();

  await expect(jonas.getByText('Handed back: Which play does sheave 4 have?')).toBeVisible();
  await jonas.getByRole('button', { name: 'Note', exact: true }).tap();
  await jonas.getByLabel('For the next person').fill('Sheave 4 has no play.');
  await jonas.getByRole('button', { name: 'Keep the note' }).tap();
  await jonas.getByRole('button', { name: 'Finish', exact: true }).tap();
  await jonas.getByRole('button', { name: 'Yes, it is done' }).tap();

  await row.click();
  await expect(tess.getByText('Sheave 4 has no play.').first()).toBeVisible();
  await expect(tess.getByText(/^Since it was signed: \d entries added/)).toBeVisible();
  await tess.getByRole('button', { name: 'More: this job' }).click();
  await tess.getByRole('button', { name: 'Paper', exact: true }).click();
  const [paper] = await Promise.all([
    tess.waitForEvent('download'),
    tess.getByRole('button', { name: 'Record as PDF' }).click(),
  ]);
  const text = execFileSync('pdftotext', ['-layout', await paper.path(), '-'], { encoding: 'utf8' });
  for (const part of [title, 'Sheave 4 has no play.', 'Lukas, control room', 'Since it was signed:', 'Own time'])
    expect(text).toContain(part);
  await tess.keyboard.press('Escape');
  await tess.keyboard.press('a');
  await expect(row).toHaveCount(0);
  await expect(tess.getByTestId('sent-mark')).toHaveText('All sent');
});

test('planned work is taken along, says when it is due next, and comes round again by itself, once', async ({
  open,
  server,
}) => {
  const ines = await open('Ines Okafor', phone);
  await ines.getByText('Gearbox output seal weeping oil').tap();
  await ines
    .getByRole('group', { name: 'Due soon on this machine' })
    .getByRole('button', { name: /^Do it too/ })
    .first()
    .tap();
  await expect(ines.getByText(/^W-\S+ is on your list\.$/).first()).toBeVisible();
  await expect(ines.getByTestId('sent-mark')).toHaveText('All sent');
  await ines.goto('/');
  const planned = ines.getByRole('link', { name: /Weekly station inspection, Lark/ });
  await planned.first().tap();
  await ines.getByRole('button', { name: /I have read/ }).tap();
  await ines.getByRole('button', { name: 'Start my clock' }).tap();
  for (const good of await ines.getByRole('radio', { name: 'Good' }).all()) await good.tap();
  for (const box of await ines.getByRole('checkbox').all()) await box.tap();
  await ines.getByRole('button', { name: 'Finish', exact: true }).tap();
  await expect(ines.getByText(/^Done today, it is due again /)).toBeVisible();
  await ines.getByRole('button', { name: 'Yes, it is done' }).tap();
  await expect(ines.getByText(/^Next: /)).toBeVisible();
  await expect(ines.getByTestId('sent-mark')).toHaveText('All sent');

  // Its next work order appears as early as the plan says: two days before; here as soon as the server looks again.
  await server.stop();
  server.letPlansComeEarly();
  await server.start();
  await ines.goto('/');
  await expect(planned.filter({ hasText: '0 of' })).toHaveCount(1);
  await server.stop();
  await server.start();
  await ines.goto('/');
  await expect(ines.getByTestId('sent-mark')).toHaveText('All sent');
  await expect(planned.filter({ hasText: '0 of' })).toHaveCount(1);
});
