import { asId } from '../../../kernel/ids';
import { noon } from '../../../testing/builders';
import { isWarrantyRunning } from './installation';

describe('a warranty', () => {
  const meter = { pointId: asId<never>('hours'), upTo: 2_000 };

  it.each([
    ['none', { warrantyUntil: null }, null, false],
    ['up to today', { warrantyUntil: '2026-11-23' }, null, true],
    ['up to yesterday', { warrantyUntil: '2026-11-22' }, null, false],
    ['by its meter', { warrantyUntil: null, warrantyMeter: meter }, 2_000, true],
    ['by its meter, beyond', { warrantyUntil: '2027-11-23', warrantyMeter: meter }, 2_001, false],
    ['by a meter that was never read', { warrantyUntil: null, warrantyMeter: meter }, null, true],
  ])('%s', (_, warranty, shown, runs) => {
    expect(isWarrantyRunning(warranty, noon, shown)).toBe(runs);
  });
});
