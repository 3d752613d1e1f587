import { useState, type ReactElement } from 'react';
import { formatDuration, inZone, localDate, typedDuration } from '@oilcan/core/kernel';
import { timeTypes, type TimeType } from '@oilcan/core/recording/labor';
import type { EntryOf, WorkOrder } from '@oilcan/core/orders/work';
import { now, useSettings } from '../../../data/store/store';
import { FormRefusal } from '../../../forms/form-refusal';
import { useOperationForm } from '../../../forms/use-operation-form';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Choice, Choices } from '../../../ui/fields/choice';
import { Button } from '../../../ui/press/press';
import { timeTypeWords } from '../../../words/work-words';
import { readTime, type TypedTime } from './read-time';
import { TimeFields } from './time-fields';

interface Props {
  readonly work: WorkOrder;
  readonly entry: EntryOf<'labor'>;
  readonly onClose: () => void;
}

interface Typed extends TypedTime {
  readonly timeType: TimeType;
}

/** Time that was written wrongly: how long, from when, on which day, and of which kind. */
export function AmendTime({ work, entry: { id, content }, onClose }: Props): ReactElement | null {
  const settings = useSettings(work.siteId);
  const zone = settings?.zone ?? 'utc';
  const [present] = useState(now);
  const { startedAt, minutes, timeType } = content;
  const { form, submit, refusal } = useOperationForm({
    operation: 'labor.amend',
    about: id,
    defaultValues: {
      duration: typedDuration(minutes),
      start: inZone(startedAt, zone).toFormat('HH:mm'),
      end: '',
      day: localDate(startedAt, zone),
      timeType,
    } as Typed,
    fieldOf: (argument) => (argument === 'startedAt' ? 'start' : argument === 'minutes' ? 'duration' : 'timeType'),
    read: (typed) => {
      const time = readTime(typed, present, zone);
      if (!time.ok) return { unreadable: time.field, hint: time.sentence };
      const on = { workOrderId: work.id, entryId: id };
      return { args: { ...on, startedAt: time.startedAt, minutes: time.minutes, timeType: typed.timeType } };
    },
    said: (args) => `Now ${formatDuration(args.minutes)}.`,
    onDone: onClose,
  });
  if (settings === undefined) return null;
  const chosen = form.watch('timeType');
  return (
    <BottomSheet
      title="Another time"
      aside={work.number}
      onClose={onClose}
      foot={<Button rank="primary" word="Amend the time" onPress={submit} />}
    >
      <TimeFields form={form} present={present} zone={zone} language={settings.language} onEnter={submit} />
      <Choices label="Kind of time">
        {timeTypes.map((each) => (
          <Choice
            key={each}
            word={timeTypeWords[each]}
            isChosen={chosen === each}
            onPress={() => form.setValue('timeType', each)}
          />
        ))}
      </Choices>
      <FormRefusal sentence={refusal} />
    </BottomSheet>
  );
}
