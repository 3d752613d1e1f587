import type { FromGauge, Gauge, Gauges } from './gauge';

const MEASURES_AFTER_MILLISECONDS = 700;

const gauges: readonly Gauge[] = [
  { id: 'pen', name: 'Vibration pen', unit: 'mm/s' },
  { id: 'thermometer', name: 'Thermometer', unit: '°C' },
  { id: 'thermometer-f', name: 'Thermometer, set to °F', unit: '°F' },
];

interface World {
  /** What there is to measure in a unit; null for nothing that such a gauge can measure. */
  readonly there: (unit: string) => number | null;
  /** From 0 up to 1. */
  readonly chance: () => number;
  readonly after: (milliseconds: number, then: () => void) => () => void;
}

/** Of a hundred measurements so many are out of range, or come with a low battery. */
const OUT_OF_RANGE = 0.05;
const BATTERY_LOW = 0.15;
/** By how much of a value measurements differ. */
const NOISE = 0.04;

/** Gauges that are not there: they measure what the world says, a little off each time, as real ones do. For the demo and for tests. */
export function simulatedGauges({ there, chance, after }: World): Gauges {
  const measure = ({ unit }: Gauge): FromGauge => {
    const value = there(unit);
    if (value === null) return { is: 'lost' };
    if (chance() < OUT_OF_RANGE) return { is: 'out of range' };
    const noisy = value * (1 + NOISE * (2 * chance() - 1));
    return { is: 'value', value: Number(noisy.toFixed(1)), unit, isBatteryLow: chance() < BATTERY_LOW };
  };
  return {
    find: () => Promise.resolve(gauges),
    listen: (gauge, hear) => after(MEASURES_AFTER_MILLISECONDS, () => hear(measure(gauge))),
  };
}
