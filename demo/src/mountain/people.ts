import {
  asId,
  type Crew,
  type CrewId,
  type Person,
  type PersonId,
  type Settings,
  type Site,
  type SiteId,
} from '@oilcan/core';

export const lifts = asId<SiteId>('site-lifts');
export const snow = asId<SiteId>('site-snow');

export const sites: readonly Site[] = [
  { id: lifts, name: 'Lifts' },
  { id: snow, name: 'Snow plant' },
];

const person = (
  id: string,
  name: string,
  roles: Person['roles'],
  craftId: string,
  siteIds: readonly SiteId[] = [lifts, snow],
): Person => ({ id: asId<PersonId>(id), name, roles, craftId, siteIds });

const ines = person('ines', 'Ines Okafor', ['technician'], 'mechanical');
const pavel = person('pavel', 'Pavel Brandt', ['technician'], 'electrical');
const mira = person('mira', 'Mira Castell', ['technician'], 'hydraulics');
const jonas = person('jonas', 'Jonas Reith', ['technician'], 'rope', [lifts]);
export const tess = person('tess', 'Tess Lindqvist', ['lead'], 'lead');
const arun = person('arun', 'Arun Petros', ['storekeeper'], 'store');

export const people: readonly Person[] = [ines, pavel, mira, jonas, tess, arun];
const technicians: readonly Person[] = [ines, pavel, mira, jonas];

const ropeCrew: Crew = { id: asId<CrewId>('crew-rope'), name: 'Rope crew', memberIds: [jonas.id, ines.id] };
const plantCrew: Crew = { id: asId<CrewId>('crew-plant'), name: 'Plant crew', memberIds: [pavel.id, mira.id] };
export const crews: readonly Crew[] = [ropeCrew, plantCrew];

export const settings: Settings = {
  id: 'settings',
  organization: 'Graupel Peak Ropeways',
  zone: 'Europe/Vienna',
  language: 'en',
  currency: 'EUR',
  units: 'metric',
  shiftMinutes: 480,
  crafts: [
    { id: 'mechanical', name: 'Mechanical', rateMinorPerHour: 5_400 },
    { id: 'electrical', name: 'Electrical', rateMinorPerHour: 5_800 },
    { id: 'hydraulics', name: 'Hydraulics', rateMinorPerHour: 5_600 },
    { id: 'rope', name: 'Rope and grips', rateMinorPerHour: 5_600 },
    { id: 'lead', name: 'Lead', rateMinorPerHour: 6_400 },
    { id: 'store', name: 'Store', rateMinorPerHour: 4_600 },
  ],
  overtimePercent: 150,
  owed: {
    corrective: { steps: true, time: true },
    preventive: { steps: true, time: true },
    inspection: { steps: true, time: true },
    improvement: { steps: false, time: true },
  },
};

/** Who mostly works in a craft. */
export function technicianOf(craftId: string): Person {
  return technicians.find((each) => each.craftId === craftId) ?? ines;
}
