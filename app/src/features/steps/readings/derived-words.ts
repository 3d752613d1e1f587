/** What is read off, by its key. */
export const rawWords: Readonly<Record<string, string>> = {
  velocity: 'Vibration velocity, r.m.s.',
  from4: 'Particles from 4 µm',
  from6: 'Particles from 6 µm',
  from14: 'Particles from 14 µm',
  first: 'Phase 1',
  second: 'Phase 2',
  third: 'Phase 3',
  resistance: 'Resistance',
  temperature: 'Temperature',
  ambient: 'Air around it',
  oneMinute: 'After one minute',
  tenMinutes: 'After ten minutes',
  before: 'Pressure before the filter',
  after: 'Pressure after the filter',
};

/** What a zone of vibration means. */
export const zoneWords: Readonly<Record<string, string>> = {
  A: 'Zone A: as a new machine',
  B: 'Zone B: may run without a limit of time',
  C: 'Zone C: for a limited time only',
  D: 'Zone D: it does damage',
};
