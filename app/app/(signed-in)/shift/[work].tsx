import { useLocalSearchParams } from 'expo-router';
import type { ReactElement } from 'react';
import { WorkSheet } from '../../../src/features/sheet/work-sheet';

export default function Work(): ReactElement | null {
  const { work } = useLocalSearchParams<{ work: string }>();
  return <WorkSheet workOrderId={work} />;
}
