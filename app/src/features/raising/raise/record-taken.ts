import type { WorkOrderId } from '@oilcan/core/kernel';
import type { Outcome, Refusal } from '@oilcan/core/operations';
import type { ArgsOf } from '@oilcan/core/registry/operations';
import { perform } from '../../../data/store/store';
import type { Taken } from './taken';

/**
 * Records on a work order what was photographed and spoken of it, one after the other. Gives why something was not taken.
 *
 * @param taken whether the photo shows the machine before or after the work
 */
export async function recordTaken(
  workOrderId: WorkOrderId,
  { photos, voice }: Taken,
  taken: ArgsOf<'photo.add'>['taken'],
): Promise<readonly Refusal[]> {
  const outcomes: Outcome[] = [];
  for (const photo of photos) outcomes.push(await perform('photo.add', { workOrderId, ...photo, caption: '', taken }));
  if (voice !== null) outcomes.push(await perform('voice.add', { workOrderId, ...voice }));
  return outcomes.filter((outcome): outcome is Refusal => !outcome.ok);
}
