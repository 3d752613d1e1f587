import type { ReactElement } from 'react';
import { EmptySheet } from '../../../src/features/sheet/empty-sheet';
import { ShiftScreen } from '../../../src/features/shift/shift-screen';
import { useIsWide } from '../../../src/ui/theme';

export default function Shift(): ReactElement {
  return useIsWide() ? <EmptySheet /> : <ShiftScreen chosen={undefined} />;
}
