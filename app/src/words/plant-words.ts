import type { AssetCondition } from '@oilcan/core/plant/plant';

export const conditionWords: Readonly<Record<AssetCondition, string>> = {
  running: 'Running',
  reduced: 'Runs, not fully',
  stopped: 'Stopped',
};

/** `electric-motor` as people say it. */
export function classWords(equipmentClass: string): string {
  const words = equipmentClass.replaceAll('-', ' ');
  return words.slice(0, 1).toUpperCase() + words.slice(1);
}

export const ASSET_MISSING =
  'This machine is not on this phone: it is on a site that you do not see, or does not exist.';
export const PLACE_MISSING = 'This place is not on this phone: it is on a site that you do not see, or does not exist.';
