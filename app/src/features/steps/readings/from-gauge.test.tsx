import { smallWorks } from '@oilcan/core/testing';
import type { FromGauge, Gauges } from '../../../data/gauge/gauge';
import { press, settled, words } from '../../../testing/hands';
import { TestWorks } from '../../../testing/works';
import { FromGaugeKeys } from './from-gauge';

let works: TestWorks;
beforeEach(async () => {
  works = await TestWorks.open(smallWorks());
});
afterEach(() => works.close());

const pen = { id: 'pen', name: 'Vibration pen', unit: 'in/s' };

async function listenTo(from: FromGauge, unit = 'mm/s'): Promise<jest.Mock> {
  const gauges: Gauges = {
    find: () => Promise.resolve([pen]),
    listen: (_gauge, hear) => {
      hear(from);
      return () => undefined;
    },
  };
  const onValue = jest.fn();
  await works.show(<FromGaugeKeys gauges={gauges} unit={unit} onValue={onValue} />);
  await press('From a gauge');
  await settled();
  if (unit === 'mm/s') await press('Vibration pen');
  return onValue;
}

describe('a value from a gauge', () => {
  it('stands in the open field, in the unit of the gauge', async () => {
    const onValue = await listenTo({ is: 'value', value: 0.2, unit: 'in/s', isBatteryLow: true });
    expect(onValue).toHaveBeenCalledWith('0.2', 'in/s');
    expect(words()).toContain('Vibration pen: 0.2 in/s. Its battery is low.');
  });

  it.each<[FromGauge, string]>([
    [{ is: 'out of range' }, 'out of its range'],
    [{ is: 'lost' }, 'does not answer'],
    [{ is: 'value', value: 5, unit: 'bar', isBatteryLow: false }, 'measures bar; this is read in mm/s'],
  ])('%j is said, and nothing is taken', async (from, said) => {
    const onValue = await listenTo(from);
    expect(onValue).not.toHaveBeenCalled();
    expect(words()).toContain(said);
  });

  it('is not offered by a gauge for something else', async () => {
    await listenTo({ is: 'lost' }, '°C');
    expect(words()).toContain('No gauge for °C answers here.');
  });
});
