import { nameOfActivity, nameOfMode, type PastFault } from '@oilcan/core/faults';

/** `Output shaft seal: external leakage, utility medium`. */
export function faultWords({ component, mode }: Pick<PastFault, 'component' | 'mode'>): string {
  const what = nameOfMode(mode);
  return component === '' ? what : `${component}: ${what.toLowerCase()}`;
}

/** `Output shaft seal: external leakage, utility medium; replaced`. */
export function faultLine(fault: PastFault): string {
  return fault.activity === null ? faultWords(fault) : `${faultWords(fault)}; ${nameOfActivity(fault.activity)}`;
}
