import { useRouter } from 'expo-router';
import { useMemo, useState, type ReactElement } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { mdiPlus } from '@mdi/js';
import { addMinutes, formatDuration, minutesBetween, startOfDay, type Instant } from '@oilcan/core/kernel';
import { dayOf, type Day, type DayTime, type Overlap } from '@oilcan/core/recording/labor';
import type { Settings } from '@oilcan/core/orders/settings';
import { peekRow, usePhone, useSettings } from '../../../data/store/store';
import { useMe } from '../../../data/store/use-me';
import { useNow } from '../../../data/store/use-now';
import { Choice, Choices } from '../../../ui/fields/choice';
import { Button, Press } from '../../../ui/press/press';
import { Row } from '../../../ui/layout/section';
import { useIsWide } from '../../../ui/theme/theme';
import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';
import { sayDay } from '../../../words/dates';
import { counted, otherTimeWords } from '../../../words/work-words';
import { RUNNING, typedTime, useTimesOf, type TypedTime } from '../labor';
import { TopBar } from '../../frame/page/top-bar';
import { useSite } from '../../frame/page/use-site';
import { ClockPlaces } from './clock-places';
import { ComingDays } from './coming-days';
import { CutOverlap } from './cut-overlap';
import { DayPicture, clockTime } from './day-picture';
import { OtherTimeSheet } from './other-time-sheet';
import { List } from '../../../ui/layout/list';

/** So many days back somebody may still look: work of longer ago is not on the phone any more. */
const DAYS_BACK = 3;

/** My day: hours on jobs and on none, what is left of the shift, gaps and overlaps, in one picture. */
export function DayScreen(): ReactElement | null {
  const router = useRouter();
  const isWide = useIsWide();
  const person = usePhone((state) => state.person);
  const site = useSite();
  const settings = useSettings(site ?? person?.siteIds[0]);
  return (
    <View style={sheet.screen}>
      <TopBar title="My day" {...(isWide ? { isBeside: true } : { onBack: () => router.navigate('/shift') })} />
      {person === null || settings === undefined ? null : <DayOf settings={settings} />}
    </View>
  );
}

function DayOf({ settings }: { readonly settings: Settings }): ReactElement {
  const me = useMe();
  const present = useNow(30);
  const times = useTimesOf(me, present);
  const [daysBack, setDaysBack] = useState(0);
  const [adding, setAdding] = useState<TypedTime | 'empty' | null>(null);
  const { zone, language, shiftMinutes } = settings;
  const from = startOfDay(present, zone, -daysBack);
  const to = startOfDay(present, zone, 1 - daysBack);
  const day = useMemo(() => dayOf(times, { from, to }, shiftMinutes), [times, from, to, shiftMinutes]);
  return (
    <ScrollView role="main" contentContainerStyle={sheet.content}>
      <View style={sheet.readable}>
        <Choices label="Day">
          {Array.from({ length: DAYS_BACK }, (_, back) => (
            <Choice
              key={back}
              word={upperFirst(sayDay(startOfDay(present, zone, -back), present, zone, language))}
              isChosen={daysBack === back}
              onPress={() => setDaysBack(back)}
            />
          ))}
        </Choices>
        <View>
          <AppText as="title" level={2} live>
            {headline(day, shiftMinutes)}
          </AppText>
          <AppText soft>{details(day)}</AppText>
        </View>
        <DayPicture day={day} window={{ from, to }} zone={zone} />
        <View>
          <List label="Times">
            {linesOf(day).map((line) =>
              'gap' in line ? (
                <GapLine
                  key={`gap ${line.gap.from}`}
                  gap={line.gap}
                  zone={zone}
                  onFill={() => setAdding(typedTime(line.gap.from, line.gap.to, zone))}
                />
              ) : 'overlap' in line ? (
                <CutOverlap key={`overlap ${line.overlap.later.id}`} overlap={line.overlap} zone={zone} />
              ) : (
                <TimeLine key={line.time.id} time={line.time} zone={zone} />
              ),
            )}
          </List>
          {day.times.length === 0 ? <AppText>Nothing of yours is recorded on this day.</AppText> : null}
        </View>
        <Button icon={mdiPlus} word="Time not on a job" onPress={() => setAdding('empty')} />
        <ComingDays settings={settings} />
        <ClockPlaces settings={settings} />
        <AppText as="small" soft>
          What this phone knows: your time on open work and on work that ended lately.
        </AppText>
      </View>
      {adding === null ? null : (
        <OtherTimeSheet {...(adding === 'empty' ? {} : { first: adding })} onClose={() => setAdding(null)} />
      )}
    </ScrollView>
  );
}

