import { act } from '@testing-library/react';
import { asId, type AssetId, type WorkOrderId } from '@oilcan/core/kernel';
import {
  ann,
  anAsset,
  aPart,
  aPerson,
  aWorkOrder,
  put,
  minutesLater,
  smallWorks,
  someSettings,
  workId,
} from '@oilcan/core/testing';
import { currentOf } from '@oilcan/core/orders/work';
import { peekRows, perform } from '../../../data/store/store';
import { press, pressTwice, type, words } from '../../../testing/hands';
import { visited } from '../../../testing/router';
import { TestWorks } from '../../../testing/works';
import { RaisePage } from '../../frame/raise-page/raise-page';
import { GapsScreen } from './gaps-screen';

jest.mock('../../../data/pictures/take-picture', () => jest.requireActual<object>('../../../testing/pretend-senses'));
jest.mock('../../../data/files/use-voice', () => jest.requireActual<object>('../../../testing/pretend-senses'));

let works: TestWorks;
afterEach(() => works.close());

const pump = anAsset({ id: asId<AssetId>('pump'), name: 'Pump 2', tag: 'SNW-P2' });
const open = async (more: Parameters<typeof TestWorks.open>[0] = []): Promise<void> => {
  works = await TestWorks.open([
    ...smallWorks(),
    put('assets', pump),
    put('parts', aPart({ number: 'PACK-12' })),
    ...more,
  ]);
  await works.show(<RaisePage assetId={undefined} placeId={undefined} way="done" />);
};
const line = 'pump 2: packing replaced, 1 h just now, 2x pack-12, stood still since 11';
const LINE = 'What was done, in one line';
const keptOn = async (): Promise<string | undefined> => {
  await press('Keep it');
  const id = visited.at(-1)?.split('=').at(-1) ?? '';
  return (await works.sent()).peek('workOrders', id)?.assetId;
};

