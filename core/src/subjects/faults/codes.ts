/** Failure modes, ISO 14224:2016 annex B, table B.15 (memory). */
export const failureModes = {
  AIR: 'Abnormal instrument reading',
  BRD: 'Breakdown',
  ELP: 'External leakage, process medium',
  ELU: 'External leakage, utility medium',
  ERO: 'Erratic output',
  FTC: 'Failure to close on demand',
  FTF: 'Failure to function on demand',
  FTO: 'Failure to open on demand',
  FTS: 'Failure to start on demand',
  HIO: 'High output',
  INL: 'Internal leakage',
  LOO: 'Low output',
  NOI: 'Noise',
  OHE: 'Overheating',
  OTH: 'Other',
  PDE: 'Parameter deviation',
  PLU: 'Plugged or choked',
  SER: 'Minor in-service problems',
  STD: 'Structural deficiency',
  STP: 'Failure to stop on demand',
  UNK: 'Unknown',
  UST: 'Spurious stop',
  VIB: 'Vibration',
} as const;

export type FailureMode = keyof typeof failureModes;

/** Maintenance activities, ISO 14224:2016 annex B, table B.5 (memory), as what somebody did. */
const activities: Readonly<Record<number, string>> = {
  1: 'replaced',
  2: 'repaired',
  3: 'modified',
  4: 'adjusted',
  5: 'refitted',
  6: 'checked',
  7: 'serviced',
  8: 'tested',
  9: 'inspected',
  10: 'overhauled',
  11: 'worked on in several ways',
  12: 'worked on',
};

/** The name of a failure mode; a code that the standard does not have stands for itself. */
export function nameOfMode(code: string): string {
  return Object.hasOwn(failureModes, code) ? failureModes[code as FailureMode] : code;
}

/** What was done, as a past participle: 1 is “replaced”. */
export function nameOfActivity(activity: number): string {
  return activities[activity] ?? 'worked on';
}
