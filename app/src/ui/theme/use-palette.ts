import { createContext, useContext } from 'react';
import { dayPalette, type Palette } from './palette';

export const PaletteContext = createContext<Palette>(dayPalette);

/** The colours of day or night, as they are now. */
export function usePalette(): Palette {
  return useContext(PaletteContext);
}
