import { useState, type ReactElement } from 'react';
import type { Clock } from '@oilcan/core/labor';
import { useOperation } from '../../data/use-operation';
import { now, useSettings } from '../../data/store';
import { BottomSheet } from '../../ui/bottom-sheet';
import { Field } from '../../ui/field';
import { Button } from '../../ui/press';
import { Words } from '../../ui/words';
import { sayMoment } from '../../words/dates';
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
  const { run, errorAt } = useOperation();
  const [typed, setTyped] = useState('');
  const [unreadable, setUnreadable] = useState<string | null>(null);
  if (settings === undefined) return null;
  const stop = async (): Promise<void> => {
    const ended = firstWallTimeAfter(typed, clock.startedAt, settings.zone);
    setUnreadable(ended === null ? 'Write the time as 14:20.' : null);
    if (ended === null) return;
    if (await run('clock.stop', { workOrderId: clock.workOrderId, endedAt: ended }, 'The clock is stopped.')) onClose();
  };
  return (
    <BottomSheet
      title="When did you stop?"
      onClose={onClose}
      foot={<Button main word="Keep this time" onPress={() => void stop()} />}
    >
      <Words>
        The clock has run since {sayMoment(clock.startedAt, now(), settings.zone, settings.language)}, over 24 h. One
        entry holds at most 24 h.
      </Words>
      <Field
        label="Stopped at, such as 15:30"
        value={typed}
        onChange={setTyped}
        error={unreadable ?? errorAt('endedAt')}
        autoFocus
      />
    </BottomSheet>
  );
}
