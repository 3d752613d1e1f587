import { useLocalSearchParams } from 'expo-router';
import type { ReactElement } from 'react';
import { lazyComponent } from '../../../src/ui/loading/lazy-component';

const PlanScreen = lazyComponent(() =>
  import('../../../src/features/raising/raise/plan-screen').then((module) => module.PlanScreen),
);

/** Reports that are taken up. */
export default function Plan(): ReactElement {
  const { asset, reports = '' } = useLocalSearchParams<{ asset?: string; reports?: string }>();
  return <PlanScreen assetId={asset} reportIds={reports.split(',').filter((id) => id !== '') as never[]} />;
}
