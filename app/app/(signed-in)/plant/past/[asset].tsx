import { useLocalSearchParams } from 'expo-router';
import type { ReactElement } from 'react';
import { pastScopes } from '@oilcan/core/past/past';
import { lazyComponent } from '../../../../src/ui/loading/lazy-component';

const PastScreen = lazyComponent(() =>
  import('../../../../src/features/past/past/past').then((module) => module.PastScreen),
);

export default function Past(): ReactElement {
  const given = useLocalSearchParams<{ asset: string; with?: string; said?: string; point?: string }>();
  const scope = pastScopes.find((each) => each === given.with) ?? 'asset';
  return <PastScreen assetId={given.asset} scope={scope} said={given.said} pointId={given.point} />;
}
