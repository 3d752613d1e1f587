import type { Limits, MeasuringPoint } from '@oilcan/core/plant/plant';
// What a measuring point may be is said there, by adding to its type.
import type {} from '@oilcan/core/steps/readings';

/** A measuring point and how its value behaves over the years. */
export interface PointPlan {
  readonly key: string;
  readonly asset: string;
  readonly name: string;
  readonly unit: string;
  readonly isMeter?: boolean;
  readonly decimals: number;
  /** How its value is worked out of several that are read off. */
  readonly derived?: NonNullable<MeasuringPoint['derived']>;
  readonly limits: Partial<Limits>;
  readonly scale: readonly [from: number, to: number];
  /** Value three years ago, change a year, spread of single readings. */
  readonly course: { readonly start: number; readonly perYear: number; readonly spread: number };
}

const point = (
  key: string,
  asset: string,
  name: string,
  unit: string,
  decimals: number,
  limits: Partial<Limits>,
  scale: readonly [number, number],
  course: readonly [start: number, perYear: number, spread: number],
): PointPlan => ({
  key,
  asset,
  name,
  unit,
  decimals,
  limits,
  scale,
  course: { start: course[0], perYear: course[1], spread: course[2] },
});

const hours = (asset: string, start: number, perYear: number): PointPlan => ({
  ...point(`${asset}-hours`, asset, 'Operating hours', 'h', 0, {}, [0, 60_000], [start, perYear, 0]),
  isMeter: true,
});

const low = (alert: number, alarm: number): Partial<Limits> => ({ alertLow: alert, alarmLow: alarm });
const high = (alert: number, alarm: number): Partial<Limits> => ({ alertHigh: alert, alarmHigh: alarm });

export const pointPlans: readonly PointPlan[] = [
  point('lark-gearbox-temp', 'lark-gearbox', 'Oil temperature, sump', '°C', 1, high(75, 85), [30, 95], [58, 4.2, 1.6]),
  point(
    'lark-gearbox-vib',
    'lark-gearbox',
    'Vibration, output bearing',
    'mm/s',
    1,
    high(4.5, 7.1),
    [0, 9],
    [1.9, 0.55, 0.2],
  ),
  point('lark-gearbox-level', 'lark-gearbox', 'Oil level', 'mm', 0, low(90, 70), [50, 150], [128, -3, 4]),
  {
    ...point(
      'lark-motor-vib',
      'lark-motor',
      'Vibration, drive end',
      'mm/s',
      1,
      high(4.5, 7.1),
      [0, 9],
      [1.6, 0.1, 0.25],
    ),
    derived: { kind: 'vibrationZone', group: 1, mounting: 'rigid' },
  },
  {
    ...point('lark-motor-unbalance', 'lark-motor', 'Voltage unbalance', '%', 2, high(1, 3), [0, 5], [0.6, 0, 0.1]),
    derived: { kind: 'unbalance', unit: 'V' },
  },
  {
    ...point('lark-gearbox-oil', 'lark-gearbox', 'Oil cleanliness', 'code', 0, high(20, 22), [10, 26], [17, 0.3, 0.5]),
    derived: { kind: 'oilCleanliness' },
  },
  point(
    'lark-motor-insulation',
    'lark-motor',
    'Insulation resistance',
    'MΩ',
    0,
    low(100, 20),
    [0, 1000],
    [620, -40, 45],
  ),
  point(
    'lark-service-brake-lining',
    'lark-service-brake',
    'Lining thickness',
    'mm',
    1,
    low(5, 4),
    [3, 12],
    [11.2, -2.15, 0.1],
  ),
  point(
    'lark-emergency-brake-pressure',
    'lark-emergency-brake',
    'Release pressure',
    'bar',
    0,
    { alarmLow: 95, alertLow: 102, alertHigh: 120, alarmHigh: 128 },
    [85, 140],
    [111, -0.4, 1.5],
  ),
  point(
    'lark-tension-pressure',
    'lark-tension',
    'Tension pressure',
    'bar',
    0,
    { alarmLow: 145, alertLow: 152, alertHigh: 178, alarmHigh: 185 },
    [135, 195],
    [165, 0, 2.5],
  ),
  point('lark-tension-temp', 'lark-tension', 'Oil temperature', '°C', 0, high(60, 70), [10, 80], [42, 0.5, 4]),
  point(
    'lark-standby-battery',
    'lark-standby',
    'Starter battery voltage',
    'V',
    1,
    low(24.4, 23.6),
    [22, 29],
    [26.1, -0.3, 0.2],
  ),
  point(
    'lark-conveyor-base-pressure',
    'lark-conveyor-base',
    'Tyre pressure, lowest',
    'bar',
    1,
    low(4.2, 3.8),
    [3, 5],
    [4.5, 0, 0.12],
  ),
  point('lark-grips-force', 'lark-grips', 'Clamping force, lowest', 'kN', 1, low(30, 28), [25, 36], [32.4, -0.3, 0.4]),
  hours('lark-motor', 21_400, 2_350),
  hours('lark-standby', 410, 22),
  point(
    'juniper-gearbox-temp',
    'juniper-gearbox',
    'Oil temperature, sump',
    '°C',
    1,
    high(70, 80),
    [25, 90],
    [52, 0.4, 2],
  ),
  point(
    'juniper-gearbox-vib',
    'juniper-gearbox',
    'Vibration, output bearing',
    'mm/s',
    1,
    high(4.5, 7.1),
    [0, 9],
    [2.2, 0.1, 0.3],
  ),
  point(
    'juniper-service-brake-lining',
    'juniper-service-brake',
    'Lining thickness',
    'mm',
    1,
    low(4.5, 3.5),
    [3, 10],
    [8.6, -0.7, 0.1],
  ),
  point(
    'juniper-tension-pressure',
    'juniper-tension',
    'Tension pressure',
    'bar',
    0,
    { alarmLow: 105, alertLow: 110, alertHigh: 132, alarmHigh: 138 },
    [100, 145],
    [120, 0, 2],
  ),
  hours('juniper-motor', 31_050, 1_480),
  point('pocket-brake-lining', 'pocket-brake', 'Lining thickness', 'mm', 1, low(4, 3), [2, 8], [6.9, -0.9, 0.1]),
  hours('pocket-motor', 18_300, 760),
  point('pump-1-pressure', 'pump-1', 'Discharge pressure', 'bar', 1, low(37, 35), [30, 45], [41.2, -0.5, 0.3]),
  point('pump-1-vib', 'pump-1', 'Vibration, drive end', 'mm/s', 1, high(4.5, 7.1), [0, 9], [2.0, 0.2, 0.3]),
  point('pump-2-pressure', 'pump-2', 'Discharge pressure', 'bar', 1, low(37, 35), [30, 45], [41.0, -0.3, 0.3]),
  point('pump-2-vib', 'pump-2', 'Vibration, drive end', 'mm/s', 1, high(4.5, 7.1), [0, 9], [2.4, 0.1, 0.3]),
  hours('pump-1', 6_100, 640),
  hours('pump-2', 5_870, 610),
  point('compressor-temp', 'compressor', 'Outlet temperature', '°C', 0, high(95, 105), [40, 115], [81, 1.5, 2.5]),
  hours('compressor', 7_900, 900),
];
