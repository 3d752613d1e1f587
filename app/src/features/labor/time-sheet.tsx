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
import { useOperation } from '../../data/use-operation';
import { now, useSettings } from '../../data/store';
import { BottomSheet } from '../../ui/bottom-sheet';
import { Field } from '../../ui/field';
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
  const { run, errorAt } = useOperation();
  const [present] = useState(now);
  const [duration, setDuration] = useState('');
  const [start, setStart] = useState('');
  const [end, setEnd] = useState('');
  const [timeType, setTimeType] = useState<TimeType>('regular');
  const [isAsked, setIsAsked] = useState(false);
  if (settings === undefined) return null;
  const read = readTime({ duration, start, end }, present, settings.zone);
  const keep = async (): Promise<void> => {
    setIsAsked(true);
    if (!read.ok) return;
    const { startedAt, minutes } = read;
    const kept = `${formatDuration(Math.max(0, minutes))} kept.`;
    if (await run('labor.add', { workOrderId: work.id, personId: me, startedAt, minutes, timeType }, kept)) onClose();
  };
  const show = (instant: Instant): string => inZone(instant, settings.zone).toFormat('HH:mm');
  const errorOf = (field: 'duration' | 'start' | 'end'): string | null => {
    if (isAsked && !read.ok && read.field === field) return read.sentence;
    return field === 'duration' ? errorAt('minutes') : null;
  };
  return (
    <BottomSheet
      title="Time"
      onClose={onClose}
      foot={
        <Button
          main
          word={read.ok && read.minutes > 0 ? `Keep ${formatDuration(read.minutes)}` : 'Keep'}
          onPress={() => void keep()}
        />
      }
    >
      <Field
        label="How long"
        hint="1:30, 1.5, 90m and 1h30 are all the same"
        value={duration}
        onChange={setDuration}
        error={errorOf('duration')}
        autoFocus
        onEnter={() => void keep()}
      />
      <View style={sheet.pair}>
        <View style={sheet.half}>
          <Field
            label={read.ok ? `From (${show(read.startedAt)})` : 'From'}
            value={start}
            onChange={setStart}
            error={errorOf('start')}
          />
        </View>
        <View style={sheet.half}>
          <Field
            label={read.ok ? `To (${show(addMinutes(read.startedAt, read.minutes))})` : 'To (now)'}
            value={end}
            onChange={setEnd}
            error={errorOf('end')}
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
