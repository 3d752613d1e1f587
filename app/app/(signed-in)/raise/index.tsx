import { useLocalSearchParams } from 'expo-router';
import type { ReactElement } from 'react';
import { piece } from '../../../src/ui/piece';

const RaiseScreen = piece(() =>
  import('../../../src/features/raising/raise-screen').then((module) => module.RaiseScreen),
);

export default function Raise(): ReactElement {
  const { asset, place } = useLocalSearchParams<{ asset?: string; place?: string }>();
  return <RaiseScreen key={`${asset ?? ''} ${place ?? ''}`} assetId={asset} placeId={place} />;
}
