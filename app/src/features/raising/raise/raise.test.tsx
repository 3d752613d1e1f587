import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { addMinutes, asId, type AssetId, type WorkOrderId } from '@oilcan/core/kernel';
import {
  ann,
  aHazardRegister,
  anAsset,
  aProcedure,
  aReport,
  aWorkOrder,
  assetId,
  bob,
  lea,
  minutesLater,
  noon,
  put,
  smallWorks,
  somePlace,
  someRules,
  workId,
} from '@oilcan/core/testing';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { useNotice } from '../../../ui/state/use-notice';
import { peekAll, peekRow, peekRows } from '../../../data/store/store';
import { canPress, press, pressTwice, type, words } from '../../../testing/hands';
import { seen } from '../../../testing/pretend-senses';
import { visited } from '../../../testing/router';
import { passTime, TestWorks } from '../../../testing/works';
import { PlanScreen } from './plan-screen';
import { RaisePage } from '../../frame/raise-page/raise-page';

jest.mock('../../../data/pictures/take-picture', () => jest.requireActual<object>('../../../testing/pretend-senses'));
jest.mock('../../../data/files/use-voice', () => jest.requireActual<object>('../../../testing/pretend-senses'));

let works: TestWorks;
afterEach(() => works.close());

const hazards = [{ id: 'rope', hazard: 'Rope moves', control: 'Lock it out' }];
const rows = [
  ...smallWorks({ title: 'Output seal weeps oil' }),
  put('places', somePlace),
  put(
    'procedures',
    aProcedure({
      title: 'Change the output seal',
      equipmentClasses: [anAsset().equipmentClass],
    }),
  ),
  put('hazardRegister', aHazardRegister({ hazards })),
];
const pressReport = async (): Promise<void> => {
  await press('Report it', 'radio');
  await press('Report it');
};
const raise = async (more: Parameters<typeof TestWorks.open>[0] = [], person = ann): Promise<void> => {
  works = await TestWorks.open([...rows, ...more], person);
  await works.show(<RaisePage assetId={assetId} placeId={undefined} />);
};

