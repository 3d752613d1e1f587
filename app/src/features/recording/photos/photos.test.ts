import { asId, type EntryId, type FileId } from '@oilcan/core/kernel';
import type { EntryOf } from '@oilcan/core/orders/work';
import { anEntry, minutesLater } from '@oilcan/core/testing';
import { shapeOf } from './marks';
import { olderPhotoOf } from './older-photo';

let count = 0;
const aPhoto = (given: Partial<EntryOf<'photo'>['content']>, at: number, workOrderId = 'w-1'): EntryOf<'photo'> => {
  const content = { kind: 'photo', fileId: asId<FileId>('f'), mediaType: 'image/jpeg', width: 4, height: 3 } as const;
  const id = asId<EntryId>(`photo-${(count += 1)}`);
  return anEntry(
    { ...content, caption: '', ...given },
    { id, at: minutesLater(at), workOrderId: asId<never>(workOrderId) },
  ) as EntryOf<'photo'>;
};

describe('the older photo of the same place', () => {
  it('is the one before for one after, else one with the same words, the latest', () => {
    const before = aPhoto({ taken: 'before' }, 0);
    const words = aPhoto({ caption: 'Shaft seal' }, -500, 'w-0');
    const older = aPhoto({ caption: 'shaft seal ' }, -900, 'w-00');
    const all = [before, words, older];
    expect(olderPhotoOf(aPhoto({ taken: 'after' }, 10), all)?.id).toBe(before.id);
    expect(olderPhotoOf(aPhoto({ caption: 'shaft seal' }, 10), all)?.id).toBe(words.id);
    expect(olderPhotoOf(aPhoto({ caption: 'Coupling' }, 10), all)).toBeNull();
    expect(olderPhotoOf(older, all)).toBeNull();
  });
});

describe('a mark', () => {
  const [from, to] = [
    { x: 100, y: 100 },
    { x: 300, y: 100 },
  ];

  it('is drawn as large as the photo asks for', () => {
    const arrow = shapeOf({ is: 'arrow', from, to }, 1_000);
    expect(arrow).toMatchObject({ is: 'line', width: 9 });
    expect(arrow.is === 'line' && arrow.path.startsWith('M 100 100 L 300 100 M')).toBe(true);
    expect(shapeOf({ is: 'words', at: from, text: 'Crack' }, 1_000)).toMatchObject({ size: 55 });
  });

  it('of a circle is an ellipse between its two corners', () => {
    const circle = shapeOf({ is: 'circle', from, to: { x: 300, y: 200 } }, 1_000);
    expect(circle.is === 'line' && circle.path).toBe('M 100 150 A 100 50 0 1 0 300 150 A 100 50 0 1 0 100 150 Z');
  });

  it('by hand is an area around the way of the finger', () => {
    const points = Array.from({ length: 20 }, (_, index) => ({ x: index * 10, y: 50 }));
    const stroke = shapeOf({ is: 'stroke', points }, 1_000);
    expect(stroke.is === 'area' && /^M .* Z$/.test(stroke.path)).toBe(true);
  });
});
