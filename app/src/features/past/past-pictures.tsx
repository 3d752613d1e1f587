import { useMemo, useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { BarChart, LineChart } from 'react-native-gifted-charts';
import {
  binsOf,
  nameOfMode,
  thinned,
  toMillis,
  type Asset,
  type MeasuringPoint,
  type PastScope,
  type Settings,
  type TimeBin,
} from '@oilcan/core';
import type { ReadPast } from '../../data/past/read-past';
import { useRows, useSettings } from '../../data/store';
import { Choice, Choices } from '../../ui/press';
import { headingFont, usePalette } from '../../ui/theme';
import { Words } from '../../ui/words';
import { counted } from '../../words/work-words';

const HEIGHT = 120;
const AXIS = 34;
const MOST_MODES = 6;
/** More values than this are no longer told apart on a phone. */
const MOST_VALUES = 120;

interface Props {
  readonly past: ReadPast;
  readonly scope: PastScope;
  readonly asset: Asset;
}

/** Failures over time, the modes in their order of frequency, and the readings of the machine. */
export function PastPictures({ past, scope, asset }: Props): ReactElement | null {
  const settings = useSettings();
  const [width, setWidth] = useState(0);
  if (settings === undefined || past.jobs.length === 0) return null;
  const isBeside = width >= 640;
  const each = isBeside ? (width - 24) / 2 : width;
  return (
    <View style={sheet.pictures} onLayout={(event) => setWidth(event.nativeEvent.layout.width)}>
      {width === 0 ? null : (
        <View style={[sheet.pair, isBeside && sheet.beside]}>
          <Failures past={past} settings={settings} width={each} />
          <Modes past={past} width={each} />
        </View>
      )}
      {width === 0 || scope !== 'asset' ? null : (
        <Readings past={past} asset={asset} settings={settings} width={width} />
      )}
    </View>
  );
}

function useChartLooks() {
  const palette = usePalette();
  const text = { color: palette.inkSoft, fontFamily: headingFont, fontSize: 14 };
  return {
    palette,
    text,
    frame: {
      height: HEIGHT,
      yAxisLabelWidth: AXIS,
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
  const slot = (width - AXIS - 12) / bins.length;
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
        width={width - AXIS - 8}
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
  const slot = (width - AXIS - 12) / Math.max(3, modes.length);
  return (
    <Figure
      title="How it fails"
      said={`How it fails: ${modes.map(({ mode, jobs }) => `${nameOfMode(mode)} ${jobs.length}`).join(', ')}`}
      width={width}
    >
      <BarChart
        {...frame}
        data={modes.map(({ mode, jobs }, index) => ({
          value: jobs.length,
          label: mode,
          topLabelComponent: () => <Words as="mark">{`${shares[index]} %`}</Words>,
        }))}
        width={width - AXIS - 8}
        barWidth={Math.max(8, slot * 0.6)}
        spacing={slot * 0.4}
        maxValue={roundedMost(modes.map(({ jobs }) => jobs.length * 1.25))}
        frontColor={palette.green}
        xAxisLabelTextStyle={text}
      />
      <Words as="small" soft>
        {modes.map(({ mode }) => `${mode} ${nameOfMode(mode).toLowerCase()}`).join(' · ')}. Percentages add up from the
        left.
      </Words>
    </Figure>
  );
}

interface Taken {
  readonly at: string;
  readonly value: number;
}

function Readings({
  past,
  asset,
  settings,
  width,
}: {
  readonly past: ReadPast;
  readonly asset: Asset;
  readonly settings: Settings;
  readonly width: number;
}): ReactElement | null {
  const points = useRows('points', 'asset', asset.id);
  const [wanted, setWanted] = useState<string | null>(null);
  const taken = useMemo(() => {
    const byPoint = new Map<string, Taken[]>();
    for (const { readings } of past.jobs) {
      for (const { pointId, at, value } of readings) {
        const list = byPoint.get(pointId);
        if (list === undefined) byPoint.set(pointId, [{ at, value }]);
        else list.push({ at, value });
      }
    }
    for (const list of byPoint.values()) list.sort((a, b) => (a.at < b.at ? -1 : 1));
    return byPoint;
  }, [past.jobs]);
  const shown = points.filter(({ id }) => (taken.get(id)?.length ?? 0) > 1);
  const point = shown.find(({ id }) => id === wanted) ?? shown[0];
  if (point === undefined) return null;
  return (
    <View style={sheet.readings}>
      {shown.length < 2 ? null : (
        <Choices label="Measuring point">
          {shown.map(({ id, name }) => (
            <Choice key={id} word={name} isChosen={id === point.id} onPress={() => setWanted(id)} />
          ))}
        </Choices>
      )}
      <Trend point={point} taken={thinned(taken.get(point.id) ?? [], MOST_VALUES)} settings={settings} width={width} />
    </View>
  );
}

function Trend({
  point,
  taken,
  settings,
  width,
}: {
  readonly point: MeasuringPoint;
  readonly taken: readonly Taken[];
  readonly settings: Settings;
  readonly width: number;
}): ReactElement {
  const { palette, frame } = useChartLooks();
  const { alertHigh, alarmHigh, alertLow, alarmLow } = point.limits;
  const first = toMillis(taken[0]?.at as never);
  const last = toMillis(taken.at(-1)?.at as never);
  const room = width - AXIS - 24;
  // Distance on the picture is distance in time.
  const data = taken.map(({ at, value }, index) => {
    const next = taken[index + 1];
    const gap = next === undefined ? 0 : toMillis(next.at as never) - toMillis(at as never);
    return { value, spacing: last === first ? room : (gap / (last - first)) * room };
  });
  const values = taken.map(({ value }) => value);
  const limits = [alarmLow, alertLow, alertHigh, alarmHigh].filter((limit) => limit !== null);
  const [low, high] = [Math.min(...values, ...limits), Math.max(...values, ...limits)];
  const span = high - low === 0 ? 1 : high - low;
  const offset = Number((low - span * 0.1).toFixed(point.decimals));
  const year = (at: string): string =>
    new Intl.DateTimeFormat(settings.language, { month: 'short', year: 'numeric', timeZone: settings.zone }).format(
      Date.parse(at),
    );
  const newest = taken.at(-1);
  return (
    <Figure
      title={`${point.name}, ${point.unit}`}
      said={`${point.name}: ${counted(taken.length, 'value', 'values')} from ${values[0]} to ${newest?.value} ${point.unit}`}
      width={width}
    >
      <LineChart
        {...frame}
        data={data}
        width={room + 8}
        color={palette.green}
        thickness={2}
        dataPointsColor={palette.green}
        dataPointsRadius={2.5}
        yAxisOffset={offset}
        maxValue={Number((high + span * 0.1 - offset).toFixed(point.decimals + 1))}
        roundToDigits={point.decimals}
        showReferenceLine1={alertHigh !== null || alertLow !== null}
        referenceLine1Position={alertHigh ?? alertLow ?? 0}
        referenceLine1Config={{ color: palette.fixed, dashWidth: 6, dashGap: 4, thickness: 2 }}
        showReferenceLine2={alarmHigh !== null || alarmLow !== null}
        referenceLine2Position={alarmHigh ?? alarmLow ?? 0}
        referenceLine2Config={{ color: palette.faulty, thickness: 2 }}
      />
      <View style={sheet.ends}>
        <Words as="mark" soft>
          {taken[0] === undefined ? '' : year(taken[0].at)}
        </Words>
        <Words as="mark" soft>
          {newest === undefined ? '' : year(newest.at)}
        </Words>
      </View>
      <Words as="small" soft>
        {limits.length === 0
          ? 'No limits are set.'
          : `Dashed: alert ${alertHigh ?? alertLow} ${point.unit}. Solid: alarm ${alarmHigh ?? alarmLow} ${point.unit}.`}
      </Words>
    </Figure>
  );
}

function Figure({
  title,
  said,
  width,
  children,
}: {
  readonly title: string;
  /** The picture for whoever cannot see it. */
  readonly said: string;
  readonly width: number;
  readonly children: React.ReactNode;
}): ReactElement {
  return (
    <View style={{ width }}>
      <Words as="label">{title}</Words>
      <View role="img" aria-label={said} style={sheet.chart}>
        {children}
      </View>
    </View>
  );
}

const sheet = StyleSheet.create({
  pictures: { gap: 16 },
  pair: { gap: 16 },
  beside: { flexDirection: 'row', gap: 24 },
  chart: { paddingTop: 10, overflow: 'hidden' },
  readings: { gap: 10 },
  ends: { flexDirection: 'row', justifyContent: 'space-between', paddingLeft: AXIS },
});
