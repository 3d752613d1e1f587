import { useMemo, type ReactElement } from 'react';
import { lastEnded, nextDue, nextOn, type NextDue } from '@oilcan/core/finishing/plans';
import { isLocalDay, timeOfDay } from '@oilcan/core/kernel';
import { isOpen, type WorkOrder } from '@oilcan/core/orders/work';
import { now, peekRow, useRow, useRows, useSettings } from '../../../data/store/store';
import { AppText } from '../../../ui/theme/app-text';
import { byWords, dueWords } from './plan-words';

interface Props {
  readonly work: WorkOrder;
  /** The day on which it was done; empty or left out for today. */
  readonly doneOn?: string;
}

/** When planned work comes round again: for open work, if it were done now or on the day that is said. */
export function NextDueLine({ work, doneOn = '' }: Props): ReactElement | null {
  const next = useNextDue(work, doneOn);
  const settings = useSettings(work.siteId);
  if (work.plan === undefined || settings === undefined || next === undefined) return null;
  if (next === null) return <AppText>It does not come round again, as far as this phone knows.</AppText>;
  const words = dueWords(next, now(), settings);
  return (
    <AppText>
      {isOpen(work.state)
        ? isLocalDay(doneOn)
          ? 'Done then, it is due again'
          : 'Done today, it is due again'
        : 'Next:'}{' '}
      {words}, {byWords[next.by]}.
    </AppText>
  );
}

/** Null where nothing makes it due again; undefined where that is not known here, or the next one is open already. */
function useNextDue(work: WorkOrder, doneOn: string): NextDue | null | undefined {
  const plan = useRow('plans', work.plan?.planId);
  const settings = useSettings(work.siteId);
  const points = useRows('points', 'asset', plan?.assetId ?? '');
  return useMemo(() => {
    if (plan === undefined || work.plan === undefined || settings === undefined) return undefined;
    const isLast = plan.made === work.plan.occurrence;
    if (!isLast) return undefined;
    const { zone } = settings;
    const pointOf = (id: string) => points.find((point) => point.id === id) ?? peekRow('points', id);
    const last = isOpen(work.state)
      ? lastEnded(plan, work.plan.dueOn, 'done', isLocalDay(doneOn) ? timeOfDay(doneOn, 12 * 60, zone) : now(), {
          zone,
          pointOf,
        })
      : (plan.last ?? null);
    return nextDue({ ...plan, last }, pointOf, zone, nextOn);
  }, [plan, settings, points, work, doneOn]);
}
