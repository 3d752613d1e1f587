import { useLocalSearchParams } from 'expo-router';
import type { ReactElement } from 'react';
import { lazyComponent } from '../../../src/ui/loading/lazy-component';

const RaisePage = lazyComponent(() =>
  import('../../../src/features/frame/raise-page/raise-page').then((module) => module.RaisePage),
);

export default function Raise(): ReactElement {
  const { asset, place, way, from, words } =
    useLocalSearchParams<Partial<Record<'asset' | 'place' | 'way' | 'from' | 'words', string>>>();
  return (
    <RaisePage
      key={`${asset ?? ''} ${place ?? ''}`}
      assetId={asset}
      placeId={place}
      way={way}
      from={from}
      words={words}
    />
  );
}
