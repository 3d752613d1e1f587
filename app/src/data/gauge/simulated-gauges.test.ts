import type { FromGauge } from './gauge';
import { simulatedGauges } from './simulated-gauges';

async function measured(chances: readonly number[], there: number | null = 100): Promise<FromGauge> {
  const left = [...chances];
  const gauges = simulatedGauges({
    there: () => there,
    chance: () => left.shift() ?? 0.5,
    after: (_, then) => {
      then();
      return () => undefined;
    },
  });
  const [gauge] = await gauges.find();
  if (gauge === undefined) throw new Error('No gauge answers.');
  let heard: FromGauge = { is: 'lost' };
  gauges.listen(gauge, (from) => (heard = from));
  return heard;
}

describe('a simulated gauge', () => {
  it('measures what is there, a little off', async () => {
    expect(await measured([0.5, 1, 0.5])).toEqual({ is: 'value', value: 104, unit: 'mm/s', isBatteryLow: false });
    expect(await measured([0.5, 0, 0.1])).toEqual({ is: 'value', value: 96, unit: 'mm/s', isBatteryLow: true });
  });

  it('is out of range now and then, and lost where there is nothing to measure', async () => {
    expect(await measured([0.01])).toEqual({ is: 'out of range' });
    expect(await measured([], null)).toEqual({ is: 'lost' });
  });
});
