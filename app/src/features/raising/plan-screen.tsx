import { useRouter } from 'expo-router';
import { useMemo, useState, type ReactElement } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import {
  addDays,
  asId,
  localDate,
  parseDuration,
  formatDuration,
  type AssetId,
  type CrewId,
  type LocalDay,
  type PersonId,
  type ReportId,
} from '@oilcan/core/kernel';
import { hasRole } from '@oilcan/core/operations';
import type { Procedure } from '@oilcan/core/procedures';
import type { Asset } from '@oilcan/core/plant';
import { sentenceFor } from '@oilcan/core/registry';
import type { Report } from '@oilcan/core/reports';
import { urgencies, workKinds, type Urgency, type WorkKind } from '@oilcan/core/work';
import { furtherWorkOrder } from '../../data/new-work';
import { useUsual } from '../../data/past/usual-of';
import { now, peekRow, usePhone, useRow, useRowsById, useSettings, useTable } from '../../data/store';
import { FormField } from '../../forms/form-field';
import { FormRefusal } from '../../forms/form-refusal';
import { useOperationForm } from '../../forms/use-operation-form';
import { useNotice } from '../../ui/use-notice';
import { Choice, Choices } from '../../ui/choice';
import { Button } from '../../ui/press';
import { RULE, useIsWide } from '../../ui/theme';
import { usePalette } from '../../ui/use-palette';
import { Words } from '../../ui/words';
import { sayLocalDay, sayMoment } from '../../words/dates';
import { kindWords, urgencyWords } from '../../words/work-words';
import { TopBar } from '../page/top-bar';
import { useBack } from '../page/use-back';
import { KitOfProcedure, OneOf, ProcedureChoice, WhoDoesIt } from './plan-choices';
import { UsualKitChoice, useUsualKit } from '../raise';
import { recordTaken } from './record-taken';
import { TakenAlong } from './taken-along';
import { useTakenAlong } from './use-taken-along';
import { WhereField, type RaisedAt } from './where-field';

interface Props {
  readonly assetId: string | undefined;
  readonly words: string;
  /** The reports that it answers; none where nobody reported it. */
  readonly reportIds: readonly ReportId[];
  /** Where on Raise it began, if it did. */
  readonly raisedOn?: string | undefined;
}

const DAYS_OFFERED = 5;

/** A new work order with all that is known of it: what makes it, for whom, when, by which procedure, with which kit. */
export function PlanScreen({ assetId, words, reportIds, raisedOn }: Props): ReactElement {
  const isLead = usePhone(({ person }) => person !== null && hasRole(person, ['lead']));
  const back = useBack(isLead ? '/desk' : '/shift');
  const reports = useRowsById('reports', reportIds);
  const [at, setAt] = useState<RaisedAt>(assetId === undefined ? null : { is: 'asset', id: assetId as AssetId });
  const asset = useRow('assets', at?.is === 'asset' ? at.id : undefined);
  const isAnswer = reportIds.length > 0;
  return (
    <View style={sheet.screen}>
      <TopBar title={isAnswer ? 'Take up' : 'Plan it'} {...back} />
      <ScrollView role="main" contentContainerStyle={sheet.content} keyboardShouldPersistTaps="handled">
        {isAnswer ? (
          <Words soft>Answers {reports.map(({ number }) => number).join(', ')}. Each reporter is told.</Words>
        ) : null}
        <WhereField at={at} onChoose={setAt} isMachineOnly />
        {asset === undefined ? (
          <Words>Work is always on a machine. Choose it first.</Words>
        ) : (
          <PlanForm key={asset.id} asset={asset} words={words} reports={reports} raisedOn={raisedOn} />
        )}
      </ScrollView>
    </View>
  );
}

/** The first sentence of what was reported, short enough for a title. */
function titleOf(words: string): string {
  const [first = ''] = words.trim().split(/(?<=[.!?])\s|\n/);
  return first.length <= 120 ? first : `${first.slice(0, 119)}…`;
}

function reasonOf(reports: readonly Report[]): string {
  return reports.map(({ number, words }) => `${number}: ${words}`).join('\n');
}

