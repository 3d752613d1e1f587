import { useEffect } from 'react';
import { knowPlanDates } from '../../../data/store/plan-dates';
import { withSharedCode } from '../../../ui/loading/shared-code';

/** While somebody is signed in: gets what finds the dates of plans. Not needed for the first screen; until then, the server judges. */
export function usePlanDates(isSignedIn: boolean): void {
  useEffect(() => {
    if (!isSignedIn) return;
    withSharedCode(() => import('@oilcan/core/finishing/plans')).then(
      ({ nextOn }) => knowPlanDates(nextOn),
      () => undefined,
    );
  }, [isSignedIn]);
}
