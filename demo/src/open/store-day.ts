import { addMinutes, asId, type CountId, type Instant, type RequestId, type TransferId } from '@oilcan/core/kernel';
import type { WorkOrder } from '@oilcan/core/orders/work';
import type { Count } from '@oilcan/core/stores/counts';
import { withEnd, type Handout, type StoreRequest } from '@oilcan/core/stores/requests';
import type { Transfer } from '@oilcan/core/stores/transfers';
import { arun, ines, jonas, lifts, pavel, settings } from '../mountain/people';
import {
  baseStoreId,
  midShelfOf,
  midStoreId,
  partIdOf,
  parts,
  shelfOf,
  type Shelf,
  type Stockroom,
} from '../mountain/stores';

/** Something that is asked of the base store on the morning of the demo. */
interface Asked {
  /** The title of the job; null for none. */
  readonly job: string | null;
  /** Null where it is only in words. */
  readonly part: string | null;
  readonly words?: string;
  readonly units: number;
  /** Hours from now; null for whenever. */
  readonly neededIn: number | null;
  readonly bringTo?: string;
  readonly by: string;
  readonly minutesAgo: number;
}

const asked: readonly Asked[] = [
  {
    job: 'Safety relay K14 drops out',
    part: 'REL-24V-4C',
    units: 2,
    neededIn: 0.75,
    by: pavel.id,
    minutesAgo: 12,
    bringTo: 'Drive room, base station',
  },
  { job: 'Gearbox output seal weeping oil', part: 'SLEEVE-85', units: 1, neededIn: 0.9, by: ines.id, minutesAgo: 25 },
  {
    job: 'Knock at tower 5 with every grip',
    part: 'BRG-6206',
    units: 4,
    neededIn: 4,
    by: jonas.id,
    minutesAgo: 70,
    bringTo: 'Tower 5',
  },
  { job: 'Tow hanger 22 does not wind in', part: 'GRIP-ROLLER', units: 9, neededIn: 26, by: ines.id, minutesAgo: 95 },
  {
    job: 'Cabin 17: door stays ajar',
    part: null,
    words: 'The small grey guide that runs in the lower rail of the cabin door, about as long as a thumb',
    units: 2,
    neededIn: 6,
    by: ines.id,
    minutesAgo: 40,
  },
  {
    job: 'Snow gun 14: valve sticks open',
    part: 'VALVE-SOL-24V',
    units: 1,
    neededIn: 5,
    by: pavel.id,
    minutesAgo: 130,
  },
  {
    job: 'Tensioning pump cycles every six minutes',
    part: 'SEAL-35-52-7',
    units: 2,
    neededIn: 28,
    by: 'mira',
    minutesAgo: 180,
  },
  {
    job: 'Juniper gearbox: oil change before the season',
    part: 'GASKET-COVER-450',
    units: 1,
    neededIn: 50,
    by: ines.id,
    minutesAgo: 240,
  },
  {
    job: 'Chair 63: bar hangs a hand above the stop',
    part: 'SEAT-BAR-BUSH',
    units: 4,
    neededIn: 30,
    by: jonas.id,
    minutesAgo: 300,
  },
  { job: null, part: 'CONS-RAGS', units: 3, neededIn: null, by: 'mira', minutesAgo: 320 },
  { job: null, part: 'BAT-24V-RADIO', units: 1, neededIn: 24, by: jonas.id, minutesAgo: 360 },
  { job: 'Service brake lining below 5 mm', part: 'SPLIT-4-40', units: 4, neededIn: 3, by: ines.id, minutesAgo: 200 },
];

const unitOf = (number: string): string => parts.find((part) => part.number === number)?.unit ?? 'pcs';

/** What the storekeeper finds in the morning: what is asked for, what is on its way, what was counted. */
export interface StoreDay {
  readonly requests: readonly StoreRequest[];
  readonly transfers: readonly Transfer[];
  readonly counts: readonly Count[];
}

