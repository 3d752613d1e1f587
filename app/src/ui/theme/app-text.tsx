import type { ReactElement, ReactNode } from 'react';
import type { StyleProp, TextStyle } from 'react-native';
import { customText } from 'react-native-paper';
import type { WordStyle } from './type';
import { usePalette } from './use-palette';

const Text = customText<WordStyle>();

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
export function AppText({
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
      variant={as}
      style={[{ color: color ?? (soft ? palette.inkSoft : palette.ink), fontVariant: ['tabular-nums'] }, style]}
    >
      {children}
    </Text>
  );
}
