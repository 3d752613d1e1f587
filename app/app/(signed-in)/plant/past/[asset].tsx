import { useLocalSearchParams } from 'expo-router';
import type { ReactElement } from 'react';
import { pastScopes } from '@oilcan/core';
import { PastScreen } from '../../../../src/features/past/past-screen';

export default function Past(): ReactElement {
  const { asset, with: scope, said } = useLocalSearchParams<{ asset: string; with?: string; said?: string }>();
  return <PastScreen assetId={asset} scope={pastScopes.find((each) => each === scope) ?? 'asset'} said={said} />;
}
