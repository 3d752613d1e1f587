import { create } from 'zustand';
import { useSiteChoice } from '../frame/use-site';
import { everything, readNarrowing, type Narrowing } from './narrowing';

const KEY = 'oilcan.shift';

interface ShiftChoice {
  readonly find: string;
  readonly narrowing: Narrowing;
  readonly setFind: (find: string) => void;
  readonly setNarrowing: (narrowing: Narrowing) => void;
}

function kept(): Pick<ShiftChoice, 'find' | 'narrowing'> {
  try {
    return { find: localStorage.getItem(`${KEY}.find`) ?? '', narrowing: readNarrowing(localStorage.getItem(KEY)) };
  } catch {
    return { find: '', narrowing: everything };
  }
}

function keep(key: string, text: string): void {
  try {
    localStorage.setItem(key, text);
  } catch {
    // Then it lasts until the page is loaded again.
  }
}

/** What the Shift list shows of the work; survives a reload. */
export const useShiftChoice = create<ShiftChoice>((set) => ({
  ...kept(),
  setFind: (find) => {
    keep(`${KEY}.find`, find);
    set({ find });
  },
  setNarrowing: (narrowing) => {
    keep(KEY, JSON.stringify(narrowing));
    set({ narrowing });
  },
}));

/** Back to all work. */
export function forgetShiftChoice(): void {
  const { setFind, setNarrowing } = useShiftChoice.getState();
  setFind('');
  setNarrowing(everything);
}

/** Another person begins with all of their sites, too. */
export function forgetChoices(): void {
  forgetShiftChoice();
  useSiteChoice.getState().choose(null);
}
