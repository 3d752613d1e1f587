import { useCallback, useRef, type ReactElement } from 'react';
import { DayChoice } from '../../../forms/day-choice';
import { isLocalDay, localDate, type LocalDay } from '@oilcan/core/kernel';
import type { Owed } from '@oilcan/core/finishing/lifecycle';
import type { ArgsOf } from '@oilcan/core/registry/operations';
import type { Entry, WorkOrder } from '@oilcan/core/orders/work';
import { now, peekRow, useRow, useSettings } from '../../../data/store/store';
import { useMe } from '../../../data/store/use-me';
import { FormField } from '../../../forms/form-field';
import { FormRefusal } from '../../../forms/form-refusal';
import { useOperationForm } from '../../../forms/use-operation-form';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Choice } from '../../../ui/fields/choice';
import { Button } from '../../../ui/press/press';
import { AppText } from '../../../ui/theme/app-text';
import { owedWords } from '../../../words/work-words';
import { LeftToDo, useLeft } from '../further';
import { NextDueLine } from '../plans';
import { useMadeWork } from '../../orders/work';
import { StillOut } from '../../recording/stoppages';

interface Props {
  readonly work: WorkOrder;
  readonly entries: readonly Entry[];
  /** What is asked for and not given; nothing for which finishing waits. */
  readonly asked: readonly Owed[];
  readonly onClose: () => void;
}

/** The job is done: a last look at what was asked for, and one line of what was done, or none. */
export function FinishSheet({ work, entries, asked, onClose }: Props): ReactElement {
  const me = useMe();
  const clock = useRow('clocks', me);
  const { form, submit, refusal } = useOperationForm({
    operation: 'work.finish',
    about: work.id,
    defaultValues: { done: '', doneOn: '' as string },
    neverKept: ['doneOn'],
    read: ({ done, doneOn }) => ({
      args: {
        workOrderId: work.id,
        ...(done.trim() === '' ? {} : { done: done.trim() }),
        ...(isLocalDay(doneOn) ? { doneOn } : {}),
      },
    }),
    said: `${work.number} is finished.`,
    onDone: () => {
      void raiseFurther();
      onClose();
    },
  });
  const doneOn = form.watch('doneOn');
  const left = useLeft(work);
  const makes = useMadeWork();
  const further = useRef<readonly ArgsOf<'work.raise'>[]>([]);
  const raiseFurther = async (): Promise<void> => {
    await makes.raise(further.current, `${work.number} is finished.`);
  };
  const noteFurther = useCallback((wanted: readonly ArgsOf<'work.raise'>[]) => void (further.current = wanted), []);
  const nameOf = (id: string): string => peekRow('people', id)?.name ?? 'a mate';
  const lines = asked
    .filter(({ what }) => what !== 'stoppageEnd')
    .map((owed) => withinSentence(owedWords(owed, me, nameOf)));
  return (
    <BottomSheet
      title={`Finish ${work.number}?`}
      onClose={onClose}
      foot={<Button rank="primary" word="Yes, it is done" onPress={submit} />}
    >
      <DoneOn work={work} day={doneOn} onChoose={(day) => form.setValue('doneOn', day)} />
      <FormField control={form.control} name="done" label="What was done (not needed)" />
      <FormRefusal sentence={refusal} />
      {left.length === 0 ? null : <LeftToDo work={work} entries={entries} left={left} onChange={noteFurther} />}
      <StillOut work={work} entries={entries} doneOn={doneOn} />
      {work.plan === undefined ? null : <NextDueLine work={work} doneOn={doneOn} />}
      {lines.length === 0 ? null : (
        <AppText>Asked for and not given, which does not hold you up: {lines.join('; ')}.</AppText>
      )}
      {clock?.workOrderId === work.id ? <AppText>Your clock stops and its time is recorded.</AppText> : null}
      <AppText soft>After this only the lead can open it again.</AppText>
    </BottomSheet>
  );
}

const DAYS_BEFORE = [-1, -2, -3];

/** On which day it was done: today, unless somebody says otherwise. */
function DoneOn({
  work,
  day,
  onChoose,
}: {
  readonly work: WorkOrder;
  /** Empty for today. */
  readonly day: string;
  readonly onChoose: (day: LocalDay | '') => void;
}): ReactElement | null {
  const settings = useSettings(work.siteId);
  if (settings === undefined) return null;
  return (
    <DayChoice
      label="The day of the work"
      offered={DAYS_BEFORE}
      last={0}
      zone={settings.zone}
      language={settings.language}
      day={day}
      onChoose={(chosen) => onChoose(chosen === localDate(now(), settings.zone) ? '' : chosen)}
    >
      <Choice word="Done today" isChosen={day === ''} onPress={() => onChoose('')} />
    </DayChoice>
  );
}

/** A line as it stands within a sentence. */
function withinSentence(words: string): string {
  return words.slice(0, 1).toLowerCase() + words.slice(1);
}
