import { Redirect } from 'expo-router';
import type { ReactElement } from 'react';
import { EmptySheet } from '../../../src/features/orders/sheet/empty-sheet';
import { ShiftScreen } from '../../../src/features/finishing/shift/shift-screen';
import { allWork } from '../../../src/features/finishing/shift/use-narrowing';
import { useShift } from '../../../src/features/finishing/shift/use-shift';
import { useIsWide } from '../../../src/ui/theme/theme';

export default function Shift(): ReactElement {
  return useIsWide() ? <First /> : <ShiftScreen chosen={undefined} />;
}

/** Beside the list of a wide screen: what comes first opens by itself. */
function First(): ReactElement {
  const first = useShift(allWork)?.sections[0]?.data[0];
  return first === undefined ? <EmptySheet /> : <Redirect href={`/shift/${first.id}`} />;
}
