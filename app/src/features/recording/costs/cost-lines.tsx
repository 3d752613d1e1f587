import type { ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { formatDuration, formatSums, type Money } from '@oilcan/core/kernel';
import type { WorkCost } from '@oilcan/core/recording/costs';
import { costOfCentres } from '@oilcan/core/registry';
import { costGroups, type Entry, type WorkOrder } from '@oilcan/core/orders/work';
import { peekRow, useSettings } from '../../../data/store/store';
import { AppText } from '../../../ui/theme/app-text';
import { costWords } from './cost-words';
import { costGroupWords } from '../../../words/work-words';

interface Props {
  readonly work: WorkOrder;
  readonly cost: WorkCost;
  /** What it is made of, for the cost centres; none where only the sums are known. */
  readonly entries: readonly Entry[];
}

/** What a job came to: time against the estimate, what it cost, the largest first, and where it is charged. */
export function CostLines({ work, cost, entries }: Props): ReactElement | null {
  const settings = useSettings(work.siteId);
  if (settings === undefined) return null;
  const say = (sums: readonly Money[]): string => formatSums(sums, settings.currency, settings.language);
  const inOwn = (sums: readonly Money[]): number => sums.find((sum) => sum.currency === settings.currency)?.minor ?? 0;
  const groups = costGroups
    .flatMap((group) => {
      const sums = cost.groups[group];
      return sums === null || sums.length === 0 ? [] : [{ group, sums }];
    })
    .sort((a, b) => inOwn(b.sums) - inOwn(a.sums));
  const centres = costOfCentres(entries, (assetId) => peekRow('assets', assetId)?.costCentre);
  const centreName = (id: string | null): string =>
    settings.costCentres?.find((centre) => centre.id === id)?.name ?? 'no cost centre';
  return (
    <View style={sheet.cost}>
      <AppText as="heading">{costWords(cost, settings)}</AppText>
      <AppText as="small" soft>
        {estimateWords(cost.laborMinutes, work.estimateMinutes)}
        {groups.map(({ group, sums }) => ` ${costGroupWords[group]} ${say(sums)}.`).join('')}
      </AppText>
      {centres.length === 0 || settings.costCentres === undefined ? null : (
        <AppText as="small" soft>
          Charged to {centres.map(({ centre, sums }) => `${centreName(centre)}: ${say(sums)}`).join(', ')}.
        </AppText>
      )}
    </View>
  );
}

/** A job planned for 2 h that took 3 h is at 150 %. */
function estimateWords(minutes: number, estimateMinutes: number): string {
  if (estimateMinutes === 0) return 'Nobody estimated it.';
  const planned = `Planned ${formatDuration(estimateMinutes)}`;
  return minutes === 0 ? `${planned}.` : `${planned}: at ${Math.round((100 * minutes) / estimateMinutes)} %.`;
}

const sheet = StyleSheet.create({ cost: { paddingVertical: 12 } });
