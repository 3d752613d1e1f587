import { memo, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { costOf } from '@oilcan/core/registry';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { useRow, useRows } from '../../../data/store/store';
import { LinkPress } from '../../../ui/press/link-press';

import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';
import { holdWords, stateWords } from '../../../words/work-words';
import { WorkSums } from '../../recording/costs';

/** One job that somebody works on, or that rests, and why. */
export const UnderwayRow = memo(function UnderwayRow({ work }: { readonly work: WorkOrder }): ReactElement {
  const palette = usePalette();
  const asset = useRow('assets', work.assetId);
  const by = useRow('people', work.personIds[0]);
  const cost = costOf(useRows('entries', 'workOrder', work.id));
  const why = work.held === null ? '' : `: ${holdWords[work.held.reason].toLowerCase()}`;
  return (
    <LinkPress
      href={`/shift/${work.id}`}
      style={[sheet.row, { borderColor: palette.line }]}
      testID={`underway-${work.number}`}
    >
      <View style={sheet.words}>
        <AppText as="row" lines={2}>
          {work.number} {work.title}
        </AppText>
        <AppText as="small" soft>
          {[asset?.name, by?.name, `${stateWords[work.state]}${why}`].filter((each) => each !== undefined).join(' · ')}
        </AppText>
        {work.handOver === undefined ? null : <AppText as="small">{work.handOver.line}</AppText>}
      </View>
      <WorkSums work={work} cost={cost} />
    </LinkPress>
  );
});

const sheet = StyleSheet.create({
  row: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 12,
    borderBottomWidth: 1,
    paddingVertical: 10,
    paddingHorizontal: 8,
  },
  words: { flex: 1, minWidth: 0 },
});
