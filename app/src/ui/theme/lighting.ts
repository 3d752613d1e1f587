import { keptChoice } from '../state/kept-choice';

export const lightings = ['as the device', 'day', 'night'] as const;
export type Lighting = (typeof lightings)[number];

/** Day or night colours: as the device has it until the person chooses. */
export const useLighting = keptChoice<Lighting>('oilcan.lighting', 'as the device', {
  read: (kept) => lightings.find((each) => each === kept) ?? 'as the device',
  isPersonal: false,
});