describe('work that is already done', () => {
  it('is read from one line, shown, and kept as a work order with its entries', async () => {
    await open();
    await type(LINE, line);
    // It is one o'clock there.
    for (const said of ['Pump 2', 'A work order: Packing replaced', '1 h of work', 'Stood still', '2 pcs'])
      expect(words()).toContain(said);
    await press('Keep it');
    const id = visited.at(-1)?.split('=').at(-1) ?? '';
    const records = await works.sent();
    expect(records.peek('workOrders', id)).toMatchObject({
      assetId: pump.id,
      title: 'Packing replaced',
      reason: line,
      personIds: [ann.id],
      state: 'underway',
    });
    const kinds = records.peekList('entries', 'workOrder', id).map(({ content }) => content.kind);
    expect(new Set(kinds)).toEqual(new Set(['labor', 'part', 'stoppage', 'state']));
    expect(records.peek('assets', pump.id)?.condition).toBe('running');
  });

  it('asks about time that is recorded already, and one press cuts', async () => {
    await open();
    const recorded = { personId: ann.id, startedAt: minutesLater(0), minutes: 30, timeType: 'regular' } as const;
    await act(() => perform('labor.add', { workOrderId: workId, ...recorded }));
    await type(LINE, 'pump 2: packing replaced, 1 h just now');
    expect(words()).toMatch(/You have 12:00 to 12:30 on \S+ already\./);
    await press('Cut to 12:30 to 13:00');
    expect(words()).not.toContain('already.');
    await press('Keep it');
    const id = visited.at(-1)?.split('=').at(-1) ?? '';
    const entries = (await works.sent()).peekList('entries', 'workOrder', id);
    expect(currentOf(entries, 'labor').map(({ content }) => content.minutes)).toEqual([30]);
  });

  it('is kept once, also when the key is pressed twice', async () => {
    await open();
    await type(LINE, line);
    await pressTwice('Keep it');
    const made = (await works.sent()).peekList('workOrders', 'asset', pump.id);
    expect(made.filter(({ title }) => title === 'Packing replaced')).toHaveLength(1);
  });

  it('keeps what was left out out of it, and nothing that does not fit', async () => {
    await open();
    await type(LINE, `${line}, 1x nonsense-9`);
    expect(words()).toContain('“nonsense-9” fits no part.');
    await press(/Leave out: “nonsense-9”/);
    await press(/Leave out: Stood still/);
    await press('Keep it');
    const id = visited.at(-1)?.split('=').at(-1) ?? '';
    const kinds = (await works.sent()).peekList('entries', 'workOrder', id).map(({ content }) => content.kind);
    expect(kinds).not.toContain('stoppage');
    expect(kinds.filter((kind) => kind === 'part')).toHaveLength(1);
  });

  it('is still there half-written after a reload, and gone once it was kept', async () => {
    await open();
    await type(LINE, 'pump 2: pack');
    await works.show(<RaisePage assetId={undefined} placeId={undefined} way="done" />);
    expect(document.querySelector('textarea')?.value).toBe('pump 2: pack');
    await press('Keep it');
    await works.show(<RaisePage assetId={undefined} placeId={undefined} way="done" />);
    expect(document.querySelector('textarea')?.value).toBe('');
  });

  it('takes what was said, photographed and spoken along from any other way, and back', async () => {
    await open();
    works.server.signal = 'none';
    await works.show(<RaisePage assetId={pump.id} placeId={undefined} />);
    await type('What is it', 'Packing replaced');
    await press('Photo');
    await press('Voice note: press to begin');
    await press('Already done', 'radio');
    await type(LINE, 'Packing replaced, 1 h just now');
    await press('Report it', 'radio');
    expect(document.querySelector('textarea')?.value).toBe('Packing replaced, 1 h just now');
    await works.show(<RaisePage assetId={pump.id} placeId={undefined} />);
    await press('Already done', 'radio');
    await press('Keep it');
    const id = asId<WorkOrderId>(visited.at(-1)?.split('=').at(-1) ?? '');
    const kinds = peekRows('entries', 'workOrder', id).map(({ content }) => content.kind);
    expect(kinds).toEqual(expect.arrayContaining(['labor', 'photo', 'voice']));
    await works.show(<RaisePage assetId={pump.id} placeId={undefined} />);
    expect(document.querySelector('textarea')?.value).toBe('');
  });

  it('is found half-written from wherever it is begun again, and once only', async () => {
    await open();
    await works.show(<RaisePage assetId={pump.id} placeId={undefined} />);
    await press('Already done', 'radio');
    await type(LINE, 'Packing replaced, 1 h');
    await works.show(<RaisePage assetId={undefined} placeId={undefined} way="done" />);
    await press('Packing replaced, 1 h', 'radio');
    expect(document.querySelector('textarea')?.value).toBe('Packing replaced, 1 h');
    await works.show(<RaisePage assetId={pump.id} placeId={undefined} way="done" />);
    expect(document.querySelector('textarea')?.value).toBe('');
  });

  it('stays without what was left out, also when the photo is left out after it', async () => {
    await open();
    works.server.signal = 'none';
    await works.show(<RaisePage assetId={pump.id} placeId={undefined} />);
    await press('Photo');
    await press('Already done', 'radio');
    await type(LINE, line);
    await press(/Leave out: Stood still/);
    await press('Leave the photo out');
    await press('Keep it');
    const id = asId<WorkOrderId>(visited.at(-1)?.split('=').at(-1) ?? '');
    const kinds = peekRows('entries', 'workOrder', id).map(({ content }) => content.kind);
    expect([kinds.includes('stoppage'), kinds.includes('photo'), kinds.includes('labor')]).toEqual([
      false,
      false,
      true,
    ]);
  });

  it('that names another machine than the sheet where it was begun is of that one, unless the other is chosen', async () => {
    const lift = anAsset({ id: asId<AssetId>('lift'), name: 'Lark lift', tag: 'LRK-1' });
    await open([put('assets', lift)]);
    await works.show(<RaisePage assetId={lift.id} placeId={undefined} way="done" />);
    await type(LINE, 'packing replaced, 1 h');
    expect(await keptOn()).toBe(lift.id);
    await works.show(<RaisePage assetId={lift.id} placeId={undefined} way="done" />);
    await type(LINE, 'pump 2: packing replaced, 1 h');
    expect(await keptOn()).toBe(pump.id);
  });

  it('keeps each of its times as what it counts, the kind by its words, and says what it did not understand', async () => {
    await open();
    await type(LINE, 'pump 2: seal inspected, no leak, two of us, 1 h 30 min, 30 min travel');
    expect(words()).toContain('Not understood: “two of us”.');
    await press('Keep it');
    const id = visited.at(-1)?.split('=').at(-1) ?? '';
    const records = await works.sent();
    expect(records.peek('workOrders', id)?.kind).toBe('inspection');
    const contents = records.peekList('entries', 'workOrder', id).map(({ content }) => content);
    expect(contents.filter(({ kind }) => kind === 'labor')).toEqual(
      expect.arrayContaining([
        expect.objectContaining({ minutes: 90, timeType: 'regular' }),
        expect.objectContaining({ minutes: 30, timeType: 'travel' }),
      ]),
    );
    expect(contents.some(({ kind }) => kind === 'fault')).toBe(false);
  });

  it('is offered the open work that is like it before another is made', async () => {
    const waiting = aWorkOrder({ assetId: pump.id, title: 'Replace the packing', state: 'ready' });
    await open([put('workOrders', waiting)]);
    await type(LINE, line);
    expect(words()).toContain('There is open work like it');
    await press(/^Open it/);
    expect(visited.at(-1)).toBe(`/shift/${waiting.id}`);
  });

  it('is on another machine in one press, where the words fit several', async () => {
    const other = anAsset({ id: asId<AssetId>('pump-1'), name: 'Pump 1', tag: 'SNW-P1' });
    await open([put('assets', other)]);
    await type(LINE, 'pump packing replaced');
    await press('Pump 2', 'radio');
    await press('Keep it');
    const id = visited.at(-1)?.split('=').at(-1) ?? '';
    expect((await works.sent()).peek('workOrders', id)?.assetId).toBe(pump.id);
  });
});

