import { useState, type ReactElement } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import type { AssetId, ReportId } from '@oilcan/core/kernel';
import { hasRole } from '@oilcan/core/operations';
import { usePhone, useRow, useRowsById } from '../../../data/store/store';
import { AppText } from '../../../ui/theme/app-text';
import { TopBar } from '../../frame/page/top-bar';
import { useBack } from '../../frame/page/use-back';
import { PlanForm } from './plan-form';
import { nothingAlong } from './taken';
import { WhereField, type RaisedAt } from './where-field';

interface Props {
  readonly assetId: string | undefined;
  /** The reports that it answers. */
  readonly reportIds: readonly ReportId[];
}

/** Reports that are taken up as work: what they say stands there, and the rest of the plan is chosen. */
export function PlanScreen({ assetId, reportIds }: Props): ReactElement {
  const isLead = usePhone(({ person }) => person !== null && hasRole(person, ['lead']));
  const back = useBack(isLead ? '/desk' : '/shift');
  const reports = useRowsById('reports', reportIds);
  const [at, setAt] = useState<RaisedAt>(assetId === undefined ? null : { is: 'asset', id: assetId as AssetId });
  const asset = useRow('assets', at?.is === 'asset' ? at.id : undefined);
  return (
    <View style={sheet.screen}>
      <TopBar title="Take up" {...back} />
      <ScrollView role="main" contentContainerStyle={sheet.content} keyboardShouldPersistTaps="handled">
        <AppText soft>Answers {reports.map(({ number }) => number).join(', ')}. Each reporter is told.</AppText>
        <WhereField at={at} onChoose={setAt} isMachineOnly />
        {asset === undefined ? (
          <AppText>Work is always on a machine. Choose it first.</AppText>
        ) : (
          <PlanForm
            key={asset.id}
            asset={asset}
            words={null}
            reports={reports}
            along={nothingAlong}
            onMade={() => undefined}
          />
        )}
      </ScrollView>
    </View>
  );
}

const sheet = StyleSheet.create({
  screen: { flex: 1, minHeight: 0 },
  content: { padding: 16, gap: 14, width: '100%', maxWidth: 1_200 },
});
