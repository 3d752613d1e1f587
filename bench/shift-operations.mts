import type { WorkOrderId } from '@oilcan/core/kernel';
import type { Operation } from '@oilcan/core/operations';
import { ann, anOperation, aStep, workId } from '@oilcan/core/testing';

export const STEPS = 60;

/** What a technician sends over a shift: mostly steps, some notes, readings and time. */
export function shiftOperation(index: number, workOrderId: WorkOrderId = workId, prefix = ''): Operation {
  const at = new Date(Date.now() - 60_000).toISOString();
  const given = { at, knownUntil: at as never };
  const onWork = { workOrderId };
  switch (index % 10) {
    case 7:
      return anOperation('note.add', { ...onWork, text: `Grease was black at nipple ${index}.` }, given);
    case 8:
      return anOperation('reading.add', { ...onWork, pointId: 'point' as never, value: 60 + (index % 9) }, given);
    case 9: {
      const startedAt = new Date(Date.now() - 7_200_000).toISOString() as never;
      return anOperation(
        'labor.add',
        { ...onWork, personId: ann.id, startedAt, minutes: 15, timeType: 'regular' },
        given,
      );
    }
    default: {
      const stepId = `${prefix}${aStep((index % STEPS) + 1).id}` as never;
      return anOperation(
        'step.answer',
        { ...onWork, stepId, answer: index % 2 === 0 ? { type: 'tick' } : null },
        given,
      );
    }
  }
}
