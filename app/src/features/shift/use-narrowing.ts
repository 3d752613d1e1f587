import { keptChoice } from '../../ui/kept-choice';
import { everything, readNarrowing, type Narrowing } from './narrowing';

interface ShiftChoice {
  readonly find: string;
  readonly narrowing: Narrowing;
}

const allWork: ShiftChoice = { find: '', narrowing: everything };

/** What the Shift list shows of the work. */
export const useShiftChoice = keptChoice<ShiftChoice>('oilcan.shift', allWork, {
  read: (kept) => {
    if (typeof kept !== 'object' || kept === null) return allWork;
    const { find, narrowing } = kept as Readonly<Record<string, unknown>>;
    return { find: typeof find === 'string' ? find : '', narrowing: readNarrowing(narrowing) };
  },
  isPersonal: true,
});

/** Back to all work. */
export function forgetShiftChoice(): void {
  useShiftChoice.getState().choose(allWork);
}
