import { Slot } from 'expo-router';
import type { ReactElement } from 'react';
import { Beside } from '../../../src/features/frame/page/beside';
import { useOpenParams } from '../../../src/features/frame/page/use-open-params';
import { PlantPiece } from '../../../src/features/plant/plant/plant-piece';
import { useIsWide } from '../../../src/ui/theme/theme';

/** On a wide screen the tree stays beside the machine that is looked at. */
export default function PlantLayout(): ReactElement {
  const isWide = useIsWide();
  const { asset, place } = useOpenParams();
  if (!isWide) return <Slot />;
  return (
    <Beside list={<PlantPiece chosen={asset} at={place} />}>
      <Slot />
    </Beside>
  );
}
