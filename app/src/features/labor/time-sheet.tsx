import { useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import {
  addMinutes,
  formatDuration,
  inZone,
  latestWallTime,
  minutesBetween,
  OilcanError,
  parseDuration,
  type Instant,
} from '@oilcan/core/kernel';
import { timeTypes, type TimeType } from '@oilcan/core/labor';
import type { WorkOrder } from '@oilcan/core/work';
import { now, useSettings } from '../../data/store';
import { FormField } from '../../forms/form-field';
import { FormRefusal } from '../../forms/form-refusal';
import { useOperationForm } from '../../forms/use-operation-form';
import { BottomSheet } from '../../ui/bottom-sheet';
import { Button, Choice, Choices } from '../../ui/press';
import { Words } from '../../ui/words';
import { timeTypeWords } from '../../words/work-words';
import { useMe } from '../../data/use-me';

/** Time that was not clocked. How long is enough; it then ends now. Start or end may be given instead. */
export function TimeSheet({
  work,
  onClose,
}: {
  readonly work: WorkOrder;
  readonly onClose: () => void;
}): ReactElement | null {
  const me = useMe();
  const settings = useSettings(work.siteId);
  const [present] = useState(now);
  const [timeType, setTimeType] = useState<TimeType>('regular');
  const zone = settings?.zone ?? 'utc';
  const { form, submit, refusal } = useOperationForm({
    operation: 'labor.add',
    defaultValues: { duration: '', start: '', end: '' },
    fieldOf: (argument) => (argument === 'minutes' ? 'duration' : 'start'),
    read: (typed) => {
      const time = readTime(typed, present, zone);
      if (!time.ok) return { unreadable: time.field, hint: time.sentence };
      const { startedAt, minutes } = time;
      return { args: { workOrderId: work.id, personId: me, startedAt, minutes, timeType } };
    },
    said: ({ minutes }) => `${formatDuration(Math.max(0, minutes))} kept.`,
    onDone: onClose,
  });
  if (settings === undefined) return null;
  const read = readTime(form.watch(), present, zone);
  const show = (instant: Instant): string => inZone(instant, zone).toFormat('HH:mm');
  return (
    <BottomSheet
      title="Time"
      onClose={onClose}
      foot={
        <Button
          main
          word={read.ok && read.minutes > 0 ? `Keep ${formatDuration(read.minutes)}` : 'Keep'}
          onPress={submit}
        />
      }
    >
      <FormField
        control={form.control}
        name="duration"
        label="How long"
        hint="1:30, 1.5, 90m and 1h30 are all the same"
        autoFocus
        onEnter={submit}
      />
      <View style={sheet.pair}>
        <View style={sheet.half}>
          <FormField control={form.control} name="start" label={read.ok ? `From (${show(read.startedAt)})` : 'From'} />
        </View>
        <View style={sheet.half}>
          <FormField
            control={form.control}
            name="end"
            label={read.ok ? `To (${show(addMinutes(read.startedAt, read.minutes))})` : 'To (now)'}
          />
        </View>
      </View>
      <Choices label="Kind of time">
        {timeTypes.map((each) => (
          <Choice
            key={each}
            word={timeTypeWords[each]}
            isChosen={timeType === each}
            onPress={() => setTimeType(each)}
          />
        ))}
      </Choices>
      <FormRefusal sentence={refusal} />
      {read.ok ? (
        <Words soft live>
          {show(read.startedAt)} to {show(addMinutes(read.startedAt, read.minutes))},{' '}
          {formatDuration(Math.max(0, read.minutes))}
        </Words>
      ) : null}
    </BottomSheet>
  );
}

interface Typed {
  readonly duration: string;
  readonly start: string;
  readonly end: string;
}

type ReadTime =
  | { readonly ok: true; readonly startedAt: Instant; readonly minutes: number }
  | { readonly ok: false; readonly field: keyof Typed; readonly sentence: string };

/**
 * Any two of duration, start and end give the third; duration alone ends now. Start and end together decide over
 * the duration, because they say more.
 */
export function readTime(typed: Typed, present: Instant, zone: string): ReadTime {
  const wallTime = (field: 'start' | 'end', notAfter: Instant): Instant | 'unreadable' | null => {
    if (typed[field].trim() === '') return null;
    try {
      return latestWallTime(typed[field].replace('.', ':'), notAfter, zone);
    } catch (error) {
      if (error instanceof OilcanError) return 'unreadable';
      throw error;
    }
  };
  const minutes = typed.duration.trim() === '' ? null : (parseDuration(typed.duration) ?? 'unreadable');
  if (minutes === 'unreadable')
    return { ok: false, field: 'duration', sentence: 'Write how long as 1:30, 1.5, 90m or 1h30.' };
  const end = wallTime('end', present);
  if (end === 'unreadable') return { ok: false, field: 'end', sentence: 'Write the time as 14:20.' };
  const start = wallTime('start', end ?? present);
  if (start === 'unreadable') return { ok: false, field: 'start', sentence: 'Write the time as 14:20.' };
  if (start !== null && (end !== null || minutes === null)) {
    return { ok: true, startedAt: start, minutes: minutesBetween(start, end ?? present) };
  }
  if (minutes === null) return { ok: false, field: 'duration', sentence: 'Say how long, or from when to when.' };
  return { ok: true, startedAt: start ?? addMinutes(end ?? present, -minutes), minutes };
}

const sheet = StyleSheet.create({
  pair: { flexDirection: 'row', gap: 8 },
  half: { flex: 1, minWidth: 0 },
});
