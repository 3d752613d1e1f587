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

/** Failure mechanisms, ISO 14224:2016 annex B, table B.2 (memory); the whole number is the group. */
export const mechanisms = {
  '1.0': 'Mechanical, in general',
  '1.1': 'Leakage',
  '1.2': 'Vibration',
  '1.3': 'Clearance or alignment',
  '1.4': 'Deformation',
  '1.5': 'Looseness',
  '1.6': 'Sticking',
  '2.0': 'Material, in general',
  '2.1': 'Cavitation',
  '2.2': 'Corrosion',
  '2.3': 'Erosion',
  '2.4': 'Wear',
  '2.5': 'Breakage',
  '2.6': 'Fatigue',
  '2.7': 'Overheating',
  '2.8': 'Burst',
  '3.0': 'Instrument, in general',
  '3.1': 'Control failure',
  '3.2': 'No signal',
  '3.3': 'Faulty signal',
  '3.4': 'Out of adjustment',
  '3.5': 'Software',
  '4.0': 'Electrical, in general',
  '4.1': 'Short circuit',
  '4.2': 'Open circuit',
  '4.3': 'No power',
  '4.4': 'Faulty power',
  '4.5': 'Earth or isolation fault',
  '5.0': 'External, in general',
  '5.1': 'Blockage',
  '5.2': 'Contamination',
  '5.3': 'Other external influence',
  '6.1': 'No mechanism found',
  '6.2': 'Several together',
  '6.4': 'Unknown',
} as const;

/** Failure causes, ISO 14224:2016 annex B, table B.3 (memory); the whole number is the group. */
export const causes = {
  '1.0': 'Design, in general',
  '1.1': 'Too small for its duty',
  '1.2': 'Wrong material',
  '2.0': 'Fabrication or installation, in general',
  '2.1': 'Fabrication',
  '2.2': 'Installation',
  '3.0': 'Operation or maintenance, in general',
  '3.1': 'Used beyond its design',
  '3.2': 'Operating error',
  '3.3': 'Maintenance error',
  '3.4': 'Expected wear and tear',
  '4.0': 'Management, in general',
  '4.1': 'Documentation',
  '5.1': 'No cause found',
  '5.2': 'Common cause',
  '5.4': 'Another failure led to it',
  '5.6': 'Unknown',
} as const;

/** How a failure was noticed, ISO 14224:2016 annex B, table B.4 (memory). */
export const detections: Readonly<Record<number, string>> = {
  1: 'At periodic maintenance',
  2: 'At a functional test',
  3: 'At an inspection',
  4: 'By periodic monitoring',
  5: 'At a pressure test',
  6: 'By continuous monitoring',
  7: 'It disturbed operation',
  8: 'By chance',
  9: 'During another repair',
  10: 'When it was called for',
};

/** Maintenance activities, ISO 14224:2016 annex B, table B.5 (memory), as what somebody did. */
export const activities: Readonly<Record<number, string>> = {
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
export function nameOfActivity(activity: number | null): string {
  return activity === null ? 'not said what was done' : (activities[activity] ?? 'worked on');
}

/** The name of a mechanism or a cause; a code that the standard does not have stands for itself, empty stays empty. */
export function nameOfCode(names: Readonly<Record<string, string>>, code: string): string {
  return Object.hasOwn(names, code) ? (names[code] ?? code) : code;
}
