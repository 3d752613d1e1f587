import { asId, type PersonId, type SiteId, type WorkOrderId } from '@oilcan/core/kernel';
import { roles, type Role } from '@oilcan/core/operations';
import type { Person } from '@oilcan/core/plant/people';
import type { Row, SeenBy, TableName, Tables } from '@oilcan/core/records';
import { isSeenBy, tableNamed, tableNames, tablesOfWork } from '@oilcan/core/registry';
import { viewerOf } from '@oilcan/core/orders/settings';
import {
  aBin,
  aCrew,
  aHazardRegister,
  aLevel,
  anAsset,
  aProcedure,
  anEntry,
  ann,
  aPart,
  aPerson,
  aCount,
  aRequest,
  aTransfer,
  aPlan,
  aPoint,
  aRate,
  aReport,
  aReportLabel,
  anIncident,
  someRules,
  aSite,
  aStep,
  aShare,
  aStop,
  aWorkOrder,
  noon,
  otherSite,
  put,
  site,
  someSettings,
} from '@oilcan/core/testing';
import type { Knex } from 'knex';
import { freshDatabase } from '../testing/fresh-database';
import { audiencesOf } from '../database/feed/audiences';
import { SqlRecords } from '../database/sql-records';
import { pull, readWork } from './pull';
import { PRESENT, present } from '../testing/test-clock';

const sam = asId<PersonId>('sam');
const settings = someSettings();

/** A row of every table, of a site and, where rows are people's, of a person there. */
const rowOf: { readonly [T in TableName]: (siteId: SiteId, personId: PersonId) => Tables[T] } = {
  settings: () => settings,
  rates: (siteId) => aRate({ id: `rate-${siteId}`, siteId }),
  sites: (siteId) => aSite({ id: siteId }),
  people: (siteId) => aPerson({ id: asId<never>(`person-${siteId}`), siteIds: [siteId] }),
  crews: (siteId) => aCrew({ id: asId<never>(`crew-${siteId}`), siteIds: [siteId], memberIds: [] }),
  places: (siteId) => ({ id: asId<never>(`place-${siteId}`), siteId, parentId: null, name: 'Place' }),
  sitePrices: (siteId) => ({ id: `${siteId}@part`, siteId, partId: asId('part'), priceMinor: 1 }),
  hazardRegister: (siteId) => aHazardRegister({ id: `asset@${siteId}`, siteId }),
  assets: (siteId) => anAsset({ id: asId<never>(`asset-${siteId}`), siteId }),
  points: (siteId) => aPoint({ id: asId<never>(`point-${siteId}`), siteId }),
  parts: (siteId) => aPart({ id: asId<never>(`part-${siteId}`) }),
  stores: (siteId) => ({ id: asId<never>(`store-${siteId}`), siteId, name: 'Store' }),
  bins: (siteId) => aBin({ id: asId<never>(`bin-${siteId}`), siteId }),
  stock: (siteId) => aLevel(1_000, { id: `level-${siteId}`, siteId }),
  movements: (siteId) => ({
    id: `movement-${siteId}`,
    partId: asId('part'),
    binId: asId(`bin-${siteId}`),
    change: 1_000,
    reason: 'opening',
    at: noon,
    workOrderId: null,
    entryId: null,
  }),
  requests: (siteId) => aRequest({ id: asId<never>(`request-${siteId}`), siteId }),
  transfers: (siteId) => aTransfer({ id: asId<never>(`transfer-${siteId}`), fromSiteId: siteId, toSiteId: siteId }),
  counts: (siteId) => aCount({ id: asId<never>(`count-${siteId}`), siteId }),
  workOrders: (siteId, personId) => aWorkOrder({ id: workOf(siteId), siteId, personIds: [personId] }),
  stops: (siteId) => aStop({ id: asId<never>(`stop-${siteId}`), siteId, workOrderId: workOf(siteId) }),
  shares: (siteId) => aShare({ id: asId<never>(`share-${siteId}`), siteId, workOrderId: workOf(siteId) }),
  plans: (siteId) => aPlan({ id: asId<never>(`plan-${siteId}`), siteId }),
  copies: (siteId, personId) => ({
    id: `copy-${siteId}`,
    siteId,
    workOrderId: workOf(siteId),
    to: 'eva@example.org',
    line: '',
    fileId: asId('f'),
    by: personId,
    at: noon,
  }),
  reports: (siteId, personId) => aReport({ id: asId<never>(`report-${siteId}`), siteId, by: personId }),
  incidents: (siteId, personId) =>
    anIncident({ id: asId<never>(`incident-${siteId}`), siteId, by: personId, readerIds: [personId] }),
  reportLabels: (siteId, personId) => aReportLabel({ id: `LABEL-${siteId}`, siteId, by: personId }),
  raiseRules: (siteId) => someRules({ id: siteId, siteId }),
  procedures: (siteId) => aProcedure({ id: asId<never>(`procedure-${siteId}`), siteId }),
  steps: (siteId) =>
    aStep(1, { type: 'tick' }, { id: asId<never>(`step-${siteId}`), siteId, workOrderId: workOf(siteId) }),
  entries: (siteId) =>
    anEntry(
      { kind: 'note', text: 'Greased' },
      { id: asId<never>(`entry-${siteId}`), siteId, workOrderId: workOf(siteId) },
    ),
  acknowledgements: (siteId, personId) => ({
    id: `read-${siteId}`,
    siteId,
    workOrderId: workOf(siteId),
    personId,
    hazardIds: [],
    at: noon,
  }),
  permits: (siteId) => ({
    id: `permit-${siteId}`,
    siteId,
    workOrderId: workOf(siteId),
    kind: 'hotWork',
    conditions: '',
    issued: null,
  }),
  clocks: (siteId, personId) => ({ id: personId, siteId, workOrderId: workOf(siteId), startedAt: noon }),
  otherTimes: (siteId, personId) => ({
    id: asId<never>(`time-${siteId}`),
    siteId,
    personId,
    startedAt: noon,
    minutes: 30,
    reason: 'meeting',
    words: '',
  }),
  placeAgreements: (_, personId) => ({ id: personId, personId, isAgreed: true, at: noon }),
  clockPlaces: (siteId, personId) => ({
    id: `place-of-${siteId}`,
    personId,
    workOrderId: workOf(siteId),
    at: noon,
    latitude: 47,
    longitude: 11,
    accuracyMeters: 10,
  }),
  documents: (siteId) =>
    ({
      id: `document-${siteId}`,
      siteId,
      assetId: asId(`asset-${siteId}`),
      name: 'Manual',
      kind: 'manual',
      fileId: asId('f'),
      mediaType: 'application/pdf',
      bytes: 1,
    }) as unknown as Tables['documents'],
  installations: (siteId) =>
    ({ id: `installation-${siteId}`, siteId, assetId: asId(`asset-${siteId}`) }) as unknown as Tables['installations'],
  codes: (siteId, personId) => ({
    id: `CODE-${siteId}`,
    siteId,
    assetId: asId(`asset-${siteId}`),
    by: personId,
    at: noon,
    previous: [],
  }),
  contacts: (siteId) => ({
    id: `contact-${siteId}`,
    siteId,
    name: 'Rescue',
    about: '',
    phone: '112',
    assetId: null,
    placeId: null,
  }),
  kitLists: (_, personId) => ({ id: personId, workOrderIds: [], sharedWith: [], inBag: {} }),
  notices: (siteId, personId) => ({
    id: `${personId}@given@x`,
    personId,
    kind: 'given',
    workOrderId: workOf(siteId),
    number: 'W-1',
    title: '',
    facts: [],
    at: present,
    seenAt: null,
  }),
  follows: (siteId, personId) => ({ id: `${personId}@x`, personId, workOrderId: workOf(siteId) }),
  reviews: (siteId, personId) => ({
    id: workOf(siteId),
    siteId,
    workOrderId: workOf(siteId),
    readerIds: [personId],
    finishedAt: noon,
    acceptedAt: null,
    unusual: [],
    cost: { laborMinutes: 0, groups: { time: [], material: [], boughtIn: [], other: [] }, total: [] },
  }),
  assetFollows: (_: SiteId, personId: PersonId) => ({ id: `${personId}@asset`, personId, assetId: asId('asset') }),
  noticeChoices: (_, personId) => ({ id: personId, personId, silent: [], mail: [], push: [] }),
};

