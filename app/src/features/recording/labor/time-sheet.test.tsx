import { currentOf } from '@oilcan/core/orders/work';
import { screen } from '@testing-library/react';
import { ann, lea, smallWorks, workId } from '@oilcan/core/testing';
import { canPress, press, type, words } from '../../../testing/hands';
import { OnWork, TestWorks } from '../../../testing/works';
import { TimeSheet } from './time-sheet';

let works: TestWorks;
const onClose = jest.fn();
beforeEach(async () => {
  onClose.mockReset();
  works = await TestWorks.open(smallWorks({ state: 'underway' }));
  // It is 13:00 in Vienna.
  await works.show(<OnWork>{(work) => <TimeSheet work={work} onClose={onClose} />}</OnWork>);
});
afterEach(() => works.close());

const labor = async () =>
  currentOf((await works.sent()).peekList('entries', 'workOrder', workId), 'labor').map(({ content }) => [
    content.startedAt,
    content.minutes,
    content.timeType,
  ]);

const isChecked = (name: string): boolean =>
  screen.getByRole('checkbox', { name }).getAttribute('aria-checked') === 'true';

describe('the Time sheet', () => {
  it('takes how long, which ends now', async () => {
    await type('How long', '1,5');
    expect(words()).toContain('11:30 to 13:00, 1 h 30');
    await press('Keep 1 h 30');
    expect([onClose.mock.calls.length, works.said?.replace(/\s/g, ' ')]).toEqual([1, '1 h 30 kept.']);
    expect(await labor()).toEqual([['2026-11-23T10:30:00.000Z', 90, 'regular']]);
  });

  it('takes from when to when, as overtime', async () => {
    await type('From', '9.15');
    await type(/^To/, '10:00');
    await press('Overtime', 'radio');
    await press('Keep 45 min');
    expect(await labor()).toEqual([['2026-11-23T08:15:00.000Z', 45, 'overtime']]);
  });

  it('gives the start from the end and how long', async () => {
    await type('How long', '30m');
    await type(/^To/, '12:00');
    await press('Keep 30 min');
    expect(await labor()).toEqual([['2026-11-23T10:30:00.000Z', 30, 'regular']]);
  });

  it.each([
    ['', '', '', 'Say how long, or from when to when.'],
    ['a while', '', '', 'Write how long as 1:30, 1.5, 90m or 1h30.'],
    ['', 'noon', '', 'Write the time as 14:20.'],
    ['', '', '25:00', 'Write the time as 14:20.'],
    ['30h', '', '', '24'],
  ])('says what is wrong with “%s”, “%s”, “%s”', async (long, from, to, sentence) => {
    await type('How long', long);
    await type(/^From/, from);
    await type(/^To/, to);
    await press(/^Keep/);
    expect(words()).toContain(sentence);
    expect([onClose.mock.calls.length, await labor()]).toEqual([0, []]);
  });
});

describe('time that a lead writes down', () => {
  const hazards = [{ id: 'rotating', hazard: 'Drive starts', control: 'Lock out' }];

  it('is of whom they choose, and asks for the hazards only where it is their own', async () => {
    await works.close();
    works = await TestWorks.open(smallWorks({ state: 'underway', hazards }), lea);
    await works.show(<OnWork>{(work) => <TimeSheet work={work} onClose={onClose} />}</OnWork>);
    await type('How long', '1h');
    expect(canPress(/^Keep/)).toBe(false);
    await press('Ann', 'checkbox');
    expect(isChecked('Me')).toBe(false);
    await press(/^Keep/);
    expect(currentOf((await works.sent()).peekList('entries', 'workOrder', workId), 'labor')).toMatchObject([
      { by: lea.id, content: { personId: ann.id, minutes: 60 } },
    ]);
  });

  it('stays theirs as well where they chose themselves', async () => {
    await works.close();
    works = await TestWorks.open(smallWorks({ state: 'underway' }), lea);
    await works.show(<OnWork>{(work) => <TimeSheet work={work} onClose={onClose} />}</OnWork>);
    await press('Ann', 'checkbox');
    await press('Me', 'checkbox');
    expect([isChecked('Me'), isChecked('Ann')]).toEqual([true, true]);
  });
});
