import { mdiCalendar } from '@mdi/js';
import { useState, type ReactElement, type ReactNode } from 'react';
import { View } from 'react-native';
import { addDays, beginOfDay, isLocalDay, localDate, type LocalDay, type Zone } from '@oilcan/core/kernel';
import { now } from '../data/store/store';
import { Choice, Choices } from '../ui/fields/choice';
import { Button } from '../ui/press/press';
import { lazyComponent } from '../ui/loading/lazy-component';
import { AppText } from '../ui/theme/app-text';
import { sayLocalDay } from '../words/dates';

const WhenPicker = lazyComponent(() => import('./when-picker').then((module) => module.WhenPicker));

interface Where {
  readonly zone: Zone;
  readonly language: string;
}

interface CalendarProps extends Where {
  readonly label: string;
  /** The first and the last day that can be chosen, counted from today; absent for any. */
  readonly first?: number;
  readonly last?: number;
  readonly onDay: (day: LocalDay) => void;
  readonly onClose: () => void;
}

/** Any day, out of the calendar. */
export function DayCalendar({ label, first, last, zone, onDay, onClose }: CalendarProps): ReactElement {
  const today = localDate(now(), zone);
  const at = (days: number) => beginOfDay(addDays(today, days), zone);
  return (
    <WhenPicker
      what="day"
      label={label}
      at={at(first ?? last ?? 0)}
      {...(first === undefined ? {} : { notBefore: at(first) })}
      {...(last === undefined ? {} : { notAfter: at(last) })}
      zone={zone}
      onPicked={(text) => {
        onClose();
        if (isLocalDay(text)) onDay(text);
      }}
      onClose={onClose}
    />
  );
}

interface Props extends Omit<CalendarProps, 'onDay' | 'onClose'> {
  /** The days that are offered with a press, counted from today, in their order. */
  readonly offered: readonly number[];
  /** Empty for none, or for what stands before the days. */
  readonly day: string;
  /** Pressed again, a chosen day is let go of. */
  readonly onChoose: (day: LocalDay | '') => void;
  /** What a day is called, where it is more than its name. */
  readonly wordOf?: (said: string, daysFromToday: number) => string;
  /** What can be chosen in place of a day; stands before them. */
  readonly children?: ReactNode;
}

/** A day: one of the likely ones with a press, or any other out of the calendar. Every form that asks for a day has this one. */
export function DayChoice({
  label,
  offered,
  day,
  onChoose,
  wordOf = (said) => said,
  children,
  ...calendar
}: Props): ReactElement {
  const [isPicking, setIsPicking] = useState(false);
  const { zone, language } = calendar;
  const today = localDate(now(), zone);
  const say = (each: LocalDay): string => sayLocalDay(each, now(), zone, language);
  const days = offered.map((days) => ({ days, each: addDays(today, days) }));
  const isOther = isLocalDay(day) && days.every(({ each }) => each !== day);
  return (
    <View style={{ gap: 6 }}>
      <AppText as="label">{label}</AppText>
      <Choices label={label}>
        {children}
        {days.map(({ days: fromToday, each }) => (
          <Choice
            key={each}
            word={wordOf(say(each), fromToday)}
            isChosen={each === day}
            onPress={() => onChoose(each === day ? '' : each)}
          />
        ))}
        {isOther ? <Choice word={say(day)} isChosen onPress={() => onChoose('')} /> : null}
      </Choices>
      <Button
        rank="quiet"
        icon={mdiCalendar}
        word="Another day"
        label={`${label}: another day`}
        onPress={() => setIsPicking(true)}
      />
      {isPicking ? (
        <DayCalendar {...calendar} label={label} onDay={onChoose} onClose={() => setIsPicking(false)} />
      ) : null}
    </View>
  );
}
