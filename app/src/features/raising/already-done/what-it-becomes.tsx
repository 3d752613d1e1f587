import { useRouter } from 'expo-router';
import { useMemo, useState, type ReactElement } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { mdiClose } from '@mdi/js';
import {
  likelyFault,
  openWorkLike,
  type DoneLine,
  type DoneTime,
  type Stretch,
} from '@oilcan/core/raising/already-done';
import { asId, formatDuration, minutesBetween, type Instant, type WorkOrderId } from '@oilcan/core/kernel';
import type { Asset } from '@oilcan/core/plant/plant';
import type { Settings } from '@oilcan/core/orders/settings';
import { meaningsOf } from '@oilcan/core/recording/shorthand';
import { newWorkOrder, workKinds, type WorkKind, type WorkOrder } from '@oilcan/core/orders/work';
import { useRows } from '../../../data/store/store';
import { useMe } from '../../../data/store/use-me';
import { FormRefusal } from '../../../forms/form-refusal';
import { useNotice } from '../../../ui/state/use-notice';
import { Choice, Choices } from '../../../ui/fields/choice';
import { Button, IconPress } from '../../../ui/press/press';
import { Row } from '../../../ui/layout/section';
import { RULE } from '../../../ui/theme/theme';
import { toggled } from '../../../ui/state/toggled';
import { useOnce } from '../../../ui/state/use-once';
import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';
import { sayMoment } from '../../../words/dates';
import { kindWords, timeTypeWords } from '../../../words/work-words';
import { faultWords } from '../../recording/faults/words';
import { OverlapLines } from '../../recording/labor';
import type { RaiseDraft, Taken } from '../raise';
import { meaningSaid, problemSaid, useShorthandContext } from '../../recording/shorthand/words';
import { keepDone } from './keep-done';

interface Props {
  readonly asset: Asset;
  readonly read: DoneLine;
  readonly line: string;
  readonly settings: Settings;
  readonly present: Instant;
  readonly taken: Taken;
  /** It is part of a scroll, and has none of its own. */
  readonly isWithin: boolean;
  /** Which of it is left out; kept outside, so that it stays whatever is drawn anew. */
  readonly leftOut: readonly string[];
  readonly onLeaveOut: (keys: readonly string[]) => void;
  readonly onKept: () => void;
  /** Says what was refused where the line is written; gives back what is to be said here. */
  readonly refused: RaiseDraft['refused'];
}

/** What the line means on this machine, before it is kept: each thing may be left out. */
export function WhatItBecomes({
  asset,
  read,
  line,
  settings,
  present,
  taken,
  isWithin,
  leftOut,
  onLeaveOut,
  onKept,
  refused,
}: Props): ReactElement {
  const router = useRouter();
  const palette = usePalette();
  const me = useMe();
  const say = useNotice((state) => state.say);
  const once = useOnce();
  const [refusal, setRefusal] = useState<string | null>(null);
  const work = useMemo(() => provisional(asset, read, present), [asset, read, present]);
  const { context } = useShorthandContext(work);
  const meanings = useMemo(
    () =>
      meaningsOf(
        read.phrases.map((phrase) => ({ phrase, from: 0, to: 0 })),
        context,
      ),
    [read, context],
  );
  /** What is left of times of which some is recorded already. */
  const [cuts, setCuts] = useState<ReadonlyMap<DoneTime, DoneTime>>(new Map());
  const times = read.times.map((time) => cuts.get(time) ?? time);
  const saidFault = meanings.some(({ is }) => is === 'fault');
  const [kind, setKind] = useState<WorkKind | null>(null);
  const kindNow = kind ?? read.kind;
  const isCoded = !saidFault && kindNow === 'corrective';
  const fault = isCoded ? likelyFault(read.trouble, context.usualFaults, context.faults) : null;
  const ofMachine = useRows('workOrders', 'asset', asset.id);
  const open = useMemo(() => openWorkLike(read.title, ofMachine), [read.title, ofMachine]);
  const isIn = (key: string): boolean => !leftOut.includes(key);
  const toggle = (key: string): void => onLeaveOut(toggled(leftOut, key));
  const problems = meanings.filter((meaning, index) => isIn(`${index}`) && problemSaid(meaning) !== null);
  const keep = async (): Promise<boolean> => {
    const kept = await keepDone({
      asset,
      me,
      settings,
      present,
      title: read.title === '' ? line.trim().slice(0, 200) : read.title,
      reason: line.trim(),
      kind: kindNow,
      detection: read.detection,
      times: times.filter((_, index) => isIn(`time ${index}`)),
      stoppage: isIn('stoppage') ? read.stoppage : null,
      fault: fault !== null && isIn('fault') ? { ...fault, activity: read.activity } : null,
      meanings: meanings.filter((_, index) => isIn(`${index}`)),
      photos: taken.photos,
      voice: taken.voice,
    });
    if (!kept.ok) {
      setRefusal(refused(kept));
      return false;
    }
    onKept();
    const { workOrderId, notKept } = kept.value;
    if (notKept.length > 0) say(`Not kept: ${notKept.join(' ')}`);
    router.replace(`/raise/done?work=${workOrderId}`);
    return true;
  };
  const list = (
    <>
      {open === null ? null : (
        <Row>
          <AppText style={sheet.words}>
            There is open work like it: {open.number} {open.title}
          </AppText>
          <Button
            word="Open it"
            label={`Open it: ${open.number} ${open.title}`}
            onPress={() => router.push(`/shift/${open.id}`)}
          />
        </Row>
      )}
      <AppText as="label">What it becomes</AppText>
      <Row>
        <AppText style={sheet.words}>A work order: {read.title === '' ? line.trim() : read.title}</AppText>
      </Row>
      <View style={sheet.kinds}>
        <Choices label="Kind of work">
          {workKinds.map((each) => (
            <Choice key={each} word={kindWords[each]} isChosen={each === kindNow} onPress={() => setKind(each)} />
          ))}
        </Choices>
      </View>
      {times.map((time, index) => (
        <View key={`${time.from} ${time.to}`}>
          <Said
            words={timeSaid(time, present, settings)}
            isIn={isIn(`time ${index}`)}
            onToggle={() => toggle(`time ${index}`)}
          />
          {isIn(`time ${index}`) ? (
            <OverlapLines
              personId={me}
              from={time.from}
              to={time.to}
              present={present}
              zone={settings.zone}
              onCut={(from, to) => setCuts(new Map(cuts).set(read.times[index] ?? time, { ...time, from, to }))}
            />
          ) : null}
        </View>
      ))}
      {read.stoppage === null ? null : (
        <Said
          words={`${read.stoppage.extent === 'full' ? 'Stood still' : 'Ran, not fully'} ${span(read.stoppage, present, settings)}${askedIfUnsure(read.stoppage)}`}
          isIn={isIn('stoppage')}
          onToggle={() => toggle('stoppage')}
        />
      )}
      {fault === null ? null : (
        <Said words={`Fault: ${faultWords(fault)}`} isIn={isIn('fault')} onToggle={() => toggle('fault')} />
      )}
      {meanings.map((meaning, index) => (
        <Said
          key={`${index} ${meaningSaid(meaning)}`}
          words={problemSaid(meaning) ?? meaningSaid(meaning)}
          isIn={isIn(`${index}`)}
          isProblem={problemSaid(meaning) !== null}
          onToggle={() => toggle(`${index}`)}
        />
      ))}
      {read.notUnderstood.length === 0 ? null : (
        <AppText color={palette.faulty}>
          Not understood: {read.notUnderstood.join(', ')}. It stays in the words; what is missing can be added on the
          work order.
        </AppText>
      )}
      <FormRefusal sentence={refusal} />
    </>
  );
  return (
    <>
      {isWithin ? (
        <View style={sheet.content}>{list}</View>
      ) : (
        <ScrollView role="main" contentContainerStyle={sheet.content}>
          {list}
        </ScrollView>
      )}
      <View style={[sheet.foot, { borderColor: palette.ink, backgroundColor: palette.paper }]}>
        {problems.length === 0 ? null : <AppText soft>Correct the line, or leave out what does not fit.</AppText>}
        <Button
          rank="primary"
          cannot={problems.length > 0 && 'Correct the line, or leave out what does not fit.'}
          word="Keep it"
          style={sheet.key}
          onPress={() => once(keep)}
        />
      </View>
    </>
  );
}

