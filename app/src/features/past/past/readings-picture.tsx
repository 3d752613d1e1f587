import { useMemo, useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { LineChart } from 'react-native-gifted-charts';
import { toMillis, type AssetId, type Instant } from '@oilcan/core/kernel';
import { thinned } from '@oilcan/core/past/past';
import type { Limits, MeasuringPoint } from '@oilcan/core/plant/plant';
import { controlChart, STRETCH, type Change, type ControlChart, type RuleBreak } from '@oilcan/core/steps/readings';
import type { Settings } from '@oilcan/core/orders/settings';
import type { ReadPast } from '../../../data/past/read-past';
import { useRows } from '../../../data/store/store';
import { FilterChip, FilterChips } from '../../../ui/fields/filter-chips';
import { AppText } from '../../../ui/theme/app-text';
import { counted } from '../../../words/work-words';
import { sayChange } from '../../../words/changes';
import { axisFor } from './axis';
import { AXIS_WIDTH, Figure, useChartLooks } from '../../../ui/drawn/figure';

/** More values than this are no longer told apart on a phone. */
const MOST_VALUES = 120;

/** From here on a figure of the axis is said in thousands, so that it fits. */
const LONG_FIGURE = 10_000;

interface Taken {
  readonly at: Instant;
  readonly value: number;
}

/** The readings of a machine over time, one measuring point after another. */
export function ReadingsPicture({
  past,
  assetId,
  only,
  settings,
  width,
}: {
  readonly past: ReadPast;
  readonly assetId: AssetId;
  /** Shows this measuring point alone. */
  readonly only: MeasuringPoint | undefined;
  readonly settings: Settings;
  readonly width: number;
}): ReactElement | null {
  const points = useRows('points', 'asset', assetId);
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
  const shown = (only === undefined ? points : [only]).filter(({ id }) => (taken.get(id)?.length ?? 0) > 1);
  const point = shown.find(({ id }) => id === wanted) ?? shown[0];
  if (point === undefined) return null;
  return (
    <View style={sheet.readings}>
      {shown.length < 2 ? null : (
        <FilterChips isOneOf label="Measuring point">
          {shown.map(({ id, name }) => (
            <FilterChip key={id} word={name} isOn={id === point.id} onPress={() => setWanted(id)} />
          ))}
        </FilterChips>
      )}
      <Trend
        point={point}
        change={past.changes[point.id]}
        all={taken.get(point.id) ?? []}
        settings={settings}
        width={width}
      />
    </View>
  );
}

function Trend({
  point,
  change,
  all,
  settings,
  width,
}: {
  readonly point: MeasuringPoint;
  readonly change: Change | undefined;
  readonly all: readonly Taken[];
  readonly settings: Settings;
  readonly width: number;
}): ReactElement {
  const { palette, frame } = useChartLooks();
  const chart = useMemo(() => (point.isMeter ? null : usualOf(all)), [point, all]);
  const taken = useMemo(
    () =>
      thinned(
        all.map((each, index) => ({ ...each, breaks: chart?.breaks[index] ?? null })),
        MOST_VALUES,
      ),
    [all, chart],
  );
  const [oldest, newest] = [taken[0], taken.at(-1)];
  const length = oldest === undefined || newest === undefined ? 0 : toMillis(newest.at) - toMillis(oldest.at);
  const room = width - AXIS_WIDTH - 24;
  // Distance on the picture is distance in time.
  const data = taken.map(({ at, value, breaks }, index) => {
    const next = taken[index + 1];
    const gap = next === undefined ? 0 : toMillis(next.at) - toMillis(at);
    return {
      value,
      spacing: length === 0 ? room : (gap / length) * room,
      ...(breaks === null ? {} : { customDataPoint: () => <BreakMark breaks={breaks} color={palette.ink} /> }),
    };
  });
  const values = taken.map(({ value }) => value);
  const limits = limitsOf(point.limits);
  const usual = chart === null ? [] : [chart.lower, chart.middle, chart.upper];
  const axis = axisFor([...values, ...usual, ...limits.map(({ at }) => at)], point.decimals);
  const { language, zone } = settings;
  const month = new Intl.DateTimeFormat(language, { month: 'short', year: 'numeric', timeZone: zone });
  const compact = new Intl.NumberFormat(language, { notation: 'compact', maximumFractionDigits: 2 });
  const line = { data, color: palette.green, thickness: 2, dataPointsColor: palette.green, dataPointsRadius: 2.5 };
  const limitLines = limits.map(({ is, at }) => ({
    data: [{ value: at, spacing: room }, { value: at }],
    color: is === 'alarm' ? palette.faulty : palette.alert,
    thickness: 2,
    hideDataPoints: true,
    ...(is === 'alert' ? { strokeDashArray: [6, 4] } : {}),
  }));
  const usualLines = usual.map((value) => ({
    data: [{ value, spacing: room }, { value }],
    color: palette.inkSoft,
    thickness: 1,
    hideDataPoints: true,
    strokeDashArray: [1, 4],
  }));
  return (
    <Figure
      title={`${point.name}, ${point.unit}`}
      said={`${point.name}: ${counted(taken.length, 'value', 'values')} from ${values[0]} to ${newest?.value} ${point.unit}`}
      width={width}
    >
      <LineChart
        {...frame}
        dataSet={[...usualLines, ...limitLines, line]}
        width={room + 14}
        endSpacing={6}
        yAxisOffset={axis.from}
        stepValue={axis.step}
        noOfSections={axis.steps}
        maxValue={axis.step * axis.steps}
        roundToDigits={axis.decimals}
        formatYLabel={(label) => (Math.abs(Number(label)) < LONG_FIGURE ? label : compact.format(Number(label)))}
      />
      <View style={sheet.ends}>
        <AppText as="mark" soft>
          {oldest === undefined ? '' : month.format(toMillis(oldest.at))}
        </AppText>
        <AppText as="mark" soft>
          {newest === undefined ? '' : month.format(toMillis(newest.at))}
        </AppText>
      </View>
      {change === undefined ? null : <ChangeSaid change={change} point={point} />}
      <AppText as="small" soft>
        {sayLimits(limits, point)}
      </AppText>
      {chart === null ? null : <UsualSaid chart={chart} point={point} />}
    </Figure>
  );
}

/** Whether it is changing; nothing where nothing can be said. */
function ChangeSaid({
  change,
  point,
}: {
  readonly change: Change;
  readonly point: MeasuringPoint;
}): ReactElement | null {
  const sentences = sayChange(change, point);
  return sentences.length === 0 ? null : <AppText>{sentences.join(' ')}</AppText>;
}

/** What is usual, by the first readings; null where there are too few to say so. */
function usualOf(taken: readonly Taken[]): ControlChart | null {
  return taken.length < STRETCH ? null : controlChart(taken.map(({ value }) => value));
}

const MARK = 9;

/** A reading that breaks a rule of the chart: beyond what is usual a square on its corner, in a run an upright one. */
function BreakMark({ breaks, color }: { readonly breaks: RuleBreak; readonly color: string }): ReactElement {
  return <View style={[sheet.mark, { borderColor: color }, breaks === 'beyond' && sheet.onCorner]} />;
}

/** What the dotted lines and the marks mean, and where they come from. */
function UsualSaid({ chart, point }: { readonly chart: ControlChart; readonly point: MeasuringPoint }): ReactElement {
  const said = (value: number): string => value.toFixed(point.decimals);
  const has = (wanted: RuleBreak): boolean => chart.breaks.includes(wanted);
  return (
    <AppText as="small" soft>
      Dotted: usual, {said(chart.lower)} to {said(chart.upper)} {point.unit} around {said(chart.middle)}, by the first{' '}
      {STRETCH} values and how far each was from the one before (an individuals chart: its limits are three sigma away).
      {has('beyond') ? ' ◇ beyond that.' : ''}
      {has('run') ? ' □ eight in a row on one side.' : ''}
    </AppText>
  );
}

interface Limit {
  readonly is: 'alert' | 'alarm';
  readonly at: number;
}

/** The limits that are set, the lowest first. */
function limitsOf({ alarmLow, alertLow, alertHigh, alarmHigh }: Limits): Limit[] {
  const all = [
    { is: 'alarm', at: alarmLow },
    { is: 'alert', at: alertLow },
    { is: 'alert', at: alertHigh },
    { is: 'alarm', at: alarmHigh },
  ] as const;
  return all.flatMap(({ is, at }) => (at === null ? [] : [{ is, at }]));
}

function sayLimits(limits: readonly Limit[], { unit }: MeasuringPoint): string {
  if (limits.length === 0) return 'No limits are set.';
  const lines = { alert: 'Dashed', alarm: 'Solid' } as const;
  return (['alert', 'alarm'] as const)
    .map((level) => ({ level, values: limits.filter(({ is }) => is === level).map(({ at }) => at) }))
    .filter(({ values }) => values.length > 0)
    .map(({ level, values }) => `${lines[level]}: ${level} ${values.join(' and ')} ${unit}.`)
    .join(' ');
}

const sheet = StyleSheet.create({
  readings: { gap: 10 },
  mark: { width: MARK, height: MARK, borderWidth: 2 },
  onCorner: { transform: [{ rotate: '45deg' }] },
  ends: { flexDirection: 'row', justifyContent: 'space-between', paddingLeft: AXIS_WIDTH },
});
