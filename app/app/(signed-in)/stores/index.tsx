import { useLocalSearchParams } from 'expo-router';
import type { ReactElement } from 'react';
import { lazyComponent } from '../../../src/ui/loading/lazy-component';

const StoresScreen = lazyComponent(() =>
  import('../../../src/features/stores/stores/stores-screen').then((module) => module.StoresScreen),
);

export default function Stores(): ReactElement {
  const { find } = useLocalSearchParams<{ find?: string }>();
  return <StoresScreen key={find ?? ''} {...(find === undefined ? {} : { given: find })} />;
}
