import { lazy, Suspense, type ReactElement } from 'react';

const Screen = lazy(() => import('./plant-screen').then((module) => ({ default: module.PlantScreen })));

/** The tree, loaded when it is first shown: two routes place it, and neither is the first screen. */
export function LazyPlant({ chosen }: { readonly chosen: string | undefined }): ReactElement {
  return (
    <Suspense fallback={null}>
      <Screen chosen={chosen} />
    </Suspense>
  );
}
