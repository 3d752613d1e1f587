import { lazy, type ReactElement } from 'react';
import { Piece } from '../../ui/piece';

const Screen = lazy(() => import('./plant-screen').then((module) => ({ default: module.PlantScreen })));

/** The tree, loaded when it is first shown: two routes place it, and neither is the first screen. */
export function LazyPlant({ chosen }: { readonly chosen: string | undefined }): ReactElement {
  return (
    <Piece>
      <Screen chosen={chosen} />
    </Piece>
  );
}
