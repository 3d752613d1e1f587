import { useRouter } from 'expo-router';
import { DayChoice } from '../../../forms/day-choice';
import { useEffect, useMemo, useState, type ReactElement, type RefObject } from 'react';
import { StyleSheet, View } from 'react-native';
import {
  asId,
  formatDuration,
  isLocalDay,
  parseDuration,
  type AssetId,
  type CrewId,
  type PersonId,
} from '@oilcan/core/kernel';
import { waitsForLead, dueBy, rulesOf } from '@oilcan/core/orders/raise-rules';
import { hasRole } from '@oilcan/core/operations';
import type { Asset } from '@oilcan/core/plant/plant';
import { stepsAfter, type Procedure } from '@oilcan/core/steps/procedures';
import { sentenceFor } from '@oilcan/core/registry';
import type { Report } from '@oilcan/core/raising/reports';
import { tradesOfWork, type Settings } from '@oilcan/core/orders/settings';
import type { NewStep } from '@oilcan/core/steps/steps';
import { urgencies, workKinds, type Urgency, type WorkKind, type WorkOrder } from '@oilcan/core/orders/work';
import { furtherWorkOrder } from '../../../data/queries/new-work';
import { useUsual } from '../../../data/queries/usual-of';
import { now, peekRow, usePhone, useRow, useSettings, useTable } from '../../../data/store/store';
import { DurationField } from '../../../forms/duration-field';
import { WhoDoesIt } from '../../../forms/who-does-it';
import { FormField } from '../../../forms/form-field';
import { FormRefusal } from '../../../forms/form-refusal';
import { useOperationForm } from '../../../forms/use-operation-form';
import { Choice, Choices } from '../../../ui/fields/choice';
import { Button } from '../../../ui/press/press';
import { useIsWide } from '../../../ui/theme/theme';
import { useNotice } from '../../../ui/state/use-notice';
import { AppText } from '../../../ui/theme/app-text';
import { sayMoment } from '../../../words/dates';
import { kindWords, urgencyWords } from '../../../words/work-words';
import { useMadeWork } from '../../orders/work';
import { UsualKitChoice, useUsualKit } from '../../stores/kit-list';
import { dueOn } from '../../finishing/schedule';
import { NewStepsField } from '../../steps/steps';
import { KitOfProcedure, OnDay, OneOf, ProcedureChoice } from './plan-choices';
import { recordTaken } from './record-taken';
import { TakenAlong } from './taken-along';
import type { AlongFromRaise } from './taken';
import { durationProblem } from '../../../forms/typed-words';

const DUE_OFFERED = [0, 1, 2, 3, 4];
const BY_RULE = '';

interface Props {
  readonly asset: Asset;
  /** What is to be done, where that is said above; null where it is said here. */
  readonly words: string | null;
  /** The reports that it answers; none where nobody reported it. */
  readonly reports: readonly Report[];
  readonly along: AlongFromRaise;
  /** The job of which it is further work; none where it stands for itself. */
  readonly cameFrom?: WorkOrder | undefined;
  /** Given where the key that makes it stands elsewhere: what that does. */
  readonly submitter?: RefObject<(() => void) | null>;
  /** Once it is there, and all that was said for it can be forgotten. */
  readonly onMade: () => void;
}

/** A new work order with all that is known of it: what makes it, for whom, when, by which steps, with which kit. */
export function PlanForm({ asset, words, reports, along, cameFrom, submitter, onMade }: Props): ReactElement | null {
  const settings = useSettings(asset.siteId);
  const me = usePhone((state) => state.person);
  const tradeId = useLikelyTrade(asset) ?? me?.tradeId ?? '';
  if (settings === undefined || me === null) return null;
  return <Fields {...{ asset, words, reports, along, cameFrom, submitter, onMade, settings, tradeId }} />;
}

interface FieldsProps extends Props {
  readonly settings: Settings;
  /** The trade that is likeliest. */
  readonly tradeId: string;
}

