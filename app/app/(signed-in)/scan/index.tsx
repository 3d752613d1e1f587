import { useLocalSearchParams } from 'expo-router';
import type { ReactElement } from 'react';
import { lazyComponent } from '../../../src/ui/loading/lazy-component';

const ScanScreen = lazyComponent(() =>
  import('../../../src/features/plant/scan/scan-screen').then((module) => module.ScanScreen),
);

export default function Scan(): ReactElement {
  const { code, to } = useLocalSearchParams<{ code?: string; to?: string }>();
  return <ScanScreen key={code ?? 'camera'} given={code} isToRaise={to === 'raise'} />;
}
