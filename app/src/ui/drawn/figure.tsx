import type { ReactElement, ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { keepsItsColors } from '../theme/theme';
import { headingFont } from '../theme/type';
import { usePalette } from '../theme/use-palette';
import { AppText } from '../theme/app-text';

const HEIGHT = 120;
/** Room for the figures at the left. */
export const AXIS_WIDTH = 34;

/** How all pictures of a past look. */
export function useChartLooks() {
  const palette = usePalette();
  const text = { color: palette.inkSoft, fontFamily: headingFont, fontSize: 14 };
  return {
    palette,
    text,
    frame: {
      height: HEIGHT,
      yAxisLabelWidth: AXIS_WIDTH,
      yAxisColor: palette.edge,
      xAxisColor: palette.edge,
      rulesColor: palette.line,
      yAxisTextStyle: text,
      xAxisLabelTextStyle: text,
      noOfSections: 3,
      isAnimated: false,
      disableScroll: true,
      initialSpacing: 4,
      endSpacing: 0,
    },
  };
}

/** A picture under its title. */
export function Figure({
  title,
  said,
  width,
  children,
}: {
  readonly title: string;
  /** The picture for whoever cannot see it. */
  readonly said: string;
  readonly width: number;
  readonly children: ReactNode;
}): ReactElement {
  const palette = usePalette();
  return (
    <View style={{ width }}>
      <AppText as="label">{title}</AppText>
      <View role="img" aria-label={said} style={[sheet.chart, keepsItsColors, { backgroundColor: palette.paper }]}>
        {children}
      </View>
    </View>
  );
}

const sheet = StyleSheet.create({
  chart: { paddingTop: 10, overflow: 'hidden' },
});
