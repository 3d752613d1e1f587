import { useLocalSearchParams } from 'expo-router';
import type { ReactElement } from 'react';
import { AssetScreen } from '../../../src/features/plant/asset-screen';

export default function Machine(): ReactElement {
  const { asset } = useLocalSearchParams<{ asset: string }>();
  return <AssetScreen assetId={asset} />;
}
