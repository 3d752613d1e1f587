/** Keys of what endangers people at work here. */
export const rotating = 'rotating';
export const height = 'height';
export const pressure = 'pressure';
export const voltage = 'voltage';
export const rope = 'rope';
export const heat = 'heat';
export const diesel = 'diesel';
export const spring = 'spring';
export const noise = 'noise';

/** What endangers people at work here, and what is done about it. */
export const hazardList: Readonly<Record<string, readonly [hazard: string, control: string]>> = {
  [rotating]: ['Drive can start by remote command', 'Lock out at the main switch, own padlock, try to start'],
  [height]: ['Fall from the platform', 'Harness and two lanyards, a mate in sight'],
  [pressure]: ['Oil or water under pressure', 'Shut, release, gauge at zero; never feel for a leak by hand'],
  [voltage]: ['Live parts at 400 V and above', 'Lock out, test dead at the place of work'],
  [rope]: ['The haul rope can move the drive', 'Rope on the mechanical stop, emergency brake applied'],
  [heat]: ['Oil and housings above 60 °C', 'Gloves, let it cool for an hour'],
  [diesel]: ['Exhaust in a closed room', 'Doors open, extraction on'],
  [spring]: ['Spring under preload', 'Only in the fixture, never with bare pliers'],
  [noise]: ['Noise above 85 dB(A) while the pumps run', 'Ear protection; agree on signs by hand'],
};