describe('raising something on a machine', () => {
  it('reports it, numbered at once, with how bad it is', async () => {
    await raise();
    await type('What is it', 'It squeaks at the start');
    await press('It stands still', 'radio');
    await press('Yes', 'radio');
    await pressReport();
    const [report] = (await works.sent()).peekList('reports', 'asset', assetId);
    expect(report).toMatchObject({
      words: 'It squeaks at the start',
      condition: 'stopped',
      danger: true,
      urgency: 'now',
    });
    expect(works.said).toContain(report?.number);
  });

  it('shows what is known already while it is typed; one press joins it', async () => {
    await raise([put('reports', aReport({ by: bob.id }))]);
    expect(words()).toContain('Output seal weeps oil');
    await type('What is it', 'drips oi');
    expect(words()).toContain('Drips oil on the floor');
    await press(/^That’s it, me too/);
    const records = await works.sent();
    const counted = records
      .peekList('reports', 'asset', assetId)
      .filter((report) => report.by === ann.id || report.others.some(({ personId }) => personId === ann.id));
    expect(counted).toHaveLength(1);
    expect(works.said).toBe('Counted. You hear what becomes of it.');
  });

  it('begins work at once: its hazards are shown, read by the press, and the clock runs', async () => {
    await raise();
    expect(words()).toContain('Rope moves: Lock it out');
    await type('What is it', 'Guard is loose');
    await press('Hazards read: do it now');
    const records = await works.sent();
    const id = visited.at(-1)?.split('/').at(-1) ?? '';
    expect(records.peek('workOrders', id)).toMatchObject({
      title: 'Guard is loose',
      state: 'underway',
      personIds: [ann.id],
      hazards,
    });
    expect(records.peek('clocks', ann.id)?.workOrderId).toBe(id);
  });

  it('is called by the beginning of many words, and tells all of them', async () => {
    await raise();
    const many = 'It squeaks when it starts. '.repeat(12).trim();
    await type('What is it', many);
    await press('Hazards read: do it now');
    const id = visited.at(-1)?.split('/').at(-1) ?? '';
    const work = (await works.sent()).peek('workOrders', id);
    expect([work?.title, work?.reason.includes(many)]).toEqual([many.slice(0, 200), true]);
  });

  it('offers the procedure that fits, whose steps go along', async () => {
    await raise();
    await type('What is it', 'output seal change');
    await press(/Do it by “Change the output seal”/, 'checkbox');
    await press('Hazards read: do it now');
    const id = visited.at(-1)?.split('/').at(-1) ?? '';
    expect((await works.sent()).peekList('steps', 'workOrder', id)).toHaveLength(aProcedure().steps.length);
  });

  it('is kept and waits where the site wants a go-ahead; the sheet says so', async () => {
    const goAhead = { kinds: ['corrective'], aboveMinor: null, minorPerHour: 0 } as const;
    await raise([put('raiseRules', someRules({ goAhead }))]);
    await type('What is it', 'Guard is loose');
    await press('Hazards read: do it now');
    const id = asId<WorkOrderId>(visited.at(-1)?.split('/').at(-1) ?? '');
    const records = await works.sent();
    expect(records.peek('workOrders', id)).toMatchObject({ state: 'ready', goAhead: { givenBy: null } });
    expect(records.peek('clocks', ann.id)).toBeUndefined();
  });

  it.each(['Report it', 'Hazards read: do it now'])('is raised once however often “%s” is pressed', async (key) => {
    await raise();
    await type('What is it', 'It squeaks');
    if (key === 'Report it') await press(key, 'radio');
    await pressTwice(key);
    const records = await works.sent();
    const raised = [
      ...records.peekList('reports', 'asset', assetId).map((report) => report.words),
      ...records.peekList('workOrders', 'asset', assetId).map(({ title }) => title),
    ];
    expect(raised.filter((said) => said === 'It squeaks')).toHaveLength(1);
  });

  it('asks nothing that the lead does not want to be asked', async () => {
    await raise([put('raiseRules', someRules({ asked: { ...someRules().asked, problem: {} } }))]);
    for (const question of ['Does it run?', 'Is somebody in danger?', 'Photo']) expect(words()).not.toContain(question);
  });

  it('takes a photo and the voice along, reported or done at once, also without signal', async () => {
    await raise();
    works.server.signal = 'none';
    await press('Photo');
    await press('Voice note: press to begin');
    await pressReport();
    const [report] = peekRows('reports', 'asset', assetId);
    expect(report).toMatchObject({
      words: 'Spoken: listen to the voice note',
      photo: { fileId: seen.id },
      events: [{ is: 'said', voice: { seconds: 7 } }],
    });

    await works.show(<RaisePage assetId={assetId} placeId={undefined} />);
    await type('What is it', 'Guard is loose');
    await press('It stands still', 'radio');
    await press('Photo');
    await press('Voice note: press to begin');
    await press('Hazards read: do it now');
    const id = visited.at(-1)?.split('/').at(-1) ?? '';
    const entries = peekRows('entries', 'workOrder', asId<WorkOrderId>(id)).map(({ content }) => content);
    expect(entries).toContainEqual(expect.objectContaining({ kind: 'photo', fileId: seen.id, taken: 'before' }));
    expect(entries).toContainEqual(expect.objectContaining({ kind: 'voice', seconds: 7 }));
    expect(entries).toContainEqual(expect.objectContaining({ kind: 'stoppage', extent: 'full', to: null }));
    expect(peekRow('assets', assetId)?.condition).toBe('stopped');
  });

  it('takes further photos along, each of which can be left out, and keeps them all', async () => {
    await raise();
    works.server.signal = 'none';
    await type('What is it', 'It squeaks');
    await press('Photo');
    await press('Another photo');
    await press('Another photo');
    await press('Leave photo 2 out');
    await pressReport();
    const [report] = peekRows('reports', 'asset', assetId);
    expect(report).toMatchObject({ photo: { fileId: seen.id }, events: [{ is: 'said', photo: { fileId: seen.id } }] });
    expect(report?.events).toHaveLength(1);
  });

  it('leaves out what was said after all', async () => {
    await raise();
    works.server.signal = 'none';
    await type('What is it', 'It squeaks');
    await press('Voice note: press to begin');
    await press('Photo');
    await press('Leave the voice note out');
    await press('Leave the photo out');
    await pressReport();
    expect(peekRows('reports', 'asset', assetId)).toMatchObject([{ words: 'It squeaks', photo: null, events: [] }]);
  });

  it('begins at once what endangers somebody, whatever the site wants to be asked', async () => {
    const goAhead = { kinds: ['corrective'], aboveMinor: null, minorPerHour: 0 } as const;
    await raise([put('raiseRules', someRules({ goAhead }))]);
    await type('What is it', 'Guard is loose');
    await press('Yes', 'radio');
    await press('Hazards read: do it now');
    const id = visited.at(-1)?.split('/').at(-1) ?? '';
    expect((await works.sent()).peek('workOrders', id)).toMatchObject({ state: 'underway', urgency: 'now' });
  });

  it('says why what it raised did not begin, and leads to it', async () => {
    const forgotten = { id: ann.id, siteId: somePlace.siteId, workOrderId: workId, startedAt: minutesLater(-5_000) };
    await raise([put('clocks', forgotten)]);
    await type('What is it', 'Guard is loose');
    await press('Hazards read: do it now');
    const id = visited.at(-1)?.split('/').at(-1) ?? '';
    expect(works.said).toBe('The clock ran for over 24 h. Say when you really stopped.');
    expect((await works.sent()).peek('workOrders', id)).toMatchObject({ title: 'Guard is loose', state: 'ready' });
  });

  it('keeps what was typed, chosen and taken when the page is closed meanwhile, for that machine', async () => {
    await raise();
    works.server.signal = 'none';
    const tooMany = 'Half a sentence '.repeat(700);
    await type('What is it', tooMany);
    await works.show(<RaisePage assetId={assetId} placeId={undefined} />);
    expect(document.querySelector('textarea')?.value).toBe(tooMany);
    await type('What is it', 'Half a sentence');
    await press('It stands still', 'radio');
    await press('Photo');
    await press('Voice note: press to begin');
    await works.show(<RaisePage assetId={undefined} placeId={somePlace.id} />);
    expect(document.querySelector('textarea')?.value).toBe('');
    await works.show(<RaisePage assetId={assetId} placeId={undefined} />);
    expect(document.querySelector('textarea')?.value).toBe('Half a sentence');
    await pressReport();
    expect(peekRows('reports', 'asset', assetId)).toMatchObject([
      { condition: 'stopped', photo: { fileId: seen.id }, events: [{ voice: { seconds: 7 } }] },
    ]);
    await works.show(<RaisePage assetId={assetId} placeId={undefined} />);
    expect(document.querySelector('textarea')?.value).toBe('');
  });

  it('lets go of a photo that was taken a day ago, whose file may be gone, and keeps the words', async () => {
    await raise();
    works.server.signal = 'none';
    await type('What is it', 'Half a sentence');
    await press('Photo');
    passTime(21 * 3_600_000);
    await works.show(<RaisePage assetId={assetId} placeId={undefined} />);
    await pressReport();
    expect(peekRows('reports', 'asset', assetId)).toMatchObject([{ words: 'Half a sentence', photo: null }]);
  });

  it('works without signal, and is sent later', async () => {
    await raise();
    works.server.signal = 'none';
    await type('What is it', 'It squeaks');
    await pressReport();
    expect(works.said).toMatch(/P-/);
    works.server.signal = 'good';
    expect((await works.sent()).peekList('reports', 'asset', assetId)).toHaveLength(1);
  });
});

