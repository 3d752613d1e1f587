import { useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { Calendar, en, registerTranslation, TimePicker } from 'react-native-paper-dates';
import { inZone, type Instant, type Zone } from '@oilcan/core/kernel';
import { BottomSheet } from '../ui/layout/bottom-sheet';
import { Button } from '../ui/press/press';

registerTranslation('en', en);

interface Props {
  readonly what: 'time' | 'day';
  /** What is chosen at first. */
  readonly at: Instant;
  /** The first and the last day that can be chosen. */
  readonly notBefore?: Instant;
  readonly notAfter?: Instant;
  readonly label: string;
  readonly zone: Zone;
  /** As it is typed: `14:20`, or `2026-11-23`. */
  readonly onPicked: (text: string) => void;
  readonly onClose: () => void;
}

/** A time of day or a day, chosen instead of typed; by the clock of the site. */
export function WhenPicker({ what, label, onClose, ...rest }: Props): ReactElement {
  return what === 'day' ? (
    <BottomSheet title={label} onClose={onClose}>
      <Days {...rest} />
    </BottomSheet>
  ) : (
    <TimeOfDay {...rest} label={label} onClose={onClose} />
  );
}

/** The picker thinks in days of the browser: only the numbers on the calendar are exchanged. */
function Days({ at, notBefore, notAfter, zone, onPicked }: Omit<Props, 'what' | 'label' | 'onClose'>): ReactElement {
  return (
    <View style={sheet.calendar}>
      <Calendar
        locale="en"
        mode="single"
        date={calendarDay(at, zone)}
        validRange={{
          ...(notBefore === undefined ? {} : { startDate: calendarDay(notBefore, zone) }),
          ...(notAfter === undefined ? {} : { endDate: calendarDay(notAfter, zone) }),
        }}
        onChange={({ date }) => {
          if (date !== undefined) onPicked(isoDay(date));
        }}
        startWeekOnMonday
      />
    </View>
  );
}

function TimeOfDay({ at, label, zone, onPicked, onClose }: Omit<Props, 'what'>): ReactElement {
  const local = inZone(at, zone);
  const [time, setTime] = useState({ hours: local.hour, minutes: local.minute });
  const [focused, setFocused] = useState<'hours' | 'minutes'>('hours');
  const text = `${twoDigits(time.hours)}:${twoDigits(time.minutes)}`;
  return (
    <BottomSheet
      title={label}
      onClose={onClose}
      foot={<Button rank="primary" word={`Take ${text}`} onPress={() => onPicked(text)} />}
    >
      <View style={sheet.clock}>
        <TimePicker
          locale="en"
          inputType="picker"
          use24HourClock
          focused={focused}
          hours={time.hours}
          minutes={time.minutes}
          onFocusInput={setFocused}
          onChange={({ hours, minutes, focused: next }) => {
            setTime({ hours, minutes });
            if (next !== undefined) setFocused(next);
          }}
        />
      </View>
    </BottomSheet>
  );
}

/** The day of the site as midnight of the browser. */
function calendarDay(at: Instant, zone: Zone): Date {
  const local = inZone(at, zone);
  return new Date(local.year, local.month - 1, local.day);
}

const twoDigits = (value: number): string => String(value).padStart(2, '0');

function isoDay(date: Date): string {
  return `${date.getFullYear()}-${twoDigits(date.getMonth() + 1)}-${twoDigits(date.getDate())}`;
}

const sheet = StyleSheet.create({
  // As high as a month of six weeks, with its name and the days of the week.
  calendar: { height: 476 },
  clock: { alignItems: 'center' },
});
