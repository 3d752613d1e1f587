import type { ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import type { Usual } from '@oilcan/core/past/past';
import type { Asset } from '@oilcan/core/plant/plant';
import type { WorkOrder } from '@oilcan/core/orders/work';
import type { Past } from '../../../data/queries/use-past';
import { peekRow } from '../../../data/store/store';
import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';
import { amountOf } from '../../../words/amounts';
import { pastAddress } from './past-address';
import { PastStanding } from './past-standing';
import { SaidList } from './said-list';
import { lastFixSaid, sentencesOf, usualTimeSaid, withoutPartsSaid } from './said';

interface BriefProps {
  readonly asset: Asset;
  readonly past: Past;
  readonly plannedParts?: WorkOrder['kit'];
}

/** What the past says, in sentences only; what fixed it last time stands apart (`LastFix`). */
export function PastBrief({ asset, past, plannedParts = [] }: BriefProps): ReactElement {
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
        <AppText as="small" soft>
          As this phone had it last.
        </AppText>
      ) : null}
    </View>
  );
}

/** What fixed it the last times, and how long that held: the first that somebody wants to know. Nothing where nothing was repaired. */
export function LastFix({ asset, past }: Omit<BriefProps, 'plannedParts'>): ReactElement | null {
  if (past.is !== 'here') return null;
  const { findings, fixes } = past.said;
  const fix = lastFixSaid(fixes, findings.window.to, { part: (id) => peekRow('parts', id) });
  return fix === null ? null : <SaidList said={[fix]} address={pastAddress({ scope: 'asset', id: asset.id })} />;
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
      {time === null ? null : <AppText>{time}</AppText>}
      {parts.length === 0 ? null : (
        <AppText soft>
          Usual parts: {parts.join(', ')}.{withoutPartsSaid(usual)}
        </AppText>
      )}
    </View>
  );
}

const sheet = StyleSheet.create({
  usual: { paddingVertical: 10, borderBottomWidth: 1, gap: 4 },
});
