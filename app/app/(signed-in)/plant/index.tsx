import { useLocalSearchParams } from 'expo-router';
import type { ReactElement } from 'react';
import { piece } from '../../../src/ui/loading/piece';
import { PlantPiece } from '../../../src/features/plant/plant/plant-piece';
import { useIsWide } from '../../../src/ui/theme/theme';

const PlantOverview = piece(() =>
  import('../../../src/features/plant/plant/plant-overview').then((module) => module.PlantOverview),
);

export default function Plant(): ReactElement {
  const { place } = useLocalSearchParams<{ place?: string }>();
  return useIsWide() ? <PlantOverview /> : <PlantPiece chosen={undefined} at={place} />;
}
