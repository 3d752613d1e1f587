import type { Demand, OwedThing } from '@oilcan/core/orders/work';

/** Each thing that can be owed, as a lead chooses it. */
export const owedThingWords: Readonly<Record<OwedThing, string>> = {
  steps: 'Every step answered or skipped',
  readings: 'A reading at every point',
  meter: 'The meters read',
  fault: 'A fault, or that none was found',
  codes: 'Cause and work of each fault',
  part: 'Parts, or that none was taken',
  stoppage: 'Standstill, or that there was none',
  stoppageEnd: 'The end of a stoppage',
  time: 'The time of everybody who had it',
  photo: 'A photo',
  signature: 'A signature',
  clocks: 'Clocks stopped',
  locks: 'Isolation removed',
};

export const demandWords: Readonly<Record<Demand, string>> = {
  must: 'Must be given',
  asked: 'Asked for, can be left out',
  not: 'Not asked for',
};
