import { roundedTo } from '../rounded';
import type { DerivedKind } from '../derived-kind';

declare module '../derived-kind' {
  interface DerivedSettings {
    polarizationIndex: object;
  }
}

/** What a winding of thermal class B and above must have at least (IEEE 43, clause 12; from memory). */
const LEAST = 2;
/** Above this after one minute the index means nothing (IEEE 43-2013, clause 12.2; from memory), in MΩ. */
const MOST_TELLING = 5_000;

/** The insulation resistance after ten minutes by that after one. */
export const polarizationIndex: DerivedKind<'polarizationIndex'> = {
  raw: [
    { key: 'oneMinute', unit: 'MΩ' },
    { key: 'tenMinutes', unit: 'MΩ' },
  ],
  unit: '',
  decimals: 2,
  source: 'IEEE 43: at least 2.0 for thermal classes B and above',
  work: ([oneMinute = 0, tenMinutes = 0]) => {
    if (oneMinute <= 0 || tenMinutes < 0) return null;
    const value = roundedTo(tenMinutes / oneMinute, 2);
    if (oneMinute > MOST_TELLING)
      return {
        value,
        said: `${value.toFixed(2)}, above 5,000 MΩ it means nothing`,
        level: 'normal',
        tellsNothing: true,
      };
    return { value, said: null, level: value < LEAST ? 'alert' : 'normal' };
  },
};