describe('what is still needed of it', () => {
  it('is asked one after the other, then it is finished', async () => {
    const demands = { ...Object.fromEntries(['part', 'time'].map((thing) => [thing, 'must'])) };
    const settings = someSettings();
    await open([put('settings', { ...settings, demands: { corrective: { ...noDemands, ...demands } as never } })]);
    await type(LINE, 'pump 2: packing replaced');
    await press('Keep it');
    const id = visited.at(-1)?.split('=').at(-1) ?? '';
    await works.show(<GapsScreen workOrderId={id} />);
    expect(words()).toContain('The parts that were taken, or that none was');
    expect(words()).toContain('1 more after it');
    await press('No part taken');
    expect(words()).toContain('Your time, or that you had none');
    await perform('labor.add', {
      workOrderId: asId<WorkOrderId>(id),
      personId: ann.id,
      startedAt: '2026-11-23T11:00:00.000Z' as never,
      minutes: 30,
      timeType: 'regular',
    });
    await works.show(<GapsScreen workOrderId={id} />);
    await pressTwice('Finish it');
    expect(works.said).toMatch(/is finished\.$/);
    expect((await works.sent()).peek('workOrders', id)?.state).toBe('finished');
  });

  it('says so where the work order is not on this phone', async () => {
    await open([put('people', aPerson())]);
    await works.show(<GapsScreen workOrderId="gone" />);
    expect(words()).toContain('This work order is not on this phone.');
  });
});

const noDemands = {
  steps: 'not',
  readings: 'not',
  meter: 'not',
  fault: 'not',
  codes: 'not',
  part: 'not',
  stoppage: 'not',
  stoppageEnd: 'not',
  time: 'not',
  photo: 'not',
  signature: 'not',
  clocks: 'not',
  locks: 'not',
};
