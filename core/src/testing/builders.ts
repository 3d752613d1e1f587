import {
  asId,
  type AssetId,
  type BinId,
  type CrewId,
  type EntryId,
  type OperationId,
  type PartId,
  type PersonId,
  type PlaceId,
  type PointId,
  type ProcedureId,
  type ShareId,
  type SiteId,
  type StepId,
  type StopId,
  type StoreId,
  type WorkOrderId,
} from '../kernel/ids';
import type { PastJob } from '../subjects/past/past/past-job';
import { money } from '../kernel/money/money';
import type { Operation } from '../operations/operation';
import type { ArgsOf, OperationName } from '../registry/operations';
import type { Crew, Person, Site } from '../subjects/plant/people/people';
import type { Asset, MeasuringPoint } from '../subjects/plant/plant/plant';
import type { Change } from '../records/records';
import type { TableName, Tables } from '../records/table';
import { rateId, type Rate, type Settings } from '../subjects/orders/settings/settings';
import { stockLevelId, type Bin, type Part, type StockLevel } from '../subjects/stores/stock/stock';
import { parseInstant, type Instant } from '../kernel/time/instant';
import type { Entry, EntryContent } from '../subjects/orders/work/entries';
import type { StepQuestion } from '../subjects/steps/steps/kinds/kinds';
import { registerIdOf, type HazardRegister } from '../subjects/orders/hazards/hazard-register';
import type { Procedure } from '../subjects/steps/procedures/procedure';
import type { Stop } from '../subjects/steps/rounds/stop';
import type { Share } from '../subjects/recording/shares/share';
import type { Step } from '../subjects/steps/steps/step';
import { newWorkOrder } from '../subjects/orders/work/new-work-order';
import type { WorkOrder } from '../subjects/orders/work/work-order';

/** Made-up rows for tests: each builder gives a complete row, of which a test names only what it is about. */

export const noon: Instant = parseInstant('2026-11-23T11:00:00Z');
export const site = asId<SiteId>('site');
export const otherSite = asId<SiteId>('other-site');
export const workId = asId<WorkOrderId>('w-1');
export const assetId = asId<AssetId>('asset');
export const partId = asId<PartId>('part');
export const binId = asId<BinId>('bin');
export const pointId = asId<PointId>('point');

export const aPerson = (given: Partial<Person> = {}): Person => ({
  id: asId<PersonId>('ann'),
  name: 'Ann',
  roles: ['technician'],
  siteIds: [site],
  tradeId: 'mechanical',
  ...given,
});

export const ann = aPerson();
export const bob = aPerson({ id: asId<PersonId>('bob'), name: 'Bob' });
/** A lead who is responsible for all sites. */
export const lea = aPerson({ id: asId<PersonId>('lea'), name: 'Lea', roles: ['lead'], isResponsibleForAll: true });

export const aCrew = (given: Partial<Crew> = {}): Crew => ({
  id: asId<CrewId>('crew'),
  name: 'Crew',
  siteIds: [site],
  memberIds: [bob.id],
  ...given,
});

export const someSettings = (given: Partial<Settings> = {}): Settings => ({
  id: 'settings',
  organization: 'Test works',
  zone: 'Europe/Vienna',
  language: 'en',
  currency: 'EUR',
  units: 'metric',
  shiftMinutes: 480,
  trades: [{ id: 'mechanical', name: 'Mechanical' }],
  laborCostSeenBy: ['lead'],
  owed: {
    corrective: { steps: true, time: true },
    preventive: { steps: true, time: true },
    inspection: { steps: true, time: true },
    improvement: { steps: false, time: false },
  },
  ...given,
});

/** 60 euros an hour for mechanics, half as much again for overtime. */
export const aRate = (given: Partial<Rate> = {}): Rate => ({
  id: rateId(site, 'mechanical'),
  siteId: site,
  tradeId: 'mechanical',
  minorPerHour: 6_000,
  overtimePercent: 150,
  ...given,
});

export const aSite = (given: Partial<Site> = {}): Site => ({
  id: site,
  name: 'Site',
  zone: null,
  currency: null,
  ...given,
});

export const aWorkOrder = (given: Partial<WorkOrder> = {}): WorkOrder => ({
  ...newWorkOrder({
    id: workId,
    number: 'W-1',
    siteId: site,
    assetId,
    placeId: asId<PlaceId>('place'),
    kind: 'corrective',
    urgency: 'shift',
    title: 'Seal weeping',
    reason: 'Oil on the floor',
    tradeId: 'mechanical',
    dueAt: null,
    estimateMinutes: 60,
    personIds: [ann.id],
    crewId: null,
    hazards: [],
    kit: [],
    tools: [],
    createdAt: noon,
    cameFrom: null,
  }),
  ...given,
});

export const aStep = (
  position: number,
  question: StepQuestion = { type: 'tick' },
  given: Partial<Step> = {},
): Step => ({
  id: asId<StepId>(`w-1-s${position}`),
  siteId: site,
  workOrderId: workId,
  position,
  text: `Step ${position}`,
  question,
  stopId: null,
  parentId: null,
  condition: null,
  added: null,
  answer: null,
  answeredAt: null,
  ...given,
});

export const aStop = (given: Partial<Stop> = {}): Stop => ({
  id: asId<StopId>('stop'),
  siteId: site,
  workOrderId: workId,
  assetId,
  position: 1,
  leftOut: null,
  ...given,
});

export const aShare = (given: Partial<Share> = {}): Share => ({
  id: asId<ShareId>('share'),
  siteId: site,
  workOrderId: workId,
  personId: ann.id,
  earlier: [],
  tradeId: 'mechanical',
  assetId,
  plannedMinutes: 60,
  stepIds: [],
  madeBy: ann.id,
  madeAt: noon,
  ...given,
});

