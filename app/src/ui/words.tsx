import type { ReactElement, ReactNode } from 'react';
import { Text, type StyleProp, type TextStyle } from 'react-native';
import { headingFont, textFont } from './theme';
import { usePalette } from './use-palette';

/** Every style of text there is. */
const styles = {
  /** The one largest thing on a screen. */
  figure: { fontFamily: headingFont, fontSize: 64, lineHeight: 68, fontWeight: '600' },
  title: { fontFamily: headingFont, fontSize: 26, lineHeight: 30, fontWeight: '600' },
  heading: { fontFamily: headingFont, fontSize: 20, lineHeight: 26, fontWeight: '600' },
  row: { fontFamily: headingFont, fontSize: 20, lineHeight: 24, fontWeight: '600' },
  label: { fontFamily: headingFont, fontSize: 16, lineHeight: 20, fontWeight: '600' },
  mark: { fontFamily: headingFont, fontSize: 16, lineHeight: 20, fontWeight: '500' },
  text: { fontFamily: textFont, fontSize: 16, lineHeight: 23 },
  small: { fontFamily: textFont, fontSize: 14, lineHeight: 20 },
} as const satisfies Record<string, TextStyle>;

export type WordStyle = keyof typeof styles;

interface Props {
  readonly as?: WordStyle;
  readonly soft?: boolean;
  readonly color?: string;
  /** Makes it a heading of this level to screen readers. */
  readonly level?: 1 | 2 | 3;
  readonly lines?: number;
  readonly style?: StyleProp<TextStyle>;
  readonly children: ReactNode;
  readonly live?: boolean;
  readonly id?: string;
}

/** Text. Figures in it line up under one another. */
export function Words({
  as = 'text',
  soft = false,
  color,
  level,
  lines,
  style,
  children,
  live = false,
  id,
}: Props): ReactElement {
  const palette = usePalette();
  return (
    <Text
      {...(level === undefined ? {} : { role: 'heading' as const, 'aria-level': level })}
      {...(lines === undefined ? {} : { numberOfLines: lines })}
      {...(live ? { 'aria-live': 'polite' as const } : {})}
      {...(id === undefined ? {} : { id })}
      style={[
        styles[as],
        { color: color ?? (soft ? palette.inkSoft : palette.ink), fontVariant: ['tabular-nums'] },
        style,
      ]}
    >
      {children}
    </Text>
  );
}
