import { useMemo, useRef, useState, type ReactElement, type RefObject } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { mdiCamera } from '@mdi/js';
import { type AssetId, type SiteId } from '@oilcan/core/kernel';
import { MOST_PHOTOS } from '@oilcan/core/raising/reports';
import type { Asset } from '@oilcan/core/plant/plant';
import { fittingProcedure, type Procedure } from '@oilcan/core/steps/procedures';
import type { Hazard, WorkOrder } from '@oilcan/core/orders/work';
import { demandOf, rulesOf, type ReportQuestion } from '@oilcan/core/orders/raise-rules';
import { useDictation } from '../../../data/browser/dictation';
import { useKeptVoice } from '../../../data/files/use-kept-voice';
import { useCamera } from '../../../data/pictures/use-report-photo';
import { usePhone, useRow, useRows } from '../../../data/store/store';
import { useDangers } from '../../../data/queries/use-dangers';
import { FormField } from '../../../forms/form-field';
import { FormRefusal } from '../../../forms/form-refusal';
import { Choice } from '../../../ui/fields/choice';
import { Button } from '../../../ui/press/press';
import { RULE, useIsNarrow, useIsWide } from '../../../ui/theme/theme';
import { useOnce } from '../../../ui/state/use-once';
import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';
import { counted } from '../../../words/work-words';
import { TopBar } from '../../frame/page/top-bar';
import { useBack } from '../../frame/page/use-back';
import { VoiceToggle } from '../../recording/attachments';
import { HowBadChoice } from './how-bad';
import { KnownThere } from './known-there';
import { TakenAlong } from './taken-along';
import { PlanForm } from './plan-form';
import type { RaiseDraft } from './use-raise-draft';
import { useRaise, writtenOf } from './use-raise';
import { UsualWords } from './usual-words';
import { WhereField, type RaisedAt } from './where-field';
import { DictateKey } from '../../../forms/dictate-key';

const NOT_SAID = 'Say first where it is, and what: in words, by voice or with a photo.';

interface Props {
  readonly draft: RaiseDraft;
  readonly at: RaisedAt;
  readonly onAt: (at: RaisedAt) => void;
  readonly way: 'now' | 'plan' | 'report';
  /** The job of which it is further work; none where it stands for itself. */
  readonly cameFrom?: WorkOrder | undefined;
  /** What else could become of it. */
  readonly ways: ReactElement;
}

/** Something is wrong, or has to be done: said once, and then done at once, planned, or reported. */
export function RaiseScreen({ draft, at, onAt: setAt, cameFrom, way, ways }: Props): ReactElement {
  const back = useBack('/shift');
  const isWide = useIsWide();
  // With very large text the keys stand below what they are about.
  const isNarrow = useIsNarrow();
  const person = usePhone((state) => state.person);
  const { words, how, photos, voice, change, forget } = draft;
  const setWords = (text: string): void => change({ words: text });
  const camera = useCamera((taken) => change({ photos: [...photos, taken].slice(-MOST_PHOTOS) }));
  const microphone = useKeptVoice((spoken) => change({ voice: spoken }));
  const [procedure, setProcedure] = useState<Procedure | null>(null);
  const once = useOnce();
  const plan = useRef<(() => void) | null>(null);
  const dictation = useDictation((spoken) => setWords(`${words} ${spoken}`.trim()));
  const asset = useRow('assets', at?.is === 'asset' ? at.id : undefined);
  const place = useRow('places', at?.is === 'place' ? at.id : undefined);
  const asks = useAsks(asset?.siteId ?? place?.siteId ?? person?.siteIds[0]);
  const dangers = useDangers(asset);
  const hazards = dangers?.hazards ?? [];
  const fitting = useFitting(asset?.id, words);
  const { refusal, leave, report, start } = useRaise({ draft, at, asset, procedure, cameFrom });
  if (person === null) return <></>;
  const written = writtenOf(draft);
  const isSaid = at !== null && written !== '';
  const keys = (
    <RaiseKeys
      way={way}
      cannot={!isSaid && NOT_SAID}
      hasMachine={asset !== undefined}
      hazards={dangers === null ? null : hazards}
      onPlan={() => plan.current?.()}
      onReport={() => once(report)}
      onStart={() => once(() => start(person))}
    />
  );
  return (
    <View style={sheet.screen}>
      <TopBar title="Raise" {...back} />
      <ScrollView role="main" contentContainerStyle={sheet.content} keyboardShouldPersistTaps="handled">
        <View style={isWide ? sheet.columns : sheet.column}>
          <View style={isWide ? sheet.half : sheet.column}>
            <WhereField at={at} onChoose={setAt} />
            {ways}
            {way === 'now' && hazards.length > 0 ? <HazardsThere hazards={hazards} /> : null}
            <FormField control={draft.control} name="words" label="What is it" lines={3} />
            {asset === undefined || words.trim() !== '' ? null : <UsualWords asset={asset} onChoose={setWords} />}
            <Taking
              draft={draft}
              camera={camera}
              microphone={microphone}
              dictation={dictation}
              asksPhoto={asks('photo')}
            />
            <TakenAlong photos={photos} voice={voice} onChange={change} />
          </View>
          <View style={isWide ? sheet.half : sheet.column}>
            <KnownThere at={at} words={words} onJoined={() => leave('Counted. You hear what becomes of it.')} />
            {way === 'plan' ? (
              <PlanHere
                asset={asset}
                draft={draft}
                words={written}
                cameFrom={cameFrom}
                submitter={plan}
                onMade={forget}
              />
            ) : (
              <HowBadChoice
                how={how}
                onChange={change}
                asks={{ condition: asks('condition') && at?.is === 'asset', danger: asks('danger') }}
              />
            )}
            {way === 'now' && fitting !== null ? (
              <Choice
                isMany
                word={`Do it by “${fitting.title}”, ${counted(fitting.steps.length, 'step', 'steps')}`}
                isChosen={procedure?.id === fitting.id}
                onPress={() => setProcedure(procedure?.id === fitting.id ? null : fitting)}
              />
            ) : null}
            <FormRefusal sentence={refusal ?? camera.trouble ?? microphone?.trouble ?? dictation?.error ?? null} />
          </View>
        </View>
        {isNarrow ? keys : null}
      </ScrollView>
      {isNarrow ? null : keys}
    </View>
  );
}

