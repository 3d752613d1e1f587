import { nameOfActivity, plainMode, type PastFault } from '@oilcan/core/recording/faults';

type Failing = Pick<PastFault, 'component' | 'mode'>;

/** `Output shaft seal: oil, water or air leaks out`. */
export function plainFault({ component, mode }: Failing): string {
  const what = plainMode(mode);
  return component === '' ? what : `${component}: ${what.toLowerCase()}`;
}

/** `Output shaft seal: oil, water or air leaks out · ELU`: the plain words first, the code of ISO 14224 behind. */
export function faultWords(failing: Failing): string {
  return `${plainFault(failing)} · ${failing.mode}`;
}

/** `Output shaft seal: oil, water or air leaks out · ELU; replaced`. */
export function faultLine(fault: PastFault): string {
  return fault.activity === null ? faultWords(fault) : `${faultWords(fault)}; ${nameOfActivity(fault.activity)}`;
}
