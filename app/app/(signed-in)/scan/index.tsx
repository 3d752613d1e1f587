import { useLocalSearchParams } from 'expo-router';
import type { ReactElement } from 'react';
import { ScanScreen } from '../../../src/features/scan/scan-screen';

export default function Scan(): ReactElement {
  const { code } = useLocalSearchParams<{ code?: string }>();
  return <ScanScreen key={code ?? 'camera'} given={code} />;
}
