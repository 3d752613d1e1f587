import { useRouter } from 'expo-router';
import { useMemo, useState, type ReactElement } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { mdiClose, mdiTextRecognition } from '@mdi/js';
import { likelyFault, readDone, type DoneLine } from '@oilcan/core/already-done';
import {
  asId,
  formatDuration,
  minutesBetween,
  type AssetId,
  type Instant,
  type WorkOrderId,
} from '@oilcan/core/kernel';
import type { Asset } from '@oilcan/core/plant';
import { sentenceFor } from '@oilcan/core/registry';
import type { Settings } from '@oilcan/core/settings';
import { meaningsOf } from '@oilcan/core/shorthand';
import { newWorkOrder, type WorkOrder } from '@oilcan/core/work';
import { useDictation } from '../../data/dictation';
import { useDraft } from '../../data/drafts';
import { now, useRow, useSettings, useTable } from '../../data/store';
import { useMe } from '../../data/use-me';
import { FormRefusal } from '../../forms/form-refusal';
import { Field } from '../../ui/field';
import { useNotice } from '../../ui/notice';
import { Button, Choice, Choices, IconPress } from '../../ui/press';
import { Row } from '../../ui/section';
import { RULE } from '../../ui/theme';
import { toggled } from '../../ui/toggled';
import { useOnce } from '../../ui/use-once';
import { usePalette } from '../../ui/use-palette';
import { Words } from '../../ui/words';
import { sayMoment } from '../../words/dates';
import { faultWords } from '../faults/words';
import { TopBar } from '../page/top-bar';
import { useBack } from '../page/use-back';
import { TakenAlong, useTakenAlong, WhereField, type Taken } from '../raising';
import { meaningSaid, problemSaid, useShorthandContext } from '../shorthand/words';
import { keepDone } from './keep-done';

const EXAMPLE = 'pump 2: packing replaced, 2 h just now, 1x pack-12, stood still since nine';

interface Props {
  readonly assetId: string | undefined;
  readonly words: string;
  /** Where on Raise it began, if it did. */
  readonly raisedOn?: string | undefined;
}

/** One line about work that was done without a work order; what it means stands below, and is kept as a work order with its entries. */
export function DoneScreen({ assetId, words, raisedOn }: Props): ReactElement | null {
  const back = useBack('/shift');
  // Other words from Raise begin another line; the one that is half-written waits where it began.
  const draft = useDraft(`already done ${words}`.trimEnd());
  const along = useTakenAlong(raisedOn);
  const [line, setLine] = useState(draft.first === '' ? words : draft.first);
  const [chosen, setChosen] = useState<AssetId | null>((assetId as AssetId | undefined) ?? null);
  const assets = useTable('assets');
  const settings = useSettings();
  // Times are counted back from when the screen was opened or the line last changed.
  const [present, setPresent] = useState<Instant>(now);
  const write = (text: string): void => {
    setLine(text);
    setPresent(now());
    draft.keep(text);
  };
  const dictation = useDictation((spoken) => write(`${line} ${spoken}`.trim()));
  const read = useMemo(
    () => readDone(line, { assets, now: present, zone: settings?.zone ?? 'UTC' }),
    [line, assets, present, settings],
  );
  const likeliest = read.machines[0]?.asset.id ?? null;
  const asset = useRow('assets', chosen ?? likeliest);
  if (settings === undefined) return null;
  const others = chosen === null ? read.machines.slice(1, 4) : [];
  return (
    <View style={sheet.screen}>
      <TopBar title="Already done" {...back} />
      <View style={sheet.head}>
        <Field label="What was done, in one line" value={line} onChange={write} lines={3} hint={EXAMPLE} autoFocus />
        {dictation === null ? null : (
          <Button
            icon={mdiTextRecognition}
            word={dictation.isListening ? 'Listening …' : 'Dictate'}
            onPress={dictation.toggle}
          />
        )}
        <FormRefusal sentence={dictation?.error ?? null} />
        <TakenAlong photo={along.photo} voice={along.voice} onChange={along.change} />
        {line.trim() === '' ? null : (
          <>
            <WhereField
              at={asset === undefined ? null : { is: 'asset', id: asset.id }}
              onChoose={(at) => setChosen(at?.is === 'asset' ? at.id : null)}
              isMachineOnly
            />
            {others.length === 0 ? null : (
              <Choices label="Or another machine">
                {others.map(({ asset: other }) => (
                  <Choice key={other.id} word={other.name} isChosen={false} onPress={() => setChosen(other.id)} />
                ))}
              </Choices>
            )}
          </>
        )}
      </View>
      {asset === undefined || line.trim() === '' ? null : (
        <Proposed
          key={asset.id}
          asset={asset}
          read={read}
          line={line}
          settings={settings}
          present={present}
          taken={along}
          onKept={() => {
            draft.forget();
            along.forget();
          }}
        />
      )}
    </View>
  );
}

