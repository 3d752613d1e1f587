import { asId, type BinId, type Instant, type PartId, type StoreId, type Thousandths } from '@oilcan/core/kernel';
import {
  stockLevelId,
  type Bin,
  type Movement,
  type Part,
  type StockLevel,
  type Store,
} from '@oilcan/core/stores/stock';
import { randomFor } from '../random';
import { lifts } from './people';
import { numbered, partPlans, successors, type PartPlan } from './parts';

const wholeUnits: ReadonlySet<string> = new Set(['pcs']);

export const baseStoreId = asId<StoreId>('store-base');
export const midStoreId = asId<StoreId>('store-mid');

export const stores: readonly Store[] = [
  {
    id: baseStoreId,
    siteId: lifts,
    name: 'Base store',
    isAttended: true,
    pickUpPlaces: ['Base counter', 'Box at the garage door'],
  },
  { id: midStoreId, siteId: lifts, name: 'Mid station store' },
];

export function partIdOf(number: string): PartId {
  return asId<PartId>(`part-${number.toLowerCase().replace(/[^a-z0-9.-]/g, '-')}`);
}

export const parts: readonly Part[] = partPlans.map((plan) => {
  const successor = successors[plan.number];
  return {
    id: partIdOf(plan.number),
    number: plan.number,
    name: plan.name,
    unit: plan.unit,
    isWhole: wholeUnits.has(plan.unit),
    priceMinor: plan.priceMinor,
    successorId: successor === undefined ? null : partIdOf(successor),
    isObsolete: successor !== undefined,
    ...(numbered[plan.number] === undefined ? {} : { isNumbered: true, warrantyDays: numbered[plan.number] }),
  };
});

export interface Shelf {
  readonly bin: Bin;
  readonly plan: PartPlan;
  /** How much is put there at the beginning and whenever it is filled up. */
  readonly full: Thousandths;
  readonly low: Thousandths;
}

const BINS_PER_SHELF = 12;

/** Each part has its bin in the base store; every third one another at mid station. */
export const shelves: readonly Shelf[] = partPlans.flatMap((plan, index) => {
  const random = randomFor(`shelf ${plan.number}`);
  const fullUnits =
    plan.priceMinor > 20_000
      ? random.whole(1, 2)
      : plan.priceMinor > 4_000
        ? random.whole(3, 6)
        : plan.priceMinor > 800
          ? random.whole(8, 16)
          : random.whole(30, 80);
  const label = (rack: number): string =>
    `${String.fromCharCode(65 + Math.floor(rack / BINS_PER_SHELF))}-${String((rack % BINS_PER_SHELF) + 1).padStart(2, '0')}`;
  const shelf = (store: string, rack: number, units: number): Shelf => ({
    bin: {
      id: asId<BinId>(`bin-${store}-${plan.number.toLowerCase().replace(/[^a-z0-9.-]/g, '-')}`),
      storeId: asId<StoreId>(`store-${store}`),
      siteId: lifts,
      label: `${store === 'base' ? '' : 'M'}${label(rack)}`,
    },
    plan,
    full: units * 1000,
    low: Math.floor(units / 3) * 1000,
  });
  const base = shelf('base', index, fullUnits);
  return index % 3 === 0 ? [base, shelf('mid', index / 3, Math.max(1, Math.ceil(fullUnits / 2)))] : [base];
});

/** The shelf in the base store that work takes a part from. */
export function shelfOf(number: string): Shelf {
  const shelf = shelves.find((each) => each.plan.number === number);
  if (shelf === undefined) throw new Error(`No shelf holds ${number}.`);
  return shelf;
}

/** The shelf at mid station with a part that lies there too. */
export function midShelfOf(number: string): Shelf {
  const shelf = shelves.find(({ plan, bin }) => plan.number === number && bin.storeId === midStoreId);
  if (shelf === undefined) throw new Error(`No shelf at mid station holds ${number}.`);
  return shelf;
}

/** Keeps the stock while the past is made: every change a movement, filled up before it would run out. */
export class Stockroom {
  readonly movements: Movement[] = [];
  readonly #onHand = new Map<string, Thousandths>();
  #count = 0;

  open(at: Instant): void {
    for (const shelf of shelves) this.#move(shelf, shelf.full, 'opening', at, {});
  }

  use(shelf: Shelf, quantity: Thousandths, at: Instant, cause: Pick<Movement, 'workOrderId' | 'entryId'>): void {
    while ((this.#onHand.get(shelf.bin.id) ?? 0) - quantity < shelf.low)
      this.#move(shelf, shelf.full, 'receipt', at, {});
    this.#move(shelf, -quantity, 'use', at, cause);
  }

  /** It was handed out for no job. */
  issue(shelf: Shelf, quantity: Thousandths, at: Instant): void {
    this.#move(shelf, -quantity, 'issue', at, {});
  }

  /** It left its bin for another store. */
  send(shelf: Shelf, quantity: Thousandths, at: Instant): void {
    this.#move(shelf, -quantity, 'transfer', at, {});
  }

  onHandOf({ bin }: Shelf): Thousandths {
    return this.#onHand.get(bin.id) ?? 0;
  }

  /** Somebody counted, and found another amount than the books say. */
  count(shelf: Shelf, found: Thousandths, at: Instant): void {
    this.#move(shelf, found - (this.#onHand.get(shelf.bin.id) ?? 0), 'count', at, {});
  }

  levels(): StockLevel[] {
    return shelves.map(({ bin, plan, low }) => {
      const partId = partIdOf(plan.number);
      const onHand = this.#onHand.get(bin.id) ?? 0;
      return { id: stockLevelId(partId, bin.id), siteId: bin.siteId, partId, binId: bin.id, onHand, lowLevel: low };
    });
  }

  #move(
    shelf: Shelf,
    change: Thousandths,
    reason: Movement['reason'],
    at: Instant,
    cause: Partial<Pick<Movement, 'workOrderId' | 'entryId'>>,
  ): void {
    this.#count += 1;
    this.#onHand.set(shelf.bin.id, (this.#onHand.get(shelf.bin.id) ?? 0) + change);
    this.movements.push({
      id: `past-${this.#count}`,
      partId: partIdOf(shelf.plan.number),
      binId: shelf.bin.id,
      change,
      reason,
      at,
      workOrderId: cause.workOrderId ?? null,
      entryId: cause.entryId ?? null,
    });
  }
}
