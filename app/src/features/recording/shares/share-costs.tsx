import { useMemo, type ReactElement } from 'react';
import { View } from 'react-native';
import { formatDuration, formatSums } from '@oilcan/core/kernel';
import { costOfShares } from '@oilcan/core/registry';
import type { WorkCost } from '@oilcan/core/recording/costs';
import { inOrderMade } from '@oilcan/core/recording/shares';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { useRows, useRowsLater, useSettings } from '../../../data/store/store';
import { useMe } from '../../../data/store/use-me';
import { AppText } from '../../../ui/theme/app-text';
import { aboutWords, whoseWords } from './share-words';

/** What a job cost by share, and what is in none; nothing where there are no shares. */
export function ShareCosts({ work }: { readonly work: WorkOrder }): ReactElement | null {
  const me = useMe();
  const settings = useSettings(work.siteId);
  const shares = useRows('shares', 'workOrder', work.id);
  const shared = shares.length === 0 ? undefined : work.id;
  const steps = useRowsLater('steps', 'workOrder', shared);
  const entries = useRowsLater('entries', 'workOrder', shared);
  const costs = useMemo(
    () => (shares.length === 0 ? null : costOfShares(shares, steps, entries)),
    [shares, steps, entries],
  );
  if (costs === null || settings === undefined) return null;
  const say = ({ laborMinutes, total, groups }: WorkCost): string =>
    `${formatDuration(laborMinutes)} · ${formatSums(total, settings.currency, settings.language)}${groups.time === null ? ' without time' : ''}`;
  return (
    <View role="group" aria-label="Cost by share">
      {inOrderMade(shares).map((share) => {
        const cost = costs.shares.get(share.id);
        return cost === undefined ? null : (
          <AppText key={share.id} as="small" soft>
            {whoseWords(share, me)}, {aboutWords(share, work, settings)}: {say(cost)}
          </AppText>
        );
      })}
      <AppText as="small" soft>
        In no share: {say(costs.rest)}
      </AppText>
    </View>
  );
}