/** The work order as it will be, by which the line is understood. */
function provisional(asset: Asset, { title, kind }: DoneLine, createdAt: Instant): WorkOrder {
  return newWorkOrder({
    id: asId<WorkOrderId>('already-done'),
    number: '',
    siteId: asset.siteId,
    assetId: asset.id,
    placeId: asset.placeId,
    kind,
    urgency: 'shift',
    title,
    reason: '',
    tradeId: '',
    dueAt: null,
    estimateMinutes: 0,
    personIds: [],
    crewId: null,
    hazards: [],
    kit: [],
    tools: [],
    createdAt,
    cameFrom: null,
  });
}

const span = (
  { from, to }: { readonly from: Instant; readonly to: Instant },
  present: Instant,
  { zone, language }: Settings,
): string =>
  `${sayMoment(from, present, zone, language)} to ${to === present ? 'now' : sayMoment(to, present, zone, language)}`;

function timeSaid(time: DoneTime, present: Instant, settings: Settings): string {
  const type = time.timeType === 'regular' ? '' : `, ${timeTypeWords[time.timeType].toLowerCase()}`;
  const long = formatDuration(minutesBetween(time.from, time.to));
  return `${long} of work${type}, ${span(time, present, settings)}${askedIfUnsure(time)}`;
}

const askedIfUnsure = ({ isUnsure }: Stretch): string => (isUnsure ? '. Is that the hour that you mean?' : '');

interface SaidProps {
  readonly words: string;
  readonly isIn: boolean;
  readonly isProblem?: boolean;
  readonly onToggle: () => void;
}

function Said({ words, isIn, isProblem = false, onToggle }: SaidProps): ReactElement {
  const palette = usePalette();
  return (
    <Row>
      <AppText style={sheet.words} soft={!isIn} {...(isProblem && isIn ? { color: palette.faulty } : {})}>
        {isIn ? words : `Left out: ${words}`}
      </AppText>
      {isIn ? (
        <IconPress icon={mdiClose} label={`Leave out: ${words}`} onPress={onToggle} />
      ) : (
        <Button word="Take it in" onPress={onToggle} />
      )}
    </Row>
  );
}

const sheet = StyleSheet.create({
  content: { paddingHorizontal: 16, paddingBottom: 16, width: '100%', maxWidth: 720 },
  words: { flex: 1, minWidth: 0 },
  kinds: { paddingVertical: 8 },
  foot: { padding: 8, gap: 6, borderTopWidth: RULE },
  key: { maxWidth: 420 },
});
