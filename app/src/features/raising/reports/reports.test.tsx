import { asId, type ReportId, type WorkOrderId } from '@oilcan/core/kernel';
import type { Report } from '@oilcan/core/raising/reports';
import {
  ann,
  aProcedure,
  aReport,
  aWorkOrder,
  anAsset,
  bob,
  lea,
  minutesLater,
  put,
  reportId,
  smallWorks,
  somePlace,
  someRules,
  workId,
} from '@oilcan/core/testing';
import { peekRow } from '../../../data/store/store';
import { canPress, press, type, words } from '../../../testing/hands';
import { seen } from '../../../testing/pretend-senses';
import { visited } from '../../../testing/router';
import { OnWork, TestWorks } from '../../../testing/works';
import { AssetReports } from './asset-reports';
import { DeskReports } from './desk-reports';
import { MyReports } from './my-reports';
import { ReportScreen } from './report-screen';
import { ReportsScreen } from './reports-screen';
import { WorkReports } from './work-reports';

jest.mock('../../../data/pictures/take-picture', () => jest.requireActual<object>('../../../testing/pretend-senses'));
jest.mock('../../../data/files/use-voice', () => jest.requireActual<object>('../../../testing/pretend-senses'));

let works: TestWorks;
afterEach(() => works.close());

const report = (id: string, given: Partial<Report> = {}) => {
  const number = `P-${id}`;
  return put('reports', aReport({ id: asId<ReportId>(id), number, ...given }));
};
const open = async (rows: Parameters<typeof TestWorks.open>[0], person = ann): Promise<void> => {
  works = await TestWorks.open([...smallWorks(), put('places', somePlace), ...rows], person);
};
const stored = async (): Promise<Report | undefined> => (await works.sent()).peek('reports', reportId);

describe('one report', () => {
  const show = async (given: Partial<Report> = {}, person = lea, ...more: Parameters<typeof TestWorks.open>[0]) => {
    await open([put('reports', aReport({ by: bob.id, ...given })), ...more], person);
    await works.show(<ReportScreen reportId={reportId} />);
  };

  it('says what is wrong, how bad, where, who reported it and how to reach them', async () => {
    await show(
      { condition: 'stopped', danger: false, by: null, guest: { name: 'Eva', reach: '0664 1234' } },
      lea,
      put('places', somePlace),
    );
    for (const said of [
      'Drips oil on the floor',
      'stands still, nobody is in danger',
      'Eva, by the label',
      'Call 0664 1234',
      'Pump house',
    ])
      expect(words()).toContain(said);
  });

  it('is answered by a lead: asked back, which its reporter answers', async () => {
    await show();
    await press('Ask back');
    await type('What do you want to know', 'Which side?');
    await press('Ask');
    expect(await stored()).toMatchObject({ state: 'asked' });
    expect(words()).toContain('Lea asks');
  });

  it('is declined with a reason that is pressed', async () => {
    await show();
    await press('Decline');
    await press('Decline it');
    expect(words()).toContain('Write something first.');
    await press('It is not ours', 'radio');
    await press('Decline it');
    expect(await stored()).toMatchObject({ state: 'declined' });
    expect(canPress('Take it up as work')).toBe(false);
  });

  it('has somebody sent to look, in one press on their name', async () => {
    await show();
    await press('Send somebody to look');
    await press('Bob', 'radio');
    expect(await stored()).toMatchObject({ looking: bob.id });
    expect(words()).toContain('Bob goes and looks');
  });

  it('joins open work that is like it', async () => {
    await show({}, lea, put('workOrders', aWorkOrder({ title: 'Gearbox drips oil' })));
    await press('Join it to open work');
    await press(/Gearbox drips oil/);
    expect(await stored()).toMatchObject({ state: 'taken', workOrderId: workId });
    await press('Open the work on it');
    expect(visited.at(-1)).toBe(`/shift/${workId}`);
  });

  it('is taken up with what is likely the same', async () => {
    await show({}, lea, report('p-2', { words: 'Oil drips on the floor again' }));
    expect(words()).toContain('Likely the same');
    await press('Take up all 2 as one work order');
    expect(decodeURIComponent(visited.at(-1) ?? '')).toContain(`reports=${reportId},p-2`);
  });

  it('is seen and confirmed by a technician, who answers only where the site says so', async () => {
    await show({}, ann);
    expect(canPress('Take it up as work')).toBe(false);
    expect(words()).toContain('On this site a lead answers reports.');
    await press('I saw it: it is so');
    await type(/What you saw/, 'The seal is gone');
    await press('It is so');
    expect((await stored())?.events).toMatchObject([{ is: 'confirmed', by: ann.id, words: 'The seal is gone' }]);
    await works.close();
    await show({}, ann, put('raiseRules', someRules({ technicianTakesUp: true })));
    expect(canPress('Take it up as work')).toBe(true);
    expect(canPress('Decline')).toBe(false);
  });

  it('on a place finds its machine', async () => {
    await show({ assetId: null }, ann);
    await press('Say which machine it is');
    await type('Which machine', 'gear');
    await press(new RegExp(`^${anAsset().name}`));
    expect(await stored()).toMatchObject({ assetId: anAsset().id });
  });

  it('takes more words, and counts who has it too', async () => {
    await show({}, ann);
    await press('I have it too');
    await press('Add something');
    await type('What there is to add', 'Since the morning');
    await press('Send it');
    expect(await stored()).toMatchObject({ others: [{ personId: ann.id }], events: [{ words: 'Since the morning' }] });
  });

  it('takes words, a photo and the voice together, or the voice alone', async () => {
    await show({}, ann);
    works.server.signal = 'none';
    await press('Add something');
    await type('What there is to add', 'Listen to it');
    await press('Photo');
    await press('Voice note: press to begin');
    await press('Send it');
    // The very same so soon would be its second press.
    jest.advanceTimersByTime(400);
    await press('Add something');
    await press('Voice note: press to begin');
    await press('Send it');
    const voice = expect.objectContaining({ seconds: 7 });
    expect(peekRow('reports', reportId)?.events).toMatchObject([
      { words: 'Listen to it', photo: { fileId: seen.id } },
      { words: '', voice },
      { words: '', voice },
    ]);
  });

  it('that is not on this phone says so', async () => {
    await open([]);
    await works.show(<ReportScreen reportId="gone" />);
    expect(words()).toContain('This report is not on this phone');
  });
});

