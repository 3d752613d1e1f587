import { useLocalSearchParams } from 'expo-router';
import type { ReactElement } from 'react';
import { piece } from '../../src/ui/loading/piece';

const LogPiece = piece(() => import('../../src/features/frame/log/log-screen').then((module) => module.LogScreen));

export default function Log(): ReactElement {
  const { of } = useLocalSearchParams<{ of?: string }>();
  return <LogPiece of={of === '' ? undefined : of} />;
}
