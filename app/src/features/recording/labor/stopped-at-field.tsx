import type { ReactElement } from 'react';
import type { Control, FieldPath, FieldValues } from 'react-hook-form';
import type { Clock } from '@oilcan/core/recording/labor';
import type { Settings } from '@oilcan/core/orders/settings';
import { now } from '../../../data/store/store';
import { MomentField } from '../../../forms/moment-field';
import { firstWallTimeAfter } from './wall-time';

interface Props<Values extends FieldValues> {
  readonly control: Control<Values>;
  readonly name: FieldPath<Values>;
  readonly clock: Pick<Clock, 'startedAt'>;
  readonly settings: Pick<Settings, 'zone' | 'language'>;
}

/** When the work really stopped, of a clock that ran on: the first such time after it began. */
export function StoppedAtField<Values extends FieldValues>({
  control,
  name,
  clock,
  settings: { zone, language },
}: Props<Values>): ReactElement {
  return (
    <MomentField
      control={control}
      name={name}
      label="Stopped at"
      hint="such as 15:30"
      present={now()}
      zone={zone}
      language={language}
      readAs={(typed) => firstWallTimeAfter(typed, clock.startedAt, zone)}
      autoFocus
    />
  );
}
