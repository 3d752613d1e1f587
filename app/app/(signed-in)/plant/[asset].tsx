import { useLocalSearchParams } from 'expo-router';
import type { ReactElement } from 'react';
import { lazyComponent } from '../../../src/ui/loading/lazy-component';

const AssetScreen = lazyComponent(() =>
  import('../../../src/features/plant/plant/asset-screen').then((module) => module.AssetScreen),
);

export default function Machine(): ReactElement {
  const { asset } = useLocalSearchParams<{ asset: string }>();
  return <AssetScreen assetId={asset} />;
}
