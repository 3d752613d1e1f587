import type { IncidentCause } from '@oilcan/core/raising/incidents';
import type { IncidentKind } from '@oilcan/core/orders/raise-rules';

export const incidentKindWords: Readonly<Record<IncidentKind, string>> = {
  injury: 'Somebody was hurt',
  nearMiss: 'Near miss',
  damage: 'Damage',
  environment: 'Spill or release',
};

export const causeWords: Readonly<Record<IncidentCause, string>> = {
  slippery: 'Slippery',
  poorLight: 'Poor light',
  weather: 'Weather',
  guardMissing: 'Guard missing or open',
  machineDefect: 'Defect of the machine',
  toolDefect: 'Defect of a tool',
  energyNotIsolated: 'Energy not isolated',
  protectionMissing: 'No protective equipment',
  noInstruction: 'Not instructed',
  haste: 'Haste',
  untidy: 'Untidy',
  otherPeople: 'Other people',
  notKnown: 'Not known yet',
};