describe('all reports of my sites', () => {
  it('stand worst first, doubles together; what is worked on, closed and my own apart', async () => {
    await open([
      report('calm', { urgency: 'free', words: 'Sign is faded' }),
      report('bad', { urgency: 'now', words: 'Rope is off' }),
      report('again', { urgency: 'now', words: 'Rope is off again', by: bob.id }),
      report('taken', { state: 'taken', workOrderId: workId, words: 'Pump hums', by: bob.id }),
      report('over', { state: 'declined', endedAt: minutesLater(1), words: 'It is loud', by: bob.id }),
    ]);
    await works.show(<ReportsScreen shown="toAnswer" />);
    expect(words().indexOf('Rope is off')).toBeLessThan(words().indexOf('Sign is faded'));
    expect(words()).toContain('2 reports likely of one problem, from 2 people');
    expect(words()).not.toContain('Pump hums');
    await press('Worked on', 'radio');
    expect(words()).toContain('Pump hums');
    await press('Closed', 'radio');
    expect(words()).toContain('It is loud');
    await press('Mine', 'radio');
    expect(words()).not.toContain('Rope is off again');
  });

  it('are found by number, words and machine', async () => {
    await open([report('1', { words: 'Belt squeaks' }), report('2', { words: 'Lamp is out', assetId: null })]);
    await works.show(<ReportsScreen shown="toAnswer" />);
    await type('Find a report', 'gearbox squeaks');
    expect([words().includes('Belt squeaks'), words().includes('Lamp is out')]).toEqual([true, false]);
  });

  it('are none where none is', async () => {
    await open([]);
    await works.show(<ReportsScreen shown="mine" />);
    expect(words()).toContain('You have reported nothing in a while.');
  });
});

describe('reports stand where they are needed', () => {
  it('my own under my work, with what I am sent to look at', async () => {
    await open([report('mine', { by: ann.id, words: 'Door sticks' }), report('look', { by: bob.id, looking: ann.id })]);
    await works.show(<MyReports />);
    for (const said of ['Go and look', 'My reports', 'Door sticks', '2 to answer']) expect(words()).toContain(said);
    await press(/All reports of my sites/);
    expect(visited.at(-1)).toBe('/reports');
  });

  it('on the Desk, with how fast they are answered', async () => {
    await open(
      [
        report('1', { words: 'One' }),
        report('2', { words: 'Two', assetId: null }),
        report('3', { state: 'declined', answeredAt: minutesLater(30), endedAt: minutesLater(30) }),
      ],
      lea,
    );
    await works.show(<DeskReports />);
    expect(words()).toContain('2 wait for a first answer. Half of the 1 of the last 30 days had one within 30 min.');
  });

  it('on a machine’s page, with that it was reported standing still', async () => {
    await open([report('1', { condition: 'stopped' })]);
    await works.show(<AssetReports asset={anAsset()} />);
    expect(words()).toMatch(/Reported standing still since .*; nobody has recorded it yet\./);
  });

  it('on the work that answers them', async () => {
    const other = asId<WorkOrderId>('w-2');
    await open([
      report('1', { state: 'taken', workOrderId: workId, words: 'Mine' }),
      report('2', { state: 'taken', workOrderId: other, words: 'Not mine' }),
      put('procedures', aProcedure()),
    ]);
    await works.show(<OnWork>{(work) => <WorkReports work={work} />}</OnWork>);
    expect([words().includes('Mine'), words().includes('Not mine')]).toEqual([true, false]);
  });
});
