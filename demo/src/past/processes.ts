/**
 * How things fail on the mountain: every parameter of the demo's past stands in this file, so that what statistics
 * find in the past can be compared with what was put in.
 */

/** When the failures of one process happen, in days since the past begins. */
export type Course =
  /** Gaps between failures are Weibull distributed: shape above 1 wears out, 1 is pure chance. */
  | { readonly type: 'renewal'; readonly shape: number; readonly scaleDays: number }
  /** Non-homogeneous Poisson process with expected count (t / scaleDays)^shape: above 1 it gets worse. */
  | { readonly type: 'power-law'; readonly shape: number; readonly scaleDays: number }
  /** Pure chance until a repair for good; nothing afterwards. */
  | { readonly type: 'cured'; readonly meanGapDays: number; readonly curedOnDay: number };

/** A median and how far single values scatter around it (standard deviation of the logarithm). */
export interface Lasting {
  readonly medianMinutes: number;
  readonly logSpread: number;
}

export interface FailureProcess {
  readonly asset: string;
  readonly component: string;
  /** ISO 14224:2016 annex B: failure mode, mechanism, cause. */
  readonly mode: string;
  readonly mechanism: string;
  readonly cause: string;
  readonly course: Course;
  readonly trade: 'mechanical' | 'electrical' | 'hydraulics' | 'rope';
  readonly words: string;
  /** Number, amount, how often it is used. */
  readonly parts: readonly (readonly [number: string, amount: number, probability: number])[];
  readonly repair: Lasting;
  readonly stoppage: (Lasting & { readonly extent: 'full' | 'reduced'; readonly probability: number }) | null;
}

const lasting = (medianMinutes: number, logSpread = 0.35): Lasting => ({ medianMinutes, logSpread });
const stops = (medianMinutes: number, probability = 1, extent: 'full' | 'reduced' = 'full') => ({
  ...lasting(medianMinutes, 0.5),
  extent,
  probability,
});

