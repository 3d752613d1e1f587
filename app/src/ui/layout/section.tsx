import type { ReactElement, ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { Divider } from 'react-native-paper';
import { RULE } from '../theme/theme';
import { usePalette } from '../theme/use-palette';
import { AppText } from '../theme/app-text';

interface Props {
  readonly title: string;
  readonly aside?: string;
  readonly children: ReactNode;
  /** Tells its element, by which it can be scrolled to; null when it goes. */
  readonly onPlaced?: (element: HTMLElement | null) => void;
}

/** One section of a page, with its name and how far it is. */
export function Section({ title, aside, children, onPlaced }: Props): ReactElement {
  const palette = usePalette();
  return (
    <View style={sheet.section} ref={(view) => onPlaced?.(view as unknown as HTMLElement | null)}>
      <View style={sheet.head}>
        <AppText as="heading" level={2}>
          {title}
        </AppText>
        {aside === undefined ? null : (
          <AppText as="mark" soft>
            {aside}
          </AppText>
        )}
      </View>
      <Divider style={[sheet.rule, { backgroundColor: palette.ink }]} />
      {children}
    </View>
  );
}

interface RowProps {
  readonly children: ReactNode;
  /** With very large text, what does not fit beside the words goes under them. */
  readonly wraps?: boolean;
}

/** A line between what belongs together. */
export function Row({ children, wraps = false }: RowProps): ReactElement {
  const palette = usePalette();
  return <View style={[sheet.row, wraps && sheet.wraps, { borderColor: palette.line }]}>{children}</View>;
}

const sheet = StyleSheet.create({
  section: { paddingTop: 18 },
  head: {
    flexDirection: 'row',
    alignItems: 'baseline',
    justifyContent: 'space-between',
    // With very large text what stands beside goes under the name.
    flexWrap: 'wrap',
    columnGap: 8,
    paddingBottom: 4,
  },
  rule: { height: RULE },
  row: { borderBottomWidth: 1, paddingVertical: 10, flexDirection: 'row', alignItems: 'center', gap: 12 },
  wraps: { flexWrap: 'wrap' },
});
