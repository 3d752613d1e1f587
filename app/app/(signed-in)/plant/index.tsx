import type { ReactElement } from 'react';
import { NoAsset } from '../../../src/features/plant/no-asset';
import { LazyPlant } from '../../../src/features/plant/lazy-plant';
import { useIsWide } from '../../../src/ui/theme';

export default function Plant(): ReactElement {
  return useIsWide() ? <NoAsset /> : <LazyPlant chosen={undefined} />;
}
