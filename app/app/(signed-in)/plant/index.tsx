import type { ReactElement } from 'react';
import { NoAsset } from '../../../src/features/plant/no-asset';
import { PlantScreen } from '../../../src/features/plant/plant-screen';
import { useIsWide } from '../../../src/ui/theme';

export default function Plant(): ReactElement {
  return useIsWide() ? <NoAsset /> : <PlantScreen chosen={undefined} />;
}
