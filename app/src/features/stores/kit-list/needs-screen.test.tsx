import { asId, type PersonId } from '@oilcan/core/kernel';
import {
  aLevel,
  aPerson,
  aRequest,
  aStore,
  binId,
  minutesLater,
  noon,
  partId,
  put,
  smallWorks,
} from '@oilcan/core/testing';
import { press, words } from '../../../testing/hands';
import { TestWorks } from '../../../testing/works';
import { NeedsScreen } from './needs-screen';

const arun = aPerson({ id: asId<PersonId>('arun'), name: 'Arun', roles: ['storekeeper'] });
const kit = [{ partId, binId, quantity: 3_000, unit: null }];
const shop = [
  ...smallWorks({ kit, dueAt: minutesLater(26 * 60) }),
  put('people', arun),
  put('stores', aStore()),
  put('stock', aLevel(1_000)),
];

let works: TestWorks;
afterEach(() => works.close());

it('shows what the work of some days needs by bin, what is short first, less what was handed out', async () => {
  works = await TestWorks.open(shop, arun);
  await works.show(<NeedsScreen />);
  expect(words()).toContain('Nothing is needed');
  await press('Tomorrow');
  expect(words()).toContain('1 job needs 1 part, 1 short');
  expect(words()).toMatch(/Short3 pcs Seal2 pcs short, none anywhere else.*Base store, bin C-04 · 1 pcs there · W-1/);
  const given = {
    id: 'h',
    partId,
    binId,
    quantity: 2_000,
    settles: 2_000,
    way: 'person',
    where: '',
    by: arun.id,
  } as const;
  const handouts = [{ ...given, at: noon, receivedAt: noon, returned: 0, entryId: null }];
  await works.server.write([put('requests', aRequest({ handouts, endedAt: noon }))]);
  await works.sent();
  await works.show(<NeedsScreen />);
  await press('This week');
  expect(words()).toContain('1 job needs 1 part, none short');
});
