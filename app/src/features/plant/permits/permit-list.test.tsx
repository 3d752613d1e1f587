import { addMinutes } from '@oilcan/core/kernel';
import type { Permit } from '@oilcan/core/plant/permits';
import type { Contact } from '@oilcan/core/plant/plant';
import { assetId, lea, noon, put, site, smallWorks, workId } from '@oilcan/core/testing';
import { canPress, words } from '../../../testing/hands';
import { OnWork, passTime, TestWorks } from '../../../testing/works';
import { PermitList } from './permit-list';
import { WorkSheet } from '../../orders/sheet/work-sheet';

const permit = (issued: Permit['issued']) =>
  put('permits', {
    id: 'p-1',
    siteId: site,
    workOrderId: workId,
    kind: 'hotWork',
    conditions: 'A fire watch.',
    issued,
  });
const given = (from: number, until: number): Permit['issued'] => ({
  number: 'HW-114',
  by: lea.id,
  from: addMinutes(noon, from),
  until: addMinutes(noon, until),
});

let works: TestWorks;
afterEach(() => works.close());

describe('the permits of a job', () => {
  // It is 13:00 in Vienna, an hour after noon by UTC.
  it.each([
    ['holds', given(0, 300), 'Hot work HW-114Holds until 17:00A fire watch. Given by Lea.'],
    ['is to come', given(180, 300), 'Holds from 15:00. Do not begin before that.'],
    ['is over', given(-600, -60), 'Ended 11:00. Ask your lead for a new one.'],
    ['is missing', null, 'Hot workNot given yet. Ask your lead before you begin.A fire watch.'],
  ])('say when one %s', async (_, issued, sentence) => {
    works = await TestWorks.open([...smallWorks(), permit(issued)]);
    await works.show(<OnWork>{(work) => <PermitList work={work} />}</OnWork>);
    expect(words()).toContain(sentence);
  });

  it('come to an end while somebody looks', async () => {
    works = await TestWorks.open([...smallWorks(), permit(given(0, 61))]);
    await works.show(<OnWork>{(work) => <PermitList work={work} />}</OnWork>);
    expect(words()).toContain('Holds until');
    passTime(120_000);
    await works.show(<OnWork>{(work) => <PermitList work={work} />}</OnWork>);
    expect(words()).toContain('Ask your lead for a new one.');
  });
});

describe('whom to call', () => {
  const contact = (id: string, about: Partial<Contact>) =>
    put('contacts', {
      id,
      siteId: site,
      name: id,
      about: '',
      phone: '+44 1632 960 112',
      assetId: null,
      placeId: null,
      ...about,
    });

  it('stands on the sheet, the three nearest, each a press from being called', async () => {
    const far = ['Rescue', 'Sewer', 'Tower', 'Usher'].map((id) => contact(id, {}));
    works = await TestWorks.open([...smallWorks(), ...far, contact('Maker', { assetId, about: 'Day and night' })]);
    await works.show(<WorkSheet workOrderId={workId} />);
    expect(words()).toMatch(/Whom to callMakerDay and night\+44 1632 960 112Rescue.*Sewer/);
    expect(canPress('Call Maker, +44 1632 960 112', 'link')).toBe(true);
    expect(canPress(/Call Tower/, 'link')).toBe(false);
  });
});
