import { useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { mdiCalendar, mdiClockOutline, mdiMinus, mdiPlus } from '@mdi/js';
import type { UseFormReturn } from 'react-hook-form';
import {
  addMinutes,
  formatDuration,
  inZone,
  typedDuration,
  type Instant,
  type LocalDay,
  type Zone,
} from '@oilcan/core/kernel';
import { DurationField } from '../../../forms/duration-field';
import { FormField } from '../../../forms/form-field';
import { Offers } from '../../../forms/offers';
import { lazyComponent } from '../../../ui/loading/lazy-component';
import { Button } from '../../../ui/press/press';
import { AppText } from '../../../ui/theme/app-text';
import { sayDay } from '../../../words/dates';
import { readTime, type TypedTime } from './read-time';

const WhenPicker = lazyComponent(() => import('../../../forms/when-picker').then((module) => module.WhenPicker));

const pickLabels = { start: 'When it began', end: 'When it ended', day: 'The day on which it began' } as const;

/** By so much a press makes a time longer or shorter. */
const STEP_MINUTES = 15;

interface Props<Values extends TypedTime> {
  readonly form: UseFormReturn<Values>;
  readonly present: Instant;
  readonly zone: Zone;
  readonly language: string;
  readonly onEnter: () => void;
  readonly autoFocus?: boolean;
}

/** How long, from when to when and on which day: typed, or chosen; any two give the third. */
export function TimeFields<Values extends TypedTime>(props: Props<Values>): ReactElement {
  const { present, zone, language, onEnter, autoFocus = false } = props;
  // The form may hold more; these are the fields that are drawn here.
  const form = props.form as unknown as UseFormReturn<TypedTime>;
  const [picking, setPicking] = useState<'start' | 'end' | 'day' | null>(null);
  const typed = form.watch();
  const read = readTime(typed, present, zone);
  const show = (instant: Instant): string => inZone(instant, zone).toFormat('HH:mm');
  const set = (field: keyof TypedTime, text: string): void =>
    form.setValue(field, text, { shouldValidate: form.formState.isSubmitted });
  const step = (by: 1 | -1): void => {
    const minutes = read.ok ? Math.max(0, read.minutes) : 0;
    const whole = by > 0 ? Math.floor(minutes / STEP_MINUTES) : Math.ceil(minutes / STEP_MINUTES);
    const wanted = Math.max(1, whole + by) * STEP_MINUTES;
    set('duration', typedDuration(wanted));
    // From and to together would decide over it: the end moves, or the start where the end would lie in the future.
    if (typed.start === '' || typed.end === '' || !read.ok) return;
    set(addMinutes(read.startedAt, wanted) > present ? 'start' : 'end', '');
  };
  return (
    <>
      <View style={sheet.pair}>
        <View style={sheet.half}>
          <DurationField
            control={form.control}
            name="duration"
            label="How long"
            hint="1:30, 1.5, 90m and 1h30 are all the same"
            autoFocus={autoFocus}
            onEnter={onEnter}
          />
        </View>
        <View style={sheet.steps}>
          <Button icon={mdiMinus} word="15" label="15 min less" isRepeatable onPress={() => step(-1)} />
          <Button icon={mdiPlus} word="15" label="15 min more" isRepeatable onPress={() => step(1)} />
        </View>
      </View>
      <View style={sheet.pair}>
        <View style={sheet.half}>
          <FormField
            control={form.control}
            name="start"
            label={read.ok ? `From (${show(read.startedAt)})` : 'From'}
            pick={{ icon: mdiClockOutline, label: 'Choose when it began', onPress: () => setPicking('start') }}
          />
        </View>
        <View style={sheet.half}>
          <FormField
            control={form.control}
            name="end"
            label={read.ok ? `To (${show(addMinutes(read.startedAt, read.minutes))})` : 'To (now)'}
            pick={{ icon: mdiClockOutline, label: 'Choose when it ended', onPress: () => setPicking('end') }}
          />
        </View>
      </View>
      {read.ok || read.onDay === undefined ? null : (
        <NotYet question={read.sentence} day={read.onDay} onTake={(day) => set('day', day)} />
      )}
      <View style={sheet.day}>
        <AppText soft live style={sheet.half}>
          {read.ok
            ? `${sayDay(read.startedAt, present, zone, language)}, ${show(read.startedAt)} to ${show(addMinutes(read.startedAt, read.minutes))}, ${formatDuration(Math.max(0, read.minutes))}`
            : ''}
        </AppText>
        <Button
          icon={mdiCalendar}
          word={typed.day === '' ? 'Another day' : 'Day'}
          label="Choose the day"
          onPress={() => setPicking('day')}
        />
      </View>
      {picking === null ? null : (
        <WhenPicker
          what={picking === 'day' ? 'day' : 'time'}
          label={pickLabels[picking]}
          at={read.ok ? (picking === 'end' ? addMinutes(read.startedAt, read.minutes) : read.startedAt) : present}
          notAfter={present}
          zone={zone}
          onPicked={(text) => {
            set(picking, text);
            setPicking(null);
          }}
          onClose={() => setPicking(null)}
        />
      )}
    </>
  );
}

/** A time that has not come yet today is taken for yesterday only by a press. */
function NotYet({
  question,
  day,
  onTake,
}: {
  readonly question: string;
  readonly day: LocalDay;
  readonly onTake: (day: LocalDay) => void;
}): ReactElement {
  return <Offers question={question} offers={[{ word: 'Yes, yesterday', onPress: () => onTake(day) }]} />;
}

const sheet = StyleSheet.create({
  pair: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'flex-start', gap: 8 },
  half: { flexGrow: 1, flexShrink: 1, flexBasis: 120, minWidth: 0 },
  steps: { flexDirection: 'row', gap: 8, paddingTop: 6 },
  day: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 8 },
});
