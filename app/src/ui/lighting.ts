import { create } from 'zustand';

export type Lighting = 'as the device' | 'day' | 'night';

const KEY = 'oilcan.lighting';

function remembered(): Lighting {
  try {
    const text = localStorage.getItem(KEY);
    return text === 'day' || text === 'night' ? text : 'as the device';
  } catch {
    return 'as the device';
  }
}

interface LightingState {
  readonly lighting: Lighting;
  readonly choose: (lighting: Lighting) => void;
}

/** Day or night colours: as the device has it until the person chooses. */
export const useLighting = create<LightingState>((set) => ({
  lighting: remembered(),
  choose: (lighting) => {
    set({ lighting });
    try {
      localStorage.setItem(KEY, lighting);
    } catch {
      // Without storage the choice lasts until the reload.
    }
  },
}));
