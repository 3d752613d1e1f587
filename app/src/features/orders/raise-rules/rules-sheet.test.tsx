import { aSite, lea, otherSite, put, site, smallWorks, someRules } from '@oilcan/core/testing';
import { press, type, words } from '../../../testing/hands';
import { TestWorks } from '../../../testing/works';
import { RulesSheet } from './rules-sheet';

let works: TestWorks;
afterEach(() => works.close());

const ABOVE = 'Expected to cost more than (EUR)';
const HOUR = 'An hour is taken to cost (EUR)';

it('says which raised work waits, who takes reports, and what is asked', async () => {
  works = await TestWorks.open(smallWorks(), lea);
  await works.show(<RulesSheet onClose={() => undefined} />);
  await press('Improvement', 'checkbox');
  await type(ABOVE, '500');
  await type(HOUR, '60');
  await press('Technicians may take up reports', 'checkbox');
  await press('Everybody may report by the label on a machine', 'checkbox');
  await press('Keep');
  expect((await works.sent()).peek('raiseRules', site)).toMatchObject({
    goAhead: { kinds: ['improvement'], aboveMinor: 50_000, minorPerHour: 6_000 },
    technicianTakesUp: true,
    takesGuests: true,
    publicKnowledge: 'nothing',
  });
});

it('shows what was chosen, and does not take an amount that is none', async () => {
  const goAhead = { kinds: [], aboveMinor: 123_456, minorPerHour: 0 } as const;
  works = await TestWorks.open([...smallWorks(), put('raiseRules', someRules({ goAhead }))], lea);
  await works.show(<RulesSheet onClose={() => undefined} />);
  expect(document.querySelector<HTMLInputElement>(`input[aria-label="${ABOVE}"]`)?.value).toBe('1234.56');
  // What it shows itself can be kept as it stands.
  await press('Keep');
  expect(words()).not.toContain('Write an amount');
  await type(ABOVE, 'much');
  await press('Keep');
  expect(words()).toContain('Write an amount in EUR, such as 500.');
  expect((await works.sent()).peek('raiseRules', site)?.goAhead.aboveMinor).toBe(123_456);
});

it('is of each site by itself', async () => {
  const both = { ...lea, siteIds: [site, otherSite] };
  const rows = [...smallWorks(), put('sites', aSite({ id: otherSite, name: 'Elsewhere' })), put('people', both)];
  works = await TestWorks.open(rows, both);
  await works.show(<RulesSheet onClose={() => undefined} />);
  await press('Elsewhere', 'radio');
  await press('Technicians may take up reports', 'checkbox');
  await press('Keep');
  const records = await works.sent();
  expect([records.peek('raiseRules', site), records.peek('raiseRules', otherSite)?.technicianTakesUp]).toEqual([
    undefined,
    true,
  ]);
});
