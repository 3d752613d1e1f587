/** What can be owed before a work order is finished, in the order in which it is usually given. */
export const owedThings = [
  'steps',
  'readings',
  'meter',
  'fault',
  'codes',
  'part',
  'stoppage',
  'stoppageEnd',
  'time',
  'photo',
  'signature',
  'clocks',
  'locks',
] as const;
export type OwedThing = (typeof owedThings)[number];

/** How much it is wanted: finishing waits for it, it is asked for, or nobody asks. */
export const demands = ['must', 'asked', 'not'] as const;
export type Demand = (typeof demands)[number];

export type Demands = Readonly<Record<OwedThing, Demand>>;
