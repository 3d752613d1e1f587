import type { StepId, WorkOrderId } from '../../../kernel/ids';
import { refuse, type Result } from '../../../operations/operation';
import type { Records } from '../../../records/records';
import type { Step } from './step';

/** The step, if it belongs to the work order. */
export async function findStep(records: Records, id: StepId, workOrderId: WorkOrderId): Promise<Result<Step>> {
  const step = await records.get('steps', id);
  if (step === undefined || step.workOrderId !== workOrderId) return refuse('not_found', { what: 'step' }, 'stepId');
  return { ok: true, value: step };
}

/** The step that something is recorded for, where there is one. */
export function namedStep(stepId: StepId | undefined): { readonly stepId?: StepId } {
  return stepId === undefined ? {} : { stepId };
}