const mostUrgent = (reports: readonly Report[]): Urgency =>
  urgencies.find((urgency) => reports.some((report) => report.urgency === urgency)) ?? 'week';

function PlanForm({
  asset,
  words,
  reports,
  raisedOn,
}: {
  readonly asset: Asset;
  readonly words: string;
  readonly reports: readonly Report[];
  readonly raisedOn: string | undefined;
}): ReactElement | null {
  const router = useRouter();
  const say = useNotice((state) => state.say);
  const along = useTakenAlong(raisedOn);
  const palette = usePalette();
  const isWide = useIsWide();
  const settings = useSettings(asset.siteId);
  const me = usePhone((state) => state.person);
  const [worst] = reports;
  const [urgency, setUrgency] = useState<Urgency>(mostUrgent(reports));
  const [kind, setKind] = useState<WorkKind>('corrective');
  const likelyTrade = useLikelyTrade(asset);
  const [tradeId, setTradeId] = useState(likelyTrade ?? me?.tradeId ?? '');
  const [plannedOn, setPlannedOn] = useState<LocalDay | null>(null);
  const [personIds, setPersonIds] = useState<readonly PersonId[]>([]);
  const [crewId, setCrewId] = useState<CrewId | null>(null);
  const [procedure, setProcedure] = useState<Procedure | null>(null);
  const [title, setTitle] = useState(titleOf(worst?.words ?? words));
  const usual = useUsual({ assetId: asset.id, kind, tradeId, title });
  const usualKit = useUsualKit(usual, asset.siteId);
  const estimateMinutes = usual?.minutes?.median ?? 0;
  const stopped = reports.find(({ condition }) => condition === 'stopped' || condition === 'reduced');
  const { form, submit, refusal } = useOperationForm({
    operation: 'work.raise',
    about: asset.id,
    defaultValues: { title, reason: reasonOf(reports), estimate: '' },
    fieldOf: (argument) => (argument === 'estimateMinutes' ? 'estimate' : (argument as 'title')),
    read: (typed) => {
      const minutes = typed.estimate.trim() === '' ? estimateMinutes : parseDuration(typed.estimate);
      if (minutes === undefined) return { unreadable: 'estimate', hint: 'Write a time such as 1:30 or 90m.' };
      const base = furtherWorkOrder({
        assetId: asset.id,
        title: typed.title.trim(),
        reason: typed.reason.trim(),
        urgency,
        tradeId: tradeId === '' ? null : tradeId,
        cameFrom: null,
      });
      const planned = plannedOn === null ? {} : { plannedOn };
      const answers = reports.length === 0 ? {} : { reportIds: reports.map(({ id }) => id) };
      const stoppage =
        stopped === undefined
          ? {}
          : {
              stoppage: {
                from: stopped.since ?? stopped.at,
                extent: stopped.condition === 'stopped' ? 'full' : 'reduced',
                lostPercent: null,
              } as const,
            };
      return {
        args: {
          ...base,
          kind,
          estimateMinutes: minutes,
          steps: procedure?.steps ?? [],
          kit: [...(procedure?.kit ?? usualKit.kit)],
          tools: [...(procedure?.tools ?? [])],
          hazards: [...(procedure?.hazards ?? [])],
          personIds: [...personIds],
          crewId,
          ...planned,
          ...answers,
          ...stoppage,
        },
      };
    },
    said: personIds.length === 0 && crewId === null ? 'Raised. Nobody has it yet.' : 'Raised and given.',
    onDone: (made) => {
      along.forget();
      // A lead goes on with the next report; whoever raised it for themselves, with the work.
      router.replace(me !== null && hasRole(me, ['lead']) ? '/desk' : `/shift/${made}`);
      // The work order is there, whatever becomes of what goes with it.
      void recordTaken(asId(made), along, 'before').then((refusals) =>
        refusals.forEach(({ code, values }) => say(sentenceFor(code, values))),
      );
    },
  });
  if (settings === undefined) return null;
  const today = localDate(now(), settings.zone);
  const days = Array.from({ length: DAYS_OFFERED }, (_, after) => addDays(today, after));
  const sayTheDay = (day: LocalDay): string => sayLocalDay(day, now(), settings.zone, settings.language);
  return (
    <>
      <View style={isWide ? sheet.columns : sheet.column}>
        <View style={isWide ? sheet.half : sheet.column}>
          <View onBlur={() => setTitle(form.getValues('title'))}>
            <FormField control={form.control} name="title" label="What is to be done" />
          </View>
          <FormField control={form.control} name="reason" label="Why" lines={3} />
          {stopped === undefined ? null : (
            <Words>
              Reported {stopped.condition === 'stopped' ? 'standing still' : 'running, but not fully'} since{' '}
              {sayMoment(stopped.since ?? stopped.at, now(), settings.zone, settings.language)}: recorded with it.
            </Words>
          )}
          <TakenAlong photos={along.photos} voice={along.voice} onChange={along.change} />
          <OneOf label="How soon" of={urgencies} words={urgencyWords} chosen={urgency} onChoose={setUrgency} />
          <OneOf label="Kind of work" of={workKinds} words={kindWords} chosen={kind} onChoose={setKind} />
          <View style={sheet.question}>
            <Words as="label">Trade</Words>
            <Choices label="Trade">
              {settings.trades.map(({ id, name }) => (
                <Choice key={id} word={name} isChosen={id === tradeId} onPress={() => setTradeId(id)} />
              ))}
            </Choices>
          </View>
        </View>
        <View style={isWide ? sheet.half : sheet.column}>
          <View style={sheet.question}>
            <Words as="label">On which day</Words>
            <Choices label="On which day">
              {days.map((day) => (
                <Choice
                  key={day}
                  word={sayTheDay(day)}
                  isChosen={day === plannedOn}
                  onPress={() => setPlannedOn(day === plannedOn ? null : day)}
                />
              ))}
            </Choices>
          </View>
          <WhoDoesIt asset={asset} personIds={personIds} crewId={crewId} onPeople={setPersonIds} onCrew={setCrewId} />
          <ProcedureChoice asset={asset} title={title} chosen={procedure} onChoose={setProcedure} />
          {procedure?.kit === undefined ? <UsualKitChoice of={usualKit} /> : <KitOfProcedure kit={procedure.kit} />}
          <FormField
            control={form.control}
            name="estimate"
            label={
              estimateMinutes === 0 ? 'How long (not needed)' : `How long, if not ${formatDuration(estimateMinutes)}`
            }
          />
        </View>
      </View>
      <FormRefusal sentence={refusal} />
      <View style={[sheet.foot, { borderColor: palette.ink }]}>
        <Button rank="primary" word={reports.length === 0 ? 'Raise this work order' : 'Take it up'} onPress={submit} />
      </View>
    </>
  );
}

/** The trade that work on this machine, or on such machines, usually wants; null where this phone has none of it. */
function useLikelyTrade(asset: Asset): string | null {
  const works = useTable('workOrders');
  return useMemo(() => {
    const classOf = (id: AssetId): string | undefined => peekRow('assets', id)?.equipmentClass;
    const ofMachine = works.filter(({ assetId }) => assetId === asset.id);
    const like =
      ofMachine.length > 0 ? ofMachine : works.filter((work) => classOf(work.assetId) === asset.equipmentClass);
    const times = new Map<string, number>();
    for (const { tradeId } of like) times.set(tradeId, (times.get(tradeId) ?? 0) + 1);
    return [...times].sort(([, a], [, b]) => b - a)[0]?.[0] ?? null;
  }, [works, asset]);
}

const sheet = StyleSheet.create({
  screen: { flex: 1, minHeight: 0 },
  content: { padding: 16, gap: 14, width: '100%', maxWidth: 1_200 },
  question: { gap: 6 },
  columns: { flexDirection: 'row', gap: 32 },
  column: { gap: 14 },
  half: { flex: 1, minWidth: 0, gap: 14 },
  foot: { borderTopWidth: RULE, paddingTop: 12 },
});
