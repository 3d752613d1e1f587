import { useLocalSearchParams } from 'expo-router';
import type { ReactElement } from 'react';
import { SheetPiece } from '../../../src/features/orders/sheet/sheet-piece';

export default function Work(): ReactElement | null {
  const { work } = useLocalSearchParams<{ work: string }>();
  return <SheetPiece workOrderId={work} />;
}
