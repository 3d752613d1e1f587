import type { ReactElement } from 'react';
import type { Clock } from '@oilcan/core/recording/labor';
import { now, useSettings } from '../../../data/store/store';
import { FormRefusal } from '../../../forms/form-refusal';
import { TIME_HINT } from '../../../forms/typed-words';
import { useOperationForm } from '../../../forms/use-operation-form';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Button } from '../../../ui/press/press';
import { AppText } from '../../../ui/theme/app-text';
import { sayMoment } from '../../../words/dates';
import { StoppedAtField } from './stopped-at-field';
import { firstWallTimeAfter } from './wall-time';

/** A clock that ran for over a day was forgotten: when did the work really stop? */
export function ClockCorrectionSheet({
  clock,
  onClose,
}: {
  readonly clock: Clock;
  readonly onClose: () => void;
}): ReactElement | null {
  const settings = useSettings(clock.siteId);
  const { form, submit, refusal } = useOperationForm({
    operation: 'clock.stop',
    about: clock.id,
    defaultValues: { endedAt: '' },
    read: ({ endedAt: typed }) => {
      const endedAt = firstWallTimeAfter(typed, clock.startedAt, settings?.zone ?? 'utc');
      if (endedAt === null) return { unreadable: 'endedAt', hint: TIME_HINT };
      return { args: { workOrderId: clock.workOrderId, endedAt } };
    },
    said: 'The clock is stopped.',
    onDone: onClose,
  });
  if (settings === undefined) return null;
  return (
    <BottomSheet
      title="When did you stop?"
      onClose={onClose}
      foot={<Button rank="primary" word="Keep this time" onPress={submit} />}
    >
      <AppText>
        The clock has run since {sayMoment(clock.startedAt, now(), settings.zone, settings.language)}. One entry holds
        at most 24 h.
      </AppText>
      <StoppedAtField control={form.control} name="endedAt" clock={clock} settings={settings} />
      <FormRefusal sentence={refusal} />
    </BottomSheet>
  );
}
