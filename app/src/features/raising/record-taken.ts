import type { WorkOrderId } from '@oilcan/core/kernel';
import type { Refusal } from '@oilcan/core/operations';
import type { ArgsOf } from '@oilcan/core/registry';
import { perform } from '../../data/store';
import type { Taken } from './use-taken-along';

/**
 * Records on a work order what was photographed and spoken of it. Gives why something was not taken.
 *
 * @param taken whether the photo shows the machine before or after the work
 */
export async function recordTaken(
  workOrderId: WorkOrderId,
  { photo, voice }: Taken,
  taken: ArgsOf<'photo.add'>['taken'],
): Promise<readonly Refusal[]> {
  const outcomes = [
    ...(photo === null ? [] : [await perform('photo.add', { workOrderId, ...photo, caption: '', taken })]),
    ...(voice === null ? [] : [await perform('voice.add', { workOrderId, ...voice })]),
  ];
  return outcomes.filter((outcome): outcome is Refusal => !outcome.ok);
}
