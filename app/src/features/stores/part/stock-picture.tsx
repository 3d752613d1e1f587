import { useMemo, useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { LineChart } from 'react-native-gifted-charts';
import type { Thousandths } from '@oilcan/core/kernel';
import type { Movement, Part } from '@oilcan/core/stores/stock';
import { useSettings } from '../../../data/store/store';
import { AXIS_WIDTH, Figure, useChartLooks } from '../../../ui/drawn/figure';
import { AppText } from '../../../ui/theme/app-text';
import { stockOverTime } from './stock-over-time';

/** What lay in all bins over time. */
export function StockPicture({
  part,
  movements,
  onHand,
}: {
  readonly part: Part;
  readonly movements: readonly Movement[];
  readonly onHand: Thousandths;
}): ReactElement | null {
  const { palette, frame } = useChartLooks();
  const settings = useSettings();
  const [width, setWidth] = useState(0);
  const points = useMemo(() => stockOverTime(movements, onHand), [movements, onHand]);
  const [oldest, newest] = [points[0], points.at(-1)];
  if (points.length < 2 || oldest === undefined || newest === undefined || settings === undefined) return null;
  const room = width - AXIS_WIDTH - 24;
  const length = Math.max(1, newest.at - oldest.at);
  // Distance on the picture is distance in time; between two movements nothing changes.
  const data = points.flatMap(({ at, value }, index) => {
    const before = points[index - 1];
    const next = points[index + 1];
    const stands = { value, spacing: next === undefined ? 0 : ((next.at - at) / length) * room };
    return before === undefined ? [stands] : [{ value: before.value, spacing: 0 }, stands];
  });
  const most = Math.max(...points.map(({ value }) => value), 1);
  const step = Math.max(1, Math.ceil(most / 3));
  const month = new Intl.DateTimeFormat(settings.language, {
    month: 'short',
    year: 'numeric',
    timeZone: settings.zone,
  });
  return (
    <View onLayout={(event) => setWidth(event.nativeEvent.layout.width)}>
      {width === 0 ? null : (
        <Figure
          title={`On hand, ${part.unit}`}
          said={`On hand: ${points.length} changes, from ${oldest.value} to ${newest.value} ${part.unit}`}
          width={width}
        >
          <LineChart
            {...frame}
            data={data}
            color={palette.green}
            thickness={2}
            hideDataPoints
            width={room + 14}
            endSpacing={6}
            stepValue={step}
            maxValue={step * 3}
          />
          <View style={sheet.ends}>
            <AppText as="mark" soft>
              {month.format(oldest.at)}
            </AppText>
            <AppText as="mark" soft>
              {month.format(newest.at)}
            </AppText>
          </View>
        </Figure>
      )}
    </View>
  );
}

const sheet = StyleSheet.create({
  ends: { flexDirection: 'row', justifyContent: 'space-between', paddingLeft: AXIS_WIDTH },
});
