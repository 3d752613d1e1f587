import { create } from 'zustand';
import type { ReactElement } from 'react';
import type { PointId, WorkOrderId } from '@oilcan/core/kernel';
import { levelOf } from '@oilcan/core/steps/readings';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { peekRow, useRow } from '../../../data/store/store';
import { lazyComponent } from '../../../ui/loading/lazy-component';

const AlarmSheet = lazyComponent(() => import('./alarm-sheet').then((module) => module.AlarmSheet));

/** Loads what opens where a value is beyond its alarm, so that it opens without signal too. */
export async function loadAlarmSheet(): Promise<void> {
  await AlarmSheet.load();
}

/** A value that was kept and is beyond its alarm. */
interface Alarm {
  readonly workOrderId: WorkOrderId;
  readonly pointId: PointId;
  readonly value: number;
}

const useAlarm = create<{ readonly alarm: Alarm | null }>(() => ({ alarm: null }));

/** Proposes work where a value that was just kept is beyond the alarm of its point. */
export function noteReading(workOrderId: WorkOrderId, pointId: PointId | null, value: number): void {
  const point = pointId === null ? undefined : peekRow('points', pointId);
  if (point !== undefined && levelOf(value, point.limits) === 'alarm') {
    useAlarm.setState({ alarm: { workOrderId, pointId: point.id, value } });
  }
}

/** What is to be done about a value beyond its alarm: a work order that is filled in already, or why there is none. */
export function AlarmProposal({ work }: { readonly work: WorkOrder }): ReactElement | null {
  const alarm = useAlarm((state) => state.alarm);
  const point = useRow('points', alarm?.pointId);
  if (alarm === null || point === undefined || alarm.workOrderId !== work.id) return null;
  return (
    <AlarmSheet work={work} point={point} value={alarm.value} onClose={() => useAlarm.setState({ alarm: null })} />
  );
}
