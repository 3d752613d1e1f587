import type { TextStyle } from 'react-native';

export const headingFont = '"Barlow Condensed", "Arial Narrow", sans-serif';
const textFont = '"Atkinson Hyperlegible Next", system-ui, sans-serif';

const heading = { fontFamily: headingFont, fontWeight: '600', letterSpacing: 0 } as const;
const text = { fontFamily: textFont, fontWeight: '400', letterSpacing: 0 } as const;

/** Every style of text there is. */
export const textStyles = {
  /** The one largest thing on a screen. */
  figure: { ...heading, fontSize: 64, lineHeight: 68 },
  title: { ...heading, fontSize: 26, lineHeight: 30 },
  heading: { ...heading, fontSize: 20, lineHeight: 26 },
  row: { ...heading, fontSize: 20, lineHeight: 24 },
  label: { ...heading, fontSize: 16, lineHeight: 20 },
  mark: { ...heading, fontSize: 16, lineHeight: 20, fontWeight: '500' },
  text: { ...text, fontSize: 16, lineHeight: 23 },
  small: { ...text, fontSize: 14, lineHeight: 20 },
} as const satisfies Record<string, TextStyle>;

export type WordStyle = keyof typeof textStyles;