export const aProcedure = (given: Partial<Procedure> = {}): Procedure => ({
  id: asId<ProcedureId>('procedure'),
  siteId: site,
  title: 'Change a shaft seal',
  equipmentClasses: ['gearbox'],
  tradeId: 'mechanical',
  steps: [],
  ...given,
});

export const anAsset = (given: Partial<Asset> = {}): Asset => ({
  id: assetId,
  siteId: site,
  placeId: asId<PlaceId>('place'),
  parentId: null,
  tag: 'A1',
  name: 'Gearbox',
  equipmentClass: 'gearbox',
  criticality: 2,
  condition: 'running',
  conditionSince: noon,
  nameplate: {
    maker: 'Maker',
    model: 'M',
    serial: '1',
    inServiceSince: '2014-01-01',
    warrantyUntil: null,
    ratings: [],
  },
  ...given,
});

export const aPastJob = (given: Partial<PastJob> = {}): PastJob => ({
  id: workId,
  number: 'W-1',
  assetId,
  placeId: asId<PlaceId>('place'),
  kind: 'corrective',
  tradeId: 'mechanical',
  state: 'accepted',
  title: 'Seal weeping',
  reason: 'Oil on the floor',
  at: noon,
  endedAt: noon,
  activeMinutes: 60,
  saidNone: [],
  faults: [],
  parts: [],
  stoppages: [],
  readings: [],
  notes: [],
  reports: [],
  expenses: [],
  answers: [],
  ...given,
});

export const aHazardRegister = (given: Partial<HazardRegister> = {}): HazardRegister => ({
  id: registerIdOf.asset(assetId),
  siteId: site,
  hazards: [{ id: 'starts', hazard: 'Drive can start', control: 'Lock out' }],
  isolation: [],
  ...given,
});

export const aPoint = (given: Partial<MeasuringPoint> = {}): MeasuringPoint => ({
  id: pointId,
  siteId: site,
  assetId,
  name: 'Oil temperature',
  unit: '°C',
  isMeter: false,
  limits: { alarmLow: null, alertLow: null, alertHigh: 75, alarmHigh: 85 },
  scale: { from: 30, to: 95 },
  decimals: 1,
  latest: [],
  ...given,
});

export const aPart = (given: Partial<Part> = {}): Part => ({
  id: partId,
  number: 'SEAL-70',
  name: 'Seal',
  unit: 'pcs',
  isWhole: true,
  priceMinor: 3_820,
  successorId: null,
  isObsolete: false,
  ...given,
});

export const aBin = (given: Partial<Bin> = {}): Bin => ({
  id: binId,
  storeId: asId<StoreId>('store'),
  siteId: site,
  label: 'C-04',
  ...given,
});

export const aLevel = (onHand: number, given: Partial<StockLevel> = {}): StockLevel => ({
  id: stockLevelId(partId, binId),
  siteId: site,
  partId,
  binId,
  onHand,
  lowLevel: 0,
  ...given,
});

export const anEntry = (content: EntryContent, given: Partial<Entry> = {}): Entry => ({
  id: asId<EntryId>('entry'),
  siteId: site,
  workOrderId: workId,
  assetId,
  at: noon,
  by: ann.id,
  amends: null,
  content,
  ...given,
});

/** So much of the part, used from its bin. */
export const aUse = (quantity: number): EntryContent => ({
  kind: 'part',
  partId,
  binId,
  quantity,
  unitPrice: { minor: 0, currency: 'EUR' },
  cost: money(0, 'EUR'),
});

/** A row as a change that puts it. */
export function put<T extends TableName>(table: T, row: Tables[T]): Change {
  return { table, id: row.id, row } as Change;
}

/** A small works: Ann's work order on a gearbox with a point, a part in a bin, and three people. */
export function smallWorks(work: Partial<WorkOrder> = {}, steps: readonly Step[] = []): Change[] {
  return [
    put('settings', someSettings()),
    put('rates', aRate()),
    put('sites', aSite()),
    put('people', ann),
    put('people', bob),
    put('people', lea),
    put('assets', anAsset()),
    put('points', aPoint()),
    put('parts', aPart()),
    put('bins', aBin()),
    put('stock', aLevel(8_000)),
    put('movements', {
      id: 'opening',
      partId,
      binId,
      change: 8_000,
      reason: 'opening',
      at: noon,
      workOrderId: null,
      entryId: null,
    }),
    put('workOrders', aWorkOrder(work)),
    ...steps.map((step) => put('steps', step)),
  ];
}

let counter = 0;

/** A new UUID of version 7 that sorts after the one before. */
export function newOperationId(): OperationId {
  counter += 1;
  return asId<OperationId>(`01930000-0000-7000-8000-${counter.toString(16).padStart(12, '0')}`);
}

export function anOperation<N extends OperationName>(
  name: N,
  args: ArgsOf<N>,
  given: Partial<Operation> = {},
): Operation {
  return {
    id: newOperationId(),
    name,
    args,
    at: '2026-11-23T12:00:00.000+01:00',
    ahead: 0,
    knownUntil: noon,
    by: ann.id,
    device: 'test',
    ...given,
  };
}

/** What raises a work order on the machine: complete, of which a test names what it is about. */
export const aRaise = (given: Partial<ArgsOf<'work.raise'>> = {}): ArgsOf<'work.raise'> => ({
  number: null,
  assetId,
  title: 'Guard is loose',
  reason: 'Rattles at full speed',
  urgency: 'week',
  kind: 'corrective',
  tradeId: null,
  dueAt: null,
  estimateMinutes: 30,
  steps: [],
  kit: [],
  tools: [],
  hazards: [],
  personIds: [],
  crewId: null,
  cameFrom: null,
  ...given,
});
