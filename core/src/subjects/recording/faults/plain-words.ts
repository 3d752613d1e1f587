import type { FailureMode } from './codes';

/** What people say who have a failure of a mode before them, in whatever form; common practice. */
export const plainWords: Readonly<Record<FailureMode, string>> = {
  AIR: 'gauge sensor reading wrong odd instrument shows nonsense alarm false',
  BRD: 'broken down dead seized stuck does not turn burst snapped',
  ELP: 'leak drip spray water oil product outside wet hose',
  ELU: 'leak weep drip oil grease outside wet puddle seal',
  ERO: 'erratic hunts unsteady jerks surges flickers',
  FTC: 'stuck open does not close shut',
  FTF: 'does not work no function fails when needed',
  FTO: 'stuck closed does not open',
  FTS: 'does not start no start will not run',
  HIO: 'too high too much too fast overpressure output',
  INL: 'leak inside passes bypass does not hold pressure drops creep',
  LOO: 'too low too little weak slow low pressure output',
  NOI: 'noise noisy loud knock rattle squeal grind hum',
  OHE: 'hot overheats burnt smell temperature smoke',
  OTH: 'other something else',
  PDE: 'out of tolerance drift deviates not within limit parameter',
  PLU: 'blocked clogged plugged choked frozen iced dirty filter',
  SER: 'minor loose worn dirty small scratch paint',
  STD: 'crack bent worn rust corroded loose torn structure thin',
  STP: 'does not stop runs on keeps running',
  UNK: 'unknown nobody knows',
  UST: 'trips stops by itself drops out shuts down spurious',
  VIB: 'vibrates shakes vibration unbalance',
};

/** How a mode shows itself, in words that need no schooling; the standard's name stands in `failureModes`. Common practice. */
const plainNames: Readonly<Record<FailureMode, string>> = {
  AIR: 'The instrument shows something wrong',
  BRD: 'Broken, does not run',
  ELP: 'What it handles leaks out',
  ELU: 'Oil, water or air leaks out',
  ERO: 'Runs unevenly',
  FTC: 'Does not close',
  FTF: 'Does not work when needed',
  FTO: 'Does not open',
  FTS: 'Does not start',
  HIO: 'Gives too much',
  INL: 'Leaks inside',
  LOO: 'Gives too little',
  NOI: 'Makes noise',
  OHE: 'Gets too hot',
  OTH: 'Something else',
  PDE: 'A value is beyond its limits',
  PLU: 'Blocked',
  SER: 'Small trouble, still runs',
  STD: 'Cracked, bent or worn',
  STP: 'Does not stop',
  UNK: 'Nobody knows',
  UST: 'Stops by itself',
  VIB: 'Vibrates',
};

/** A mode in plain words; its code, where it is of an older record and not known. */
export function plainMode(code: string): string {
  return Object.hasOwn(plainNames, code) ? plainNames[code as FailureMode] : code;
}
