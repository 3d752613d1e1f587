import { tables } from '../../../registry/tables';
import { asId, type AssetId, type CrewId, type FileId, type PersonId, type WorkOrderId } from '../../../kernel/ids';
import { applyOperation, type ArgsOf, type OperationName } from '../../../registry/operations';
import {
  aCrew,
  ann,
  bob,
  lea,
  anEntry,
  aWorkOrder,
  noon,
  otherSite,
  aPerson,
  smallWorks,
  anOperation,
  put,
  workId,
  anAsset,
  assetId,
} from '../../../testing/builders';
import { isNoticeKept, noticeChoiceOf, type Notice } from './notices';
import { noticesOfLate, noticesOfShort } from './notices-of-work';
import { noticeDetail, noticesOfChange } from '../../../registry/notices';
import type { WorkOrder } from '../../orders/work/work-order';
import type { Entry } from '../../orders/work/entries';
import { addMinutes } from '../../../kernel/time/instant';
import type { NoticeFact } from '../../orders/work/notice-fact';
import { MemoryRecords } from '../../../records/memory-records';
import type { Person } from '../../plant/people/people';
import { sideAt } from '../../../testing/works';

const crews = [aCrew()];
const everybody = { crews, people: [ann, bob, lea] };
const aPhoto = anEntry({
  kind: 'photo',
  fileId: asId<FileId>('f'),
  mediaType: 'image/jpeg',
  width: 1,
  height: 1,
  caption: '',
});
const aNote = anEntry({ kind: 'note', text: 'Greased' });
const told = (notices: readonly Notice[]): string[] =>
  notices
    .map((notice) => {
      const detail = noticeDetail(notice, 'Europe/Vienna');
      return `${notice.personId} ${notice.kind}${detail === '' ? '' : `: ${detail}`}`;
    })
    .sort();
const change = (
  before: Partial<WorkOrder> | null,
  after: Partial<WorkOrder>,
  given: { entries?: Entry[]; by?: PersonId; followers?: PersonId[] } = {},
): string[] =>
  told(
    noticesOfChange(
      {
        before: before === null ? undefined : aWorkOrder(before),
        after: aWorkOrder(after),
        entries: given.entries ?? [],
        by: given.by ?? lea.id,
      },
      everybody,
      given.followers ?? [],
      noon,
    ),
  );

describe('whom a change concerns', () => {
  it('is whoever work is newly given to, by name or by crew', () => {
    expect(change({ personIds: [ann.id] }, { personIds: [ann.id, bob.id] })).toEqual(['bob given']);
    expect(change({ personIds: [] }, { personIds: [], crewId: crews[0]?.id ?? null })).toEqual(['bob given']);
    expect(change(null, { personIds: [ann.id] })).toEqual(['ann given']);
    expect(change(null, { personIds: [ann.id], state: 'finished' })).toEqual([]);
  });

  it('is whoever has work that was handed back, with the reason', () => {
    const handedBack = { reason: 'Still wet', by: lea.id, since: noon };
    expect(change({ state: 'finished' }, { state: 'underway', handedBack })).toEqual(['ann handedBack: Still wet']);
    expect(change({ handedBack }, { handedBack })).toEqual([]);
  });

  it('is whoever follows it, with what changed, each thing once', () => {
    const followers = [bob.id];
    expect(change({ state: 'ready' }, { state: 'held' }, { followers })).toEqual(['bob changed: now held']);
    expect(change({}, {}, { followers, entries: [aNote, aNote, aPhoto] })).toEqual(['bob changed: a note, a photo']);
    expect(change({}, {}, { followers })).toEqual([]);
  });

  it('is whoever has work that is dropped', () => {
    expect(change({ state: 'ready' }, { state: 'dropped' })).toEqual(['ann changed: now dropped']);
    expect(change({ state: 'dropped' }, { state: 'dropped' })).toEqual([]);
  });

  it('is nobody for their own doing, and nobody twice', () => {
    expect(change({ personIds: [] }, { personIds: [lea.id] })).toEqual([]);
    expect(
      change(
        { personIds: [], state: 'ready' },
        { personIds: [ann.id], state: 'held' },
        { followers: [ann.id, lea.id] },
      ),
    ).toEqual(['ann given']);
  });
});

