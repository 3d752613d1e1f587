import { useState, type ReactElement } from 'react';
import { DayCalendar } from '../../../forms/day-choice';
import { useController, type FieldValues, type Path, type UseFormReturn } from 'react-hook-form';
import { StyleSheet, View } from 'react-native';
import { mdiCalendar } from '@mdi/js';
import { addDays, inZone, isLocalDay, localDate, type LocalDay } from '@oilcan/core/kernel';
import type { Settings } from '@oilcan/core/orders/settings';
import { urgencies, type WorkOrder } from '@oilcan/core/orders/work';
import { now, useSettings } from '../../../data/store/store';
import { useOperation } from '../../../data/store/use-operation';
import { FormField } from '../../../forms/form-field';
import { FormRefusal } from '../../../forms/form-refusal';
import { useOperationForm } from '../../../forms/use-operation-form';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Field } from '../../../ui/fields/field';
import { Choice, Choices } from '../../../ui/fields/choice';
import { Button } from '../../../ui/press/press';
import { AppText } from '../../../ui/theme/app-text';
import { sayLocalDay, sayMoment } from '../../../words/dates';
import { timeOn, USUAL_DUE_TIME } from './due-on';
import { urgencyWords } from '../../../words/work-words';

/** What of when it is done is changed. */
export type Aspect = 'urgency' | 'due' | 'putOff' | 'planned';

const aspectWords: Readonly<Record<Aspect, string>> = {
  urgency: 'How urgent',
  due: 'Due',
  putOff: 'Put off',
  planned: 'Planned for',
};

/** The likeliest first: it stands there from the beginning. */
const usualReasons: Readonly<Record<Exclude<Aspect, 'planned'>, readonly string[]>> = {
  urgency: ['As found at the machine', 'Operation asks for it', 'Weather'],
  due: ['Agreed with operation', 'Waits for a part', 'As found at the machine'],
  putOff: ['Something more urgent first', 'Waits for a part', 'No access', 'Weather'],
};

/** So many days are offered as buttons. */
const DAYS_OFFERED = 4;

interface Props {
  readonly work: WorkOrder;
  readonly first: Aspect;
  readonly onClose: () => void;
}

/** How urgent it is, when it is due, for which day it is planned, or that it is put off: one press on what it becomes. */
export function WhenSheet({ work, first, onClose }: Props): ReactElement | null {
  const settings = useSettings(work.siteId);
  const [aspect, setAspect] = useState<Aspect>(first);
  if (settings === undefined) return null;
  const props = { work, settings, onClose };
  return (
    <BottomSheet title={aspectWords[aspect]} aside={work.number} onClose={onClose}>
      <Choices label="What is changed">
        {(Object.keys(aspectWords) as Aspect[]).map((each) => (
          <Choice key={each} word={aspectWords[each]} isChosen={aspect === each} onPress={() => setAspect(each)} />
        ))}
      </Choices>
      {aspect === 'urgency' ? <Urgency {...props} /> : null}
      {aspect === 'due' ? <Due {...props} /> : null}
      {aspect === 'putOff' ? <PutOffTo {...props} /> : null}
      {aspect === 'planned' ? <Planned {...props} /> : null}
    </BottomSheet>
  );
}

interface AspectProps extends Pick<Props, 'work' | 'onClose'> {
  readonly settings: Settings;
}

function Urgency({ work, onClose }: AspectProps): ReactElement {
  const { form, submit, refusal } = useOperationForm({
    operation: 'work.set-urgency',
    about: work.id,
    defaultValues: { reason: usualReasons.urgency[0] ?? '', urgency: work.urgency },
    neverKept: ['urgency'],
    read: ({ reason, urgency }) => ({ args: { workOrderId: work.id, urgency, reason } }),
    said: ({ urgency }) => `${work.number}: ${urgencyWords[urgency]}.`,
    onDone: onClose,
  });
  return (
    <>
      <Why form={form} usual={usualReasons.urgency} />
      <View style={sheet.buttons}>
        {urgencies
          .filter((urgency) => urgency !== work.urgency)
          .map((urgency) => (
            <Button
              key={urgency}
              word={urgencyWords[urgency]}
              label={`Urgency: ${urgencyWords[urgency]}`}
              style={sheet.grow}
              onPress={() => {
                form.setValue('urgency', urgency);
                submit();
              }}
            />
          ))}
      </View>
      <FormRefusal sentence={refusal} />
    </>
  );
}

/** No day is chosen. */
const NO_DAY = '';

function Due({ work, settings, onClose }: AspectProps): ReactElement {
  const { zone, language } = settings;
  const { form, submit, refusal } = useOperationForm({
    operation: 'work.set-due',
    about: work.id,
    defaultValues: {
      reason: usualReasons.due[0] ?? '',
      time: work.dueAt === null ? USUAL_DUE_TIME : inZone(work.dueAt, zone).toFormat('HH:mm'),
      day: NO_DAY,
    },
    neverKept: ['day'],
    fieldOf: (argument) => (argument === 'dueAt' ? 'time' : 'reason'),
    read: ({ reason, time, day }) => {
      const dueAt = isLocalDay(day) ? timeOn(day, time, zone) : null;
      if (isLocalDay(day) && dueAt === null) return { unreadable: 'time', hint: 'Write the time as 14:20.' };
      return { args: { workOrderId: work.id, dueAt, reason } };
    },
    said: ({ dueAt }) => (dueAt === null ? 'Due at no time.' : `Due ${sayMoment(dueAt, now(), zone, language)}.`),
    onDone: onClose,
  });
  const set = (day: LocalDay | typeof NO_DAY): void => {
    form.setValue('day', day);
    submit();
  };
  return (
    <>
      <Why form={form} usual={usualReasons.due} />
      <FormField control={form.control} name="time" label="By what time of the day" />
      <Days settings={settings} firstDay={0} verb="Due" onDay={set} />
      {work.dueAt === null ? null : <Button word="At no time" onPress={() => set(NO_DAY)} />}
      <FormRefusal sentence={refusal} />
    </>
  );
}

