import type { Change } from '@oilcan/core/records';

const at = '2026-11-20T08:00:00.000Z';
const later = '2026-11-20T09:00:00.000Z';
const money = (minor: number) => ({ minor, currency: 'EUR' });
const stored = <Stored extends { readonly id: string }>(
  row: Stored,
  columns: Readonly<Record<string, string | null>> = {},
) => ({
  id: row.id,
  revision: 1,
  ...columns,
  body: JSON.stringify(row),
});

const owed = { steps: true, time: true };
const settings = {
  id: 'settings',
  organization: 'Test works',
  zone: 'Europe/Vienna',
  language: 'en',
  currency: 'EUR',
  units: 'metric',
  shiftMinutes: 480,
  owed: { corrective: owed, preventive: owed, inspection: owed, improvement: owed },
};
const asset = {
  id: 'asset',
  siteId: 'site',
  placeId: 'place',
  parentId: null,
  tag: 'gb 1',
  name: 'Gearbox',
  equipmentClass: 'gearbox',
  criticality: 2,
  condition: 'running',
  conditionSince: at,
  nameplate: { maker: '', model: '', serial: '', inServiceSince: '2014-01-01', warrantyUntil: null, ratings: [] },
};
const work = {
  siteId: 'site',
  assetId: 'asset',
  placeId: 'place',
  kind: 'corrective',
  urgency: 'shift',
  title: 'Seal weeping',
  reason: '',
  dueAt: null,
  estimateMinutes: 60,
  personIds: ['ann'],
  crewId: 'crew',
  hazardsSince: null,
  createdAt: at,
  startedAt: at,
  finishedBy: 'ann',
  held: null,
  handedBack: null,
};
const entry = { siteId: 'site', workOrderId: 'w-accepted', assetId: 'asset', at, by: 'ann', amends: null };
const labor = { kind: 'labor', personId: 'ann', startedAt: at, minutes: 90, timeType: 'overtime', cost: money(13_500) };
const part = { kind: 'part', partId: 'part', binId: 'bin', quantity: 2_000, cost: money(7_640) };
const level = { id: 'part@bin', partId: 'part', binId: 'bin', onHand: 8_000, lowLevel: 0 };
const people = { id: 'ann', name: 'Ann', roles: ['technician'], siteIds: ['site'] };
const crew = { id: 'crew', name: 'Crew', memberIds: ['ann'] };
const bin = { id: 'bin', storeId: 'store', siteId: 'site', label: 'C-04' };
const kitPart = { partId: 'part', binId: 'bin', quantity: 1_000 };
const accepted = {
  ...work,
  id: 'w-accepted',
  number: 'W-1',
  state: 'accepted',
  finishedAt: at,
  closedAt: later,
  turned: { by: 'lea', since: later },
};
const finished = {
  ...work,
  id: 'w-finished',
  number: 'W-2',
  state: 'finished',
  finishedAt: at,
  closedAt: null,
  turned: null,
};

/** Rows as the first version of Oilcan wrote them, by their SQL table. Never changed: such databases exist. */
export const asOfTheFirstVersion: Readonly<Record<string, readonly object[]>> = {
  settings: [
    stored({
      ...settings,
      crafts: [{ id: 'mechanical', name: 'Mechanical', rateMinorPerHour: 6_000 }],
      overtimePercent: 150,
    }),
  ],
  sites: [stored({ id: 'site', name: 'Site' })],
  people: [stored({ ...people, craftId: 'mechanical' })],
  crews: [stored(crew)],
  assets: [stored(asset, { site: 'site', parent: null })],
  bins: [stored(bin, { site: 'site' })],
  stock: [stored(level, { part: 'part' })],
  work_orders: [accepted, finished].map((row) =>
    stored(
      {
        ...row,
        craftId: 'mechanical',
        kit: [kitPart],
        hazards: [{ id: 'h', hazard: 'Drive starts', precaution: 'Lock out' }],
      },
      { site: 'site', asset: 'asset', ended: row.closedAt ?? row.finishedAt },
    ),
  ),
  entries: [
    { ...entry, id: 'e-1', content: labor },
    { ...entry, id: 'e-2', content: part },
    { ...entry, id: 'e-3', content: { kind: 'hazard', id: 'h', hazard: 'Drive starts', precaution: 'Lock out' } },
  ].map((row) => stored(row, { site: 'site', work_order: 'w-accepted', asset: 'asset', amends: null })),
};

const nowOf = ({ turned, hazardsSince: _, ...row }: typeof accepted | typeof finished) => ({
  ...row,
  lastTransition: turned,
  tools: [],
  isolation: [],
  previousAssignees: null,
  cameFrom: null,
  kit: [{ unit: null, ...kitPart }],
  hazards: [{ id: 'h', hazard: 'Drive starts', control: 'Lock out' }],
  tradeId: 'mechanical',
});

/** The same rows as they are written today. */
export const asOfNow: readonly Change[] = [
  {
    table: 'settings',
    row: { ...settings, trades: [{ id: 'mechanical', name: 'Mechanical' }], laborCostSeenBy: ['lead'] },
  },
  {
    table: 'rates',
    row: { id: 'site@mechanical', siteId: 'site', tradeId: 'mechanical', minorPerHour: 6_000, overtimePercent: 150 },
  },
  { table: 'sites', row: { id: 'site', name: 'Site', zone: null, currency: null } },
  { table: 'people', row: { ...people, tradeId: 'mechanical' } },
  { table: 'crews', row: { ...crew, siteIds: ['site'] } },
  { table: 'assets', row: asset },
  { table: 'bins', row: bin },
  { table: 'stock', row: { ...level, siteId: 'site' } },
  { table: 'workOrders', row: nowOf(accepted) },
  { table: 'workOrders', row: nowOf(finished) },
  {
    table: 'entries',
    row: {
      ...entry,
      id: 'e-1',
      content: { ...labor, rate: { minorPerHour: 6_000, overtimePercent: 150, currency: 'EUR' } },
    },
  },
  { table: 'entries', row: { ...entry, id: 'e-2', content: { ...part, unitPrice: money(3_820) } } },
  {
    table: 'entries',
    row: { ...entry, id: 'e-3', content: { kind: 'hazard', id: 'h', hazard: 'Drive starts', control: 'Lock out' } },
  },
].map(({ table, row }) => ({ table, id: row.id, row }) as unknown as Change);