interface ProposedProps {
  readonly asset: Asset;
  readonly read: DoneLine;
  readonly line: string;
  readonly settings: Settings;
  readonly present: Instant;
  readonly taken: Taken;
  readonly onKept: () => void;
}

/** What the line means on this machine, before it is kept: each thing may be left out. */
function Proposed({ asset, read, line, settings, present, taken, onKept }: ProposedProps): ReactElement {
  const router = useRouter();
  const palette = usePalette();
  const me = useMe();
  const say = useNotice((state) => state.say);
  const [leftOut, setLeftOut] = useState<readonly string[]>([]);
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
  const saidFault = meanings.some(({ is }) => is === 'fault');
  const fault = saidFault ? null : likelyFault(read.title, context.usualFaults, context.faults);
  const isIn = (key: string): boolean => !leftOut.includes(key);
  const toggle = (key: string): void => setLeftOut(toggled(leftOut, key));
  const problems = meanings.filter((meaning, index) => isIn(`${index}`) && problemSaid(meaning) !== null);
  const keep = async (): Promise<boolean> => {
    const kept = await keepDone({
      asset,
      me,
      settings,
      present,
      title: read.title === '' ? line.trim().slice(0, 200) : read.title,
      reason: line.trim(),
      time: isIn('time') ? read.time : null,
      stoppage: isIn('stoppage') ? read.stoppage : null,
      fault: fault !== null && isIn('fault') ? { ...fault, activity: read.activity } : null,
      meanings: meanings.filter((_, index) => isIn(`${index}`)),
      photo: taken.photo,
      voice: taken.voice,
    });
    if (!kept.ok) {
      setRefusal(sentenceFor(kept.code, kept.values));
      return false;
    }
    onKept();
    const { workOrderId, notKept } = kept.value;
    if (notKept.length > 0) say(`Not kept: ${notKept.join(' ')}`);
    router.replace(`/raise/done?work=${workOrderId}`);
    return true;
  };
  return (
    <>
      <ScrollView role="main" contentContainerStyle={sheet.content}>
        <Words as="label">What it becomes</Words>
        <Row>
          <Words style={sheet.words}>A work order: {read.title === '' ? line.trim() : read.title}</Words>
        </Row>
        {read.time === null ? null : (
          <Said
            words={`${formatDuration(minutesBetween(read.time.from, read.time.to))} of work, ${span(read.time, present, settings)}`}
            isIn={isIn('time')}
            onToggle={() => toggle('time')}
          />
        )}
        {read.stoppage === null ? null : (
          <Said
            words={`${read.stoppage.extent === 'full' ? 'Stood still' : 'Ran reduced'} ${span(read.stoppage, present, settings)}`}
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
        <FormRefusal sentence={refusal} />
      </ScrollView>
      <View style={[sheet.foot, { borderColor: palette.ink, backgroundColor: palette.paper }]}>
        {problems.length === 0 ? null : <Words soft>Correct the line, or leave out what does not fit.</Words>}
        <Button main disabled={problems.length > 0} word="Keep it" onPress={() => once(keep)} />
      </View>
    </>
  );
}

/** The work order as it will be, by which the line is understood. */
function provisional(asset: Asset, { title }: DoneLine, createdAt: Instant): WorkOrder {
  return newWorkOrder({
    id: asId<WorkOrderId>('already-done'),
    number: '',
    siteId: asset.siteId,
    assetId: asset.id,
    placeId: asset.placeId,
    kind: 'corrective',
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
      <Words style={sheet.words} soft={!isIn} {...(isProblem && isIn ? { color: palette.faulty } : {})}>
        {isIn ? words : `Left out: ${words}`}
      </Words>
      {isIn ? (
        <IconPress icon={mdiClose} label={`Leave out: ${words}`} onPress={onToggle} />
      ) : (
        <Button word="Take it in" onPress={onToggle} />
      )}
    </Row>
  );
}

const sheet = StyleSheet.create({
  screen: { flex: 1, minHeight: 0 },
  head: { padding: 16, paddingBottom: 4, gap: 10, width: '100%', maxWidth: 720 },
  content: { paddingHorizontal: 16, paddingBottom: 16, width: '100%', maxWidth: 720 },
  words: { flex: 1, minWidth: 0 },
  foot: { padding: 8, gap: 6, borderTopWidth: RULE },
});