interface KeysProps {
  readonly way: Props['way'];
  /** Why nothing can be done with it yet; false where it can. */
  readonly cannot: string | false;
  readonly hasMachine: boolean;
  /** Null until they are looked up. */
  readonly hazards: readonly Hazard[] | null;
  readonly onPlan: () => void;
  readonly onReport: () => void;
  readonly onStart: () => void;
}

function RaiseKeys({ way, cannot, hasMachine, hazards, onPlan, onReport, onStart }: KeysProps): ReactElement {
  const palette = usePalette();
  return (
    <View style={[sheet.foot, { borderColor: palette.ink, backgroundColor: palette.paper }]}>
      {way === 'plan' ? (
        <Button
          rank="primary"
          word="Plan it"
          label="Plan it: this work"
          cannot={cannot || (!hasMachine && 'Work is always on a machine. Choose it first.')}
          style={sheet.key}
          onPress={onPlan}
        />
      ) : way === 'report' ? (
        <Button rank="primary" word="Report it" cannot={cannot} style={sheet.key} onPress={onReport} />
      ) : (
        <Button
          rank="primary"
          word={hazards === null || hazards.length === 0 ? 'Do it now' : 'Hazards read: do it now'}
          cannot={cannot || (hazards === null && 'The hazards there are being looked up.')}
          style={sheet.key}
          onPress={onStart}
        />
      )}
    </View>
  );
}

interface TakingProps {
  readonly draft: RaiseDraft;
  readonly camera: ReturnType<typeof useCamera>;
  readonly microphone: ReturnType<typeof useKeptVoice>;
  readonly dictation: ReturnType<typeof useDictation>;
  readonly asksPhoto: boolean;
}

/** What takes a photo, a voice note, or words that are spoken. */
function Taking({ draft: { photos, voice }, camera, microphone, dictation, asksPhoto }: TakingProps): ReactElement {
  return (
    <View style={sheet.keys}>
      {asksPhoto ? (
        <Button
          word={photos.length === 0 ? 'Photo' : 'Another photo'}
          icon={mdiCamera}
          cannot={photos.length >= MOST_PHOTOS && `At most ${MOST_PHOTOS} photos.`}
          onPress={() => void camera.take()}
        />
      ) : null}
      <VoiceToggle voice={microphone} isSaid={voice !== null} />
      <DictateKey of={dictation} />
    </View>
  );
}

/** Which questions the lead of a site wants to be asked; no other is shown. */
function useAsks(siteId: SiteId | undefined): (question: ReportQuestion) => boolean {
  const chosen = useRow('raiseRules', siteId);
  return (question) => siteId !== undefined && demandOf(rulesOf(siteId, chosen), 'problem', question) !== 'not';
}

/** The procedure that fits the words, if one does. */
function useFitting(assetId: AssetId | undefined, words: string): Procedure | null {
  const asset = useRow('assets', assetId);
  const procedures = useRows('procedures', 'site', asset?.siteId);
  return useMemo(() => {
    if (asset === undefined) return null;
    const wanted = { words, equipmentClass: asset.equipmentClass, assetId: asset.id };
    return fittingProcedure(procedures, wanted);
  }, [asset, procedures, words]);
}

function HazardsThere({ hazards }: { readonly hazards: readonly Hazard[] }): ReactElement {
  const palette = usePalette();
  return (
    <View role="region" aria-label="Hazards" style={[sheet.hazards, { borderColor: palette.ink }]}>
      <AppText as="label">Hazards here</AppText>
      {hazards.map(({ id, hazard, control }) => (
        <AppText key={id}>
          {hazard}: {control}
        </AppText>
      ))}
    </View>
  );
}

/** The plan, as soon as it is said on which machine. */
function PlanHere({
  asset,
  draft,
  words,
  cameFrom,
  submitter,
  onMade,
}: {
  readonly asset: Asset | undefined;
  readonly draft: RaiseDraft;
  readonly words: string;
  readonly cameFrom: WorkOrder | undefined;
  readonly submitter: RefObject<(() => void) | null>;
  readonly onMade: () => void;
}): ReactElement {
  if (asset === undefined) return <AppText>Work is always on a machine. Choose it first.</AppText>;
  return (
    <PlanForm
      key={asset.id}
      asset={asset}
      words={words}
      reports={[]}
      along={draft}
      cameFrom={cameFrom}
      submitter={submitter}
      onMade={onMade}
    />
  );
}

const sheet = StyleSheet.create({
  screen: { flex: 1, minHeight: 0 },
  content: { padding: 16, gap: 14, width: '100%', maxWidth: 1_200 },
  columns: { flexDirection: 'row', gap: 32 },
  column: { gap: 14 },
  half: { flex: 1, minWidth: 0, gap: 14 },
  keys: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  hazards: { borderLeftWidth: 6, paddingLeft: 12, gap: 4 },
  foot: { flexDirection: 'row', flexWrap: 'wrap', gap: 8, padding: 8, borderTopWidth: RULE },
  key: { flexGrow: 1, flexBasis: 150, maxWidth: 420 },
});
