import { height, rope, voltage } from './hazards';
import type { OpenJob, StopPlan } from './open-job';
import type { StepPlan } from './step-plan';

/** A number that belongs to the round alone. */
const room = (says: string, alertHigh: number): StepPlan => ({
  says,
  asks: {
    type: 'number',
    unit: '°C',
    decimals: 0,
    limits: { alarmLow: null, alertLow: null, alertHigh, alarmHigh: alertHigh + 10 },
    pointId: null,
  },
});

const weather: StepPlan = {
  says: 'Ice on the rope guards',
  asks: {
    type: 'choice',
    isSeveral: false,
    options: [
      { key: 'none', words: 'None', isFaulty: false },
      { key: 'some', words: 'Some', isFaulty: false },
      { key: 'much', words: 'Much', isFaulty: true },
    ],
  },
  parts: [{ says: 'Knocked off, train runs free', when: { is: 'oneOf', values: ['some', 'much'] } }],
};

/** From the bottom of the gondola to its top. */
const daily: readonly StopPlan[] = [
  { asset: 'lark-conveyor-base', steps: ['#lark-conveyor-base-pressure', '?Tyres, belts, guards'] },
  { asset: 'lark-cabins', steps: ['?Doors close and lock', '?Cabins clean, windows whole'] },
  { asset: 'lark-grips', steps: ['?Grips close on the rope', '?No broken strand at the entry'] },
  { asset: 'lark-tension', steps: ['#lark-tension-pressure', '#lark-tension-temp', '?Hoses and rod dry'] },
  { asset: 'lark-control', hazards: [voltage], steps: ['No fault on the panel', room('Control room', 30)] },
  { asset: 'lark-t1', steps: ['?Rope runs in the middle of the sheaves', weather] },
  { asset: 'lark-t12', hazards: [height], steps: ['?Rope runs in the middle of the sheaves', weather] },
  { asset: 'lark-conveyor-top', steps: ['?Tyres, belts, guards'] },
  { asset: 'lark-motor', steps: ['#lark-motor-vib', '?Brushes and filter mat'] },
  {
    asset: 'lark-gearbox',
    steps: [
      '#lark-gearbox-temp',
      '#lark-gearbox-level',
      {
        says: '?Seals and flanges dry',
        parts: [{ says: 'Where it leaks', asks: { type: 'photo' }, when: { is: 'faulty' } }],
      },
    ],
  },
  { asset: 'lark-service-brake', steps: ['#lark-service-brake-lining', '?Stops within the marks'] },
  { asset: 'lark-emergency-brake', steps: ['#lark-emergency-brake-pressure', '?Falls in at once'] },
  { asset: 'lark-standby', steps: ['#lark-standby-hours', '#lark-standby-battery'] },
  { asset: 'lark-winch', steps: ['?Harnesses counted and sealed'] },
];

const tower = (asset: string): StopPlan => ({
  asset,
  hazards: [height],
  steps: ['?Sheaves turn, liners whole', '?Rope switch, gap 2 mm', '?Ladder and platform'],
});

const towers: readonly StopPlan[] = [
  ...Array.from({ length: 12 }, (_, index) => tower(`lark-t${index + 1}`)),
  ...Array.from({ length: 6 }, (_, index) => tower(`juniper-t${index + 1}`)),
];

/** What is walked from machine to machine. */
export const rounds: readonly OpenJob[] = [
  {
    asset: 'lark',
    title: 'Daily round, Lark',
    kind: 'inspection',
    urgency: 'shift',
    trade: 'mechanical',
    due: [0, 17],
    minutes: 90,
    reason: 'Every day before the first guest.',
    people: ['ines'],
    hazards: [rope],
    kit: [],
    steps: [{ says: 'Lift released for guests', asks: { type: 'signature', who: 'Operations' } }],
    stops: daily,
  },
  {
    asset: 'lark',
    title: 'Monthly round of the towers',
    kind: 'inspection',
    urgency: 'week',
    trade: 'rope',
    due: [4, 16],
    minutes: 420,
    reason: 'Due every 30 days.',
    people: ['jonas'],
    hazards: [rope],
    kit: [],
    steps: [],
    stops: towers,
    shares: [
      {
        person: 'ines',
        trade: 'mechanical',
        minutes: 140,
        stops: Array.from({ length: 6 }, (_, index) => `juniper-t${index + 1}`),
      },
    ],
  },
];
