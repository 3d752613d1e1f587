import { useLocalSearchParams } from 'expo-router';
import type { ReactElement } from 'react';
import { piece } from '../../../src/ui/piece';

const PlanScreen = piece(() => import('../../../src/features/raising/plan-screen').then((module) => module.PlanScreen));

export default function Plan(): ReactElement {
  const {
    asset,
    words = '',
    reports = '',
    raised,
  } = useLocalSearchParams<{ asset?: string; words?: string; reports?: string; raised?: string }>();
  const reportIds = reports.split(',').filter((id) => id !== '') as never[];
  return <PlanScreen assetId={asset} words={words} reportIds={reportIds} raisedOn={raised} />;
}
