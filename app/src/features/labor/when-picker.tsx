import type { ReactElement } from 'react';
import { DatePickerModal, registerTranslation, TimePickerModal, en } from 'react-native-paper-dates';
import { inZone, type Instant, type Zone } from '@oilcan/core/kernel';

registerTranslation('en', en);

interface Props {
  readonly what: 'start' | 'end' | 'day';
  /** What is chosen at first. */
  readonly at: Instant;
  readonly notAfter: Instant;
  readonly zone: Zone;
  readonly language: string;
  /** As it is typed: `14:20`, or `2026-11-23`. */
  readonly onPicked: (text: string) => void;
  readonly onClose: () => void;
}

/** A time of day or a day, chosen instead of typed; by the clock of the site. */
export function WhenPicker({ what, at, notAfter, zone, onPicked, onClose }: Props): ReactElement {
  const local = inZone(at, zone);
  if (what === 'day') {
    const last = inZone(notAfter, zone);
    // The picker thinks in days of the browser: only the numbers on the calendar are exchanged.
    return (
      <DatePickerModal
        locale="en"
        mode="single"
        visible
        date={new Date(local.year, local.month - 1, local.day)}
        validRange={{ endDate: new Date(last.year, last.month - 1, last.day) }}
        onDismiss={onClose}
        onConfirm={({ date }) => {
          if (date !== undefined) onPicked(isoDay(date));
        }}
        label="The day on which it began"
        saveLabel="Take this day"
        startWeekOnMonday
      />
    );
  }
  return (
    <TimePickerModal
      locale="en"
      visible
      use24HourClock
      hours={local.hour}
      minutes={local.minute}
      label={what === 'start' ? 'When it began' : 'When it ended'}
      confirmLabel="Take this time"
      cancelLabel="Leave it"
      onDismiss={onClose}
      onConfirm={({ hours, minutes }) => onPicked(`${twoDigits(hours)}:${twoDigits(minutes)}`)}
    />
  );
}

const twoDigits = (value: number): string => String(value).padStart(2, '0');

function isoDay(date: Date): string {
  return `${date.getFullYear()}-${twoDigits(date.getMonth() + 1)}-${twoDigits(date.getDate())}`;
}