function workOf(siteId: SiteId): WorkOrderId {
  return asId(`work-${siteId}`);
}

let database: Knex;
let samsRows: ReadonlyMap<TableName, Row>;
beforeAll(async () => {
  database = await freshDatabase();
  samsRows = new Map(tableNames.map((table) => [table, rowOf[table](otherSite, sam)]));
  await database.transaction((transaction) =>
    new SqlRecords(transaction).write([...samsRows].map(([table, row]) => put(table, row as never))),
  );
});
afterAll(() => database.destroy());

/** Somebody of a role who has these sites: another than Sam, whose rows they are, or Sam. */
const viewer = (role: Role, siteIds: readonly SiteId[], id: PersonId = ann.id): Person =>
  aPerson({ id, roles: [role], siteIds });

const pulled = async (person: Person): Promise<readonly { table: TableName; id: string }[]> =>
  (await pull(database, person, { since: 0, isFilling: true }, () => PRESENT)).changes;

/** What a table says of itself. */
const kindOf = (table: TableName): Expected => {
  const { seenBy, confidential } = tableNamed(table);
  return confidential === null ? seenBy : 'site, who sees costs';
};

type Expected = SeenBy | 'site, who sees costs';

/** What that means, written out once more by hand. */
const expected: Readonly<Record<Expected, (person: Person) => boolean>> = {
  nobody: () => false,
  own: ({ id, siteIds }) => id === sam && siteIds.length > 0,
  given: ({ id, siteIds }) => id === sam && siteIds.length > 0,
  site: ({ siteIds }) => siteIds.includes(otherSite),
  'site, who sees costs': ({ siteIds, roles: of }) => siteIds.includes(otherSite) && of.includes('lead'),
  everybody: ({ siteIds }) => siteIds.length > 0,
};

