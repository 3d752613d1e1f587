import type { ReactElement } from 'react';

import { usualLimits, type ReviewLimits, type Settings } from '@oilcan/core/orders/settings';
import { useSettings } from '../../../data/store/store';
import { FormField } from '../../../forms/form-field';
import { FormRefusal } from '../../../forms/form-refusal';
import { useOperationForm } from '../../../forms/use-operation-form';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Button } from '../../../ui/press/press';
import { AppText } from '../../../ui/theme/app-text';
import { readNumber } from '../../../words/read-number';

const fields: readonly (readonly [keyof ReviewLimits, string])[] = [
  ['estimateTimes', 'Worked for so many times the estimate'],
  ['minutesOver', 'and by so many minutes more'],
  ['costDeviations', 'Cost so many deviations above such jobs'],
  ['repeatShare', 'Came back within this part of its usual gap (0 to 1)'],
  ['unplannedParts', 'So many different parts that nobody planned'],
  ['lateHours', 'Time written down so many hours later'],
];

/** A lead says from when on finished work is called unusual. */
export function LimitsSheet({ onClose }: { readonly onClose: () => void }): ReactElement | null {
  const settings = useSettings();
  return settings === undefined ? null : <Limits settings={settings} onClose={onClose} />;
}

function Limits({ settings, onClose }: { readonly settings: Settings; readonly onClose: () => void }): ReactElement {
  const now = settings.review ?? usualLimits;
  const { form, submit, refusal } = useOperationForm({
    operation: 'review.set-limits',
    about: 'limits',
    defaultValues: Object.fromEntries(fields.map(([name]) => [name, String(now[name])])) as Record<
      keyof ReviewLimits,
      string
    >,
    read: (typed) => {
      const read = fields.map(([name]) => [name, readNumber(typed[name])] as const);
      const wrong = read.find(([, value]) => value === null);
      if (wrong !== undefined) return { unreadable: wrong[0], hint: 'Write a number, such as 2 or 1.5.' };
      return { args: Object.fromEntries(read) as unknown as ReviewLimits };
    },
    said: 'Kept. It holds for work that is finished from now on.',
    onDone: onClose,
  });
  return (
    <BottomSheet
      title="What is unusual"
      onClose={onClose}
      foot={<Button rank="primary" word="Keep" onPress={submit} />}
    >
      <AppText>
        Skipped steps, faults without codes, missing time and a reading beyond its alarm with no further work are always
        unusual.
      </AppText>
      {fields.map(([name, label]) => (
        <FormField key={name} control={form.control} name={name} label={label} keyboard="decimal-pad" />
      ))}
      <FormRefusal sentence={refusal} />
    </BottomSheet>
  );
}
