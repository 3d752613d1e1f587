import { useMemo } from 'react';
import { byId, type PartId, type PersonId, type Thousandths, type WorkOrderId } from '@oilcan/core/kernel';
import {
  kitListParts,
  kitListTools,
  type KitList,
  type KitListPart,
  type KitListTool,
} from '@oilcan/core/stores/kit-list';
import { shiftGroupOf, shiftTimes, type ShiftGroup } from '@oilcan/core/finishing/shift';
import { usedIn } from '@oilcan/core/stores/stock';
import { isOpen, type WorkOrder } from '@oilcan/core/orders/work';
import { now, peekRows, usePhone, useRow, useSettings, useTable } from '../../../data/store/store';
import { ownWork } from '../../orders/work';

interface ShownKitList {
  readonly list: KitList | undefined;
  readonly works: readonly WorkOrder[];
  /** Chosen work orders that this phone does not have, or that ended. */
  readonly missing: number;
  readonly parts: readonly KitListPart[];
  readonly tools: readonly KitListTool[];
}

/** Somebody's kit list, added up from what this phone has. */
export function useKitList(ownerId: PersonId): ShownKitList {
  const list = useRow('kitLists', ownerId);
  const workOrders = useTable('workOrders');
  const partRows = useTable('parts');
  const bins = useTable('bins');
  const stores = useTable('stores');
  const levels = useTable('stock');
  const entries = useTable('entries');
  return useMemo(() => {
    const wanted = new Set(list?.workOrderIds);
    const works = workOrders.filter((work) => wanted.has(work.id) && isOpen(work.state));
    const rows = { parts: byId(partRows), bins: byId(bins), stores: byId(stores), levels };
    const used = new Map(works.map(({ id }) => [id, usedIn(peekRows('entries', 'workOrder', id))]));
    const usedOf = (workOrderId: WorkOrderId, partId: PartId): Thousandths => used.get(workOrderId)?.(partId) ?? 0;
    return {
      list,
      works,
      missing: wanted.size - works.length,
      parts: kitListParts(works, { ...rows, usedOf }),
      tools: kitListTools(works),
    };
    // Entries are read through an index; the table stands for them.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [list, workOrders, partRows, bins, stores, levels, entries]);
}

interface JobsToChoose {
  readonly jobs: readonly WorkOrder[];
  readonly todays: ReadonlySet<string>;
  readonly weeks: ReadonlySet<string>;
}

/** My open work that takes anything along; the ids of what is late or for this shift, and of what is for this week, stand apart. */
export function useJobsToChoose(): JobsToChoose {
  const person = usePhone((state) => state.person);
  const settings = useSettings();
  const workOrders = useTable('workOrders');
  const crews = useTable('crews');
  return useMemo(() => {
    if (person === null || settings === undefined) return { jobs: [], todays: new Set(), weeks: new Set() };
    const rows = { workOrders, crews: byId(crews) };
    const jobs = ownWork(rows, person).filter(
      (work) => isOpen(work.state) && (work.kit.length > 0 || work.tools.length > 0),
    );
    const times = shiftTimes(now(), settings.zone);
    const within = (...groups: readonly ShiftGroup[]): ReadonlySet<string> =>
      new Set(jobs.filter((work) => groups.includes(shiftGroupOf(work, times))).map(({ id }) => id));
    return { jobs, todays: within('now', 'shift'), weeks: within('now', 'shift', 'week') };
  }, [person, settings, workOrders, crews]);
}
