/** By what a record is narrowed. */
export const recordGroups = [
  'time',
  'parts',
  'costs',
  'readings',
  'faults',
  'stoppages',
  'notes',
  'steps',
  'safety',
  'state',
] as const;
export type RecordGroup = (typeof recordGroups)[number];

export const recordGroupWords: Readonly<Record<RecordGroup, string>> = {
  time: 'Time',
  parts: 'Parts',
  costs: 'Costs',
  readings: 'Readings',
  faults: 'Faults',
  stoppages: 'Stoppages',
  notes: 'Notes',
  steps: 'Steps',
  safety: 'Safety',
  state: 'State',
};
