import { useLocalSearchParams } from 'expo-router';
import type { ReactElement } from 'react';
import { lazyComponent } from '../../../src/ui/loading/lazy-component';

const CountScreen = lazyComponent(() =>
  import('../../../src/features/stores/counts/count-screen').then((module) => module.CountScreen),
);

/** Counting a store, from a bin that was scanned where one was. */
export default function Count(): ReactElement {
  const { bin } = useLocalSearchParams<{ bin?: string }>();
  return <CountScreen key={bin ?? ''} bin={bin} />;
}
