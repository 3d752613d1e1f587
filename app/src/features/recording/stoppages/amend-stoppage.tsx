import { useState, type ReactElement } from 'react';
import { addMinutes } from '@oilcan/core/kernel';
import type { EntryOf, WorkOrder } from '@oilcan/core/orders/work';
import { now, useSettings } from '../../../data/store/store';
import { FormRefusal } from '../../../forms/form-refusal';
import { useOperationForm } from '../../../forms/use-operation-form';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Button } from '../../../ui/press/press';
import { AppText } from '../../../ui/theme/app-text';
import { noTime, readTime, TimeFields, typedTime } from '../labor';

interface Props {
  readonly work: WorkOrder;
  readonly entry: EntryOf<'stoppage'>;
  readonly onClose: () => void;
}

/** Other times of a stoppage that has ended. */
export function AmendStoppage({ work, entry: { id, content }, onClose }: Props): ReactElement | null {
  const settings = useSettings(work.siteId);
  const zone = settings?.zone ?? 'utc';
  const [present] = useState(now);
  const { form, submit, refusal } = useOperationForm({
    operation: 'stoppage.amend',
    about: id,
    defaultValues: content.to === null ? noTime : typedTime(content.from, content.to, zone),
    fieldOf: (argument) => (argument === 'to' ? 'end' : 'start'),
    read: (typed) => {
      const time = readTime(typed, present, zone);
      if (!time.ok) return { unreadable: time.field, hint: time.sentence };
      const { startedAt: from, minutes } = time;
      return { args: { workOrderId: work.id, entryId: id, from, to: addMinutes(from, minutes) } };
    },
    said: 'Stoppage amended.',
    onDone: onClose,
  });
  if (settings === undefined) return null;
  return (
    <BottomSheet
      title="Other times"
      aside={work.number}
      onClose={onClose}
      {...(content.to === null ? {} : { foot: <Button rank="primary" word="Amend the stoppage" onPress={submit} /> })}
    >
      {content.to === null ? (
        <AppText>It lasts still. Say first that the machine runs again, then its times can be put right.</AppText>
      ) : (
        <TimeFields form={form} present={present} zone={zone} language={settings.language} onEnter={submit} />
      )}
      <FormRefusal sentence={refusal} />
    </BottomSheet>
  );
}
