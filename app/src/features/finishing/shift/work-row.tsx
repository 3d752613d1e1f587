import { memo, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { formatDuration, type Instant, type LocalDay } from '@oilcan/core/kernel';
import { hasRole } from '@oilcan/core/operations';
import { isPutOff } from '@oilcan/core/finishing/schedule';
import type { Settings } from '@oilcan/core/orders/settings';
import { isLate } from '@oilcan/core/finishing/shift';
import { dueSteps, roundOf } from '@oilcan/core/steps/rounds';
import { progressOf } from '@oilcan/core/steps/steps';
import { isOpen, owesTime, waitsForGoAhead, type WorkOrder } from '@oilcan/core/orders/work';
import { sayDue, sayLocalDay } from '../../../words/dates';
import { counted } from '../../../words/work-words';
import { usePhone, useRow, useRows, useSettings } from '../../../data/store/store';
import { useMe } from '../../../data/store/use-me';
import { LinkPress } from '../../../ui/press/link-press';
import { RowDipstick } from '../../../ui/drawn/dipstick';
import { Fact } from '../../../ui/layout/fact';
import { usePalette } from '../../../ui/theme/use-palette';
import { UrgencyMark } from '../../../ui/drawn/urgency';
import { AppText } from '../../../ui/theme/app-text';
import { roundWords } from '../../../words/round-words';
import { Picture } from '../../recording/photos';
import { StandingMark } from '../../orders/work/first-screen';
import { useOwnShare, type OwnShare } from '../../recording/shares/first-screen';
import { useKitStanding } from '../../../data/queries/stock';

interface Props {
  readonly work: WorkOrder;
  readonly present: Instant;
  readonly isChosen: boolean;
  readonly onOpen: (id: string) => void;
}

/** One work order in the Shift list. */
export const WorkRow = memo(function WorkRow({ work, present, isChosen, onOpen }: Props): ReactElement {
  const palette = usePalette();
  const me = useMe();
  const asset = useRow('assets', work.assetId);
  const place = useRow('places', work.placeId);
  const settings = useSettings(work.siteId);
  const steps = useRows('steps', 'workOrder', work.id);
  const stops = useRows('stops', 'workOrder', work.id);
  const whole = progressOf(dueSteps(steps, stops));
  const own = useOwnShare(work, steps);
  const { done, of } = own?.isAll === true ? own.progress : whole;
  const isOverdue = isLate(work, present);
  const kit = useKitStanding(work);
  const people = usePeopleLine(work);
  const hasUnsent = usePhone((state) =>
    state.kept.some((kept) => kept.where !== 'sent' && isAbout(kept.operation.args, work.id)),
  );
  const due =
    work.dueAt === null || settings === undefined || !isOpen(work.state)
      ? null
      : sayDue(work.dueAt, present, settings.zone, settings.language);
  const isLead = usePhone((state) => state.person !== null && hasRole(state.person, ['lead']));
  const trade = settings?.trades.find(({ id }) => id === work.tradeId)?.name;
  const day = settings === undefined ? null : dayWords(work, present, settings, isLead);
  return (
    <LinkPress
      href={`/shift/${work.id}`}
      onGo={() => onOpen(work.id)}
      isHere={isChosen}
      testID={`work-${work.number}`}
      style={[sheet.row, { backgroundColor: isChosen ? palette.chosen : palette.card, borderColor: palette.line }]}
    >
      <View style={[sheet.late, { backgroundColor: isOverdue ? palette.ink : 'transparent' }]} />
      <RowDipstick done={done} of={of} />
      <View style={sheet.words}>
        <View style={sheet.line}>
          <AppText as="mark">{work.number}</AppText>
          <UrgencyMark urgency={work.urgency} />
          {trade === undefined ? null : (
            <AppText as="mark" soft>
              {trade}
            </AppText>
          )}
          <StandingMark work={work} />
        </View>
        <AppText as="row" lines={2}>
          {work.title}
        </AppText>
        <AppText as="small" soft lines={2}>
          {asset?.name} · {place?.name}
        </AppText>
        <View style={sheet.line}>
          {due === null ? null : <Fact words={due} isStrong={isOverdue} />}
          {day === null ? null : <Fact words={day} />}
          {kit === null ? null : <Fact words={kit.words} />}
          {of === 0 || own?.isAll === true ? null : (
            <Fact words={stops.length === 0 ? `${done} of ${of}` : roundWords(roundOf(stops, steps))} />
          )}
          {own === null ? null : <Fact words={ownShareWords(own)} />}
          {people === null ? null : <Fact words={people} />}
          {waitsForGoAhead(work) ? <Fact words="Waits for go-ahead" isStrong /> : null}
          {owesTime(work, me) ? <Fact words="Your time is missing" isStrong /> : null}
          {hasUnsent ? <Fact words="On this phone" /> : null}
        </View>
      </View>
      {/* A drawing shows the class of machine, not this one: there is no room for it in a row. */}
      {asset?.picture === undefined || asset.picture.mediaType === 'image/svg+xml' ? null : (
        <View style={sheet.picture}>
          <Picture content={{ ...asset.picture, caption: asset.name }} isSmall />
        </View>
      )}
    </LinkPress>
  );
});

/** For which day it is planned, until when it is put off, and for a lead how often it was. */
function dayWords(work: WorkOrder, present: Instant, settings: Settings, isLead: boolean): string | null {
  if (!isOpen(work.state)) return null;
  const { plannedOn, putOff, timesPutOff = 0 } = work;
  const say = (day: LocalDay): string => sayLocalDay(day, present, settings.zone, settings.language);
  const said: string[] = [];
  if (plannedOn !== undefined && plannedOn !== null) said.push(`planned ${say(plannedOn)}`);
  if (putOff !== undefined && putOff !== null && isPutOff(work, present, settings.zone))
    said.push(`put off to ${say(putOff.until)}`);
  if (isLead && timesPutOff > 0) said.push(`put off ${counted(timesPutOff, 'time', 'times')}`);
  return said.length === 0 ? null : said.join(', ');
}

/** “My share: 2 of 5, 1:30”. */
function ownShareWords({ progress: { done, of }, plannedMinutes }: OwnShare): string {
  const planned = plannedMinutes === 0 ? '' : `, ${formatDuration(plannedMinutes)}`;
  return `My share: ${done} of ${of}${planned}`;
}

/** Who else has it: my crew, a mate; null when it is mine alone. */
function usePeopleLine(work: WorkOrder): string | null {
  const me = usePhone((state) => state.person?.id);
  const crew = useRow('crews', work.crewId);
  const mateId = work.personIds.find((id) => id !== me);
  const mate = useRow('people', mateId);
  if (crew !== undefined) return crew.name;
  if (mate === undefined) return null;
  return work.personIds.some((id) => id === me) ? `with ${mate.name}` : mate.name;
}

function isAbout(args: unknown, workOrderId: string): boolean {
  return typeof args === 'object' && args !== null && 'workOrderId' in args && args.workOrderId === workOrderId;
}

const sheet = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'stretch', borderBottomWidth: 1 },
  late: { width: 6 },
  picture: { paddingVertical: 6, paddingRight: 12 },
  words: { flex: 1, paddingVertical: 5, paddingHorizontal: 12, minWidth: 0 },
  line: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', columnGap: 14 },
});
