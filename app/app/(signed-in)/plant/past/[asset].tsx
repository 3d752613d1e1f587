import { useLocalSearchParams } from 'expo-router';
import { lazy, type ReactElement } from 'react';
import { pastScopes } from '@oilcan/core';
import { Piece } from '../../../../src/ui/piece';

const PastScreen = lazy(() =>
  import('../../../../src/features/past/past').then((module) => ({ default: module.PastScreen })),
);

export default function Past(): ReactElement {
  const { asset, with: scope, said } = useLocalSearchParams<{ asset: string; with?: string; said?: string }>();
  return (
    <Piece>
      <PastScreen assetId={asset} scope={pastScopes.find((each) => each === scope) ?? 'asset'} said={said} />
    </Piece>
  );
}
