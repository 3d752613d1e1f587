import { Slot, useGlobalSearchParams } from 'expo-router';
import type { ReactElement } from 'react';
import { Beside } from '../../../src/features/frame/beside';
import { LazyPlant } from '../../../src/features/plant/lazy-plant';
import { useIsWide } from '../../../src/ui/theme';

/** On a wide screen the tree stays beside the machine that is looked at. */
export default function PlantLayout(): ReactElement {
  const isWide = useIsWide();
  const { asset } = useGlobalSearchParams<{ asset?: string }>();
  if (!isWide) return <Slot />;
  return (
    <Beside list={<LazyPlant chosen={asset} />}>
      <Slot />
    </Beside>
  );
}
