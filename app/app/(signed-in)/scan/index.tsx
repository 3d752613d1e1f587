import { useLocalSearchParams } from 'expo-router';
import type { ReactElement } from 'react';
import { piece } from '../../../src/ui/loading/piece';

const ScanScreen = piece(() =>
  import('../../../src/features/plant/scan/scan-screen').then((module) => module.ScanScreen),
);

export default function Scan(): ReactElement {
  const { code, to } = useLocalSearchParams<{ code?: string; to?: string }>();
  return <ScanScreen key={code ?? 'camera'} given={code} isToRaise={to === 'raise'} />;
}
