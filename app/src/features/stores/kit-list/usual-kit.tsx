import { useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { formatDuration, type PartId, type SiteId } from '@oilcan/core/kernel';
import { isLikelyPart, type Usual, type UsualPart } from '@oilcan/core/past/past';
import type { KitPart } from '@oilcan/core/orders/work';
import { fullestBin } from '../../../data/queries/stock';
import { useRow } from '../../../data/store/store';
import { Choice } from '../../../ui/fields/choice';
import { toggled } from '../../../ui/state/toggled';
import { AppText } from '../../../ui/theme/app-text';
import { amountOf } from '../../../words/amounts';

/** The parts that jobs like one took, of which each is taken along or not. */
export interface UsualKit {
  readonly usual: Usual | null;
  readonly partIds: readonly PartId[];
  readonly toggle: (id: PartId) => void;
  /** What is taken along, out of the bin that has most of each; none where no bin has it. */
  readonly kit: readonly KitPart[];
}

/** Of a job that was done here before what it mostly took is taken along, until somebody leaves it out; of one like it, nothing is. */
export function useUsualKit(usual: Usual | null, siteId: SiteId): UsualKit {
  const [changed, setChanged] = useState<readonly PartId[]>([]);
  const parts = usual?.parts ?? [];
  const isAtFirst = (part: UsualPart): boolean =>
    usual !== null && usual.from === 'same job' && isLikelyPart(part, usual);
  const taken = parts.filter((part) => isAtFirst(part) !== changed.includes(part.partId));
  return {
    usual,
    partIds: taken.map(({ partId }) => partId),
    toggle: (id) => setChanged(toggled(changed, id)),
    kit: taken.flatMap(({ partId, quantity }): KitPart[] => {
      const binId = fullestBin(partId, siteId);
      return binId === undefined || quantity <= 0 ? [] : [{ partId, binId, quantity, unit: null }];
    }),
  };
}

/** Where the jobs are from, in the middle of a sentence. */
const fromWords: Readonly<Record<Usual['from'], string>> = {
  'same job': 'such jobs here',
  'like it here': 'jobs like it here',
  'like it on its class': 'jobs like it on such machines',
};

/** What jobs like it took, part by part with how often, and how long they took; nothing where too few are like it. */
export function UsualKitChoice({ of: { usual, partIds, toggle } }: { readonly of: UsualKit }): ReactElement | null {
  if (usual === null) return null;
  const minutes = usual.minutes?.median ?? 0;
  const jobs = usual.jobs.length;
  return (
    <View role="group" aria-label="Parts that such jobs took" style={sheet.group}>
      <AppText as="label">
        {usual.parts.length === 0 ? '' : 'Take along? '}By {jobs} {fromWords[usual.from]}
        {minutes === 0 ? '' : `, which took about ${formatDuration(minutes)}`}
      </AppText>
      {usual.parts.map((part) => (
        <PartChoice
          key={part.partId}
          part={part}
          jobs={jobs}
          isTaken={partIds.includes(part.partId)}
          onPress={() => toggle(part.partId)}
        />
      ))}
    </View>
  );
}

interface PartChoiceProps {
  readonly part: UsualPart;
  readonly jobs: number;
  readonly isTaken: boolean;
  readonly onPress: () => void;
}

function PartChoice({ part, jobs, isTaken, onPress }: PartChoiceProps): ReactElement | null {
  const row = useRow('parts', part.partId);
  if (row === undefined) return null;
  const word = `${amountOf(part.quantity, row)} ${row.name}, ${part.jobs} of ${jobs} times`;
  return <Choice isMany word={word} isChosen={isTaken} onPress={onPress} />;
}

const sheet = StyleSheet.create({ group: { gap: 8, alignItems: 'flex-start' } });
