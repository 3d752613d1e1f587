import { useMemo } from 'react';
import { addMinutes, minutesBetween, type Instant } from '@oilcan/core/kernel';
import { overlapsAmong, runningClocks, type DayTime, type Overlap } from '@oilcan/core/recording/labor';
import { currentOf } from '@oilcan/core/orders/work';
import { useRow, useRows, useTable } from '../../../data/store/store';

/** Under this id the time stands that the clock has run up to now. */
export const RUNNING = 'running';

/** All of somebody's time that this phone knows of: on jobs, on none, and what the clock has run up to now. */
export function useTimesOf(personId: string, present: Instant): readonly DayTime[] {
  const entries = useTable('entries');
  const others = useRows('otherTimes', 'person', personId);
  const clock = useRow('clocks', personId);
  const recorded = useMemo(
    () => [
      ...currentOf(entries, 'labor')
        .filter(({ content }) => content.personId === personId)
        .map(({ id, workOrderId, content: { startedAt, minutes } }) => ({
          id,
          workOrderId,
          from: startedAt,
          to: addMinutes(startedAt, minutes),
        })),
      ...others.map(({ id, startedAt, minutes }) => ({
        id,
        workOrderId: null,
        from: startedAt,
        to: addMinutes(startedAt, minutes),
      })),
    ],
    [entries, others, personId],
  );
  return useMemo(
    () => [
      ...recorded,
      ...runningClocks(clock === undefined ? [] : [clock])
        .filter(({ startedAt }) => startedAt < present)
        .map(({ workOrderId, startedAt }) => ({ id: RUNNING, workOrderId, from: startedAt, to: present })),
    ],
    [recorded, clock, present],
  );
}

/** What of somebody's time a stretch that is being typed would be recorded a second time with. */
export function overlapsWith(from: Instant, to: Instant, times: readonly DayTime[]): Overlap[] {
  const typed: DayTime = { id: 'typed', workOrderId: null, from, to };
  return overlapsAmong([...times.filter((time) => time.from < to && from < time.to), typed]).filter(
    (overlap) =>
      (overlap.earlier.id === typed.id || overlap.later.id === typed.id) &&
      minutesBetween(overlap.from, overlap.to) > 0,
  );
}
