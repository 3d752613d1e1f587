import { useLocalSearchParams } from 'expo-router';
import type { ReactElement } from 'react';
import { lazyComponent } from '../../../src/ui/loading/lazy-component';
import { PlantPiece } from '../../../src/features/plant/plant/plant-piece';
import { useIsWide } from '../../../src/ui/theme/theme';

const PlantOverview = lazyComponent(() =>
  import('../../../src/features/plant/plant/plant-overview').then((module) => module.PlantOverview),
);

export default function Plant(): ReactElement {
  const { place } = useLocalSearchParams<{ place?: string }>();
  return useIsWide() ? <PlantOverview /> : <PlantPiece chosen={undefined} at={place} />;
}