describe.each(tableNames.map((table) => [table]))('a row of %s', (table) => {
  const id = (): string => samsRows.get(table)?.id ?? '';
  const isOfWork = tablesOfWork.some((each) => each === table);

  it.each(roles.flatMap((role) => [[site], [otherSite], [site, otherSite], []].map((sites) => [role, sites] as const)))(
    'is shown to a %s with the sites %j exactly when it may be seen',
    async (role, siteIds) => {
      for (const person of [viewer(role, siteIds), viewer(role, siteIds, sam)]) {
        const maySee = expected[kindOf(table)](person);
        const row = samsRows.get(table);
        expect(row !== undefined && isSeenBy(table, row, viewerOf(person, settings))).toBe(maySee);
        const isGiven = (await pulled(person)).some((each) => each.table === table && each.id === id());
        // What belongs to a work order is carried by whoever has it, and looked up by the others of its site.
        if (!isOfWork || role === 'lead' || person.id === sam || !maySee) expect(isGiven).toBe(maySee);
        if (isOfWork && maySee) {
          const { changes } = await readWork(database, person, workOf(otherSite));
          expect(changes.some((each) => each.table === table && each.id === id())).toBe(true);
        }
      }
    },
  );

  it('is told to be gone to those who saw it, and to nobody else', async () => {
    if (table === 'settings') return;
    const row = samsRows.get(table);
    const before = Number((await database('counters').where('name', 'revision').first('value'))?.value);
    await database.transaction((transaction) => new SqlRecords(transaction).remove(table, id()));
    for (const role of roles) {
      for (const siteIds of [[site], [otherSite]]) {
        for (const person of [viewer(role, siteIds), viewer(role, siteIds, sam)]) {
          const { changes } = await pull(database, person, { since: before, isFilling: false }, () => PRESENT);
          const isTold = changes.some((each) => each.table === table && each.id === id() && each.row === null);
          const carries = !isOfWork || role === 'lead' || person.id === sam;
          expect(isTold).toBe(carries && expected[kindOf(table)](person));
        }
      }
    }
    await database.transaction((transaction) => new SqlRecords(transaction).write([put(table, row as never)]));
  });
});

describe('what leaves somebody', () => {
  it('is told to be gone, and comes back when it is theirs again', async () => {
    const bag = (sharedWith: readonly PersonId[]): Tables['kitLists'] => ({
      id: sam,
      workOrderIds: [],
      sharedWith,
      inBag: {},
    });
    const write = (row: Tables['kitLists']) =>
      database.transaction((transaction) => new SqlRecords(transaction).put('kitLists', row));
    const mate = viewer('technician', [otherSite]);
    const since = async (revision: number) => {
      const answer = await pull(database, mate, { since: revision, isFilling: false }, () => PRESENT);
      return {
        revision: answer.revision,
        rows: answer.changes.filter(({ table }) => table === 'kitLists').map(({ row }) => row !== null),
      };
    };
    const start = (await pull(database, mate, { since: 0, isFilling: true }, () => PRESENT)).revision;
    await write(bag([mate.id]));
    const shared = await since(start);
    await write(bag([]));
    const taken = await since(shared.revision);
    await write(bag([mate.id]));
    const again = await since(taken.revision);
    expect([shared.rows, taken.rows, again.rows]).toEqual([[true], [false], [true]]);
  });
});

describe('what people cost', () => {
  it('leaves the server only for those whom the settings name', async () => {
    const time = anEntry(
      {
        kind: 'labor',
        personId: sam,
        startedAt: noon,
        minutes: 60,
        timeType: 'regular',
        rate: { minorPerHour: 6_000, overtimePercent: 150, currency: 'EUR' },
        cost: { minor: 6_000, currency: 'EUR' },
      },
      { id: asId<never>('labor'), siteId: otherSite, workOrderId: workOf(otherSite) },
    );
    await database.transaction((transaction) => new SqlRecords(transaction).put('entries', time));
    const asSeen = async (role: Role) => {
      const person = viewer(role, [otherSite], sam);
      const carried = await pull(database, person, { since: 0, isFilling: true }, () => PRESENT);
      const looked = await readWork(database, person, workOf(otherSite));
      return [carried, looked].map(({ changes }) => JSON.stringify(changes.find(({ id }) => id === 'labor')));
    };
    for (const text of await asSeen('technician')) {
      expect(text).toContain('"minutes":60');
      expect(text).not.toContain('6000');
    }
    for (const text of await asSeen('lead')) expect(text).toContain('6000');
  });
});

describe('whom news concern', () => {
  it('is said for every change by its table, and is never everybody by oversight', async () => {
    for (const table of tableNames) {
      const row = samsRows.get(table);
      const concerned = await database.transaction(async (transaction) => {
        const records = new SqlRecords(transaction);
        await records.write([put(table, row as never)]);
        return records.audience;
      });
      const stranger = viewer('lead', [site], asId<PersonId>('zoe'));
      const hears = audiencesOf({ ...stranger, wholeFor: 'all' }).some((each) => concerned.has(each));
      expect([table, hears]).toEqual([table, tableNamed(table).seenBy === 'everybody']);
    }
  });
});
