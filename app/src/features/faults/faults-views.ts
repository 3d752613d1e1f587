import { nameOfActivity, nameOfMode, type PastFault } from '@oilcan/core/faults';
import { inWords, type EntryViewsNamed } from '../views/entry-view';

/** `Output shaft seal: external leakage, utility medium; replaced`. */
export function faultLine({ component, mode, activity }: PastFault): string {
  const what = nameOfMode(mode).toLowerCase();
  return `${component === '' ? '' : `${component}: `}${what}; ${nameOfActivity(activity)}`;
}

const entries: EntryViewsNamed<'fault'> = {
  fault: {
    ...inWords,
    group: 'faults',
    say: ({ content }) => ({ headline: `${content.component}: ${content.text}`, detail: `Fault ${content.mode}` }),
    past: { many: 'Faults', line: faultLine },
  },
};

export const faultsViews = { entries };
