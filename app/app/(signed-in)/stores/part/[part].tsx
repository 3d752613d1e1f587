import { useLocalSearchParams } from 'expo-router';
import type { ReactElement } from 'react';
import { lazyComponent } from '../../../../src/ui/loading/lazy-component';

const PartScreen = lazyComponent(() =>
  import('../../../../src/features/stores/part/part-screen').then((module) => module.PartScreen),
);

export default function PartPage(): ReactElement {
  const { part } = useLocalSearchParams<{ part: string }>();
  return <PartScreen partId={part} />;
}
