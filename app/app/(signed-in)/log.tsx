import { useLocalSearchParams } from 'expo-router';
import type { ReactElement } from 'react';
import { lazyComponent } from '../../src/ui/loading/lazy-component';

const LogPiece = lazyComponent(() =>
  import('../../src/features/frame/log/log-screen').then((module) => module.LogScreen),
);

export default function Log(): ReactElement {
  const { of } = useLocalSearchParams<{ of?: string }>();
  return <LogPiece of={of === '' ? undefined : of} />;
}
