import type { ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import type { JobLike, Usual } from '@oilcan/core/past';
import type { Asset } from '@oilcan/core/plant';
import type { WorkOrder } from '@oilcan/core/work';
import { usePast } from '../../data/past/use-past';
import { peekRow, useRow } from '../../data/store';
import { usePalette } from '../../ui/use-palette';
import { Words } from '../../ui/words';
import { amountOf } from '../../words/amounts';
import { pastAddress } from './past-address';
import { PastStanding } from './past-standing';
import { SaidList } from './said-list';
import { sentencesOf, usualTimeSaid, withoutPartsSaid } from './said';

/** On the sheet: what the past of the asset says, and what a job like this usually takes. */
export function WorkPast({ work }: { readonly work: WorkOrder }): ReactElement | null {
  const asset = useRow('assets', work.assetId);
  return asset === undefined ? null : <PastBrief asset={asset} like={work} plannedParts={work.kit} />;
}

interface Props {
  readonly asset: Asset;
  readonly like?: JobLike;
  readonly plannedParts?: WorkOrder['kit'];
}

/** What the past says, in sentences only. */
export function PastBrief({ asset, like, plannedParts = [] }: Props): ReactElement {
  const past = usePast({ scope: 'asset', id: asset.id }, like ?? null);
  if (past.is !== 'here') return <PastStanding past={past} />;
  const { findings, usual } = past.said;
  return (
    <View>
      <SaidList
        said={sentencesOf(findings, { part: (id) => peekRow('parts', id), asset: null })}
        address={pastAddress({ scope: 'asset', id: asset.id })}
      />
      {usual === null ? null : <UsualLines usual={usual} plannedParts={plannedParts} />}
      {past.isOld ? (
        <Words as="small" soft>
          As this phone had it last.
        </Words>
      ) : null}
    </View>
  );
}

/** What is usual, and the parts that such jobs often took and this kit does not have. */
function UsualLines({
  usual,
  plannedParts,
}: {
  readonly usual: Usual;
  readonly plannedParts: WorkOrder['kit'];
}): ReactElement {
  const palette = usePalette();
  const time = usualTimeSaid(usual);
  const planned = new Set(plannedParts.map(({ partId }) => partId));
  const parts = usual.parts.map((part) => {
    const row = peekRow('parts', part.partId);
    const isMissing = !planned.has(part.partId);
    return `${amountOf(part.quantity, row)} ${row?.name ?? ''} (${part.jobs} of ${usual.jobs.length} times${isMissing ? ', not in this kit' : ''})`;
  });
  return (
    <View style={[sheet.usual, { borderColor: palette.line }]}>
      {time === null ? null : <Words>{time}</Words>}
      {parts.length === 0 ? null : (
        <Words soft>
          Usual parts: {parts.join(', ')}.{withoutPartsSaid(usual)}
        </Words>
      )}
    </View>
  );
}

const sheet = StyleSheet.create({
  usual: { paddingVertical: 10, borderBottomWidth: 1, gap: 4 },
});
