import type { ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { formatDuration, type CrewId } from '@oilcan/core/kernel';
import { tradesOfWork, type Settings } from '@oilcan/core/orders/settings';
import { urgencies, workKinds } from '@oilcan/core/orders/work';
import { now, usePhone, useSettings } from '../../../data/store/store';
import { DayChoice } from '../../../forms/day-choice';
import { DurationField } from '../../../forms/duration-field';
import { FormField } from '../../../forms/form-field';
import { FormRefusal } from '../../../forms/form-refusal';
import { WhoDoesIt } from '../../../forms/who-does-it';
import { Choice, Choices } from '../../../ui/fields/choice';
import { Button } from '../../../ui/press/press';
import { AppText } from '../../../ui/theme/app-text';
import { useIsWide } from '../../../ui/theme/theme';
import { sayMoment } from '../../../words/dates';
import { kindWords, urgencyWords } from '../../../words/work-words';
import { NewStepsField } from '../../steps/steps';
import { UsualKitChoice } from '../../stores/kit-list';
import { stoppedIn } from './plan-args';
import { KitOfProcedure, OnDay, OneOf, ProcedureChoice } from './plan-choices';
import { TakenAlong } from './taken-along';
import { BY_RULE, useLikelyTrade, usePlan, type Plan, type PlanGiven } from './use-plan';

const DUE_OFFERED = [0, 1, 2, 3, 4];

/** A new work order with all that is known of it: what makes it, for whom, when, by which steps, with which kit. */
export function PlanForm(given: PlanGiven): ReactElement | null {
  const settings = useSettings(given.asset.siteId);
  const me = usePhone((state) => state.person);
  const tradeId = useLikelyTrade(given.asset) ?? me?.tradeId ?? '';
  if (settings === undefined || me === null) return null;
  return <Fields {...given} settings={settings} likelyTrade={tradeId} />;
}

interface FieldsProps extends PlanGiven {
  readonly settings: Settings;
  readonly likelyTrade: string;
}

function Fields({ settings, likelyTrade, ...given }: FieldsProps): ReactElement {
  const isWide = useIsWide();
  const plan = usePlan(given, settings, likelyTrade);
  const { form, submit, refusal, waits } = plan;
  const isHalved = isWide && given.words === null;
  const column = isHalved ? sheet.half : sheet.column;
  return (
    <>
      <View style={isHalved ? sheet.columns : sheet.column}>
        <View style={column}>
          <WhatAndWhen given={given} plan={plan} settings={settings} />
        </View>
        <View style={column}>
          <WhoAndHow given={given} plan={plan} settings={settings} />
        </View>
      </View>
      <FormRefusal sentence={refusal ?? form.formState.errors.due?.message ?? null} />
      {waits ? <AppText>It will wait until a lead lets it start.</AppText> : null}
      {given.submitter === undefined ? <Button rank="primary" word="Take it up" onPress={submit} /> : null}
    </>
  );
}

interface HalfProps {
  readonly given: PlanGiven;
  readonly plan: Plan;
  readonly settings: Settings;
}

function WhatAndWhen({ given, plan, settings }: HalfProps): ReactElement {
  const { words, reports, along } = given;
  const { form, typed, noteTitle, byRule } = plan;
  const stopped = stoppedIn(reports);
  return (
    <>
      {words === null ? (
        <>
          <View onBlur={noteTitle}>
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
        chosen={typed.urgency}
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
        chosen={typed.kind}
        onChoose={(kind) => form.setValue('kind', kind)}
      />
      <View style={sheet.question}>
        <AppText as="label">Trade</AppText>
        <Choices label="Trade">
          {tradesOfWork(settings).map(({ id, name }) => (
            <Choice key={id} word={name} isChosen={id === typed.tradeId} onPress={() => form.setValue('tradeId', id)} />
          ))}
        </Choices>
      </View>
    </>
  );
}

function WhoAndHow({ given, plan, settings }: HalfProps): ReactElement {
  const { asset } = given;
  const { form, typed, title, procedure, setProcedure, usualKit, estimateMinutes } = plan;
  return (
    <>
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
        label={estimateMinutes === 0 ? 'How long (not needed)' : `How long, if not ${formatDuration(estimateMinutes)}`}
      />
    </>
  );
}

const sheet = StyleSheet.create({
  question: { gap: 6 },
  columns: { flexDirection: 'row', gap: 32 },
  column: { gap: 14 },
  half: { flex: 1, minWidth: 0, gap: 14 },
});