const namedProcesses: readonly FailureProcess[] = [
  // Gets worse: the shaft under the output seal is scored and each new seal lasts less long.
  {
    asset: 'lark-gearbox',
    component: 'Output shaft seal',
    mode: 'ELU',
    mechanism: '1.1',
    cause: '3.3',
    course: { type: 'power-law', shape: 2.1, scaleDays: 300 },
    trade: 'mechanical',
    words: 'seal',
    parts: [
      ['SEAL-70-90-10', 1, 0.95],
      ['OIL-VG220', 4, 0.7],
    ],
    repair: lasting(210),
    stoppage: stops(260, 0.8),
  },
  // Wear out.
  {
    asset: 'lark-service-brake',
    component: 'Lining',
    mode: 'PDE',
    mechanism: '2.4',
    cause: '3.4',
    course: { type: 'renewal', shape: 3.2, scaleDays: 260 },
    trade: 'mechanical',
    words: 'lining',
    parts: [['LINING-SB40', 4, 0.9]],
    repair: lasting(150),
    stoppage: stops(120, 0.4),
  },
  {
    asset: 'juniper-service-brake',
    component: 'Lining',
    mode: 'PDE',
    mechanism: '2.4',
    cause: '3.4',
    course: { type: 'renewal', shape: 3, scaleDays: 330 },
    trade: 'mechanical',
    words: 'lining',
    parts: [['LINING-SB30', 2, 0.9]],
    repair: lasting(120),
    stoppage: stops(95, 0.4),
  },
  {
    asset: 'lark-conveyor-base',
    component: 'Tyre',
    mode: 'STD',
    mechanism: '2.4',
    cause: '3.4',
    course: { type: 'renewal', shape: 2.2, scaleDays: 52 },
    trade: 'mechanical',
    words: 'tyre',
    parts: [
      ['TYRE-4.00-8', 1, 0.7],
      ['TUBE-4.00-8', 1, 0.85],
    ],
    repair: lasting(55),
    stoppage: stops(22, 0.3),
  },
  {
    asset: 'lark-conveyor-top',
    component: 'Tyre',
    mode: 'STD',
    mechanism: '2.4',
    cause: '3.4',
    course: { type: 'renewal', shape: 2.2, scaleDays: 64 },
    trade: 'mechanical',
    words: 'tyre',
    parts: [
      ['TYRE-4.00-8', 1, 0.7],
      ['TUBE-4.00-8', 1, 0.85],
    ],
    repair: lasting(55),
    stoppage: stops(22, 0.3),
  },
  {
    asset: 'lark-grips',
    component: 'Clamping spring',
    mode: 'PDE',
    mechanism: '2.5',
    cause: '3.4',
    course: { type: 'renewal', shape: 1.8, scaleDays: 48 },
    trade: 'rope',
    words: 'grip',
    parts: [
      ['SPRING-DT108-S', 2, 0.8],
      ['GRIP-BUSH-28', 2, 0.3],
    ],
    repair: lasting(85),
    stoppage: null,
  },
  {
    asset: 'pump-2',
    component: 'Shaft seal',
    mode: 'ELP',
    mechanism: '1.1',
    cause: '3.4',
    course: { type: 'renewal', shape: 2.6, scaleDays: 190 },
    trade: 'hydraulics',
    words: 'pumpSeal',
    parts: [['PUMP-SEALKIT-80', 1, 0.95]],
    repair: lasting(240),
    stoppage: stops(330),
  },
  // Repaired for good: the switch bracket was stiffened in the second year.
  {
    asset: 'lark-t3',
    component: 'Rope position switch',
    mode: 'UST',
    mechanism: '3.1',
    cause: '2.2',
    course: { type: 'cured', meanGapDays: 34, curedOnDay: 480 },
    trade: 'electrical',
    words: 'ropeSwitch',
    parts: [
      ['SENS-ROPE-POS', 1, 0.35],
      ['CBL-3-1.5', 2, 0.2],
    ],
    repair: lasting(70),
    stoppage: stops(28),
  },
  // Pure chance.
  {
    asset: 'lark-control',
    component: 'Safety relay',
    mode: 'UST',
    mechanism: '4.2',
    cause: '5.1',
    course: { type: 'renewal', shape: 1, scaleDays: 115 },
    trade: 'electrical',
    words: 'relay',
    parts: [
      ['REL-SAFE-3', 1, 0.6],
      ['FUSE-6A', 1, 0.3],
    ],
    repair: lasting(50),
    stoppage: stops(35),
  },
  {
    asset: 'lark-cabins',
    component: 'Door mechanism',
    mode: 'FTC',
    mechanism: '1.5',
    cause: '3.4',
    course: { type: 'renewal', shape: 1, scaleDays: 21 },
    trade: 'rope',
    words: 'door',
    parts: [
      ['DOOR-ROLLER', 2, 0.5],
      ['DOOR-SPRING', 1, 0.3],
      ['DOOR-CABLE', 1, 0.2],
    ],
    repair: lasting(45),
    stoppage: null,
  },
  {
    asset: 'lark-tension',
    component: 'Hose',
    mode: 'ELU',
    mechanism: '1.1',
    cause: '3.4',
    course: { type: 'renewal', shape: 1, scaleDays: 140 },
    trade: 'hydraulics',
    words: 'hydraulicLeak',
    parts: [
      ['HOSE-DN16-1200', 1, 0.6],
      ['OIL-HVLP32', 6, 0.7],
      ['ORING-22-2.5', 2, 0.4],
    ],
    repair: lasting(110),
    stoppage: stops(130, 0.6),
  },
  {
    asset: 'juniper-tension',
    component: 'Hose',
    mode: 'ELU',
    mechanism: '1.1',
    cause: '3.4',
    course: { type: 'renewal', shape: 1, scaleDays: 210 },
    trade: 'hydraulics',
    words: 'hydraulicLeak',
    parts: [
      ['HOSE-DN10-800', 1, 0.6],
      ['OIL-HVLP32', 3, 0.7],
    ],
    repair: lasting(95),
    stoppage: stops(110, 0.6),
  },
  {
    asset: 'lark-standby',
    component: 'Starter battery',
    mode: 'FTS',
    mechanism: '4.3',
    cause: '3.4',
    course: { type: 'renewal', shape: 2.5, scaleDays: 420 },
    trade: 'electrical',
    words: 'battery',
    parts: [['BAT-12V-180', 2, 0.7]],
    repair: lasting(60),
    stoppage: null,
  },
  {
    asset: 'juniper-chairs',
    component: 'Seat and bar',
    mode: 'SER',
    mechanism: '2.4',
    cause: '3.4',
    course: { type: 'renewal', shape: 1, scaleDays: 30 },
    trade: 'rope',
    words: 'seat',
    parts: [
      ['SEAT-CUSHION', 1, 0.5],
      ['SEAT-BAR-BUSH', 2, 0.5],
    ],
    repair: lasting(40),
    stoppage: null,
  },
  {
    asset: 'compressor',
    component: 'Separator',
    mode: 'OHE',
    mechanism: '2.3',
    cause: '3.4',
    course: { type: 'renewal', shape: 1.6, scaleDays: 170 },
    trade: 'hydraulics',
    words: 'compressor',
    parts: [
      ['FLT-SEP-75', 1, 0.5],
      ['FLT-AIR-75', 1, 0.6],
    ],
    repair: lasting(80),
    stoppage: stops(140),
  },
  {
    asset: 'mast',
    component: 'Anemometer',
    mode: 'AIR',
    mechanism: '3.4',
    cause: '5.2',
    course: { type: 'renewal', shape: 1, scaleDays: 120 },
    trade: 'electrical',
    words: 'mast',
    parts: [
      ['SENS-ANEMO', 1, 0.4],
      ['HEAT-RING-400', 1, 0.2],
    ],
    repair: lasting(120),
    stoppage: null,
  },
  {
    asset: 'pocket-tows',
    component: 'Recoil',
    mode: 'FTF',
    mechanism: '1.5',
    cause: '3.4',
    course: { type: 'renewal', shape: 1, scaleDays: 55 },
    trade: 'rope',
    words: 'tow',
    parts: [['GRIP-ROLLER', 1, 0.4]],
    repair: lasting(50),
    stoppage: stops(15, 0.5),
  },
];

