import { useMemo, type ReactElement } from 'react';
import { lastEnded, nextDue, nextOn, type NextDue } from '@oilcan/core/plans';
import { isOpen, type WorkOrder } from '@oilcan/core/work';
import { now, peekRow, useRow, useRows, useSettings } from '../../data/store';
import { Words } from '../../ui/words';
import { byWords, dueWords } from './plan-words';

/** When planned work comes round again: for open work, if it were done now. */
export function NextDueLine({ work }: { readonly work: WorkOrder }): ReactElement | null {
  const next = useNextDue(work);
  const settings = useSettings(work.siteId);
  if (work.plan === undefined || settings === undefined || next === undefined) return null;
  if (next === null) return <Words>It does not come round again, as far as this phone knows.</Words>;
  const words = dueWords(next, now(), settings);
  return (
    <Words>
      {isOpen(work.state) ? 'Done today, it is due again' : 'Next:'} {words}, {byWords[next.by]}.
    </Words>
  );
}

/** Null where nothing makes it due again; undefined where that is not known here, or the next one is open already. */
function useNextDue(work: WorkOrder): NextDue | null | undefined {
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
      ? lastEnded(plan, work.plan.dueOn, 'done', now(), { zone, pointOf })
      : (plan.last ?? null);
    return nextDue({ ...plan, last }, pointOf, zone, nextOn);
  }, [plan, settings, points, work]);
}
