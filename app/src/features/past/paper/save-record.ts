import { entryColumns, entryRows, recordDocument, type RecordSource } from '@oilcan/core/past/formats';
import { entryKinds } from '@oilcan/core/registry';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { saveFile } from '../../../data/browser/save-file';
import { saveTable } from '../../../data/browser/save-table';
import { now, peekRow, peekRows } from '../../../data/store/store';

/** The job as this phone has it. */
function sourceOf(work: WorkOrder): RecordSource {
  return {
    work,
    steps: peekRows('steps', 'workOrder', work.id),
    entries: peekRows('entries', 'workOrder', work.id),
    led: peekRows('workOrders', 'cameFrom', work.id),
    cameFrom: work.cameFrom === null ? undefined : peekRow('workOrders', work.cameFrom),
    asset: (id) => peekRow('assets', id),
    place: (id) => peekRow('places', id),
    person: (id) => peekRow('people', id),
    part: (id) => peekRow('parts', id),
    point: (id) => peekRow('points', id),
    madeAt: now(),
  };
}

/** The work order and its record as an open document; `docs/record.schema.json` describes it. */
export function saveRecord(work: WorkOrder): void {
  const text = JSON.stringify(recordDocument(sourceOf(work)), null, 2);
  saveFile(`${work.number}.json`, 'application/json', text);
}

/** What is recorded as CSV, a line for each entry. */
export function saveEntries(work: WorkOrder): void {
  saveTable(`${work.number}-entries`, entryColumns, entryRows(entryKinds, sourceOf(work)));
}
