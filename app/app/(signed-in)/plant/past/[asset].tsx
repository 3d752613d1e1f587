import { useLocalSearchParams } from 'expo-router';
import type { ReactElement } from 'react';
import { pastScopes } from '@oilcan/core/past/past';
import { piece } from '../../../../src/ui/loading/piece';

const PastScreen = piece(() => import('../../../../src/features/past/past/past').then((module) => module.PastScreen));

export default function Past(): ReactElement {
  const given = useLocalSearchParams<{ asset: string; with?: string; said?: string; point?: string }>();
  const scope = pastScopes.find((each) => each === given.with) ?? 'asset';
  return <PastScreen assetId={given.asset} scope={scope} said={given.said} pointId={given.point} />;
}
