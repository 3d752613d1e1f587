import { useLocalSearchParams } from 'expo-router';
import type { ReactElement } from 'react';
import { NoAsset } from '../../../src/features/plant/no-asset';
import { PlantPiece } from '../../../src/features/plant/plant-piece';
import { useIsWide } from '../../../src/ui/theme';

export default function Plant(): ReactElement {
  const { place } = useLocalSearchParams<{ place?: string }>();
  return useIsWide() ? <NoAsset /> : <PlantPiece chosen={undefined} at={place} />;
}
