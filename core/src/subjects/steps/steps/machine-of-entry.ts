import type { AssetId, StepId } from '../../../kernel/ids';
import { refuse, type Result } from '../../../operations/operation';
import type { Records } from '../../../records/records';
import { isOfJob } from '../../orders/work/machines-of-job';
import type { WorkOrder } from '../../orders/work/work-order';
import { findStep } from './find-step';

/** What an entry says of where it belongs. */
export interface Belonging {
  /** The machine that was named; left out, or null, where none was. */
  readonly assetId?: AssetId | null | undefined;
  /** The step that it is about, where there is one. */
  readonly stepId?: StepId | undefined;
}

/**
 * The machine that an entry is about: the one at whose stop its step stands, else the one that was named, else that of the job. Every
 * operation that records something on a job asks here, so that on a round nothing falls on the machine that the round is named after.
 *
 * Refused are a step of another job, and a machine that is neither of the job, nor at a stop of its round, nor part of one of these.
 */
export async function machineOfEntry(
  records: Records,
  work: WorkOrder,
  { assetId = null, stepId }: Belonging,
): Promise<Result<AssetId>> {
  if (stepId !== undefined) {
    const step = await findStep(records, stepId, work.id);
    if (!step.ok) return step;
    const stop = step.value.stopId === null ? undefined : await records.get('stops', step.value.stopId);
    if (stop !== undefined) return { ok: true, value: stop.assetId };
  }
  if (assetId === null || assetId === work.assetId) return { ok: true, value: work.assetId };
  if ((await records.get('assets', assetId)) === undefined) return refuse('not_found', { what: 'machine' }, 'assetId');
  if (await isOfJob(records, work, assetId)) return { ok: true, value: assetId };
  return refuse('machine_not_of_job', {}, 'assetId');
}
