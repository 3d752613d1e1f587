import { mdiBluetooth } from '@mdi/js';
import { useEffect, useRef, useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { convertReading, unitsLike } from '@oilcan/core/kernel';
import type { FromGauge, Gauge, Gauges } from '../../../data/gauge/gauge';
import { Button } from '../../../ui/press/press';
import { AppText } from '../../../ui/theme/app-text';

interface Props {
  readonly gauges: Gauges;
  /** In which the value is wanted. */
  readonly unit: string;
  readonly onValue: (text: string, unit: string) => void;
}

type Standing =
  | { readonly is: 'idle' }
  | { readonly is: 'found'; readonly gauges: readonly Gauge[] }
  | { readonly is: 'listening'; readonly gauge: Gauge }
  | { readonly is: 'said'; readonly gauge: Gauge; readonly words: string };

/** Takes a value from a gauge that measures by itself: find it, and what it measures stands in the open field. */
export function FromGaugeKeys({ gauges, unit, onValue }: Props): ReactElement {
  const [standing, setStanding] = useState<Standing>({ is: 'idle' });
  const stop = useRef<(() => void) | null>(null);
  useEffect(() => () => stop.current?.(), []);
  const find = (): void =>
    void gauges
      .find()
      .then((found) => setStanding({ is: 'found', gauges: found.filter((each) => isLike(each, unit)) }));
  const listen = (gauge: Gauge): void => {
    stop.current?.();
    setStanding({ is: 'listening', gauge });
    stop.current = gauges.listen(gauge, (from) => {
      if (from.is === 'value' && convertReading(from.value, from.unit, unit, 3) !== null) {
        onValue(String(from.value), from.unit);
      }
      setStanding({ is: 'said', gauge, words: saidOf(from, gauge, unit) });
    });
  };
  switch (standing.is) {
    case 'idle':
      return <Button word="From a gauge" icon={mdiBluetooth} onPress={find} />;
    case 'found':
      return (
        <View style={sheet.keys}>
          {standing.gauges.length === 0 ? <AppText live>No gauge for {unit} answers here.</AppText> : null}
          {standing.gauges.map((gauge) => (
            <Button key={gauge.id} word={gauge.name} onPress={() => listen(gauge)} />
          ))}
        </View>
      );
    case 'listening':
      return <AppText live>{standing.gauge.name}: measuring …</AppText>;
    case 'said':
      return (
        <View style={sheet.keys}>
          <AppText live>{standing.words}</AppText>
          <Button word="Measure again" icon={mdiBluetooth} onPress={() => listen(standing.gauge)} />
        </View>
      );
  }
}

/** Whether what a gauge measures can be brought to a unit. */
const isLike = (gauge: Gauge, unit: string): boolean => unitsLike(unit).includes(gauge.unit);

function saidOf(from: FromGauge, { name }: Gauge, unit: string): string {
  switch (from.is) {
    case 'lost':
      return `${name} does not answer. Go nearer, switch it on, and measure again.`;
    case 'out of range':
      return `${name}: out of its range. Hold it on the point and measure again.`;
    case 'value': {
      if (convertReading(from.value, from.unit, unit, 3) === null) {
        return `${name} measures ${from.unit}; this is read in ${unit}. Set it to that, or take another.`;
      }
      return `${name}: ${from.value} ${from.unit}.${from.isBatteryLow ? ' Its battery is low.' : ''}`;
    }
  }
}

const sheet = StyleSheet.create({ keys: { gap: 8 } });
