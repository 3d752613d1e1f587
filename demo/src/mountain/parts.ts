/** Number, name, unit, price in cents, and the bin it lies in. Makers and prices are invented. */
export interface PartPlan {
  readonly number: string;
  readonly name: string;
  readonly unit: string;
  readonly priceMinor: number;
}

type Size = readonly [suffix: string, priceMinor: number];

const family = (prefix: string, name: (size: string) => string, unit: string, sizes: readonly Size[]): PartPlan[] =>
  sizes.map(([suffix, priceMinor]) => ({ number: `${prefix}-${suffix}`, name: name(suffix), unit, priceMinor }));

const bearing = (series: number, price: number): Size => [String(series), price];
const isoScrew = (lengths: readonly number[], size: number): Size[] =>
  lengths.map((length) => [`M${size}x${length}`, 18 * size + length]);

export const partPlans: readonly PartPlan[] = [
  ...family('BRG', (n) => `Deep groove bearing ${n}-2RS`, 'pcs', [
    bearing(6004, 890),
    bearing(6204, 1_120),
    bearing(6205, 1_240),
    bearing(6206, 1_530),
    bearing(6208, 2_260),
    bearing(6210, 3_180),
    bearing(6305, 1_980),
    bearing(6306, 2_340),
    bearing(6308, 3_720),
    bearing(6310, 5_460),
    bearing(6312, 8_130),
    bearing(6316, 15_900),
  ]),
  ...family('BRG', (n) => `Spherical roller bearing ${n}`, 'pcs', [
    bearing(22212, 18_400),
    bearing(22216, 29_800),
    bearing(22220, 52_300),
    bearing(22226, 88_700),
  ]),
  ...family('SEAL', (n) => `Shaft seal ${n.replaceAll('-', ' × ')} mm`, 'pcs', [
    ['25-40-7', 410],
    ['30-47-7', 460],
    ['35-52-7', 520],
    ['40-62-8', 640],
    ['50-72-8', 830],
    ['70-90-10', 3_820],
    ['85-110-12', 4_950],
    ['110-140-12', 7_400],
    ['130-160-12', 9_860],
  ]),
  ...family('SLEEVE', (n) => `Shaft repair sleeve ${n} mm`, 'pcs', [
    ['70', 6_900],
    ['85', 8_400],
    ['110', 11_200],
  ]),
  ...family('ORING', (n) => `O-ring ${n.replaceAll('-', ' × ')} mm, NBR`, 'pcs', [
    ['10-2', 22],
    ['16-2', 26],
    ['22-2.5', 31],
    ['30-3', 44],
    ['38-3', 52],
    ['45-3', 58],
    ['60-4', 92],
    ['80-4', 118],
    ['95-5', 160],
    ['140-5', 240],
  ]),
  ...family('BELT', (n) => `V-belt ${n}`, 'pcs', [
    ['SPA-1250', 1_740],
    ['SPA-1600', 2_080],
    ['SPB-1800', 2_890],
    ['SPB-2240', 3_410],
    ['XPZ-987', 1_290],
  ]),
  ...family('FLT', (n) => `Filter element ${n}`, 'pcs', [
    ['HYD-10', 6_480],
    ['HYD-25', 5_240],
    ['OIL-6K', 1_980],
    ['FUEL-6K', 2_260],
    ['AIR-75', 7_350],
    ['SEP-75', 18_600],
    ['BREATHER', 3_120],
    ['WATER-200', 4_400],
  ]),
  ...family('OIL', (n) => `Oil ${n}`, 'L', [
    ['VG220', 890],
    ['HVLP32', 640],
    ['HVLP46', 650],
    ['VG100', 720],
    ['15W40', 580],
    ['CHAIN', 1_150],
  ]),
  ...family('GREASE', (n) => `Grease ${n}`, 'kg', [
    ['LGEP2', 1_480],
    ['LT-40', 2_650],
    ['WIRE', 1_920],
  ]),
  ...family('LINER', (n) => `Sheave liner ${n} mm`, 'pcs', [
    ['420', 8_900],
    ['360', 7_400],
    ['250', 4_800],
  ]),
  ...family('SHEAVE', (n) => `Sheave complete ${n} mm`, 'pcs', [
    ['420', 64_000],
    ['360', 51_000],
  ]),
  ...family('LINING', (n) => `Brake lining ${n}`, 'pcs', [
    ['SB40', 18_400],
    ['NB60', 26_200],
    ['SB30', 14_900],
    ['BB200', 6_300],
  ]),
  ...family('SPRING', (n) => `Grip spring ${n}`, 'pcs', [
    ['DT108', 7_800],
    ['DT108-S', 8_600],
  ]),
  ...family('GRIP', (n) => `Grip ${n}`, 'pcs', [
    ['JAW-F', 21_400],
    ['JAW-M', 19_800],
    ['ROLLER', 3_450],
    ['PIN-28', 2_870],
    ['BUSH-28', 960],
  ]),
  ...family('TYRE', (n) => `Conveyor tyre ${n}`, 'pcs', [
    ['4.00-8', 3_960],
    ['3.50-6', 2_740],
  ]),
  ...family('TUBE', (n) => `Inner tube ${n}`, 'pcs', [
    ['4.00-8', 880],
    ['3.50-6', 690],
  ]),
  ...family('HOSE', (n) => `Hydraulic hose ${n.replaceAll('-', ', ')}`, 'pcs', [
    ['DN10-800', 3_200],
    ['DN10-1500', 4_100],
    ['DN16-1200', 5_600],
    ['DN20-2000', 9_100],
    ['DN25-1500', 10_400],
  ]),
  ...family('VALVE', (n) => `Valve ${n}`, 'pcs', [
    ['PROP-06', 48_900],
    ['RELIEF-10', 17_300],
    ['CHECK-16', 6_200],
    ['BALL-DN50', 9_800],
    ['SOL-24V', 5_900],
    ['GUN-DN32', 21_500],
    ['DRAIN-DN15', 3_300],
  ]),
  ...family('PUMP', (n) => `Pump ${n}`, 'pcs', [
    ['GEAR-16', 38_700],
    ['HAND-45', 24_300],
    ['SEALKIT-80', 31_800],
    ['IMPELLER-80', 118_000],
  ]),
  ...family('NOZ', (n) => `Nozzle ${n}`, 'pcs', [
    ['W-04', 1_180],
    ['W-06', 1_180],
    ['W-08', 1_240],
    ['NUC-1', 2_650],
    ['NUC-2', 2_650],
  ]),
  ...family('HEAT', (n) => `Heater ${n}`, 'pcs', [
    ['RING-400', 16_900],
    ['CAB-200', 4_300],
    ['SUMP-800', 12_400],
  ]),
  ...family('SENS', (n) => `Sensor ${n}`, 'pcs', [
    ['PT100', 3_900],
    ['PROX-M12', 2_950],
    ['PROX-M18', 3_350],
    ['PRESS-250', 12_800],
    ['PRESS-16', 9_600],
    ['ANEMO', 28_900],
    ['VANE', 21_600],
    ['HUMID', 17_400],
    ['LEVEL', 8_700],
    ['ROPE-POS', 34_500],
  ]),
  ...family('REL', (n) => `Relay ${n}`, 'pcs', [
    ['24V-4C', 1_320],
    ['24V-2C', 980],
    ['SAFE-3', 14_600],
    ['TIME-M', 4_200],
    ['THERM-32', 5_800],
  ]),
  ...family('CONT', (n) => `Contactor ${n}`, 'pcs', [
    ['09', 2_480],
    ['25', 4_650],
    ['65', 12_900],
    ['150', 32_600],
  ]),
  ...family('FUSE', (n) => `Fuse ${n}`, 'pcs', [
    ['6A', 140],
    ['10A', 140],
    ['16A', 150],
    ['63A', 620],
    ['250A', 2_480],
    ['700A', 7_900],
  ]),
  ...family('CBL', (n) => `Cable ${n.replaceAll('-', ' × ')} mm²`, 'm', [
    ['3-1.5', 120],
    ['5-2.5', 310],
    ['4-16', 1_480],
    ['12-0.75', 390],
  ]),
  ...family('LAMP', (n) => `Lamp ${n}`, 'pcs', [
    ['LED-24', 690],
    ['HALL-150', 8_900],
    ['BEACON', 4_400],
  ]),
  ...family('BAT', (n) => `Battery ${n}`, 'pcs', [
    ['12V-180', 28_900],
    ['12V-7', 2_450],
    ['24V-RADIO', 5_900],
  ]),
  ...family('SCR', (n) => `Screw ${n}, 8.8`, 'pcs', [
    ...isoScrew([20, 30, 40], 8),
    ...isoScrew([25, 30, 40, 60], 10),
    ...isoScrew([30, 40, 60, 80], 12),
    ...isoScrew([40, 60, 80], 16),
    ...isoScrew([60, 100], 20),
  ]),
  ...family('NUT', (n) => `Lock nut ${n}`, 'pcs', [
    ['M8', 24],
    ['M10', 32],
    ['M12', 44],
    ['M16', 78],
    ['M20', 126],
  ]),
  ...family('WSH', (n) => `Washer ${n}`, 'pcs', [
    ['M8', 6],
    ['M10', 8],
    ['M12', 11],
    ['M16', 18],
    ['M20', 27],
  ]),
  ...family('SPLIT', (n) => `Split pin ${n.replace('-', ' × ')} mm`, 'pcs', [
    ['3.2-32', 14],
    ['4-40', 18],
    ['5-50', 24],
    ['6.3-63', 36],
  ]),
  ...family('COUP', (n) => `Coupling element ${n}`, 'pcs', [
    ['R28', 2_300],
    ['R42', 4_700],
    ['R90', 21_900],
  ]),
  ...family('DOOR', (n) => `Cabin door ${n}`, 'pcs', [
    ['ROLLER', 1_640],
    ['SPRING', 2_180],
    ['SEAL', 3_900],
    ['CABLE', 2_760],
    ['LATCH', 5_480],
  ]),
  ...family('SEAT', (n) => `Chair ${n}`, 'pcs', [
    ['CUSHION', 7_900],
    ['BAR-BUSH', 1_240],
    ['FOOTREST', 9_600],
  ]),
  ...family('GASKET', (n) => `Gasket ${n}`, 'pcs', [
    ['COVER-710', 8_200],
    ['COVER-450', 6_100],
    ['FLANGE-DN80', 920],
    ['FLANGE-DN150', 1_480],
  ]),
  ...family('KEY', (n) => `Parallel key ${n.replaceAll('x', ' × ')} mm`, 'pcs', [
    ['6x6x32', 95],
    ['8x7x40', 120],
    ['10x8x50', 160],
    ['14x9x63', 280],
    ['20x12x90', 540],
  ]),
  ...family('CHAIN', (n) => `Roller chain ${n}`, 'm', [
    ['08B', 1_120],
    ['10B', 1_480],
    ['12B', 1_960],
    ['16B', 3_240],
  ]),
  { number: 'CONS-CLEANER', name: 'Brake cleaner 500 mL', unit: 'pcs', priceMinor: 720 },
  { number: 'CONS-THREADLOCK', name: 'Threadlocker 50 mL', unit: 'pcs', priceMinor: 1_890 },
  { number: 'CONS-RAGS', name: 'Rags, pack of 20', unit: 'pcs', priceMinor: 340 },
  { number: 'CONS-TIES', name: 'Cable ties, pack of 100', unit: 'pcs', priceMinor: 480 },
  { number: 'CONS-TAPE', name: 'Insulating tape', unit: 'pcs', priceMinor: 290 },
  { number: 'PACK-12', name: 'Gland packing, set of 12 mm rings', unit: 'pcs', priceMinor: 2_060 },
  { number: 'CONS-SEALANT', name: 'Flange sealant 250 mL', unit: 'pcs', priceMinor: 2_150 },
];

/** Numbers of parts no longer bought, and what takes their place. */
export const successors: Readonly<Record<string, string>> = {
  'SPRING-DT108': 'SPRING-DT108-S',
  'FLT-HYD-25': 'FLT-HYD-10',
};

/** Parts of which each has a serial number, and for how many days one is under warranty. */
export const numbered: Readonly<Record<string, number>> = {
  'REL-SAFE-3': 730,
  'BAT-12V-180': 365,
  'SENS-ROPE-POS': 1_095,
  'SENS-ANEMO': 730,
};
