import { ann, bob, workId } from '../../../testing/builders';
import { codeOf, minutesLater, Works } from '../../../testing/works';

const here = { workOrderId: workId, latitude: 47.1, longitude: 11.3, accuracyMeters: 12 };
const kept = (works: Works): number => works.records.peekAll('clockPlaces').length;

describe('where a clock was started', () => {
  it('is noted of nobody who did not agree', async () => {
    const works = new Works({ personIds: [ann.id, bob.id] });
    expect(codeOf(await works.do('clock-place.note', here))).toBe('place_not_agreed');
    await works.do('clock-place.agree', { isAgreed: true });
    expect(codeOf(await works.do('clock-place.note', here, ann, minutesLater(1)))).toBe('accepted');
    expect(codeOf(await works.do('clock-place.note', here, bob))).toBe('place_not_agreed');
    expect(works.records.peekAll('clockPlaces')).toMatchObject([{ personId: ann.id, latitude: 47.1 }]);
  });

  it('is gone when the agreement is withdrawn, and not noted any more', async () => {
    const works = new Works();
    await works.do('clock-place.agree', { isAgreed: true });
    await works.do('clock-place.note', here, ann, minutesLater(1));
    await works.do('clock-place.agree', { isAgreed: false }, ann, minutesLater(2));
    expect([kept(works), codeOf(await works.do('clock-place.note', here, ann, minutesLater(3)))]).toEqual([
      0,
      'place_not_agreed',
    ]);
  });

  it.each([[{ latitude: 91 }], [{ longitude: -181 }], [{ latitude: Number.NaN }], [{ accuracyMeters: -1 }]])(
    'is refused with %j',
    async (given) => {
      const works = new Works();
      await works.do('clock-place.agree', { isAgreed: true });
      expect(codeOf(await works.do('clock-place.note', { ...here, ...given }, ann, minutesLater(1)))).toBe('invalid');
    },
  );
});
