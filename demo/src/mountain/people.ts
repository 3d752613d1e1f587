import { asId, type CrewId, type PersonId, type SiteId, type WeeklyHours } from '@oilcan/core/kernel';
import type { LaborRate } from '@oilcan/core/recording/labor';
import type { Crew, Person, Site } from '@oilcan/core/plant/people';
import { rateId, type Rate, type Settings } from '@oilcan/core/orders/settings';

export const lifts = asId<SiteId>('site-lifts');
export const snow = asId<SiteId>('site-snow');

const everyDay = (from: string, to: string): WeeklyHours[] =>
  [1, 2, 3, 4, 5, 6, 7].map((weekday) => ({ weekday, from, to }));

export const sites: readonly Site[] = [
  { id: lifts, name: 'Lifts', zone: null, currency: null, operatingHours: everyDay('08:30', '16:30') },
  { id: snow, name: 'Snow plant', zone: null, currency: null },
];

const person = (
  id: string,
  name: string,
  roles: Person['roles'],
  tradeId: string,
  reach: string,
  siteIds: readonly SiteId[] = [lifts, snow],
): Person => ({ id: asId<PersonId>(id), name, roles, tradeId, reach, siteIds });

export const ines = person('ines', 'Ines Okafor', ['technician'], 'mechanical', '+44 1632 960 201');
export const pavel = person('pavel', 'Pavel Brandt', ['technician'], 'electrical', '+44 1632 960 202');
const mira = person('mira', 'Mira Castell', ['technician'], 'hydraulics', '+44 1632 960 203');
export const jonas: Person = {
  ...person('jonas', 'Jonas Reith', ['technician'], 'rope', '+44 1632 960 204', [lifts]),
  levelId: 'senior',
};
export const tess: Person = {
  ...person('tess', 'Tess Lindqvist', ['lead'], 'lead', '+44 1632 960 210'),
  isResponsibleForAll: true,
};
export const arun = person('arun', 'Arun Petros', ['storekeeper'], 'store', '+44 1632 960 220');

export const people: readonly Person[] = [ines, pavel, mira, jonas, tess, arun];
const technicians: readonly Person[] = [ines, pavel, mira, jonas];

const ropeCrew: Crew = {
  id: asId<CrewId>('crew-rope'),
  name: 'Rope crew',
  siteIds: [lifts],
  memberIds: [jonas.id, ines.id],
};
const plantCrew: Crew = {
  id: asId<CrewId>('crew-plant'),
  name: 'Plant crew',
  siteIds: [lifts, snow],
  memberIds: [pavel.id, mira.id],
};
export const crews: readonly Crew[] = [ropeCrew, plantCrew];

/** What an hour of each trade costs, in cents. */
const centsPerHour: Readonly<Record<string, number>> = {
  mechanical: 5_400,
  electrical: 5_800,
  hydraulics: 5_600,
  rope: 5_600,
  lead: 6_400,
  store: 4_600,
};

/** Who has learned longest is paid by a rate of their own. */
const seniorCentsPerHour = 6_200;

export const rates: readonly Rate[] = [lifts, snow].flatMap((siteId) => [
  ...Object.entries(centsPerHour).map(([tradeId, minorPerHour]) => ({
    id: rateId(siteId, tradeId),
    siteId,
    tradeId,
    minorPerHour,
    overtimePercent: 150,
  })),
  {
    id: rateId(siteId, 'rope', 'senior'),
    siteId,
    tradeId: 'rope',
    levelId: 'senior',
    minorPerHour: seniorCentsPerHour,
    overtimePercent: 150,
  },
]);

/** The rate of a trade, as time was paid by it. */
export function laborRateOf(tradeId: string): LaborRate {
  return { minorPerHour: centsPerHour[tradeId] ?? 0, overtimePercent: 150, currency: settings.currency };
}

export const settings: Settings = {
  id: 'settings',
  organization: 'Graupel Peak Ropeways',
  zone: 'Europe/Vienna',
  language: 'en',
  currency: 'EUR',
  units: 'metric',
  shiftMinutes: 480,
  trades: [
    { id: 'mechanical', name: 'Mechanical' },
    { id: 'electrical', name: 'Electrical' },
    { id: 'hydraulics', name: 'Hydraulics' },
    { id: 'rope', name: 'Rope and grips' },
    { id: 'lead', name: 'Lead', isOffice: true },
    { id: 'store', name: 'Store', isOffice: true },
  ],
  costCentres: [
    { id: 'lifts', name: 'Lift operation' },
    { id: 'snow', name: 'Snow making' },
    { id: 'buildings', name: 'Buildings' },
  ],
  laborCostSeenBy: ['lead'],
  owed: {
    corrective: { steps: true, time: true, codes: true },
    preventive: { steps: true, time: true },
    inspection: { steps: true, time: true },
    improvement: { steps: false, time: true },
  },
  demands: {
    corrective: {
      steps: 'must',
      readings: 'not',
      meter: 'not',
      fault: 'asked',
      codes: 'must',
      part: 'asked',
      stoppage: 'asked',
      stoppageEnd: 'asked',
      time: 'must',
      photo: 'not',
      signature: 'not',
      clocks: 'must',
      locks: 'must',
    },
  },
};

/** Who mostly works in a trade. */
export function technicianOf(tradeId: string): Person {
  return technicians.find((each) => each.tradeId === tradeId) ?? ines;
}