describe('what leads and others are told', () => {
  it('is that work is finished and waits, however it was finished', () => {
    const finished = { state: 'finished' as const, personIds: [ann.id] };
    expect(change({ state: 'underway' }, finished, { by: ann.id })).toEqual(['lea finished']);
    expect(change({ state: 'finished' }, finished, { by: ann.id })).toEqual([]);
  });

  it('is what somebody recorded in one’s name: the clock stopped, the lock taken off, with when, who and why', () => {
    const isolation = [
      { id: 'main', energy: 'electrical' as const, device: 'Main switch', release: null, test: 'No voltage' },
    ];
    const stopped = anEntry(
      {
        kind: 'labor',
        personId: bob.id,
        startedAt: addMinutes(noon, -90),
        minutes: 60,
        timeType: 'regular',
        rate: null,
        cost: null,
        stoppedBecause: 'Went home',
      },
      { by: lea.id },
    );
    const off = anEntry(
      { kind: 'isolation', act: 'unlock', pointId: 'main', ofPersonId: bob.id, reason: 'Left the site' },
      { by: lea.id },
    );
    expect(change({ isolation }, { isolation }, { entries: [stopped, off] })).toEqual([
      'bob forYou: Lea stopped your clock at 11:30: Went home, Lea took off your lock at Main switch: Left the site',
    ]);
  });

  it('is told to leads where somebody else moves it to later', () => {
    const later = { dueAt: addMinutes(noon, 5_000) };
    const said = anEntry({ kind: 'schedule', change: { of: 'due', from: noon, to: later.dueAt }, reason: 'No crane' });
    const before = { dueAt: noon };
    expect(change(before, later, { entries: [said], by: ann.id })).toEqual([
      'lea postponed: due at another time, No crane',
    ]);
    expect(change(later, before, { entries: [said], by: ann.id })).toEqual([]);
  });

  it('is nothing of a site that they do not have, by crew, by following or as a lead', () => {
    const elsewhere = { siteId: otherSite, personIds: [], crewId: crews[0]?.id ?? null };
    expect(change(null, elsewhere, { followers: [bob.id] })).toEqual([]);
    expect(
      change({ ...elsewhere, state: 'underway' }, { ...elsewhere, state: 'finished' }, { followers: [bob.id] }),
    ).toEqual([]);
  });
});

describe('what nobody did', () => {
  const due = (minutes: number, given: Partial<WorkOrder> = {}) =>
    aWorkOrder({ dueAt: addMinutes(noon, minutes), ...given });

  it('is told when it became late since the last look, and not again', () => {
    const works = [due(-10), due(-90), due(10), due(-10, { state: 'finished' })];
    expect(noticesOfLate(works, everybody, addMinutes(noon, -60), noon)).toHaveLength(1);
  });

  it('is told to those who have the work and to the store when parts are short for it', () => {
    const window = { from: noon, to: addMinutes(noon, 1_440) };
    const oil: NoticeFact = { is: 'short', part: 'Oil', onHand: 1_000, needed: 4_000, unit: 'L', jobs: 1 };
    const withStore = { crews, people: [ann, aPerson({ id: bob.id, roles: ['storekeeper'] })] };
    const short = noticesOfShort([due(60), due(2_000)], withStore, window, () => [oil], noon);
    expect(told(short)).toEqual(['ann short: Oil: 1 of 4 L', 'bob short: Oil: 1 of 4 L']);
    expect(noticesOfShort([due(60)], withStore, window, () => [], noon)).toEqual([]);
  });
});

