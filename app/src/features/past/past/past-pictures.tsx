import { useMemo, useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { BarChart } from 'react-native-gifted-charts';
import { plainMode } from '@oilcan/core/recording/faults';
import { binsOf, type PastOf, type TimeBin } from '@oilcan/core/past/past';
import type { MeasuringPoint } from '@oilcan/core/plant/plant';
import type { Settings } from '@oilcan/core/orders/settings';
import type { ReadPast } from '../../../data/past/read-past';
import { useSettings } from '../../../data/store/store';
import { AppText } from '../../../ui/theme/app-text';
import { counted } from '../../../words/work-words';
import { AXIS_WIDTH, Figure, useChartLooks } from '../../../ui/drawn/figure';
import { ReadingsPicture } from './readings-picture';

const MOST_MODES = 6;

interface Props {
  readonly past: ReadPast;
  readonly of: PastOf;
  /** Shows only the readings of this one. */
  readonly only?: MeasuringPoint | undefined;
}

/** Failures over time, the modes in their order of frequency, and the readings of the machine. */
export function PastPictures({ past, of, only }: Props): ReactElement | null {
  const settings = useSettings();
  const [width, setWidth] = useState(0);
  if (settings === undefined || past.jobs.length === 0) return null;
  const isBeside = width >= 640;
  const each = isBeside ? (width - 24) / 2 : width;
  return (
    <View style={sheet.pictures} onLayout={(event) => setWidth(event.nativeEvent.layout.width)}>
      {width === 0 || only !== undefined ? null : (
        <View style={[sheet.pair, isBeside && sheet.beside]}>
          <Failures past={past} settings={settings} width={each} />
          <Modes past={past} width={each} />
        </View>
      )}
      {width === 0 || of.scope !== 'asset' ? null : (
        <ReadingsPicture past={past} assetId={of.id} only={only} settings={settings} width={width} />
      )}
    </View>
  );
}

/** A whole number that three sections divide without fractions. */
const roundedMost = (values: readonly number[]): number => Math.max(3, Math.ceil(Math.max(0, ...values) / 3) * 3);

function binWord({ from, months }: TimeBin<unknown>, settings: Settings): string {
  const [year = '', month = '01'] = from.split('-');
  if (months === 12) return year;
  if (months === 3) return Number(month) === 1 ? `’${year.slice(2)}` : `Q${Math.ceil(Number(month) / 3)}`;
  return new Intl.DateTimeFormat(settings.language, { month: 'narrow', timeZone: 'UTC' }).format(Date.parse(from));
}

function Failures({
  past,
  settings,
  width,
}: {
  readonly past: ReadPast;
  readonly settings: Settings;
  readonly width: number;
}): ReactElement | null {
  const { palette, frame } = useChartLooks();
  const { failures, window } = past.findings;
  const bins = useMemo(() => binsOf(failures?.jobs ?? [], window, settings.zone), [failures, window, settings.zone]);
  if (failures === null || failures.jobs.length === 0) return null;
  const per = { 1: 'month', 3: 'quarter', 12: 'year' }[bins[0]?.months ?? 1] ?? 'month';
  const slot = (width - AXIS_WIDTH - 12) / bins.length;
  const counts = bins.map(({ items }) => items.length);
  return (
    <Figure
      title={`Failures each ${per}`}
      said={`Failures each ${per}, ${counted(failures.jobs.length, 'failure', 'failures')} in all: ${bins
        .map(({ from, items }) => `${from.slice(0, 7)} ${items.length}`)
        .join(', ')}`}
      width={width}
    >
      <BarChart
        {...frame}
        data={bins.map((bin) => ({ value: bin.items.length, label: binWord(bin, settings) }))}
        width={width - AXIS_WIDTH - 8}
        barWidth={Math.max(4, slot * 0.6)}
        spacing={slot * 0.4}
        maxValue={roundedMost(counts)}
        frontColor={palette.green}
      />
    </Figure>
  );
}

/** A Pareto: the modes by how often, each with its share, so that the vital few stand first. */
function Modes({ past, width }: { readonly past: ReadPast; readonly width: number }): ReactElement | null {
  const { palette, frame, text } = useChartLooks();
  const modes = past.modes.slice(0, MOST_MODES);
  if (modes.length === 0) return null;
  const all = past.modes.reduce((sum, { jobs }) => sum + jobs.length, 0);
  let passed = 0;
  const shares = modes.map(({ jobs }) => Math.round((100 * (passed += jobs.length)) / all));
  const slot = (width - AXIS_WIDTH - 12) / Math.max(3, modes.length);
  const barWidth = Math.max(8, slot * 0.6);
  return (
    <Figure
      title="How it fails"
      said={`How it fails: ${modes.map(({ mode, jobs }) => `${plainMode(mode)} ${jobs.length}`).join(', ')}`}
      width={width}
    >
      <BarChart
        {...frame}
        data={modes.map(({ mode, jobs }, index) => ({
          value: jobs.length,
          label: mode,
          // Wider than its bar.
          topLabelComponent: () => (
            <View style={[sheet.share, { width: slot, marginHorizontal: (barWidth - slot) / 2 }]}>
              <AppText as="mark">{`${shares[index]}\u00a0%`}</AppText>
            </View>
          ),
        }))}
        width={width - AXIS_WIDTH - 8}
        barWidth={barWidth}
        spacing={slot * 0.4}
        maxValue={roundedMost(modes.map(({ jobs }) => jobs.length * 1.25))}
        frontColor={palette.green}
        xAxisLabelTextStyle={text}
      />
      <AppText as="small" soft>
        {modes.map(({ mode }) => `${mode} ${plainMode(mode).toLowerCase()}`).join(' · ')}. Percentages add up from the
        left.
      </AppText>
    </Figure>
  );
}

const sheet = StyleSheet.create({
  pictures: { gap: 16 },
  pair: { gap: 16 },
  share: { alignItems: 'center' },
  beside: { flexDirection: 'row', gap: 24 },
});