type Line =
  | { readonly at: Instant; readonly time: DayTime }
  | { readonly at: Instant; readonly gap: Day['gaps'][number] }
  | { readonly at: Instant; readonly overlap: Overlap };

/** Times, gaps and overlaps in the order of the day; an overlap after the second of its two times. */
function linesOf(day: Day): Line[] {
  const lines: Line[] = [
    ...day.times.flatMap((time): Line[] => [
      { at: time.from, time },
      ...day.overlaps.filter(({ later }) => later.id === time.id).map((overlap): Line => ({ at: time.from, overlap })),
    ]),
    ...day.gaps.map((gap): Line => ({ at: gap.from, gap })),
  ];
  return lines.sort((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0));
}

function headline({ onJobs, onNone, left }: Day, shiftMinutes: number): string {
  const booked = `${formatDuration(onJobs + onNone)} of ${formatDuration(shiftMinutes)}`;
  return left === 0 ? `${booked}: the shift is full` : `${booked}, ${formatDuration(left)} left`;
}

function details({ onJobs, onNone, gaps, overlaps }: Day): string {
  const said = [`${formatDuration(onJobs)} on jobs`, `${formatDuration(onNone)} on none`];
  if (gaps.length > 0) said.push(counted(gaps.length, 'gap', 'gaps'));
  if (overlaps.length > 0) said.push(`${counted(overlaps.length, 'overlap', 'overlaps')}, counted once`);
  return `${said.join(', ')}.`;
}

function TimeLine({ time, zone }: { readonly time: DayTime; readonly zone: string }): ReactElement {
  const router = useRouter();
  const work = time.workOrderId === null ? undefined : peekRow('workOrders', time.workOrderId);
  const other = peekRow('otherTimes', time.id);
  const words =
    other === undefined
      ? `${work?.number ?? 'A job'} ${work?.title ?? ''}`
      : [otherTimeWords[other.reason], other.words].filter((each) => each !== '').join(': ');
  const [isChanging, setIsChanging] = useState(false);
  const open = (): void => {
    if (time.workOrderId === null) setIsChanging(true);
    else router.navigate(`/shift/${time.workOrderId}`);
  };
  return (
    <>
      <Press onPress={open} style={sheet.line}>
        <Row>
          <AppText as="label" style={sheet.clock}>
            {clockTime(time.from, zone)}
          </AppText>
          <View style={sheet.words}>
            <AppText>{words}</AppText>
            <AppText as="small" soft>
              {time.id === RUNNING ? 'Your clock runs' : `to ${clockTime(time.to, zone)}`}
            </AppText>
          </View>
          <AppText as="label">{formatDuration(minutesBetween(time.from, time.to))}</AppText>
        </Row>
      </Press>
      {isChanging && other !== undefined ? (
        <OtherTimeSheet
          first={typedTime(other.startedAt, addMinutes(other.startedAt, other.minutes), zone)}
          other={other}
          onClose={() => setIsChanging(false)}
        />
      ) : null}
    </>
  );
}

interface GapProps {
  readonly gap: Day['gaps'][number];
  readonly zone: string;
  readonly onFill: () => void;
}

function GapLine({ gap, zone, onFill }: GapProps): ReactElement {
  const palette = usePalette();
  const minutes = formatDuration(minutesBetween(gap.from, gap.to));
  return (
    <Row>
      <AppText as="label" color={palette.inkSoft} style={sheet.clock}>
        {clockTime(gap.from, zone)}
      </AppText>
      <AppText soft style={sheet.words}>
        Nothing recorded, {minutes}
      </AppText>
      <Button word="Fill" label={`Fill the gap from ${clockTime(gap.from, zone)}`} onPress={onFill} />
    </Row>
  );
}

const upperFirst = (text: string): string => text.slice(0, 1).toUpperCase() + text.slice(1);

const sheet = StyleSheet.create({
  screen: { flex: 1, minHeight: 0 },
  content: { padding: 16 },
  readable: { gap: 14, maxWidth: 640 },
  line: { alignItems: 'stretch' },
  clock: { minWidth: 48 },
  words: { flex: 1, minWidth: 0 },
});