describe('a person’s notices', () => {
  let records: MemoryRecords;
  beforeEach(() => {
    records = new MemoryRecords(tables);
    records.change(smallWorks());
  });
  const run = async <N extends OperationName>(name: N, args: ArgsOf<N>, who: Person = ann, minutes = 0) => {
    const at = addMinutes(noon, minutes);
    const operation = anOperation(name, args, { by: who.id, at });
    const { outcome, changes } = await applyOperation(records, operation, who, sideAt(at));
    records.change(changes);
    return outcome.ok ? 'accepted' : outcome.code;
  };

  it('are seen, unless they were renewed after that or are somebody else’s', async () => {
    const [mine] = noticesOfChange(
      { before: undefined, after: aWorkOrder(), entries: [], by: lea.id },
      everybody,
      [],
      noon,
    );
    if (mine === undefined) throw new Error('Nobody was told.');
    const later = { ...mine, id: 'later', at: addMinutes(noon, 30) };
    const others = { ...mine, id: 'others', personId: bob.id };
    records.change([mine, later, others].map((row) => put('notices', row)));
    await run('notices.see', { noticeIds: [mine.id, later.id, others.id, 'gone'] }, ann, 5);
    expect([mine, later, others].map(({ id }) => records.peek('notices', id)?.seenAt)).toEqual([
      addMinutes(noon, 5),
      null,
      null,
    ]);
  });

  it('leave two weeks after they were seen, and sixty days after they came unseen', () => {
    const days = (count: number) => addMinutes(noon, count * 24 * 60);
    const seen = { at: days(-40), seenAt: noon };
    expect([13, 14].map((count) => isNoticeKept(seen, days(count)))).toEqual([true, false]);
    expect([59, 60].map((count) => isNoticeKept({ at: noon, seenAt: null }, days(count)))).toEqual([true, false]);
  });

  it('come as they chose, by kind', async () => {
    await run('notices.choose', { kind: 'late', isWanted: true, byMail: true, byPush: false });
    await run('notices.choose', { kind: 'given', isWanted: false, byMail: true, byPush: true });
    expect(noticeChoiceOf(ann.id, records.peek('noticeChoices', ann.id))).toMatchObject({
      silent: ['given'],
      mail: ['late'],
      push: ['handedBack', 'forYou', 'look', 'fromStore'],
    });
  });

  it('come of what they follow, on their sites', async () => {
    const follow = (isFollowed: boolean, workOrderId = workId) => run('work.follow', { workOrderId, isFollowed }, bob);
    expect(await follow(true)).toBe('accepted');
    expect(records.peekList('follows', 'workOrder', workId)).toHaveLength(1);
    expect([await follow(false), await follow(false)]).toEqual(['accepted', 'accepted']);
    expect(records.peekList('follows', 'workOrder', workId)).toEqual([]);
    expect(await follow(true, asId<WorkOrderId>('none'))).toBe('not_found');
  });

  it('come of a machine that they follow, of their sites only', async () => {
    const follow = (isFollowed: boolean, id = assetId) => run('asset.follow', { assetId: id, isFollowed }, bob);
    expect(await follow(true)).toBe('accepted');
    expect(records.peekList('assetFollows', 'asset', assetId)).toHaveLength(1);
    expect([await follow(false), await follow(false)]).toEqual(['accepted', 'accepted']);
    expect(records.peekList('assetFollows', 'asset', assetId)).toEqual([]);
    records.change([put('assets', anAsset({ id: asId<AssetId>('far'), siteId: otherSite }))]);
    expect(await follow(true, asId<AssetId>('far'))).toBe('not_found');
  });
});

describe('giving out work', () => {
  it('several times leaves nobody behind who could not know of it', async () => {
    const records = new MemoryRecords(tables);
    const cleo = aPerson({ id: asId<PersonId>('cleo') });
    const other = aCrew({ id: asId<CrewId>('other'), memberIds: [cleo.id] });
    records.change([...smallWorks({ state: 'underway' }), put('crews', aCrew()), put('crews', other)]);
    const give = async (personIds: PersonId[], crewId: CrewId | null, minutes: number): Promise<void> => {
      const at = addMinutes(noon, minutes);
      const operation = anOperation('work.give', { workOrderId: workId, personIds, crewId }, { by: lea.id, at });
      records.change((await applyOperation(records, operation, lea, sideAt(at))).changes);
    };
    await give([], other.id, 5);
    await give([lea.id], null, 10);
    await give([], aCrew().id, 15);
    await give([lea.id], null, 20);
    const note = async (who: Person): Promise<string> => {
      const args = { workOrderId: workId, text: 'Made without signal' };
      const operation = anOperation('note.add', args, { by: who.id, at: addMinutes(noon, 1), knownUntil: noon });
      const { outcome } = await applyOperation(records, operation, who, sideAt(addMinutes(noon, 30)));
      return outcome.ok ? 'accepted' : outcome.code;
    };
    expect([await note(ann), await note(bob), await note(cleo)]).toEqual(['accepted', 'accepted', 'accepted']);
  });

  it('is a lead’s, to people of the site, and leaves no record of the former ones behind', async () => {
    const records = new MemoryRecords(tables);
    records.change(smallWorks({ state: 'underway' }));
    const at = (minutes: number) => addMinutes(noon, minutes);
    const send = async (name: OperationName, args: unknown, who: Person, knownUntil: number, received: number) => {
      const operation = {
        ...anOperation('work.give', args as never, { by: who.id, at: at(5), knownUntil: at(knownUntil) }),
        name,
      };
      const { outcome, changes } = await applyOperation(records, operation, who, sideAt(at(received)));
      records.change(changes);
      return outcome.ok ? 'accepted' : outcome.code;
    };
    const give = (personIds: readonly string[], who: Person = lea, received = 10) =>
      send('work.give', { workOrderId: workId, personIds, crewId: null }, who, 0, received);
    expect(await give(['bob'], ann)).toBe('role_missing');
    expect(await give(['nobody'])).toBe('not_found');
    expect(await give(['bob', 'bob'])).toBe('accepted');
    expect(records.peek('workOrders', workId)).toMatchObject({
      personIds: ['bob'],
      previousAssignees: { personIds: ['ann'] },
    });
    const note = { workOrderId: workId, text: 'Made without signal' };
    expect(await send('note.add', note, ann, 0, 20)).toBe('accepted');
    expect(await send('note.add', note, ann, 15, 20)).toBe('work_order_not_yours');
  });
});
