import { useState, type ReactElement } from 'react';
import { addMinutes, formatDuration } from '@oilcan/core/kernel';
import { otherTimeReasons, type OtherTime, type OtherTimeReason } from '@oilcan/core/recording/labor';
import { now, usePhone, useSettings } from '../../../data/store/store';
import { useMe } from '../../../data/store/use-me';
import { performOrSay } from '../../../data/store/use-operation';
import { FormField } from '../../../forms/form-field';
import { FormRefusal } from '../../../forms/form-refusal';
import { useOperationForm } from '../../../forms/use-operation-form';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Choice, Choices } from '../../../ui/fields/choice';
import { Button } from '../../../ui/press/press';
import { otherTimeWords } from '../../../words/work-words';
import { noTime, OverlapLines, readTime, TimeFields, typedTime, type TypedTime } from '../labor';
import { useSite } from '../../frame/page/use-site';

interface Props {
  readonly first?: TypedTime;
  /** What is recorded already, when that is to be changed. */
  readonly other?: OtherTime;
  readonly onClose: () => void;
}

/** Time not on a job: a meeting, a drive. */
export function OtherTimeSheet({ first = noTime, other, onClose }: Props): ReactElement | null {
  return other === undefined ? (
    <NewTime first={first} onClose={onClose} />
  ) : (
    <ChangedTime first={first} other={other} onClose={onClose} />
  );
}

function NewTime({ first, onClose }: { readonly first: TypedTime; readonly onClose: () => void }): ReactElement | null {
  const me = useMe();
  const here = useSite();
  const person = usePhone((state) => state.person);
  const siteId = here ?? person?.siteIds[0];
  const settings = useSettings(siteId);
  const [present] = useState(now);
  const [reason, setReason] = useState<OtherTimeReason>('meeting');
  const zone = settings?.zone ?? 'utc';
  const { form, submit, refusal } = useOperationForm({
    operation: 'time.add',
    about: 'new',
    defaultValues: { ...first, words: '' },
    fieldOf: (argument) =>
      argument === 'startedAt' ? 'start' : argument === 'minutes' ? 'duration' : (argument as 'words'),
    read: ({ words, ...typed }) => {
      const time = readTime(typed, present, zone);
      if (!time.ok) return { unreadable: time.field, hint: time.sentence };
      if (siteId === undefined) return { unreadable: 'duration', hint: 'You are on no site.' };
      return { args: { siteId, startedAt: time.startedAt, minutes: time.minutes, reason, words } };
    },
    said: ({ minutes }) => `${formatDuration(Math.max(0, minutes))} kept.`,
    onDone: onClose,
  });
  if (settings === undefined) return null;
  const read = readTime(form.watch(), present, zone);
  return (
    <BottomSheet
      title="Time not on a job"
      onClose={onClose}
      foot={
        <Button
          rank="primary"
          word={read.ok && read.minutes > 0 ? `Keep ${formatDuration(read.minutes)}` : 'Keep'}
          onPress={submit}
        />
      }
    >
      <Choices label="What for">
        {otherTimeReasons.map((each) => (
          <Choice key={each} word={otherTimeWords[each]} isChosen={reason === each} onPress={() => setReason(each)} />
        ))}
      </Choices>
      <TimeFields form={form} present={present} zone={zone} language={settings.language} onEnter={submit} />
      <FormField control={form.control} name="words" label="What about (may stay empty)" onEnter={submit} />
      {read.ok && read.minutes > 0 ? (
        <OverlapLines
          personId={me}
          from={read.startedAt}
          to={addMinutes(read.startedAt, read.minutes)}
          present={present}
          zone={zone}
          onCut={(from, to) => form.reset({ ...typedTime(from, to, zone), words: form.getValues('words') })}
        />
      ) : null}
      <FormRefusal sentence={refusal} />
    </BottomSheet>
  );
}

interface ChangedProps {
  readonly first: TypedTime;
  readonly other: OtherTime;
  readonly onClose: () => void;
}

/** It began at another time or took longer; or it is taken back. */
function ChangedTime({ first, other, onClose }: ChangedProps): ReactElement | null {
  const settings = useSettings(other.siteId);
  const [present] = useState(now);
  const zone = settings?.zone ?? 'utc';
  const { form, submit, refusal } = useOperationForm({
    operation: 'time.amend',
    about: other.id,
    defaultValues: first,
    fieldOf: (argument) => (argument === 'startedAt' ? 'start' : 'duration'),
    read: (typed) => {
      const time = readTime(typed, present, zone);
      if (!time.ok) return { unreadable: time.field, hint: time.sentence };
      return { args: { otherTimeId: other.id, startedAt: time.startedAt, minutes: time.minutes } };
    },
    said: ({ minutes }) => `Now ${formatDuration(Math.max(0, minutes))}.`,
    onDone: onClose,
  });
  if (settings === undefined) return null;
  const takeBack = async (): Promise<void> => {
    if (await performOrSay('time.remove', { otherTimeId: other.id })) onClose();
  };
  return (
    <BottomSheet
      title={otherTimeWords[other.reason]}
      aside={other.words}
      onClose={onClose}
      foot={
        <>
          <Button word="Take it back" onPress={() => void takeBack()} />
          <Button rank="primary" word="Keep the change" onPress={submit} />
        </>
      }
    >
      <TimeFields form={form} present={present} zone={zone} language={settings.language} onEnter={submit} />
      <FormRefusal sentence={refusal} />
    </BottomSheet>
  );
}