function PutOffTo({ work, settings, onClose }: AspectProps): ReactElement {
  const usual = usualReasons.putOff;
  const { form, submit, refusal } = useOperationForm({
    operation: 'work.put-off',
    about: work.id,
    defaultValues: {
      reason: (work.held?.reason === 'part' ? usual[1] : usual[0]) ?? '',
      until: localDate(now(), settings.zone),
    },
    neverKept: ['until'],
    read: ({ reason, until }) => ({ args: { workOrderId: work.id, until, reason } }),
    said: ({ until }) =>
      `${work.number} comes back ${sayLocalDay(until as LocalDay, now(), settings.zone, settings.language)}.`,
    onDone: onClose,
  });
  const due = work.dueAt === null ? null : localDate(work.dueAt, settings.zone);
  return (
    <>
      <Why form={form} usual={usual} />
      <Days
        settings={settings}
        firstDay={1}
        verb="Put off to"
        onDay={(day) => {
          form.setValue('until', day);
          submit();
        }}
      />
      <AppText as="small" soft>
        It leaves the lists and comes back by itself on the morning of that day.
        {due === null
          ? ''
          : ` It ${(work.dueAt ?? '') < now() ? 'was' : 'is'} due ${sayMoment(work.dueAt ?? now(), now(), settings.zone, settings.language)}.`}{' '}
        If your clock runs here, it stops and its time is kept.
      </AppText>
      <FormRefusal sentence={refusal} />
    </>
  );
}

function Planned({ work, settings, onClose }: AspectProps): ReactElement {
  const { run, refusal, errorAt } = useOperation();
  const plan = async (day: LocalDay | null): Promise<void> => {
    const said =
      day === null
        ? 'Planned for no day.'
        : `Planned for ${sayLocalDay(day, now(), settings.zone, settings.language)}.`;
    if (await run('work.plan', { workOrderId: work.id, day }, said)) onClose();
  };
  return (
    <>
      <Days settings={settings} firstDay={0} verb="Planned for" onDay={(day) => void plan(day)} />
      {(work.plannedOn ?? null) === null ? null : <Button word="For no day" onPress={() => void plan(null)} />}
      <FormRefusal sentence={errorAt(refusal?.field ?? '')} />
    </>
  );
}

interface WhyProps<Values extends WithReason> {
  readonly form: UseFormReturn<Values>;
  readonly usual: readonly string[];
}

interface WithReason extends FieldValues {
  readonly reason: string;
}

function Why<Values extends WithReason>({ form, usual }: WhyProps<Values>): ReactElement {
  const { field, fieldState } = useController({ control: form.control, name: 'reason' as Path<Values> });
  const reason = field.value as string;
  return (
    <>
      <Choices label="Why">
        {usual.map((each) => (
          <Choice key={each} word={each} isChosen={reason === each} onPress={() => field.onChange(each)} />
        ))}
      </Choices>
      <Field
        label="Another reason"
        value={usual.includes(reason) ? '' : reason}
        onChange={(text) => field.onChange(text === '' ? (usual[0] ?? '') : text)}
        inputRef={field.ref}
        error={fieldState.error?.message ?? null}
      />
    </>
  );
}

interface DaysProps {
  readonly settings: Settings;
  /** So many days from today the first is that can be chosen. */
  readonly firstDay: 0 | 1;
  readonly verb: string;
  readonly onDay: (day: LocalDay) => void;
}

/** The next days, a press each, and any other from the calendar. */
function Days({ settings: { zone, language }, firstDay, verb, onDay }: DaysProps): ReactElement {
  const [isPicking, setIsPicking] = useState(false);
  const present = now();
  const today = localDate(present, zone);
  const days = Array.from({ length: DAYS_OFFERED }, (_, index) => addDays(today, firstDay + index));
  return (
    <View style={sheet.buttons}>
      {days.map((day) => {
        const word = sayLocalDay(day, present, zone, language);
        return (
          <Button
            key={day}
            word={word.slice(0, 1).toUpperCase() + word.slice(1)}
            label={`${verb} ${word}`}
            style={sheet.grow}
            onPress={() => onDay(day)}
          />
        );
      })}
      <Button icon={mdiCalendar} word="Another day" style={sheet.grow} onPress={() => setIsPicking(true)} />
      {isPicking ? (
        <DayCalendar
          label={verb}
          first={firstDay}
          zone={zone}
          language={language}
          onDay={onDay}
          onClose={() => setIsPicking(false)}
        />
      ) : null}
    </View>
  );
}

const sheet = StyleSheet.create({
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  grow: { flexGrow: 1 },
});