const towerProcess = (asset: string, scaleDays: number): FailureProcess => ({
  asset,
  component: 'Sheave liner',
  mode: 'NOI',
  mechanism: '2.4',
  cause: '3.4',
  course: { type: 'renewal', shape: 2.4, scaleDays },
  trade: 'rope',
  words: 'liner',
  parts: [
    ['LINER-420', 2, 0.9],
    ['BRG-6308', 1, 0.3],
  ],
  repair: lasting(130),
  stoppage: stops(60, 0.3),
});

const gunProcesses = (gun: number): readonly FailureProcess[] => [
  {
    asset: `gun-${gun}`,
    component: 'Water valve',
    mode: 'FTO',
    mechanism: '1.5',
    cause: '5.2',
    course: { type: 'renewal', shape: 1, scaleDays: 240 },
    trade: 'hydraulics',
    words: 'gunValve',
    parts: [
      ['VALVE-GUN-DN32', 1, 0.4],
      ['ORING-30-3', 2, 0.5],
    ],
    repair: lasting(60),
    stoppage: stops(75, 0.8),
  },
  {
    asset: `gun-${gun}`,
    component: 'Nozzle ring',
    mode: 'PLU',
    mechanism: '5.1',
    cause: '5.1',
    course: { type: 'renewal', shape: 1, scaleDays: 300 },
    trade: 'hydraulics',
    words: 'nozzle',
    parts: [
      ['NOZ-W-06', 3, 0.6],
      ['NOZ-NUC-1', 1, 0.3],
    ],
    repair: lasting(35),
    stoppage: stops(40, 0.5, 'reduced'),
  },
];

export const failureProcesses: readonly FailureProcess[] = [
  ...namedProcesses,
  ...[1, 2, 3, 4, 5, 6].map((tower) => towerProcess(`lark-t${tower}`, 210 + 15 * tower)),
  ...[1, 2, 3, 4].map((tower) => towerProcess(`juniper-t${tower}`, 260 + 10 * tower)),
  ...Array.from({ length: 24 }, (_, index) => gunProcesses(index + 1)).flat(),
];
