import { mdiCamera, mdiDebugStepOver, mdiUndo } from '@mdi/js';
import { useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { addMinutes, formatDuration, parseDuration } from '@oilcan/core/kernel';
import type { PlacedStep } from '@oilcan/core/steps/steps';
import { inTimeOrder, type Entry, type WorkOrder } from '@oilcan/core/orders/work';
import { takePicture } from '../../../data/pictures/take-picture';
import { now, useRows, useSettings } from '../../../data/store/store';
import { useMe } from '../../../data/store/use-me';
import { performOrSay } from '../../../data/store/use-operation';
import { DurationField } from '../../../forms/duration-field';
import { FormField } from '../../../forms/form-field';
import { FormRefusal } from '../../../forms/form-refusal';
import { ReasonField } from '../../../forms/reason-field';
import { useOperationForm } from '../../../forms/use-operation-form';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { useNotice } from '../../../ui/state/use-notice';
import { Choice, Choices } from '../../../ui/fields/choice';
import { Button } from '../../../ui/press/press';
import { AppText } from '../../../ui/theme/app-text';
import { sayMoment } from '../../../words/dates';
import { phoneNames } from '../../frame/views/names';
import { answerWords } from './kinds/words-of-kinds';
import { durationProblem } from '../../../forms/typed-words';

interface Props {
  readonly work: WorkOrder;
  readonly placed: PlacedStep;
  readonly canAnswer: boolean;
  readonly onClose: () => void;
}

/** What else there is to say of a step, ready to be written, and what was said of it so far. */
export function StepSheet({ work, placed: { step, number }, canAnswer, onClose }: Props): ReactElement {
  const [isSkipping, setIsSkipping] = useState(false);
  const [pictureError, setPictureError] = useState<string | null>(null);
  const say = useNotice((state) => state.say);
  const onStep = { workOrderId: work.id, stepId: step.id };
  const photograph = async (): Promise<void> => {
    setPictureError(null);
    const taken = await takePicture();
    if (taken.is === 'failed') setPictureError(taken.sentence);
    if (taken.is !== 'kept') return;
    const { id: fileId, mediaType, width, height } = taken.picture;
    const photo = { ...onStep, fileId, mediaType, width, height, caption: '' } as const;
    if (!(await performOrSay('photo.add', photo))) return;
    say('Photo kept.');
    onClose();
  };
  const takeBack = async (): Promise<void> => {
    if (await performOrSay('step.answer', { ...onStep, answer: null })) onClose();
  };
  return (
    <BottomSheet title={`Step ${number}`} onClose={onClose}>
      <AppText>{step.text}</AppText>
      {canAnswer ? (
        <View style={sheet.keys}>
          <Button word="Photo" icon={mdiCamera} onPress={() => void photograph()} />
          <Button word="Skip" icon={mdiDebugStepOver} onPress={() => setIsSkipping(true)} />
          {step.answer === null ? null : <Button word="Take back" icon={mdiUndo} onPress={() => void takeBack()} />}
        </View>
      ) : null}
      <FormRefusal sentence={pictureError} />
      {canAnswer && isSkipping ? <SkipForm onStep={onStep} onDone={onClose} /> : null}
      {canAnswer && !isSkipping ? (
        <>
          <NoteForm onStep={onStep} onDone={onClose} />
          <MinutesForm onStep={onStep} onDone={onClose} />
        </>
      ) : null}
      <Said work={work} step={step} />
    </BottomSheet>
  );
}

interface FormProps {
  readonly onStep: Pick<PlacedStep['step'], 'workOrderId'> & { readonly stepId: PlacedStep['step']['id'] };
  readonly onDone: () => void;
}

function NoteForm({ onStep, onDone }: FormProps): ReactElement {
  const { form, submit, refusal } = useOperationForm({
    operation: 'note.add',
    about: onStep.stepId,
    defaultValues: { text: '' },
    read: ({ text }) => ({ args: { ...onStep, text } }),
    said: 'Note kept.',
    onDone,
  });
  return (
    <>
      <FormField control={form.control} name="text" label="Note" lines={2} />
      <FormRefusal sentence={refusal} />
      {form.watch('text').trim() === '' ? null : <Button rank="primary" word="Keep the note" onPress={submit} />}
    </>
  );
}

/** What is pressed instead of typed, in minutes. */
const USUAL_MINUTES = [5, 10, 15, 30, 60];

function MinutesForm({ onStep, onDone }: FormProps): ReactElement {
  const me = useMe();
  const [present] = useState(now);
  const { form, submit, refusal } = useOperationForm({
    operation: 'labor.add',
    about: onStep.stepId,
    defaultValues: { duration: '' },
    fieldOf: () => 'duration',
    read: ({ duration }) => {
      const minutes = parseDuration(duration);
      if (minutes === undefined || minutes === null) {
        return { unreadable: 'duration', hint: durationProblem(duration) };
      }
      const startedAt = addMinutes(present, -minutes);
      return { args: { ...onStep, personId: me, startedAt, minutes, timeType: 'regular' } };
    },
    said: ({ minutes }) => `${formatDuration(minutes)} kept. A running clock goes on without them.`,
    onDone,
  });
  const typed = form.watch('duration');
  return (
    <>
      <Choices label="Minutes">
        {USUAL_MINUTES.map((minutes) => (
          <Choice
            key={minutes}
            word={formatDuration(minutes)}
            isChosen={typed === `${minutes}m`}
            onPress={() => form.setValue('duration', `${minutes}m`)}
          />
        ))}
      </Choices>
      <DurationField control={form.control} name="duration" label="How long" hint="of my time" onEnter={submit} />
      <FormRefusal sentence={refusal} />
      {typed.trim() === '' ? null : <Button rank="primary" word="Keep the minutes" onPress={submit} />}
    </>
  );
}

/** Why steps are usually left out. */
const USUAL_REASONS = ['Does not apply here', 'No access', 'No time left', 'Part or tool missing'];

function SkipForm({ onStep, onDone }: FormProps): ReactElement {
  const { form, submit, refusal } = useOperationForm({
    operation: 'step.answer',
    about: onStep.stepId,
    defaultValues: { reason: '' },
    fieldOf: () => 'reason',
    read: ({ reason }) => ({ args: { ...onStep, answer: { type: 'skipped', reason } } }),
    said: 'Skipped.',
    onDone,
  });
  return (
    <>
      <ReasonField form={form} label="Why it is skipped" usual={USUAL_REASONS} onEnter={submit} />
      <FormRefusal sentence={refusal} />
      <Button rank="primary" word="Skip this step" onPress={submit} />
    </>
  );
}

/** Everything that was said of the step, the newest first. */
function Said({ work, step }: { readonly work: WorkOrder; readonly step: PlacedStep['step'] }): ReactElement | null {
  const settings = useSettings(work.siteId);
  const entries = useRows('entries', 'workOrder', work.id);
  const lines = inTimeOrder(entries).flatMap((entry) => {
    const said = lineOf(entry, step);
    return said === null ? [] : [{ entry, said }];
  });
  if (lines.length === 0 || settings === undefined) return null;
  return (
    <View style={sheet.said}>
      <AppText as="label">Said so far</AppText>
      {lines.map(({ entry, said }) => (
        <AppText key={entry.id}>
          {said} · {phoneNames.person(entry.by)?.name ?? ''},{' '}
          {sayMoment(entry.at, now(), settings.zone, settings.language)}
        </AppText>
      ))}
    </View>
  );
}

function lineOf({ content }: Entry, { id, question }: PlacedStep['step']): string | null {
  if (!('stepId' in content) || content.stepId !== id) return null;
  switch (content.kind) {
    case 'answer':
      return answerWords(content.answer, question, phoneNames);
    case 'note':
      return content.text;
    case 'photo':
      return 'photo';
    case 'labor':
      return formatDuration(content.minutes);
  }
}

const sheet = StyleSheet.create({
  keys: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  said: { gap: 4, paddingTop: 4 },
});
