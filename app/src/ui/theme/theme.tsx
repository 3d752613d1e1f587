import { createContext, useContext, useEffect, useMemo, type ReactElement, type ReactNode } from 'react';
import { useColorScheme, useWindowDimensions } from 'react-native';
import { configureFonts, PaperProvider, type MD3Theme } from 'react-native-paper';
import { useLighting } from './lighting';
import PaperIcon from './paper-icon';
import { dayPalette, nightPalette, type Palette } from './palette';
import { textStyles } from './type';
import { PaletteContext } from './use-palette';

/** From this width on, list, sheet and record stand side by side. */
const WIDE_FROM = 900;
/** From here on, what prepares a job stands beside the job. */
const BROAD_FROM = 1_640;
export const CORNER = 4;
export const RULE = 2;
/** The least side of anything that is pressed, and the least gap between two of them. */
export const TARGET = 48;
export const GAP = 8;

/** Within a column of a wide screen everything stands as on a phone. */
const ColumnContext = createContext(false);

/** What is in it has a column of a wide screen for itself, and stands as on a phone. */
export function Column({ children }: { readonly children: ReactNode }): ReactElement {
  return <ColumnContext value>{children}</ColumnContext>;
}

/** Whether things stand side by side here. */
export function useIsWide(): boolean {
  const isWindowWide = useIsWindowWide();
  return !useContext(ColumnContext) && isWindowWide;
}

/** Whether the window is wide, whatever column of it this is in. */
export function useIsWindowWide(): boolean {
  return useWindowDimensions().width >= WIDE_FROM;
}

export function useIsBroad(): boolean {
  const isWindowBroad = useWindowDimensions().width >= BROAD_FROM;
  return !useContext(ColumnContext) && isWindowBroad;
}

/** A window that is lower has no room for bars that stay: a small one at 400 %, or a phone on its side. */
const LOWEST = 512;

/** How high the page is where the window is too low for its bars, so that they scroll along; null where it is not. */
export function useHeightOfLow(): number | null {
  // What an on-screen keyboard leaves of a window does not make it lower; the browser scrolls to what is typed in.
  useWindowDimensions();
  const height = document.documentElement.clientHeight;
  return height > 0 && height < LOWEST ? LOWEST : null;
}

/** Our palette for our own pieces, and Paper's theme made from it. */
export function ThemeProvider({ children }: { readonly children: ReactNode }): ReactElement {
  const scheme = useColorScheme();
  const lighting = useLighting((state) => state.value);
  const isNight = lighting === 'night' || (lighting === 'as the device' && scheme === 'dark');
  const palette = isNight ? nightPalette : dayPalette;
  const theme = useMemo(() => paperTheme(palette), [palette]);
  useEffect(() => {
    // What has the focus is framed by the page's style sheet.
    document.documentElement.style.setProperty('--ring', palette.ink);
    document.documentElement.style.setProperty('--ring-ground', palette.card);
  }, [palette]);
  return (
    <PaletteContext.Provider value={palette}>
      <PaperProvider theme={theme} settings={paperSettings}>
        {children}
      </PaperProvider>
    </PaletteContext.Provider>
  );
}

/** A drawing that says something by its colours keeps them where the device forces its own on everything. */
export const keepsItsColors = { forcedColorAdjust: 'none' } as object;

/** Icons by their outlines. What is pressed is shaded at once (`Touchable`); no ripple runs over it. */
const paperSettings = { icon: PaperIcon, rippleEffectEnabled: false };

const { text, small, label, heading, title } = textStyles;
/** Ours by their names, and in the places of Paper's own. */
const paperFonts = configureFonts({
  config: {
    ...textStyles,
    headlineSmall: title,
    titleLarge: heading,
    titleMedium: label,
    titleSmall: label,
    labelLarge: label,
    labelMedium: label,
    labelSmall: label,
    bodyLarge: text,
    bodyMedium: text,
    bodySmall: small,
  },
});

const wantsLessMotion = (): boolean =>
  typeof matchMedia === 'function' && matchMedia('(prefers-reduced-motion: reduce)').matches;

/** Paper's theme, all of it: none of its own colours, rounded corners or shadows is left. */
function paperTheme(palette: Palette): MD3Theme {
  return {
    dark: palette.isNight,
    version: 3,
    isV3: true,
    roundness: CORNER,
    animation: { scale: wantsLessMotion() ? 0 : 1, defaultAnimationDuration: 150 },
    fonts: paperFonts,
    colors: {
      primary: palette.green,
      onPrimary: palette.onGreen,
      primaryContainer: palette.chosen,
      onPrimaryContainer: palette.ink,
      secondary: palette.green,
      onSecondary: palette.onGreen,
      secondaryContainer: palette.chosen,
      onSecondaryContainer: palette.ink,
      tertiary: palette.green,
      onTertiary: palette.onGreen,
      tertiaryContainer: palette.chosen,
      onTertiaryContainer: palette.ink,
      background: palette.card,
      onBackground: palette.ink,
      surface: palette.card,
      onSurface: palette.ink,
      surfaceVariant: palette.scale,
      onSurfaceVariant: palette.inkSoft,
      surfaceDisabled: palette.scale,
      onSurfaceDisabled: palette.inkSoft,
      error: palette.faulty,
      onError: palette.card,
      errorContainer: palette.card,
      onErrorContainer: palette.faulty,
      outline: palette.edge,
      outlineVariant: palette.line,
      inverseSurface: palette.ink,
      inverseOnSurface: palette.paper,
      inversePrimary: palette.isNight ? dayPalette.green : '#9FD3C1',
      shadow: 'transparent',
      scrim: palette.veil,
      backdrop: palette.veil,
      elevation: flat(palette.card),
    },
  };
}

/** Nothing is lifted by a tint. */
function flat(ground: string): MD3Theme['colors']['elevation'] {
  return { level0: 'transparent', level1: ground, level2: ground, level3: ground, level4: ground, level5: ground };
}

/** Below this a phone shows very large text: 390 px are 195 at 200 %. */
const NARROW_BELOW = 340;

/** Whether what stands side by side on a phone has no room to do so. */
export function useIsNarrow(): boolean {
  return useWindowDimensions().width < NARROW_BELOW;
}
