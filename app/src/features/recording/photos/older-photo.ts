import { currentOf, type Entry, type EntryOf } from '@oilcan/core/orders/work';

/**
 * The older photo that shows the same place, as far as can be told: of the same machine, the one taken before the work for one taken
 * after it, else the latest with the same words or of the same step; null for none.
 */
export function olderPhotoOf(photo: EntryOf<'photo'>, entries: readonly Entry[]): EntryOf<'photo'> | null {
  const older = currentOf(entries, 'photo')
    .filter(({ id, assetId, at }) => id !== photo.id && assetId === photo.assetId && at < photo.at)
    .sort((a, b) => (a.at < b.at ? 1 : -1));
  const words = photo.content.caption.trim().toLowerCase();
  const fits = [
    (each: EntryOf<'photo'>) =>
      photo.content.taken === 'after' &&
      each.content.taken === 'before' &&
      each.workOrderId === photo.workOrderId &&
      each.content.stepId === photo.content.stepId,
    (each: EntryOf<'photo'>) => words !== '' && each.content.caption.trim().toLowerCase() === words,
    (each: EntryOf<'photo'>) => each.content.stepId !== undefined && each.content.stepId === photo.content.stepId,
  ];
  for (const fit of fits) {
    const found = older.find(fit);
    if (found !== undefined) return found;
  }
  return null;
}