function Fields({
  asset,
  words,
  reports,
  along,
  cameFrom,
  submitter,
  onMade,
  settings,
  tradeId: likelyTrade,
}: FieldsProps): ReactElement {
  const router = useRouter();
  const isWide = useIsWide();
  const say = useNotice((state) => state.say);
  const makes = useMadeWork();
  const me = usePhone((state) => state.person);
  const isLead = me !== null && hasRole(me, ['lead']);
  const rules = rulesOf(asset.siteId, useRow('raiseRules', asset.siteId));
  const [worst] = reports;
  const stopped = reports.find(({ condition }) => condition === 'stopped' || condition === 'reduced');
  const [procedure, setProcedure] = useState<Procedure | null>(null);
  const [usualTitle, setUsualTitle] = useState(titleOf(worst?.words ?? words ?? ''));
  const { form, submit, refusal } = useOperationForm({
    operation: 'work.raise',
    about: asset.id,
    defaultValues: {
      title: titleOf(worst?.words ?? ''),
      reason: reasonOf(reports),
      estimate: '',
      urgency: mostUrgent(reports) as string,
      kind: 'corrective' as string,
      tradeId: likelyTrade,
      due: BY_RULE as string,
      plannedOn: '' as string,
      // Whoever finds something mostly does it; a lead gives it to somebody.
      personIds: (isLead || me === null ? [] : [me.id]) as PersonId[],
      crewId: '' as string,
      steps: [] as NewStep[],
    },
    fieldOf: (argument) =>
      argument === 'estimateMinutes' ? 'estimate' : argument === 'dueAt' ? 'due' : (argument as 'title'),
    read: (typed) => {
      const minutes = typed.estimate.trim() === '' ? estimateMinutes : parseDuration(typed.estimate);
      if (minutes === undefined) return { unreadable: 'estimate', hint: durationProblem(typed.estimate) };
      const title = words === null ? typed.title.trim() : titleOf(words);
      const base = furtherWorkOrder({
        assetId: asset.id,
        title,
        reason: words === null ? typed.reason.trim() : words === title ? '' : words,
        urgency: typed.urgency as Urgency,
        tradeId: typed.tradeId === '' ? null : typed.tradeId,
        cameFrom: cameFrom?.id ?? null,
      });
      const answers = reports.length === 0 ? {} : { reportIds: reports.map(({ id }) => id) };
      const how = along.how ?? { condition: stopped?.condition ?? null, since: stopped?.since ?? stopped?.at ?? null };
      const isOut = how.condition === 'stopped' || how.condition === 'reduced';
      const extent = how.condition === 'stopped' ? 'full' : 'reduced';
      return {
        args: {
          ...base,
          kind: typed.kind as WorkKind,
          dueAt: isLocalDay(typed.due) ? dueOn(typed.due, now(), settings.zone) : null,
          estimateMinutes: minutes,
          steps: [...(procedure?.steps ?? []), ...stepsAfter(typed.steps, procedure?.steps.length ?? 0)],
          kit: [...(procedure?.kit ?? usualKit.kit)],
          tools: [...(procedure?.tools ?? [])],
          hazards: [...(procedure?.hazards ?? [])],
          personIds: typed.personIds,
          crewId: typed.crewId === '' ? null : (typed.crewId as CrewId),
          ...(isLocalDay(typed.plannedOn) ? { plannedOn: typed.plannedOn } : {}),
          ...answers,
          ...(isOut ? { stoppage: { from: how.since ?? now(), extent, lostPercent: null } as const } : {}),
        },
      };
    },
    said: (_, __, made) => makes.said(made, 'planned'),
    opens: makes.opens,
    onDone: (made) => {
      onMade();
      // A lead goes on with the next report; whoever planned it for themselves finds it in their list.
      router.replace(cameFrom !== undefined ? `/shift/${cameFrom.id}` : isLead ? '/desk' : '/shift');
      // The work order is there, whatever becomes of what goes with it.
      void recordTaken(asId(made), along, 'before').then((refusals) =>
        refusals.forEach(({ code, values }) => say(sentenceFor(code, values))),
      );
    },
  });
  useEffect(() => {
    if (submitter !== undefined) submitter.current = submit;
  });
  const typed = form.watch();
  const title = words === null ? usualTitle : titleOf(words);
  const usual = useUsual({ assetId: asset.id, kind: typed.kind as WorkKind, tradeId: typed.tradeId, title });
  const usualKit = useUsualKit(usual, asset.siteId);
  const estimateMinutes = usual?.minutes?.median ?? 0;
  const ruled = dueBy(rules, typed.urgency as Urgency, now());
  const byRule = ruled === null ? 'no date' : sayMoment(ruled, now(), settings.zone, settings.language);
  const waits =
    !isLead &&
    waitsForLead(rules.goAhead, {
      kind: typed.kind as WorkKind,
      urgency: typed.urgency as Urgency,
      estimateMinutes,
      kitMinor: 0,
    });
  return (
    <>
      <View style={isWide && words === null ? sheet.columns : sheet.column}>
        <View style={isWide && words === null ? sheet.half : sheet.column}>
          {words === null ? (
            <>
              <View onBlur={() => setUsualTitle(form.getValues('title'))}>
                <FormField control={form.control} name="title" label="What is to be done" />
              </View>
              <FormField control={form.control} name="reason" label="Why" lines={3} />
              <TakenAlong photos={along.photos} voice={along.voice} onChange={along.change} />
            </>
          ) : null}
          {stopped === undefined ? null : (
            <AppText>
              Reported {stopped.condition === 'stopped' ? 'standing still' : 'running, but not fully'} since{' '}
              {sayMoment(stopped.since ?? stopped.at, now(), settings.zone, settings.language)}: recorded with it.
            </AppText>
          )}
          <OneOf
            label="How soon"
            of={urgencies}
            words={urgencyWords}
            chosen={typed.urgency as Urgency}
            onChoose={(urgency) => form.setValue('urgency', urgency)}
          />
          <DayChoice
            label="Due"
            offered={DUE_OFFERED}
            first={0}
            zone={settings.zone}
            language={settings.language}
            day={typed.due}
            onChoose={(day) => form.setValue('due', day)}
          >
            <Choice
              word={`By how soon: ${byRule}`}
              isChosen={typed.due === BY_RULE}
              onPress={() => form.setValue('due', BY_RULE)}
            />
          </DayChoice>
          <OneOf
            label="Kind of work"
            of={workKinds}
            words={kindWords}
            chosen={typed.kind as WorkKind}
            onChoose={(kind) => form.setValue('kind', kind)}
          />
          <View style={sheet.question}>
            <AppText as="label">Trade</AppText>
            <Choices label="Trade">
              {tradesOfWork(settings).map(({ id, name }) => (
                <Choice
                  key={id}
                  word={name}
                  isChosen={id === typed.tradeId}
                  onPress={() => form.setValue('tradeId', id)}
                />
              ))}
            </Choices>
          </View>
        </View>
        <View style={isWide && words === null ? sheet.half : sheet.column}>
          <OnDay settings={settings} day={typed.plannedOn} onChoose={(day) => form.setValue('plannedOn', day)} />
          <WhoDoesIt
            siteId={asset.siteId}
            personIds={typed.personIds}
            crewId={typed.crewId === '' ? null : (typed.crewId as CrewId)}
            onPeople={(ids) => form.setValue('personIds', [...ids])}
            onCrew={(id) => form.setValue('crewId', id ?? '')}
          />
          <ProcedureChoice asset={asset} title={title} chosen={procedure} onChoose={setProcedure} />
          <NewStepsField
            asset={asset}
            words={title}
            steps={typed.steps}
            onChange={(steps) => form.setValue('steps', [...steps])}
          />
          {procedure?.kit === undefined ? <UsualKitChoice of={usualKit} /> : <KitOfProcedure kit={procedure.kit} />}
          <DurationField
            control={form.control}
            name="estimate"
            label={
              estimateMinutes === 0 ? 'How long (not needed)' : `How long, if not ${formatDuration(estimateMinutes)}`
            }
          />
        </View>
      </View>
      <FormRefusal sentence={refusal ?? form.formState.errors.due?.message ?? null} />
      {waits ? <AppText>It will wait until a lead lets it start.</AppText> : null}
      {submitter === undefined ? <Button rank="primary" word="Take it up" onPress={submit} /> : null}
    </>
  );
}

/** The first sentence of what was said, short enough for a title. */
function titleOf(words: string): string {
  const [first = ''] = words.trim().split(/(?<=[.!?])\s|\n/);
  return first.length <= 120 ? first : `${first.slice(0, 119)}…`;
}

function reasonOf(reports: readonly Report[]): string {
  return reports.map(({ number, words }) => `${number}: ${words}`).join('\n');
}

const mostUrgent = (reports: readonly Report[]): Urgency =>
  urgencies.find((urgency) => reports.some((report) => report.urgency === urgency)) ?? 'week';

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
  question: { gap: 6 },
  columns: { flexDirection: 'row', gap: 32 },
  column: { gap: 14 },
  half: { flex: 1, minWidth: 0, gap: 14 },
});