describe('without a machine', () => {
  it('it is found by its name, or only the place is', async () => {
    works = await TestWorks.open(rows);
    await works.show(<RaisePage assetId={undefined} placeId={undefined} />);
    expect(words()).toContain('Where you are at work');
    await type('Which machine or place', 'pump');
    await press(/^Pump house/);
    await type('What is it', 'The light is out');
    await pressReport();
    const [report] = (await works.sent()).peekList('reports', 'place', somePlace.id);
    expect(report).toMatchObject({ assetId: null, words: 'The light is out' });
  });
});

describe('work that is planned for later', () => {
  const plan = async (person = ann, more: Parameters<typeof raise>[0] = []): Promise<void> => {
    await raise(more, person);
    await press('Plan it', 'radio');
    await type('What is it', 'Guard is loose');
  };
  const made = async (): Promise<WorkOrder | undefined> =>
    (await works.sent()).peekAll('workOrders').find(({ title }) => title === 'Guard is loose');

  it('is given by a lead to people for a day, by a procedure', async () => {
    await plan(lea);
    await press('Bob', 'checkbox');
    const [, onDay] = screen.getAllByRole('radio', { name: 'today' });
    fireEvent.click(onDay as HTMLElement);
    await press(/Change the output seal/, 'checkbox');
    await pressTwice('Plan it: this work');
    expect(await made()).toMatchObject({ personIds: [bob.id], plannedOn: '2026-11-23', hazards });
    expect((await works.sent()).peekAll('workOrders')).toHaveLength(2);
  });

  it('is a technician’s own, due by how soon it must be done, and says its number, which opens it', async () => {
    await plan();
    await press('This shift', 'radio');
    await press('Plan it: this work');
    const work = await made();
    expect(work).toMatchObject({
      personIds: [ann.id],
      urgency: 'shift',
      dueAt: addMinutes(work?.createdAt ?? noon, 12 * 60),
      raisedBy: ann.id,
    });
    expect(works.said).toBe(`${work?.number} is planned.`);
    act(() => useNotice.getState().open?.());
    expect(visited.at(-1)).toBe(`/shift/${work?.id}`);
  });

  it('is for a day, a mate or nobody, with steps of every kind', async () => {
    await plan();
    await press('Ann', 'checkbox');
    await press('tomorrow', 'radio');
    await press('Write a step');
    await type('A step', 'Measure the gap');
    await press('Number', 'radio');
    await press('Add this step');
    expect(words()).toContain('Write the unit, such as mm.');
    await type('Unit', 'mm');
    await press('Add this step');
    await type('A step', 'Colour');
    await press('Choice', 'radio');
    await type('To choose from, with commas between', 'red, green');
    await press('Add this step');
    await type('A step', 'Signed off');
    await press('Signature', 'radio');
    await type('Who signs', 'Operator');
    await press('Add this step');
    await press(/^Leave out step 2/);
    await press('Plan it: this work');
    const work = await made();
    expect(work).toMatchObject({ personIds: [], dueAt: '2026-11-24T15:00:00.000Z' });
    expect(works.said).toContain('Nobody has it yet.');
    const steps = (await works.sent()).peekList('steps', 'workOrder', work?.id ?? 'none');
    expect(steps.map(({ question }) => question)).toMatchObject([
      { type: 'number', unit: 'mm' },
      { type: 'signature', who: 'Operator' },
    ]);
  });

  it('waits for a lead where the site wants it, and says so before and after', async () => {
    const goAhead = { kinds: ['corrective'], aboveMinor: null, minorPerHour: 0 } as const;
    await plan(ann, [put('raiseRules', someRules({ goAhead }))]);
    expect(words()).toContain('It will wait until a lead lets it start.');
    await press('Plan it: this work');
    expect(works.said).toContain('waits for a lead');
    expect((await made())?.goAhead?.givenBy).toBeNull();
  });

  it('stays half-planned when one changes one’s mind or the page is closed, for that machine', async () => {
    await plan();
    await press('Now', 'radio');
    await press('Report it', 'radio');
    await press('Plan it', 'radio');
    expect(screen.queryByRole('radio', { name: 'Now', checked: true })).not.toBeNull();
    await works.show(<RaisePage assetId={assetId} placeId={undefined} />);
    expect(screen.queryByRole('radio', { name: 'Now', checked: true })).not.toBeNull();
    expect(document.querySelector('textarea')?.value).toBe('Guard is loose');
  });

  it('takes along what was photographed and spoken, and the page begins anew after it', async () => {
    await raise([], lea);
    works.server.signal = 'none';
    await type('What is it', 'Guard is loose');
    await press('Photo');
    await press('Voice note: press to begin');
    await press('Plan it: this work');
    const [work] = peekAll('workOrders').filter(({ title }) => title === 'Guard is loose');
    await waitFor(() =>
      expect(
        peekRows('entries', 'workOrder', work?.id ?? asId<WorkOrderId>('none')).map(({ content }) => content),
      ).toEqual(
        expect.arrayContaining([
          expect.objectContaining({ kind: 'photo', fileId: seen.id }),
          expect.objectContaining({ kind: 'voice', seconds: 7 }),
        ]),
      ),
    );
    await works.show(<RaisePage assetId={assetId} placeId={undefined} />);
    expect([document.querySelector('textarea')?.value, canPress('Play 0:07')]).toEqual(['', false]);
  });

  it('wants a machine first', async () => {
    works = await TestWorks.open([...rows, put('workOrders', aWorkOrder({ assetId: asId<AssetId>('x') }))], lea);
    await works.show(<RaisePage assetId={undefined} placeId={undefined} />);
    expect(words()).toContain('Work is always on a machine. Choose it first.');
  });
});

describe('reports that are taken up', () => {
  it('fill the plan in', async () => {
    const stopped = aReport({ by: bob.id, condition: 'stopped', urgency: 'shift' });
    works = await TestWorks.open([...rows, put('reports', stopped)], lea);
    await works.show(<PlanScreen assetId={assetId} reportIds={[stopped.id]} />);
    await press('Take it up');
    const records = await works.sent();
    const id = records.peek('reports', stopped.id)?.workOrderId ?? '';
    expect(records.peek('workOrders', id)).toMatchObject({ title: stopped.words, urgency: 'shift' });
    expect(records.peek('assets', assetId)?.condition).toBe('stopped');
  });
});
