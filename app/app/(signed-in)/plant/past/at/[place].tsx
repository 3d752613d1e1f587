import { useLocalSearchParams } from 'expo-router';
import type { ReactElement } from 'react';
import { lazyComponent } from '../../../../../src/ui/loading/lazy-component';

const PlacePastScreen = lazyComponent(() =>
  import('../../../../../src/features/past/past/past').then((module) => module.PlacePastScreen),
);

export default function PastOfPlace(): ReactElement {
  const { place, said } = useLocalSearchParams<{ place: string; said?: string }>();
  return <PlacePastScreen placeId={place} said={said} />;
}
