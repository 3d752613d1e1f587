import { useLocalSearchParams } from 'expo-router';
import type { ReactElement } from 'react';
import { piece } from '../../../src/ui/loading/piece';

const AssetScreen = piece(() =>
  import('../../../src/features/plant/plant/asset-screen').then((module) => module.AssetScreen),
);

export default function Machine(): ReactElement {
  const { asset } = useLocalSearchParams<{ asset: string }>();
  return <AssetScreen assetId={asset} />;
}