/** Of one sector. What it takes out of the bins is moved in the stockroom. */
export function storeDayOf(prefix: string, works: readonly WorkOrder[], stockroom: Stockroom, now: Instant): StoreDay {
  const workOf = (title: string | null): WorkOrder | undefined => works.find((work) => work.title === title);
  const requests = asked.map((each, index): StoreRequest => {
    const at = addMinutes(now, -each.minutesAgo);
    const request: StoreRequest = {
      id: asId<RequestId>(`${prefix}request-${index + 1}`),
      siteId: lifts,
      storeId: baseStoreId,
      workOrderId: workOf(each.job)?.id ?? null,
      assetId: workOf(each.job)?.assetId ?? null,
      partId: each.part === null ? null : partIdOf(each.part),
      words: each.words ?? '',
      photo: null,
      quantity: each.units * 1_000,
      unit: each.part === null ? 'pcs' : unitOf(each.part),
      neededBy: each.neededIn === null ? null : addMinutes(now, Math.round(each.neededIn * 60)),
      bringTo: each.bringTo ?? '',
      askedBy: asId(each.by),
      askedAt: at,
      handouts: [],
      tookItself: {},
      closed: null,
      endedAt: null,
    };
    return request;
  });
  const radio = requests.findIndex(({ partId }) => partId === partIdOf('BAT-24V-RADIO'));
  return {
    requests: requests.map((request, index) =>
      index === radio ? readyAtTheCounter(request, shelfOf('BAT-24V-RADIO'), stockroom, now) : request,
    ),
    transfers: [onTheWay(prefix, workOf('Knock at tower 5 with every grip'), requests[2]?.id ?? null, stockroom, now)],
    counts: [
      countOf(prefix, 1, shelfOf('BRG-6004'), -2, stockroom, now),
      countOf(prefix, 2, shelfOf('BRG-6204'), 0, stockroom, now),
      countOf(prefix, 3, shelfOf('BRG-6205'), 1, stockroom, now),
    ],
  };
}

/** Handed out for no job, and not fetched yet. */
function readyAtTheCounter(request: StoreRequest, shelf: Shelf, stockroom: Stockroom, now: Instant): StoreRequest {
  const at = addMinutes(now, -50);
  stockroom.issue(shelf, request.quantity, at);
  const handout: Handout = {
    id: `${request.id}-given`,
    partId: partIdOf(shelf.plan.number),
    binId: shelf.bin.id,
    quantity: request.quantity,
    settles: request.quantity,
    way: 'pickUp',
    where: 'Base counter',
    by: arun.id,
    at,
    receivedAt: null,
    returned: 0,
    entryId: null,
  };
  return withEnd({ ...request, handouts: [handout] }, now);
}

/** Two bearings come down from mid station in a cabin. */
function onTheWay(
  prefix: string,
  work: WorkOrder | undefined,
  requestId: RequestId | null,
  stockroom: Stockroom,
  now: Instant,
): Transfer {
  const shelf = midShelfOf('BRG-6206');
  const quantity = 2_000;
  const at = addMinutes(now, -35);
  stockroom.send(shelf, quantity, at);
  return {
    id: asId<TransferId>(`${prefix}transfer-1`),
    fromSiteId: lifts,
    toSiteId: lifts,
    fromStoreId: midStoreId,
    toStoreId: baseStoreId,
    partId: partIdOf('BRG-6206'),
    quantity,
    workOrderId: work?.id ?? null,
    requestId,
    note: '',
    askedBy: arun.id,
    askedAt: addMinutes(now, -60),
    sent: {
      binId: shelf.bin.id,
      quantity,
      along: 'cabin 12',
      by: jonas.id,
      at,
      unitPrice: { minor: shelf.plan.priceMinor, currency: settings.currency },
    },
    arrivals: [],
    losses: [],
    closed: null,
    endedAt: null,
  };
}

/** A bin that was counted this morning and that nobody has posted yet. */
function countOf(
  prefix: string,
  number: number,
  shelf: Shelf,
  variance: number,
  stockroom: Stockroom,
  now: Instant,
): Count {
  const books = stockroom.onHandOf(shelf);
  return {
    id: asId<CountId>(`${prefix}count-${number}`),
    siteId: lifts,
    storeId: baseStoreId,
    partId: partIdOf(shelf.plan.number),
    binId: shelf.bin.id,
    quantity: Math.max(0, books + variance * 1_000),
    books,
    by: arun.id,
    at: addMinutes(now, -90 + number * 3),
    settled: null,
    endedAt: null,
  };
}
