import { useLocalSearchParams } from 'expo-router';
import type { ReactElement } from 'react';
import { lazyComponent } from '../../../src/ui/loading/lazy-component';

const CounterScreen = lazyComponent(() =>
  import('../../../src/features/stores/issue/counter-screen').then((module) => module.CounterScreen),
);

/** Handing out to a job at the counter. */
export default function Counter(): ReactElement {
  const { work } = useLocalSearchParams<{ work?: string }>();
  return <CounterScreen key={work ?? ''} work={work} />;
}
